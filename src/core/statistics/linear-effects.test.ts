import fc from 'fast-check';
import { fitEffects, type Observation } from './linear-effects';

const EFFECTS = ['a', 'b', 'c', 'slope'];
const priorSd = (effect: string) => (effect.startsWith('own ') ? 0.3 : 0.5);
const weight = fc.double({ min: -2, max: 2, noNaN: true });
const observation = fc.record({
  y: weight,
  sd: fc.double({ min: 0.05, max: 1, noNaN: true }),
  loads: fc
    .uniqueArray(fc.constantFrom(...EFFECTS), { minLength: 1, maxLength: 4 })
    .chain((names) => fc.tuple(...names.map((n) => fc.tuple(fc.constant(n), weight)))),
  group: fc.constantFrom('g', 'h', 'i'),
});

test('what is special to a group, reckoned out in closed form, says what it says as an effect of its own, whatever varies within it', () => {
  fc.assert(
    fc.property(
      fc.array(observation, { minLength: 1, maxLength: 25 }),
      fc.array(weight, { minLength: 4, maxLength: 4 }),
      (list, asked) => {
        const observations = list as Observation[];
        const closed = fitEffects(observations, { priorSd, groupSd: 0.3, outlierSd: Infinity });
        const open = fitEffects(
          observations.map(({ group, ...o }) => ({ ...o, loads: [...o.loads, [`own ${group}`, 1]] })),
          { priorSd, outlierSd: Infinity },
        );
        for (const e of EFFECTS) {
          expect(closed.mean(e)).toBeCloseTo(open.mean(e), 6);
          expect(closed.covariance(e, e)).toBeCloseTo(open.covariance(e, e), 6);
        }
        const loads = EFFECTS.map((e, i) => [e, asked[i]!] as const);
        for (const g of ['g', 'h', 'i', 'unseen']) {
          const [p, q] = [closed.predict(loads, g), open.predict([...loads, [`own ${g}`, 1]])];
          expect(p.mean).toBeCloseTo(q.mean, 6);
          expect(p.variance).toBeCloseTo(q.variance, 6);
        }
        closed.surprise.forEach((z, i) => expect(z).toBeCloseTo(open.surprise[i]!, 4));
      },
    ),
    { numRuns: 1000 },
  );
});
test('how many observations bear on an effect', () => {
  const fit = fitEffects(
    [
      { y: 1, sd: 1, loads: [['a', 1]], group: 'g' },
      { y: 2, sd: 1, loads: [['a', 1], ['slope', 0.4]], group: 'g' }, // prettier-ignore
      { y: 3, sd: 1, loads: [['b', 1]] },
    ],
    { priorSd, groupSd: 0.3 },
  );
  expect(['a', 'b', 'slope', 'c'].map((e) => fit.restsOn([[e, 1]]))).toEqual([2, 1, 1, 0]);
});
