import fc from 'fast-check';
import { type CouchingRequest, planCouching } from './couching';

const request: CouchingRequest = {
  pathIn: 400,
  starts: 3,
  yarnMm: 2,
  skeinM: 50,
  footHoleMm: 3,
  minRadiusIn: 1,
  gapIn: 0.5,
};
const codes = (part: Partial<CouchingRequest>) =>
  planCouching({ ...request, ...part }).cautions.map((c) => c.code);

test('six in a hundred is taken up, and each start wants twenty centimetres', () => {
  const out = planCouching(request);
  expect(out.yarnM).toBeCloseTo(400 * 0.0254 * 1.06 + 0.6, 9);
  expect(out).toMatchObject({ skeins: 1, foot: 'couching', ok: true, cautions: [] });
});
test('skeins are whole, and enough', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 50_000, noNaN: true }),
      fc.integer({ min: 1, max: 40 }),
      fc.double({ min: 5, max: 400, noNaN: true }),
      (pathIn, starts, skeinM) => {
        const out = planCouching({ ...request, pathIn, starts, skeinM });
        expect(out.skeins * skeinM).toBeGreaterThanOrEqual(out.yarnM - 1e-6);
        expect((out.skeins - 1) * skeinM).toBeLessThanOrEqual(out.yarnM);
      },
    ),
  );
});
test('exactly one skein is one skein', () => {
  const { yarnM } = planCouching(request);
  expect(planCouching({ ...request, skeinM: yarnM }).skeins).toBe(1);
});
test.each<[string, Partial<CouchingRequest>, string[]]>([
  ['a hole just wide enough', { yarnMm: 2, footHoleMm: 2.2 }, []],
  ['a hole too small', { footHoleMm: 2.1 }, ['hole-too-small']],
  ['curves tighter than the yarn bends', { minRadiusIn: 0.1 }, ['radius-tight']],
  ['lines that run into each other', { gapIn: 0.1 }, ['gap-tight']],
  [
    'all at once',
    { yarnMm: 6, minRadiusIn: 0.2, gapIn: 0.2 },
    ['hole-too-small', 'radius-tight', 'gap-tight'],
  ],
])('%s', (_, part, expected) => expect(codes(part)).toEqual(expected));
test('without a foot for it the yarn is guided by hand before a ruler foot', () => {
  const out = planCouching({ ...request, footHoleMm: 0 });
  expect(out.foot).toBe('ruler');
  expect(out.cautions[0]!.text).toContain('Guide it by hand');
});
