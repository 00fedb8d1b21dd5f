import { planCouching } from '../couching/couching';
import { planRuler } from './ruler';

test('a convex edge sews wider, a concave one tighter, a straight one straight', () => {
  const at = (kind: 'convex' | 'concave' | 'straight') =>
    planRuler({ offsetIn: 0.25, edge: { kind, radiusIn: 3 } }).sewnRadiusIn;
  expect([at('convex'), at('concave'), at('straight')]).toEqual([3.25, 2.75, undefined]);
});

test('the depth of the arc sewn', () => {
  // R 3.25, chord 4: 3.25 − √(10.5625 − 4) = 0.688
  expect(
    planRuler({ offsetIn: 0.25, edge: { kind: 'convex', radiusIn: 3 }, chordIn: 4 }).sagittaIn,
  ).toBeCloseTo(0.688, 3);
});

test.each([
  [{ offsetIn: 0.25, edge: { kind: 'concave', radiusIn: 0.2 } }, /does not fit inside/],
  [{ offsetIn: 0.25, edge: { kind: 'convex' } }, /Give the radius/],
  [{ offsetIn: 0.25, edge: { kind: 'convex', radiusIn: 1 }, chordIn: 9 }, /spans/],
] as const)('%j is refused in words', (request, words) => {
  expect(() => planRuler(request)).toThrow(words);
});

test('repeats along a border are whole, and a seen stretch is said', () => {
  expect(planRuler({ offsetIn: 0, repeat: { lengthIn: 60, repeatIn: 8 } })).toMatchObject({
    repeats: 8,
    scalePct: 93.75,
    cautions: [],
  });
  const two = planRuler({ offsetIn: 0, repeat: { lengthIn: 11, repeatIn: 8 } });
  expect(two.repeats).toBe(1);
  expect(two.cautions[0]?.code).toBe('repeat-stretched');
});

test('couching: yarn, skeins, and what does not fit', () => {
  const fits = { pathIn: 100, starts: 2, yarnMm: 2, skeinM: 50, footHoleMm: 3, minRadiusIn: 1, gapIn: 1 };
  // 2.54 m · 1.06 + 0.4 = 3.09
  expect(planCouching(fits)).toMatchObject({ skeins: 1, foot: 'couching', ok: true });
  expect(planCouching(fits).yarnM).toBeCloseTo(3.092, 3);
  const not = planCouching({ ...fits, footHoleMm: 2, minRadiusIn: 0.1, gapIn: 0.1 });
  expect(not.foot).toBe('ruler');
  expect(not.cautions.map((c) => c.code)).toEqual(['hole-too-small', 'radius-tight', 'gap-tight']);
});
