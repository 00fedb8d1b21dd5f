import fc from 'fast-check';
import type { XY } from '../geometry/polygon';
import { isOpenQuad, matrix3d, perspectiveOf, seenAt } from './perspective';

const SQUARE: XY[] = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
];
const near = fc.double({ min: -0.2, max: 0.2, noNaN: true });

test('four corners come to four corners, whatever the photograph, and back', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(near, near), { minLength: 4, maxLength: 4 }), (off) => {
      const corners = SQUARE.map(([x, y], i): XY => [x + off[i]![0], y + off[i]![1]]);
      fc.pre(isOpenQuad(corners));
      const there = perspectiveOf(SQUARE, corners);
      const back = perspectiveOf(corners, SQUARE);
      SQUARE.forEach((p, i) => {
        const q = seenAt(there, p);
        expect(Math.hypot(q[0] - corners[i]![0], q[1] - corners[i]![1])).toBeLessThan(1e-7);
        const r = seenAt(back, q);
        expect(Math.hypot(r[0] - p[0], r[1] - p[1])).toBeLessThan(1e-6);
      });
      const mid = seenAt(back, seenAt(there, [0.3, 0.7]));
      expect(mid[0]).toBeCloseTo(0.3, 5);
      expect(mid[1]).toBeCloseTo(0.7, 5);
    }),
    { numRuns: 2000 },
  );
});

test('corners that fold, or lie on a line, are none', () => {
  expect(isOpenQuad([SQUARE[0]!, SQUARE[2]!, SQUARE[1]!, SQUARE[3]!])).toBe(false);
  expect(
    isOpenQuad([
      [0, 0],
      [0.5, 0],
      [1, 0],
      [0, 1],
    ]),
  ).toBe(false);
  expect(
    isOpenQuad([
      [0, 0],
      [NaN, 0],
      [1, 1],
      [0, 1],
    ]),
  ).toBe(false);
  expect(() =>
    perspectiveOf(SQUARE, [
      [0, 0],
      [0.5, 0],
      [1, 0],
      [0, 1],
    ]),
  ).toThrow(/four corners/);
  expect(matrix3d(perspectiveOf(SQUARE, SQUARE))).toMatch(/^matrix3d\(1,/);
});
