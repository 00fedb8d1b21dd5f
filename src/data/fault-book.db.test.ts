import { RATED_BY } from '@/core/fields/lists';
import {
  type BookFilter,
  readBook,
  readCures,
  readMonths,
  readStretches,
  readTallies,
  readTimeLost,
  readWays,
} from './fault-book';
import { type TestDatabase } from './test-database';
import { demoDatabase } from '@/demo/testing/demo-database';

let base: TestDatabase;
beforeAll(async () => {
  base = await demoDatabase('fault_book');
});
afterAll(() => base.end());

const ALL: BookFilter = { words: '', sign: null, state: null, by: 'thread', of: null, sort: 'newest' };
const book = (part: Partial<BookFilter> = {}) => readBook(base.sql, { ...ALL, ...part }, 1000);

test('all faults of all quilts, newest first', async () => {
  const [{ n }] = (await base.sql<{ n: number }[]>`select count(*)::int as n from fault`) as unknown as [
    { n: number },
  ];
  const rows = await book();
  expect(rows).toHaveLength(n);
  rows.forEach(
    (r, i) => i > 0 && expect(r.noticedAt.getTime()).toBeLessThanOrEqual(rows[i - 1]!.noticedAt.getTime()),
  );
  expect(await readBook(base.sql, ALL, 3)).toHaveLength(4);
});

test('narrowed by sign, state and words, each alone and together', async () => {
  const rows = await book();
  const sign = rows[0]!.symptoms[0]!;
  expect((await book({ sign })).length).toBe(rows.filter((r) => r.symptoms.includes(sign)).length);
  for (const state of ['open', 'mended', 'left'] as const)
    expect((await book({ state })).length).toBe(rows.filter((r) => r.status === state).length);
  const { quilt } = rows[0]!;
  expect((await book({ words: quilt.slice(1).toUpperCase() })).every((r) => r.quilt === quilt)).toBe(true);
  expect(await book({ words: '100%_' })).toEqual([]);
  expect((await book({ words: quilt, state: 'open' })).length).toBe(
    rows.filter((r) => r.quilt === quilt && r.status === 'open').length,
  );
});

test.each(RATED_BY)('counted by %s: every bar leads to as many faults as it counts', async (by) => {
  const tallies = await readTallies(base.sql, by);
  expect(tallies.length).toBeGreaterThan(0);
  expect(new Set(tallies.map((t) => t.id)).size).toBe(tallies.length);
  for (const t of tallies) {
    expect(t.stitches).toBeGreaterThan(0);
    expect(t.label.length).toBeGreaterThan(0);
    // A bar counts what stood on a card; its faults are those noted with it.
    expect((await book({ by, of: t.id })).length).toBeGreaterThanOrEqual(t.faults);
  }
});

test('time lost is that of closed faults', async () => {
  const before = await readTimeLost(base.sql);
  expect(before.closed).toBeGreaterThan(0);
  const f = (await book({ state: 'open' }))[0]!;
  await base.sql`
    insert into fault_evidence (fault_id, cause, minutes_lost, closed_at, remedy, helped)
    values (${f.id}, 'mis_thread', 212.5, now(), 'threaded anew', false)`;
  expect(await readTimeLost(base.sql)).toEqual({
    minutes: before.minutes + 212.5,
    closed: before.closed + 1,
  });
  expect((await book({ sort: 'dearest' }))[0]).toMatchObject({ cause: 'mis_thread', minutesLost: 212.5 });
  expect(await readCures(base.sql)).toContainEqual({
    cause: 'mis_thread',
    ownCause: '',
    remedy: 'threaded anew',
    tried: 1,
    helped: 0,
    minutes: 212.5,
  });
});

test('oldest first is newest first turned round', async () => {
  const times = async (sort: BookFilter['sort']) => (await book({ sort })).map((r) => r.noticedAt.getTime());
  expect(await times('oldest')).toEqual((await times('newest')).sort((a, b) => a - b));
});

test('months and stretches add up to what is tallied, of all and of one bar', async () => {
  const sum = (of: readonly { stitches: number }[]) => of.reduce((s, x) => s + x.stitches, 0);
  const [bar] = await readTallies(base.sql, 'technique');
  for (const filter of [ALL, { ...ALL, by: 'technique' as const, of: bar!.id }]) {
    const all = sum(await readStretches(base.sql, filter, 10_000));
    expect(sum(await readMonths(base.sql, filter))).toBeCloseTo(all, 3);
    expect(all).toBeGreaterThan(0);
  }
  const times = (await readStretches(base.sql, ALL)).map((s) => s.at.getTime());
  expect(times).toEqual([...times].sort((a, b) => a - b));
});

test('what is judged harmless counts as no fault, and counts again when it is none', async () => {
  const count = async () => (await readTallies(base.sql, 'machine')).reduce((s, t) => s + t.faults, 0);
  const before = await count();
  const [f] = await base.sql<
    { id: string }[]
  >`select id from fault where top_id is not null and status = 'open' limit 1`;
  await base.sql`update fault set status = 'harmless' where id = ${f!.id}`;
  expect(await count()).toBe(before - 1);
  await base.sql`update fault set status = 'open' where id = ${f!.id}`;
  expect(await count()).toBe(before);
});

test('ways the hand went are counted', async () => {
  const ways = await readWays(base.sql);
  const [{ n }] =
    (await base.sql`select count(*)::int as n from fault where direction is not null`) as unknown as [
      { n: number },
    ];
  expect(ways.reduce((s, w) => s + w.faults, 0)).toBe(n);
});
