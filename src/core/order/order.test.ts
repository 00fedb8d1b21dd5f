import fc from 'fast-check';
import { CoreError } from '../notes';
import { type Cell, overhead, stabilisedFirst } from './cells';
import { exactOrder } from './exact';
import { improveOrder } from './improve';
import { planOrder } from './order';
import { allPerPass, onePerSweep } from './usual-ways';

const threadsOf = (n: number) => 'abcdef'.slice(0, n).split('');
/** Cells of a random quilt, each pass and thread at most once. */
const quilt = (mostPasses: number, mostThreads: number, mostCells: number) =>
  fc
    .record({
      passes: fc.integer({ min: 1, max: mostPasses }),
      count: fc.integer({ min: 1, max: mostThreads }),
    })
    .chain(({ passes, count }) =>
      fc.record({
        passes: fc.constant(passes),
        threads: fc.constant(threadsOf(count)),
        cells: fc.uniqueArray(
          fc.record({
            pass: fc.integer({ min: 1, max: passes }),
            thread: fc.constantFrom(...threadsOf(count)),
            stabilise: fc.boolean(),
            minutes: fc.constant(10),
          }),
          { minLength: 1, maxLength: mostCells, selector: (c) => `${c.pass}${c.thread}` },
        ),
        rollMin: fc.integer({ min: 0, max: 5 }),
        changeMin: fc.integer({ min: 0, max: 5 }),
      }),
    );

function cheapestByHand(cells: readonly Cell[], prices: { rollMin: number; changeMin: number }): number {
  const walk = (left: readonly Cell[], so: readonly Cell[]): number =>
    left.length === 0
      ? overhead(so, prices)
      : Math.min(
          ...left.map((c) => {
            const next = [...so, c];
            return stabilisedFirst(next) &&
              (c.stabilise || !left.some((o) => o.stabilise && o.pass === c.pass))
              ? walk(
                  left.filter((x) => x !== c),
                  next,
                )
              : Infinity;
          }),
        );
  return walk(cells, []);
}

test('the exact order is the cheapest there is', () => {
  fc.assert(
    fc.property(quilt(4, 3, 6), (q) => {
      expect(overhead(exactOrder(q.cells, q.rollMin, q.changeMin), q)).toBeCloseTo(
        cheapestByHand(q.cells, q),
        9,
      );
    }),
    { numRuns: 60 },
  );
});

test('every order has each cell once, stabilises first, and is never worse than the usual ways', () => {
  fc.assert(
    fc.property(fc.oneof(quilt(5, 4, 14), quilt(15, 6, 60)), (q) => {
      const out = planOrder(q);
      const key = (c: { pass: number; thread: string }) => `${c.pass}${c.thread}`;
      expect(out.order.map(key).sort()).toEqual(q.cells.map(key).sort());
      expect(stabilisedFirst(out.order.map((o) => q.cells.find((c) => key(c) === key(o))!))).toBe(true);
      expect(out.minutes).toBeLessThanOrEqual(Math.min(out.byPass.minutes, out.bySweep.minutes) + 1e-9);
    }),
    { numRuns: 25 },
  );
});

test('the usual ways are orders too', () => {
  fc.assert(
    fc.property(quilt(8, 5, 30), ({ cells, threads }) => {
      for (const way of [allPerPass(cells), onePerSweep(cells, threads)]) {
        expect(way).toHaveLength(cells.length);
        expect(stabilisedFirst(way)).toBe(true);
      }
    }),
  );
});

test('local search finds the optimum of small quilts most times, and never makes worse', () => {
  let same = 0;
  let all = 0;
  fc.assert(
    fc.property(quilt(6, 3, 12), (q) => {
      const start = allPerPass(q.cells);
      const better = overhead(improveOrder(start, q.rollMin, q.changeMin), q);
      expect(better).toBeLessThanOrEqual(overhead(start, q) + 1e-9);
      all++;
      if (better <= overhead(exactOrder(q.cells, q.rollMin, q.changeMin), q) + 1e-9) same++;
    }),
    { numRuns: 40 },
  );
  expect(same / all).toBeGreaterThan(0.7);
});

test('a pass or a thread that is not there is an error at its place', () => {
  const base = { passes: 2, threads: ['a'], rollMin: 3, changeMin: 3 };
  const at = (cells: Cell[]) => () => planOrder({ ...base, cells });
  expect(at([{ pass: 3, thread: 'a', minutes: 1 }])).toThrow(CoreError);
  expect(at([{ pass: 1, thread: 'z', minutes: 1 }])).toThrow(/not in the list/);
  expect(planOrder({ ...base, cells: [] }).minutes).toBe(0);
});
