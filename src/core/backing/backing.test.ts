import fc from 'fast-check';
import { planBacking, planBinding } from './backing';
import { packSmall } from './pack';

const quilt = { widthIn: 64, lengthIn: 80 };

test('by hand: a wide fabric turned takes the width of the quilt and its margins', () => {
  expect(planBacking({ quilt, marginIn: 4, cloth: { widthIn: 108 } })).toMatchObject({
    layout: 'whole-turned',
    panels: 1,
    buyIn: 72,
    buyYd: 2,
  });
});

test('by hand: 44 in fabric is pieced; horizontal seams need 3 panels of 72, vertical ones 2 of 88', () => {
  const b = planBacking({ quilt, marginIn: 4, cloth: { widthIn: 44, selvageIn: 0.5 } });
  expect(b).toMatchObject({ layout: 'vertical-seams', panels: 2, buyIn: 176 });
  expect(b.ways.find((w) => w.layout === 'horizontal-seams')).toMatchObject({ panels: 3, buyIn: 216 });
});

test('plush and nap run down the quilt, prewashed fabric is bought larger', () => {
  expect(planBacking({ quilt, marginIn: 4, cloth: { widthIn: 90, stretch: true } }).layout).toBe('whole');
  expect(planBacking({ quilt, marginIn: 4, cloth: { widthIn: 60, nap: true } }).layout).toBe(
    'vertical-seams',
  );
  const shrunk = planBacking({ quilt, marginIn: 4, cloth: { widthIn: 108, shrinkagePct: 5 } });
  expect(shrunk.buyIn).toBeCloseTo(72 / 0.95, 6);
});

test('what is bought always covers what is needed', () => {
  const inches = fc.integer({ min: 30, max: 120 });
  fc.assert(
    fc.property(
      inches,
      inches,
      fc.integer({ min: 36, max: 120 }),
      fc.integer({ min: 0, max: 8 }),
      (widthIn, lengthIn, cloth, shrinkagePct) => {
        const b = planBacking({ quilt: { widthIn, lengthIn }, cloth: { widthIn: cloth, shrinkagePct } });
        expect(b.wasteIn2).toBeGreaterThanOrEqual(-1e-6);
        expect(b.ways.every((w) => w.buyIn >= b.buyIn)).toBe(true);
      },
    ),
  );
});

test('binding: strips by the formula', () => {
  // 2(64 + 80) + 11.81 = 299.8; 299.8 / (43 − 2.5) = 7.4 → 8
  expect(planBinding(quilt, { widthIn: 44 }, 2.5)).toEqual({ strips: 8, buyIn: 20 });
});

describe('several small quilts on one backing', () => {
  const three = [
    { id: 'a', widthIn: 40, lengthIn: 50 },
    { id: 'b', widthIn: 40, lengthIn: 40 },
    { id: 'c', widthIn: 20, lengthIn: 45 },
  ];
  test('lie apart, inside, and take less than one under another', () => {
    const p = packSmall(three, 108, 3);
    expect(p.placed).toHaveLength(3);
    for (const [i, a] of p.placed.entries()) {
      const size = (q: typeof a) =>
        (q.turned ? [q.lengthIn, q.widthIn] : [q.widthIn, q.lengthIn]) as [number, number];
      expect(a.x + size(a)[0]).toBeLessThanOrEqual(108 - 3 + 1e-9);
      for (const b of p.placed.slice(i + 1))
        expect(
          a.x + size(a)[0] + 3 <= b.x + 1e-9 ||
            b.x + size(b)[0] + 3 <= a.x + 1e-9 ||
            a.y + size(a)[1] + 3 <= b.y + 1e-9 ||
            b.y + size(b)[1] + 3 <= a.y + 1e-9,
        ).toBe(true);
    }
    expect(p.lengthIn).toBeLessThan(50 + 40 + 45 + 12);
  });
  test('one that fits neither way is named', () => {
    expect(() => packSmall([{ id: 'x', widthIn: 60, lengthIn: 70 }], 60, 3)).toThrow(/“x” does not fit/);
  });
});
