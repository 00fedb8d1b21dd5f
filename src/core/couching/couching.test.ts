import fc from 'fast-check';
import { readLengthMm } from '../exchange/read-number';
import { type CouchingRequest, planCouching, skeinEnds } from './couching';

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
  expect(out.cautions[0]!.act).toContain('Guide it by hand');
});

describe('in which block a skein ends', () => {
  const blocks = Array.from({ length: 10 }, () => ({ pathIn: 100, starts: 1 }));
  test('each skein ends where its metres do', () => {
    const told = skeinEnds(blocks, 9, 4);
    expect(told.blocksM[0]).toBeCloseTo(100 * 0.0254 * 1.06 + 0.2, 9);
    for (const e of told.ends) {
      const before = told.blocksM.slice(0, e.block - 1).reduce((a, b) => a + b, 0);
      expect(before + e.share * told.blocksM[e.block - 1]!).toBeCloseTo(9 * e.skein, 6);
      expect(e.share).toBeGreaterThanOrEqual(0);
      expect(e.share).toBeLessThan(1);
    }
    expect(told.ends).toHaveLength(Math.floor(told.totalM / 9));
    expect(told.lackingM).toBe(0);
  });
  test('a begun skein is used first', () => {
    expect(skeinEnds(blocks, 9, 1.5).ends[0]).toMatchObject({ skein: 1, block: 2 });
  });
  test('what is lacking is told', () => {
    const told = skeinEnds(blocks, 9, 1);
    expect(told.lackingM).toBeCloseTo(told.totalM - 9, 9);
  });
});

test.each([
  ['10 turns', 2.54],
  ['10 wraps to the inch', 2.54],
  ['12.7 wpi', 2],
  ['2.5 mm', 2.5],
  ['0 turns', null],
])('a yarn’s thickness “%s”', (text, mm) => {
  const read = readLengthMm(text, '.', 'mm');
  if (mm === null) expect(read).toBeNull();
  else expect(read).toBeCloseTo(mm, 9);
});
