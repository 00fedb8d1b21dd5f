import { chance } from '../testing/chance';
import { shownChance } from './chance';
import { gammaPoisson } from './gamma-poisson';
import { fitEffects, type Observation } from './linear-effects';
import { logNormalCdf, logNormalOf, logNormalQuantile, rangeOf } from './log-normal';
import { normalCdf, normalQuantile, Z80 } from './normal';

describe('the normal distribution', () => {
  test.each([
    [0, 0.5],
    [1, 0.8413447],
    [-1.959964, 0.025],
    [3, 0.9986501],
  ])('Φ(%d) is %d', (z, p) => expect(normalCdf(z)).toBeCloseTo(p, 6));
  test('the middle 80 % reaches 1.2816 to either side', () => {
    expect(Z80).toBeCloseTo(1.2815516, 6);
    expect(normalCdf(normalQuantile(0.73))).toBeCloseTo(0.73, 9);
  });
});

test.each([
  [0.5, 0.5],
  [1, 0.99],
  [0.9999, 0.99],
  [0, 0.01],
])('a chance of %d is shown as %d', (p, shown) => expect(shownChance(p)).toBe(shown));

test('a log-normal of a mean and a variance has them', () => {
  const x = logNormalOf(50, 400);
  const n = 20_000;
  const values = Array.from({ length: n }, (_, i) => logNormalQuantile(x, (i + 0.5) / n));
  const mean = values.reduce((a, b) => a + b, 0) / n;
  expect(mean).toBeCloseTo(50, 0);
  expect(values.reduce((s, v) => s + (v - mean) ** 2, 0) / n / 400).toBeCloseTo(1, 1);
  const { low, high } = rangeOf(x);
  expect(logNormalCdf(x, high) - logNormalCdf(x, low)).toBeCloseTo(0.8, 9);
});

describe('a rate behind a count', () => {
  test('with nothing sewn it is the prior’s, and much sewing parts it from there', () => {
    expect(gammaPoisson(0, 0, 2e-5, 50_000).mean).toBeCloseTo(2e-5, 12);
    const many = gammaPoisson(80, 1_000_000, 2e-5, 50_000);
    expect(many.mean).toBeGreaterThan(7e-5);
    expect(many.low).toBeGreaterThan(2e-5);
  });
  test('its 90 % intervals hold in nine of ten studios drawn from the prior', () => {
    const { uniform } = chance(11);
    const poisson = (mean: number) => {
      let [k, p] = [0, Math.exp(-mean)];
      for (let u = uniform(), sum = p; u > sum; sum += p) p *= mean / ++k;
      return k;
    };
    let held = 0;
    const trials = 400;
    for (let t = 0; t < trials; t++) {
      // Gamma of shape 1 (2e-5 × 50 000): an exponential.
      const rate = -Math.log(uniform()) / 50_000;
      const { low, high } = gammaPoisson(poisson(rate * 100_000), 100_000, 2e-5, 50_000);
      if (rate >= low && rate <= high) held++;
    }
    expect(held / trials).toBeGreaterThan(0.86);
    expect(held / trials).toBeLessThan(0.94);
  });
});

describe('sums of effects', () => {
  const model = { priorSd: (e: string) => (e.startsWith('a') ? 0.3 : 0.2) };
  test('one observation of one effect is the textbook’s normal', () => {
    const fit = fitEffects([{ y: 1, sd: 0.4, loads: [['a', 1]] }], model);
    const k = 0.09 / (0.09 + 0.16);
    expect(fit.mean('a')).toBeCloseTo(k, 12);
    expect(fit.covariance('a', 'a')).toBeCloseTo(0.09 * (1 - k), 12);
  });
  test('what was never seen stays at its prior, and adds its variance to a sum', () => {
    const fit = fitEffects([{ y: 1, sd: 0.4, loads: [['a', 1]] }], model);
    const both = fit.predict([
      ['a', 1],
      ['b', 1],
    ]);
    expect(both.mean).toBeCloseTo(fit.mean('a'), 12);
    expect(both.variance).toBeCloseTo(fit.covariance('a', 'a') + 0.04, 12);
  });
  test('an effect of a group integrated out gives the same as one spelt out', () => {
    const { normal } = chance(5);
    const rows: Observation[] = Array.from({ length: 24 }, (_, i) => ({
      y: normal(),
      sd: 0.3 + 0.1 * (i % 3),
      loads: [
        [`a${i % 3}`, 1],
        [`b${i % 2}`, 1],
      ],
      group: `${i % 6}`,
    }));
    const closed = fitEffects(rows, { ...model, groupSd: 0.15, outlierSd: Infinity });
    const open = fitEffects(
      rows.map(({ group, loads, ...r }) => ({
        ...r,
        loads: [...loads, [`g${group}`, 1]] as Observation['loads'],
      })),
      { priorSd: (e) => (e.startsWith('g') ? 0.15 : model.priorSd(e)), outlierSd: Infinity },
    );
    const loads: Observation['loads'] = [
      ['a1', 1],
      ['b1', 1],
    ];
    expect(closed.mean('a1')).toBeCloseTo(open.mean('a1'), 9);
    const here = closed.predict(loads, '1');
    const there = open.predict([...loads, ['g1', 1]]);
    expect(here.mean).toBeCloseTo(there.mean, 9);
    expect(here.variance).toBeCloseTo(there.variance, 9);
    expect(closed.surprise[3]).toBeCloseTo(open.surprise[3]!, 9);
  });
  test('the surprise of an observation is what the others alone would have said', () => {
    const { normal } = chance(9);
    const rows: Observation[] = Array.from({ length: 12 }, (_, i) => ({
      y: 0.3 * normal(),
      sd: 0.3,
      loads: [[`a${i % 3}`, 1]],
    }));
    const all = fitEffects(rows, { ...model, outlierSd: Infinity });
    const without = fitEffects(rows.slice(1), { ...model, outlierSd: Infinity });
    const { mean, variance } = without.predict(rows[0]!.loads);
    expect(all.surprise[0]).toBeCloseTo((rows[0]!.y - mean) / Math.sqrt(variance + 0.09), 9);
  });
  test('another cause is left out and named; put back, it counts; left out by hand, it does not', () => {
    const { normal } = chance(3);
    const rows: Observation[] = Array.from({ length: 30 }, () => ({
      y: 0.2 + 0.1 * normal(),
      sd: 0.1,
      loads: [['a', 1]],
    }));
    const odd = [...rows, { y: 2, sd: 0.1, loads: [['a', 1]] as Observation['loads'] }];
    expect(fitEffects(odd, model).leftOut).toEqual([30]);
    expect(fitEffects(odd, model).mean('a')).toBeCloseTo(fitEffects(rows, model).mean('a'), 9);
    const kept = odd.map((o, i) => (i === 30 ? { ...o, kept: true } : o));
    expect(fitEffects(kept, model).leftOut).not.toContain(30);
    const dropped = rows.map((o, i) => (i === 0 ? { ...o, dropped: true } : o));
    expect(fitEffects(dropped, model).leftOut).toEqual([0]);
  });
});
