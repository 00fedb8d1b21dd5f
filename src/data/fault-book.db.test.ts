import { loadDemo } from '@/demo/load';
import { type BookFilter, RATED_BY, readBook, readTallies, readTimeLost } from './fault-book';
import { testDatabase } from './test-database';

let base: Awaited<ReturnType<typeof testDatabase>>;
beforeAll(async () => {
  base = await testDatabase('fault_book');
  await loadDemo(base.sql, new Date('2026-11-25T09:00:00Z'));
}, 60_000);
afterAll(() => base.end());

const ALL: BookFilter = { words: '', sign: null, state: null, by: 'thread', of: null };
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
  expect(await readTimeLost(base.sql)).toEqual({ minutes: 0, closed: 0 });
  const [f] = await book();
  await base.sql`
    insert into fault_evidence (fault_id, cause, minutes_lost, closed_at) values (${f!.id}, 'mis_thread', 12.5, now())`;
  expect(await readTimeLost(base.sql)).toEqual({ minutes: 12.5, closed: 1 });
  expect((await book())[0]).toMatchObject({ cause: 'mis_thread', minutesLost: 12.5 });
});
