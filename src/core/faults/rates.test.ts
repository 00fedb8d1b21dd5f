import fc from 'fast-check';
import { faultRates } from './rates';

const all = { faults: 20, stitches: 1_000_000 };
const rate = (faults: number, stitches: number) =>
  faultRates({ all, tallies: [{ id: 'x', faults, stitches }] }).get('x')!;

test('nothing sewn: the studio’s mean, and no judgement', () => {
  expect(rate(0, 0)).toMatchObject({ per100k: 2, mean: 2, differs: 'unsure' });
});

test('the estimate lies between the mean and what was seen', () => {
  // (1 + 8) / (50 000 + 100 000): drawn from 8 toward 2 per 100 000.
  expect(rate(8, 100_000).per100k).toBeCloseTo(6, 9);
  expect(rate(0, 200_000).per100k).toBeCloseTo(0.4, 9);
});

test('the 90 % interval is that of the gamma distribution', () => {
  // Shape 1: the exponential distribution, whose quantiles are −ln(1 − p).
  const r = rate(0, 0);
  expect(r.low).toBeCloseTo((-Math.log(0.95) / 50_000) * 100_000, 6);
  expect(r.high).toBeCloseTo((-Math.log(0.05) / 50_000) * 100_000, 6);
});

test.each([
  [8, 100_000, 'worse'],
  [2, 100_000, 'unsure'],
  [0, 90_000, 'unsure'],
  [0, 400_000, 'better'],
  [3, 20_000, 'unsure'],
] as const)('%i faults in %i stitches: %s', (faults, stitches, differs) => {
  expect(rate(faults, stitches).differs).toBe(differs);
});

test.each([[{ faults: 0, stitches: 1_000_000 }], [{ faults: 0, stitches: 0 }], [{ faults: 3, stitches: 0 }]])(
  'a studio without faults or without stitches has no rates',
  (none) => {
    expect(faultRates({ all: none, tallies: [{ id: 'x', faults: 0, stitches: 0 }] }).size).toBe(0);
  },
);

test('the interval always holds the estimate, and more stitches narrow it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 1000, max: 3_000_000 }),
      (faults, stitches) => {
        const r = rate(faults, stitches);
        expect(r.low).toBeLessThanOrEqual(r.per100k);
        expect(r.high).toBeGreaterThanOrEqual(r.per100k);
        const longer = rate(faults * 2, stitches * 2);
        expect((longer.high - longer.low) / longer.per100k).toBeLessThan((r.high - r.low) / r.per100k);
      },
    ),
    { numRuns: 100 },
  );
});
