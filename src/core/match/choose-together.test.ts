import fc from 'fast-check';
import { type Choice, chooseTogether, priceOf, type TogetherRequest } from './choose-together';

/** Every combination of choices, tried one by one. */
function bruteForce(r: TogetherRequest): number {
  let best = Infinity;
  const walk = (z: number, picks: number[], cost: number) => {
    if (z === r.zones.length) {
      best = Math.min(best, cost + priceOf(r, picks));
      return;
    }
    r.zones[z]!.forEach((c, i) => walk(z + 1, [...picks, i], cost + c.cost));
  };
  walk(0, [], 0);
  return best;
}

const costOf = (r: TogetherRequest, picks: readonly number[]) =>
  picks.reduce((s, p, z) => s + r.zones[z]![p]!.cost, priceOf(r, picks));

const cents = fc.integer({ min: 0, max: 300 }).map((n) => n / 100);
const instance = (tops: number, bobbins: number, zones: number, choices: number) =>
  fc.record({
    zones: fc.array(
      fc
        .array(
          fc.record<Choice>({
            top: fc.nat(tops - 1),
            bobbin: fc.nat(bobbins - 1),
            cost: cents,
          }),
          { minLength: 1, maxLength: choices },
        )
        .map((list) => list.sort((a, b) => a.cost - b.cost)),
      { minLength: 1, maxLength: zones },
    ),
    tops: fc.constant(tops),
    bobbins: fc.constant(bobbins),
    topPrice: cents,
    bobbinPrice: cents,
  });

test('with few threads the answer is the cheapest of all combinations', () => {
  fc.assert(
    fc.property(instance(4, 3, 4, 6), (r) => {
      const found = chooseTogether(r);
      expect(found.exact).toBe(true);
      expect(found.cost).toBeCloseTo(bruteForce(r), 9);
      expect(costOf(r, found.picks)).toBeCloseTo(found.cost, 9);
    }),
    { numRuns: 200 },
  );
});

test('eight zones and twelve cones are exact: the local search never beats them', () => {
  fc.assert(
    fc.property(instance(12, 12, 8, 14), (r) => {
      const exact = chooseTogether(r);
      // One thread more than may be looked at in every set: the same question, searched.
      const searched = chooseTogether({ ...r, tops: 13 });
      expect(exact.exact).toBe(true);
      expect(searched.exact).toBe(false);
      expect(exact.cost).toBeLessThanOrEqual(searched.cost + 1e-9);
    }),
    { numRuns: 25 },
  );
});

test('the local search is never worse than zone by zone', () => {
  fc.assert(
    fc.property(instance(30, 20, 12, 25), (r) => {
      const apart = r.zones.map(() => 0);
      expect(chooseTogether(r).cost).toBeLessThanOrEqual(costOf(r, apart) + 1e-9);
    }),
    { numRuns: 60 },
  );
});

test('free threads: each zone takes its own best', () => {
  const zones = [
    [
      { top: 0, bobbin: 0, cost: 0.1 },
      { top: 1, bobbin: 0, cost: 0.2 },
    ],
    [
      { top: 1, bobbin: 0, cost: 0.2 },
      { top: 0, bobbin: 0, cost: 0.5 },
    ],
  ];
  const free = chooseTogether({ zones, tops: 2, bobbins: 1, topPrice: 0, bobbinPrice: 0 });
  expect(free.picks).toEqual([0, 0]);
  const dear = chooseTogether({ zones, tops: 2, bobbins: 1, topPrice: 0.5, bobbinPrice: 0 });
  expect(dear.picks).toEqual([1, 0]);
  expect(dear.cost).toBeCloseTo(0.4, 9);
});

test('a bobbin changed beside a top costs its own price', () => {
  const zones = [
    [{ top: 0, bobbin: 0, cost: 0 }],
    [
      { top: 0, bobbin: 1, cost: 0 },
      { top: 0, bobbin: 0, cost: 0.2 },
    ],
  ];
  const ask = { zones, tops: 1, bobbins: 2, topPrice: 1 };
  expect(chooseTogether({ ...ask, bobbinPrice: 0.3 }).picks).toEqual([0, 1]);
  expect(chooseTogether({ ...ask, bobbinPrice: 0.1 }).picks).toEqual([0, 0]);
});
