import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import type { Result } from '@/actions/result';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import * as serverActions from './server';

jest.mock('next/cache', () => ({ revalidatePath: () => {} }));

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('hostile');
});
afterAll(() => base.end());

type Action = (input: unknown) => Promise<Result<unknown>>;
const { readConeUsesAction, importHintsAction, ...forms } = serverActions;
const actions = Object.entries(forms) as [string, Action][];

/** How much the studio holds, table by table. */
async function holdings() {
  const tables = await base.sql<{ name: string }[]>`
    select table_name as name from information_schema.tables where table_schema = 'public' order by 1`;
  const counts: Record<string, number> = {};
  for (const { name } of tables) {
    const [row] = await base.sql<{ n: number }[]>`select count(*)::int as n from ${base.sql(name)}`;
    counts[name] = row!.n;
  }
  return counts;
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

describe.each(actions)('%s', (_, act) => {
  test.each<[string, unknown]>([
    ['nothing', undefined],
    ['null', null],
    ['a list', []],
    ['text', 'drop table cone'],
    ['a number', 7],
  ])('%s is no form', async (_name, input) => inOurWords(await act(input)));

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
      if (name === 'beginIntakeAction') return;
      inOurWords(await act(input));
    }),
    { numRuns: 400 },
  );
  expect(await holdings()).toEqual(before);
});

test('what only reads is not led astray either', async () => {
  for (const id of ['', "' or 1=1 --", uuidv7(), null as never, {} as never])
    expect(await readConeUsesAction(id)).toEqual([]);
  for (const [kind, header] of [
    ['cones', []],
    ['no such kind', ['a']],
    ['cones', null],
    ['cones', [1, {}]],
  ] as never[][])
    expect(await importHintsAction(kind as never, header as never)).toMatchObject({
      keys: expect.any(Array),
    });
});
