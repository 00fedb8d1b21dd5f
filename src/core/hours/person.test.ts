import { chance } from '../testing/chance';
import { HAND, isPersonEffect, learnHours, personEffect } from './factors';
import type { LoggedStep } from './step';

/** So many steps of a person whose hands take so much of the usual minutes. */
const steps = (by: string, n: number, factor: number, seed: number): LoggedStep[] => {
  const { normal } = chance(seed);
  return Array.from({ length: n }, () => ({
    by,
    minutes: 40 * factor * Math.exp(0.15 * normal()),
    parts: [{ technique: 'swirls', handsMin: 40, actsMin: 0 }],
  }));
};
const factorOf = (list: LoggedStep[], by: string) => {
  const { fit } = learnHours(list);
  return Math.exp(fit.mean(HAND) + fit.mean('technique swirls') + fit.mean(personEffect(by)));
};

test('one alone is the studio’s hand: no effect of a person stands beside it', () => {
  const { fit } = learnHours(steps('ada', 20, 1.2, 1));
  expect([...fit.effects.keys()].filter(isPersonEffect)).toEqual([]);
});
test('a hand that learns does not make the other slow: each is told by her own steps', () => {
  const ada = steps('ada', 30, 1, 2);
  const all = [...ada, ...steps('bea', 30, 1.7, 3)];
  expect(factorOf(all, 'ada')).toBeCloseTo(1, 0);
  expect(Math.abs(factorOf(all, 'ada') - 1)).toBeLessThan(0.12);
  expect(factorOf(all, 'bea')).toBeGreaterThan(1.45);
  expect(factorOf(all, 'bea')).toBeLessThan(1.8);
});
test('a person with one step is mostly the studio’s hand yet', () => {
  const all = [...steps('ada', 30, 1, 4), ...steps('bea', 1, 3, 5)];
  const { fit } = learnHours(all);
  expect(Math.abs(fit.mean(personEffect('bea')))).toBeLessThan(0.7);
  expect(Math.abs(factorOf(all, 'ada') - 1)).toBeLessThan(0.12);
});
