import fc from 'fast-check';
import { areaInBand } from './band';
import { areaOf, contains, edgeLength, type MultiPolygon, rect, ringArea } from './polygon';

const framed: MultiPolygon = [[rect(0, 0, 10, 10), rect(2, 2, 6, 6)]];

test('area and edges of a frame', () => {
  expect(areaOf(framed)).toBe(64);
  expect(edgeLength(framed)).toBe(64);
  expect(contains(framed, [1, 1])).toBe(true);
  expect(contains(framed, [5, 5])).toBe(false);
  expect(
    ringArea([
      [0, 0],
      [4, 0],
      [0, 3],
    ]),
  ).toBe(6);
});

test('bands add up to the whole, both ways', () => {
  const cut = fc.double({ min: 0, max: 10, noNaN: true });
  fc.assert(
    fc.property(cut, cut, fc.constantFrom(0 as const, 1 as const), (a, b, axis) => {
      const [lo, hi] = [Math.min(a, b), Math.max(a, b)];
      const sum =
        areaInBand(framed, axis, 0, lo) + areaInBand(framed, axis, lo, hi) + areaInBand(framed, axis, hi, 10);
      expect(sum).toBeCloseTo(64, 6);
    }),
  );
});

test('a band across a slanted shape', () => {
  const slant: MultiPolygon = [
    [
      [
        [0, 0],
        [10, 0],
        [0, 10],
      ],
    ],
  ];
  expect(areaInBand(slant, 1, 0, 5)).toBeCloseTo(37.5, 9);
  expect(areaInBand(slant, 0, 5, 10)).toBeCloseTo(12.5, 9);
});
