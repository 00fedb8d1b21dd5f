import { chance } from '../testing/chance';
import { HAND, learnHours, NOTHING_LOGGED, PRIOR, SETTING } from './factors';
import { minutesKnown } from './known';
import type { LoggedStep, Step } from './step';
import { minutesOf, minutesRange } from './sum';

const step = (technique: string, handsMin: number, actsMin: number): Step => ({
  parts: [{ technique, handsMin, actsMin }],
});

test('with nothing logged the middle is the model’s and the range as wide as the priors', () => {
  const { low, mid, high } = minutesRange([step('swirls', 40, 0)], NOTHING_LOGGED);
  expect(mid).toBeCloseTo(40, 6);
  const sd = Math.hypot(PRIOR.hand, PRIOR.technique, PRIOR.scatter);
  expect(high / mid).toBeCloseTo(Math.exp(1.28155 * sd), 3);
  expect(low * high).toBeCloseTo(mid ** 2, 6);
});
test('acts are as unsure as hands: no range is narrower than its scatter', () => {
  const { low, high } = minutesRange([step('swirls', 0, 30)], NOTHING_LOGGED);
  expect(high / low).toBeGreaterThan(Math.exp(2 * 1.28 * PRIOR.scatter));
});
test('nothing to sew takes nothing', () => {
  expect(minutesRange([], NOTHING_LOGGED)).toEqual({ low: 0, mid: 0, high: 0 });
});
test('a slow hand is learned, and what it says of another technique is less sure', () => {
  const logged = Array.from({ length: 20 }, (): LoggedStep => ({ ...step('swirls', 30, 2), minutes: 48 }));
  const belief = learnHours(logged);
  const own = minutesRange([step('swirls', 30, 2)], belief);
  const other = minutesRange([step('feathers', 30, 2)], belief);
  expect(own.mid).toBeGreaterThan(44);
  expect(other.mid).toBeGreaterThan(34);
  expect(other.mid).toBeLessThan(own.mid);
  expect(other.high / other.low).toBeGreaterThan(own.high / own.low);
});
test('a step without an honest prediction teaches nothing', () => {
  expect(learnHours([{ ...step('swirls', 0, 0), minutes: 50 }]).steps).toBe(0);
});
test('minutes know where they come from', () => {
  expect(minutesKnown([step('swirls', 10, 1)], NOTHING_LOGGED).source).toBe('predicted');
  const belief = learnHours([{ ...step('swirls', 10, 1), minutes: 12 }]);
  expect(minutesKnown([step('swirls', 10, 1)], belief)).toMatchObject({
    source: 'learned',
    basis: '1 logged step',
  });
});
test('what steps share is added once: ten steps are less than ten times as sure', () => {
  const one = minutesOf([step('swirls', 20, 0)], NOTHING_LOGGED);
  const ten = minutesOf(Array(10).fill(step('swirls', 20, 0)), NOTHING_LOGGED);
  expect(ten.mean).toBeCloseTo(10 * one.mean, 9);
  expect(ten.variance).toBeGreaterThan(10 * one.variance);
  expect(ten.variance).toBeLessThan(100 * one.variance);
});

test('of the stated 80 % ranges about 80 % hold in studios whose hands differ from the model', () => {
  const { normal, uniform, pick } = chance(20261126);
  const names = ['swirls', 'feathers', 'meander-medium', 'ruler-lines', 'ditch'];
  let [held, all] = [0, 0];
  for (let studio = 0; studio < 120; studio++) {
    const hand = PRIOR.hand * normal();
    const acts = PRIOR.acts * normal();
    const by = new Map(names.map((n) => [n, PRIOR.technique * normal()]));
    const real = (s: Step) =>
      s.parts.reduce(
        (sum, p) => sum + p.handsMin * Math.exp(hand + by.get(p.technique)!) + p.actsMin * Math.exp(acts),
        0,
      ) * Math.exp(PRIOR.scatter * normal());
    const some = (): Step => ({
      parts: Array.from({ length: 1 + Math.floor(2 * uniform()) }, () => ({
        technique: pick(names),
        handsMin: 5 + 40 * uniform(),
        actsMin: 2 + 15 * uniform(),
      })),
    });
    const logged = Array.from({ length: Math.floor(40 * uniform()) }, () => {
      const s = some();
      return { ...s, minutes: real(s) };
    });
    const belief = learnHours(logged);
    for (let q = 0; q < 6; q++) {
      const next = Array.from({ length: 1 + Math.floor(8 * uniform()) }, some);
      const { low, high } = minutesRange(next, belief);
      const took = next.reduce((sum, s) => sum + real(s), 0);
      all++;
      if (took >= low && took <= high) held++;
    }
  }
  expect(held / all).toBeGreaterThan(0.76);
  expect(held / all).toBeLessThan(0.84);
});

test('minutes of setting out are learned apart from hands and acts', () => {
  const step = (setMin: number, minutes: number) => ({
    minutes,
    parts: [{ technique: 'feathers', handsMin: 20, actsMin: 2, setMin }],
  });
  // Without figures as predicted; with them twice their minutes.
  const logged = Array.from({ length: 30 }, (_, i) => (i % 2 ? step(0, 22) : step(20, 62)));
  const belief = learnHours(logged);
  expect(Math.exp(belief.fit.mean(SETTING))).toBeGreaterThan(1.5);
  expect(Math.exp(belief.fit.mean(HAND))).toBeLessThan(1.15);
  const range = minutesRange([step(20, 1)], belief);
  expect(range.mid).toBeGreaterThan(50);
  // A log older than these minutes teaches and predicts as before.
  const old = [{ minutes: 22, parts: [{ technique: 'feathers', handsMin: 20, actsMin: 2 }] }];
  expect(learnHours(old).fit.mean(SETTING)).toBe(0);
});
