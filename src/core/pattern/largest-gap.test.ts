import fc from 'fast-check';
import type { XY } from '../geometry/polygon';
import { largestGap } from './largest-gap';

const line = (from: XY, to: XY): XY[] => [from, to];

test('between two lines the gap is what lies between them', () => {
  const lines = [line([0, 2], [10, 2]), line([0, 5], [10, 5]), line([0, 0], [10, 0]), line([0, 7], [10, 7])];
  expect(largestGap(lines, [10, 7])).toBeCloseTo(3, 1);
});
test('a field without a line is open from side to side', () => {
  expect(largestGap([], [4, 9])).toBe(9);
});
test('only what lies in the part asked for counts', () => {
  const lines = [line([0, 0], [0, 10]), line([2, 0], [2, 10]), line([10, 0], [10, 10])];
  expect(largestGap(lines, [10, 10])).toBeCloseTo(8, 1);
  expect(largestGap(lines, [10, 10], { from: [0, 0], to: [2, 10] })).toBeCloseTo(2, 1);
});
test('a line however long between two points is struck all along', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 10, noNaN: true }),
      fc.double({ min: 0, max: 10, noNaN: true }),
      (a, b) => {
        const cut = [line([0, a], [10, b])];
        const dotted = [Array.from({ length: 3001 }, (_, i): XY => [i / 300, a + ((b - a) * i) / 3000])];
        expect(
          Math.abs(largestGap(cut, [10, 10], undefined, 150) - largestGap(dotted, [10, 10], undefined, 150)),
        ).toBeLessThan(0.15);
      },
    ),
  );
});
test('it is as far as the nearest spot of the farthest place, whatever the spots are', () => {
  const spot = fc.tuple(
    fc.double({ min: 0, max: 10, noNaN: true }),
    fc.double({ min: 0, max: 6, noNaN: true }),
  );
  fc.assert(
    fc.property(fc.array(spot, { minLength: 1, maxLength: 12 }), (spots) => {
      let far = 0;
      for (let x = 0.05; x < 10; x += 0.1)
        for (let y = 0.05; y < 6; y += 0.1)
          far = Math.max(far, Math.min(...spots.map(([a, b]) => Math.hypot(a - x, b - y))));
      // Right to about a cell of the raster and a step of this check.
      expect(
        Math.abs(
          largestGap(
            spots.map((s) => [s]),
            [10, 6],
            undefined,
            200,
          ) -
            2 * far,
        ),
      ).toBeLessThan(0.4);
    }),
    { numRuns: 20 },
  );
});
