import fc from 'fast-check';
import { CoreError } from '../notes';
import { burden, type Cell, type FirstRule, overhead, type Prices } from './cells';
import { exactOrder } from './exact';
import { improveOrder } from './improve';
import { laidFlat, liesFlat, tooEarly } from './lie-flat';
import { planOrder } from './order';
import { allPerPass, onePerSweep } from './usual-ways';

const threadsOf = (n: number) => 'abcdef'.slice(0, n).split('');
/** Cells of a random quilt, each pass and thread at most once to stabilise and once to fill. */
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
          { minLength: 1, maxLength: mostCells, selector: (c) => `${c.pass}${c.thread}${c.stabilise}` },
        ),
        rollMin: fc.integer({ min: 0, max: 5 }),
        changeMin: fc.integer({ min: 0, max: 5 }),
        changeTroubleMin: fc.constantFrom(0, 6),
        rule: fc.constantFrom<FirstRule[]>('flat', 'whole-first'),
      }),
    );

/** Said anew, without any of the planner's own code: what may be sewn now, given what is sewn. */
function maySew(c: Cell, sewn: readonly Cell[], left: readonly Cell[], rule: FirstRule): boolean {
  const open = left.filter((o) => o !== c);
  if (!c.stabilise && open.some((o) => o.stabilise && (rule === 'whole-first' || o.pass <= c.pass)))
    return false;
  // Where everything is stabilised first, a pass of fills alone holds up no ditch.
  const waits = (pass: number) =>
    rule === 'whole-first' && c.stabilise && ![...sewn, ...left].some((o) => o.pass === pass && o.stabilise);
  return open.every((o) => o.pass >= c.pass || waits(o.pass) || sewn.some((s) => s.pass === o.pass));
}

function lightestByHand(cells: readonly Cell[], prices: Prices, rule: FirstRule): number {
  const walk = (left: readonly Cell[], sewn: readonly Cell[]): number =>
    left.length === 0
      ? burden(sewn, prices)
      : Math.min(
          ...left.map((c) =>
            maySew(c, sewn, left, rule)
              ? walk(
                  left.filter((x) => x !== c),
                  [...sewn, c],
                )
              : Infinity,
          ),
        );
  return walk(cells, []);
}

test('the exact order is the lightest there is', () => {
  fc.assert(
    fc.property(quilt(4, 3, 6), (q) => {
      expect(burden(exactOrder(q.cells, q, q), q)).toBeCloseTo(lightestByHand(q.cells, q, q.rule), 9);
    }),
    { numRuns: 60 },
  );
});

test('no order sews past what is not stabilised, or leaves an unsewn band between two sewn ones: 2 000 made-up quilts', () => {
  const runs = [
    [quilt(6, 3, 10), 1900],
    [quilt(15, 6, 60), 100],
  ] as const;
  for (const [quilts, numRuns] of runs)
    fc.assert(
      fc.property(quilts, fc.constantFrom('least-time', 'one-way', 'down-and-up'), (q, rolling) => {
        const out = planOrder({ ...q, rolling: rolling as 'one-way' });
        const order = out.order.map((o) =>
          q.cells.find(
            (c) => c.pass === o.pass && c.thread === o.thread && c.stabilise === (o.stabilise ?? false),
          )!,
        );
        expect(new Set(order).size).toBe(q.cells.length);
        order.forEach((c, i) => expect(maySew(c, order.slice(0, i), order.slice(i), q.rule)).toBe(true));
        if (rolling === 'least-time') {
          const weight = (x: { minutes: number; changes: number }) =>
            x.minutes + q.changeTroubleMin * x.changes;
          expect(weight(out)).toBeLessThanOrEqual(Math.min(weight(out.byPass), weight(out.bySweep)) + 1e-9);
          expect(out.quickest.minutes).toBeLessThanOrEqual(out.minutes + 1e-9);
        }
      }),
      { numRuns },
    );
});

test('what is left of a quilt is planned from where the frame stands, and what is sewn holds the quilt', () => {
  const cell = (pass: number, thread: string) => ({ pass, thread, minutes: 9 });
  const cells = [cell(1, 'b'), cell(3, 'a'), cell(3, 'b'), cell(4, 'a'), cell(4, 'b')];
  const request = { passes: 4, threads: ['a', 'b'], cells, rollMin: 3, changeMin: 1 };
  const out = planOrder({ ...request, startPass: 3, sewnPasses: [1, 2] });
  expect(out.order.map((o) => `${o.thread}${o.pass}`)).toEqual(['a3', 'a4', 'b4', 'b3', 'b1']);
  expect(out.minutes).toBe(3 + 1 + 3 + 6);
});

test('an order laid by hand says what it sews past', () => {
  const cell = (pass: number, stabilise = false): Cell => ({ pass, thread: 'a', stabilise, minutes: 5 });
  expect(tooEarly([cell(1), cell(3), cell(2)])).toEqual({ at: 1, why: 'band-left', pass: 2 });
  expect(tooEarly([cell(1, true), cell(2), cell(2, true)])).toEqual({
    at: 1,
    why: 'not-stabilised',
    pass: 2,
  });
  expect(tooEarly([cell(1), cell(2), cell(3), cell(2, false)])).toBeNull();
});

test('whether an order lies flat is told alike both ways', () => {
  fc.assert(
    fc.property(
      quilt(6, 3, 12),
      fc.constantFrom<FirstRule[]>('in-pass', 'flat', 'whole-first'),
      fc.subarray([1, 2, 3]),
      (q, rule, sewnPasses) => {
        const first = { rule, sewnPasses };
        for (const order of [q.cells, laidFlat(q.cells, first), allPerPass(q.cells)])
          expect(liesFlat(order, first)).toBe(tooEarly(order, first) === null);
      },
    ),
    { numRuns: 300 },
  );
});

test('laid flat, an order keeps its cells and whatever of its own order it can', () => {
  fc.assert(
    fc.property(quilt(8, 4, 24), (q) => {
      const flat = laidFlat(q.cells, q);
      expect(new Set(flat)).toEqual(new Set(q.cells));
      expect(liesFlat(flat, q)).toBe(true);
      expect(laidFlat(flat, q)).toEqual(flat);
    }),
    { numRuns: 200 },
  );
});

test('the usual ways are orders too', () => {
  fc.assert(
    fc.property(quilt(6, 4, 20), (q) => {
      for (const order of [allPerPass(q.cells), onePerSweep(q.cells, q.threads)])
        expect(new Set(order)).toEqual(new Set(q.cells));
    }),
  );
});

test('improving never costs', () => {
  fc.assert(
    fc.property(quilt(8, 4, 20), (q) => {
      const start = laidFlat(q.cells);
      expect(burden(improveOrder(start, q), q)).toBeLessThanOrEqual(burden(start, q) + 1e-9);
    }),
    { numRuns: 40 },
  );
});

test('two threads over four passes: one on the way down, the other on the way up', () => {
  const cells = [1, 2, 3, 4].flatMap((pass) => ['a', 'b'].map((thread) => ({ pass, thread, minutes: 9 })));
  const out = planOrder({ passes: 4, threads: ['a', 'b'], cells, rollMin: 1, changeMin: 5 });
  expect(out.order.map((o) => `${o.thread}${o.pass}`).join(' ')).toMatch(
    /^(a1 a2 a3 a4 b4 b3 b2 b1|b1 b2 b3 b4 a4 a3 a2 a1)$/,
  );
  expect(out.minutes).toBe(11);
  expect(out).toMatchObject({
    exact: true,
    changes: 1,
    bySweep: { minutes: 11 },
    byPass: { minutes: 3 + 20 },
  });
});

test('five changes to save three minutes are a bad bargain', () => {
  const cells = [1, 2, 3, 4, 5, 6].flatMap((pass) =>
    ['a', 'b'].map((thread) => ({ pass, thread, minutes: 9 })),
  );
  const request = { passes: 6, threads: ['a', 'b'], cells, rollMin: 3, changeMin: 3 };
  const quick = planOrder(request);
  const calm = planOrder({ ...request, changeTroubleMin: 6 });
  expect(calm.changes).toBe(1);
  expect(calm.quickest).toEqual({ minutes: quick.minutes, changes: quick.changes });
  expect(calm.minutes - quick.minutes).toBeLessThanOrEqual(6 * (quick.changes - calm.changes));
});

test('with a ditch in every pass, “first, everywhere” stabilises the whole quilt before anything is filled', () => {
  const cells = [1, 2, 3].flatMap((pass) => [
    { pass, thread: 'a', stabilise: true, minutes: 5 },
    { pass, thread: 'a', stabilise: false, minutes: 9 },
  ]);
  const request = { passes: 3, threads: ['a'], cells, rollMin: 3, changeMin: 3 };
  const kinds = (rule: FirstRule) =>
    planOrder({ ...request, rule })
      .order.map((o) => (o.stabilise ? 's' : 'f'))
      .join('');
  expect(kinds('flat')).toBe('sfsfsf');
  expect(kinds('whole-first')).toBe('sssfff');
});

test('a cell that names what is not there is an error with its place', () => {
  const request = { passes: 1, threads: ['a'], rollMin: 1, changeMin: 1 };
  expect(() => planOrder({ ...request, cells: [{ pass: 2, thread: 'a', minutes: 1 }] })).toThrow(CoreError);
  expect(() => planOrder({ ...request, cells: [{ pass: 1, thread: 'z', minutes: 1 }] })).toThrow(
    /not in the list/,
  );
});

test('the minutes told are those of the order told', () => {
  fc.assert(
    fc.property(quilt(5, 3, 12), (q) => {
      const out = planOrder(q);
      const cells = out.order.map((o) => ({ ...o, minutes: 0 }));
      expect(out.minutes).toBeCloseTo(overhead(cells, q), 9);
    }),
    { numRuns: 40 },
  );
});
