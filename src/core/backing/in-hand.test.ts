import fc from 'fast-check';
import { battingsFor, inHand, strictestIn, weightOf } from './in-hand';

const quilt = { widthIn: 60, lengthIn: 70 };

test('a piece is enough the right way or turned, and the smallest that is is taken', () => {
  const found = inHand(quilt, 4, [
    { widthIn: 96, lengthIn: 120 },
    { widthIn: 80, lengthIn: 70 },
  ]);
  expect(found.neededIn).toEqual({ widthIn: 68, lengthIn: 78 });
  expect(found.fits).toEqual({ index: 1, turned: true, spareIn: { width: 2, length: 2 } });
});
test('what lacks is told per side', () => {
  const found = inHand(quilt, 4, [{ widthIn: 66, lengthIn: 90 }]);
  expect(found.fits).toBeNull();
  expect(found.lacks).toEqual([{ index: 0, turned: false, width: 2, length: 0 }]);
});
test('scraps are joined down the quilt, each trimmed at the join', () => {
  const found = inHand(quilt, 4, [
    { widthIn: 30, lengthIn: 80 },
    { widthIn: 40, lengthIn: 80 },
    { widthIn: 90, lengthIn: 20 },
  ]);
  expect(found.joined).toEqual({ indexes: [1, 0], joinsIn: [39.5] });
});
test('whatever is there, what is said to be enough is enough', () => {
  const side = fc.integer({ min: 10, max: 140 });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(side, side), { maxLength: 6 }),
      fc.integer({ min: 0, max: 8 }),
      (list, margin) => {
        const pieces = list.map(([widthIn, lengthIn]) => ({ widthIn, lengthIn }));
        const found = inHand(quilt, margin, pieces);
        const { widthIn: w, lengthIn: l } = found.neededIn;
        if (found.fits) {
          const p = pieces[found.fits.index]!;
          const [pw, pl] = found.fits.turned ? [p.lengthIn, p.widthIn] : [p.widthIn, p.lengthIn];
          expect(pw >= w && pl >= l).toBe(true);
        }
        if (found.joined) {
          const widths = found.joined.indexes.map((i) => {
            const p = pieces[i]!;
            return Math.max(p.lengthIn >= l ? p.widthIn : 0, p.widthIn >= l ? p.lengthIn : 0);
          });
          expect(widths.every((x) => x > 0)).toBe(true);
          expect(widths.reduce((a, b) => a + b, 0) - (widths.length - 1)).toBeGreaterThanOrEqual(w - 1e-9);
        }
      },
    ),
    { numRuns: 3000 },
  );
});
test('joined battings keep the strictest distance; a wish for little quilting finds those that allow it', () => {
  const shelf = [
    { id: 'a', kind: 'cotton-80-20', maxGapIn: 8 },
    { id: 'b', kind: 'wool', maxGapIn: 4 },
  ];
  expect(strictestIn(shelf)).toBe(4);
  expect(battingsFor(6, shelf)).toEqual(['a']);
  expect(battingsFor(3, shelf)).toEqual(['a', 'b']);
});
test('a bed quilt weighs some kilograms, and more wet', () => {
  const { dryKg, wetKg, dryingH } = weightOf(
    { widthIn: 80, lengthIn: 90 },
    { top: 'quilting-cotton', batting: 'cotton-80-20', backing: 'quilting-cotton' },
  );
  expect(dryKg).toBeGreaterThan(1.5);
  expect(dryKg).toBeLessThan(4);
  expect(wetKg).toBeGreaterThan(dryKg);
  expect(dryingH).toBeGreaterThan(3);
});
