import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import type { Result } from '@/actions/result';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { COMMANDS, type CommandName } from './registry';
import { look, run } from './server';
import { fieldsOf, requiredOf, sample } from './testing/sample';
import { STRANGE } from './testing/strange';

jest.mock('next/cache', () => ({ revalidatePath: () => {} }));

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('hostile');
});
afterAll(() => base.end());

type Action = (input: unknown) => Promise<Result<unknown>>;
const names = Object.keys(COMMANDS) as CommandName[];
const actions = names.map((name): [CommandName, Action] => [name, (input) => run(name, input)]);

/** How much the studio holds, table by table; counted in one question, since it is asked before and after each command. */
let counting = '';
async function holdings(): Promise<Record<string, number>> {
  if (!counting) {
    const tables = await base.sql<{ name: string }[]>`
      select table_name as name from information_schema.tables where table_schema = 'public' order by 1`;
    counting = tables
      .map(({ name }) => `select '${name}' as name, count(*)::int as n from "${name}"`)
      .join(' union all ');
  }
  const rows = await base.sql.unsafe<{ name: string; n: number }[]>(counting);
  return Object.fromEntries(rows.map(({ name, n }) => [name, n]));
}

/** Words of the libraries beneath, that no person should read. */
const NOT_OURS =
  /must be (a|an) (string|number|UUID|array|integer|boolean|object|date)|should not|each value|nested property|constraint|undefined|null|NaN|violates|syntax|invalid input/i;

const inOurWords = (answer: Result<unknown>) => {
  expect(answer.ok).toBe(false);
  if (answer.ok) return;
  expect(answer.problems.length).toBeGreaterThan(0);
  for (const p of answer.problems) {
    expect(p.message).toMatch(/[.!?]$/);
    expect([p.path, NOT_OURS.test(p.message) ? p.message : 'ours']).toEqual([p.path, 'ours']);
  }
};

describe.each(actions)('%s', (name, act) => {
  test.each<[string, unknown]>([
    ['nothing', undefined],
    ['null', null],
    ['a list', []],
    ['text', 'drop table cone'],
    ['a number', 7],
  ])('%s is no form', async (_name, input) => inOurWords(await act(input)));

  test('what no form of this program sends', async () => {
    for (const value of STRANGE) {
      const answer = await act(value);
      // A talk at the counter is begun by a key and nothing else.
      if (!(answer.ok && name === 'beginIntake')) inOurWords(answer);
    }
  });

  test('a field that is not known is refused by its name', async () => {
    const answer = await act({ key: uuidv7(), isAdmin: true });
    inOurWords(answer);
    if (!answer.ok) expect(answer.problems.map((p) => p.path)).toContain('isAdmin');
  });

  test('a key that is no key, or none', async () => {
    for (const form of [{ key: 'twice' }, { key: 12 }, { key: { toString: 'x' } }]) {
      const answer = await act(form);
      inOurWords(answer);
    }
  });

  test('fields of every wrong kind are answered in words', async () => {
    const wrong = [null, -1, 1e308, '', '0', 'x'.repeat(5000), [], {}, [[[]]], true, { $ne: null }];
    const asked = await act({ key: uuidv7() });
    if (asked.ok) return;
    const fields = [...new Set(asked.problems.map((p) => p.path.split('.')[0]!))].filter((f) => f !== '');
    for (const value of wrong)
      inOurWords(
        await act({ key: uuidv7(), ...Object.fromEntries(fields.map((f) => [f, value])), isAdmin: true }),
      );
  });
});

test('a door that is not there says so, and looks at nothing', async () => {
  for (const name of ['', 'constructor', 'toString', '__proto__', 'readPlan']) {
    inOurWords(await run(name, { key: uuidv7() }));
    expect(await look(name, 'x')).toBeNull();
  }
});

describe('every command of the registry', () => {
  /** What the demo studio has, by the name a form gives its id. */
  async function known(): Promise<Record<string, unknown>> {
    const one = async (sql: Promise<{ id: string }[]>) => (await sql)[0]!.id;
    const quiltId = await one(base.sql`select id from quilt where name = 'Harbour Lights'`);
    return {
      quiltId,
      zoneId: await one(base.sql`select id from zone where quilt_id = ${quiltId} order by letter`),
      clientId: await one(base.sql`select client_id as id from quilt where id = ${quiltId}`),
      machineId: await one(base.sql`select id from machine`),
      faultId: await one(base.sql`select id from fault`),
    };
  }
  const given = (rules: new () => object, name: string) => ({
    ...Object.fromEntries(
      fieldsOf(rules)
        .filter((f) => /version/i.test(f))
        .map((f) => [f, 987_654]),
    ),
    ...(fieldsOf(rules).includes('id') ? { id: uuidv7() } : {}),
    ...(name === 'importWorkroom' ? { text: '{}' } : {}),
  });

  test.each(actions)('%s: a stranger’s ids are told in words and store nothing', async (name, act) => {
    const { rules } = COMMANDS[name];
    const asked = requiredOf(rules).filter((f) => /Id$|^id$|Ids$|^ids$/.test(f));
    // A fault that is gone is gone: to take it back again is no mistake.
    if (asked.length === 0 || name === 'takeBackFault') return;
    const before = await holdings();
    const answer = await act(sample(rules, given(rules, name)));
    inOurWords(answer);
    expect(await holdings()).toEqual(before);
  });

  test.each(actions.filter(([name]) => requiredOf(COMMANDS[name].rules).some((f) => /version/i.test(f))))(
    '%s: a page that is behind overwrites nothing',
    async (name, act) => {
      const { rules } = COMMANDS[name];
      const before = await holdings();
      // A thing of the workroom that is left out is a new one: here an old one is meant.
      const form = sample(rules, { ...(await known()), ...given(rules, name) });
      inOurWords(await act(fieldsOf(rules).includes('id') ? { id: uuidv7(), ...form } : form));
      expect(await holdings()).toEqual(before);
    },
  );

  test.each(actions)('%s: each field it asks for is missed by its name', async (name, act) => {
    const { rules } = COMMANDS[name];
    for (const field of requiredOf(rules)) {
      const { [field]: _, ...rest } = sample(rules, given(rules, name));
      const answer = await act(rest);
      inOurWords(answer);
      if (!answer.ok) expect(answer.problems.map((p) => p.path.split('.')[0])).toContain(field);
    }
  });
});

test('whatever is sent, no action throws, and nothing is stored that was not asked for', async () => {
  const before = await holdings();
  const anything = fc.oneof(
    fc.anything({ maxDepth: 2 }),
    fc.record({ key: fc.uuid(), quiltId: fc.uuid(), id: fc.uuid(), version: fc.integer() }),
    fc.record({ key: fc.uuid(), zones: fc.anything(), rows: fc.anything(), cards: fc.anything() }),
  );
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...actions), anything, async ([name, act], input) => {
      // A talk is begun by an empty form; that is all it asks.
      if (name === 'beginIntake') return;
      inOurWords(await act(input));
    }),
    { numRuns: 400 },
  );
  expect(await holdings()).toEqual(before);
});

test('what only reads is not led astray either', async () => {
  for (const id of ['', "' or 1=1 --", uuidv7(), null as never, {} as never])
    expect(await look('coneUses', id)).toEqual([]);
  for (const [kind, header] of [
    ['cones', []],
    ['no such kind', ['a']],
    ['cones', null],
    ['cones', [1, {}]],
  ] as never[][])
    expect(await look('importHints', kind, header)).toMatchObject({
      keys: expect.any(Array),
    });
});
