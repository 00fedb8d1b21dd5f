import { reached } from '@/serve/reached';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import type { Role } from '@/core/fields/lists';
import { QUILTER } from './context';
import { ANYONE, HANDS, NOT_YOURS, OWNER, permitted } from './may';
import { ask, RIGHTS as READ_RIGHTS } from './queries';
import { COMMANDS, type CommandName, perform } from './registry';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('rights');
});
afterAll(() => base.end());

const ROLES: readonly Role[] = ['owner', 'hand', 'guest'];
const commands = Object.keys(COMMANDS) as CommandName[];
const context = (role: Role) => ({ sql: base.sql, actor: { ...QUILTER, role }, now: new Date() });

test.each(commands.flatMap((name) => ROLES.map((role) => [name, role] as const)))(
  '%s as %s: refused where it is not hers, and only there',
  async (name, role) => {
    // Nothing is sent: whoever may is told what is wrong with the form, whoever may not that it is not hers.
    const answer = await perform(context(role), name, undefined);
    const refused = !answer.ok && answer.problems[0]!.message === NOT_YOURS;
    expect(refused).toBe(!COMMANDS[name].may.includes(role));
  },
);

test('a guest changes nothing but what is her own', () => {
  const hers = commands.filter((n) => COMMANDS[n].may.includes('guest')).sort();
  expect(hers).toEqual(
    ['askWhatIf', 'endSession', 'keepHabit', 'setPassphrase'].filter((n) => hers.includes(n as CommandName)),
  );
});

test('money, machines, people, files and the studio’s ways are the owner’s', () => {
  for (const name of [
    'keepRates',
    'keepMachine',
    'invitePerson',
    'importRows',
    'importWorkroom',
    'setPreferences',
  ] as const)
    expect(COMMANDS[name].may).toEqual(OWNER);
});

const closed = Object.entries(READ_RIGHTS).flatMap(([name, may]) =>
  ROLES.filter((role) => !may.includes(role)).map((role) => [name, role] as const),
);
test.each(closed)('%s cannot be read as %s', (name, role) => {
  const read = () =>
    reached.run({ act: false, actor: { ...QUILTER, role } }, () =>
      (ask as unknown as Record<string, () => unknown>)[name]!(),
    );
  expect(read).toThrow(NOT_YOURS);
});

test('everything else is read by everybody, as whom the door let in', async () => {
  expect(closed.map(([name]) => name)).toContain('exportCsv');
  const guest = { id: QUILTER.id, name: 'Somebody', role: 'guest' as const };
  const people = await reached.run({ act: false, actor: guest }, () => ask.readPeople());
  expect(people.length).toBeGreaterThan(0);
});

test('a right is asked for by a throw as well', () => {
  expect(() => permitted(context('guest'), HANDS)).toThrow(NOT_YOURS);
  expect(permitted(context('hand'), HANDS).actor.role).toBe('hand');
  expect(ANYONE).toHaveLength(3);
});
