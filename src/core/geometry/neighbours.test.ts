import fc from 'fast-check';
import { blocks, corners, frame, lantern, strips, without } from '../plan/shapes';
import { neighbourDensities } from '../density/neighbours';
import { seamsOf } from './neighbours';
import { type MultiPolygon, rect } from './polygon';

const box = (x: number, y: number, w: number, h: number): MultiPolygon => [[rect(x, y, w, h)]];

test.each([
  ['side by side', box(0, 0, 10, 10), box(10, 0, 5, 10), 10],
  ['side by side, half way along', box(0, 0, 10, 10), box(10, 5, 5, 20), 5],
  ['one above the other', box(0, 0, 10, 10), box(2, 10, 4, 4), 4],
  ['only at a corner', box(0, 0, 10, 10), box(10, 10, 5, 5), 0],
  ['apart', box(0, 0, 10, 10), box(20, 0, 5, 5), 0],
  ['with a hair between', box(0, 0, 10, 10), box(10.02, 0, 5, 10), 10],
  ['with a finger between', box(0, 0, 10, 10), box(10.5, 0, 5, 10), 0],
])('%s', (_, a, b, length) => {
  expect(sharedEdgeIn(a, b)).toBeCloseTo(length, 6);
  expect(sharedEdgeIn(b, a)).toBeCloseTo(length, 6);
});

const sharedEdgeIn = (a: MultiPolygon, b: MultiPolygon) =>
  seamsOf([
    { id: 'a', geometry: a },
    { id: 'b', geometry: b },
  ])[0]?.lengthIn ?? 0;

test('a frame shares its inner edge with what it holds', () => {
  expect(sharedEdgeIn(frame(0, 0, 40, 40, 5), box(5, 5, 30, 30))).toBeCloseTo(120, 6);
});

test('borders in strips meet their corners', () => {
  // Each of four strips touches two corners along the width of the border.
  expect(sharedEdgeIn(strips(0, 0, 40, 50, 6), corners(0, 0, 40, 50, 6))).toBeCloseTo(8 * 6, 6);
});

test('a shape cut out of its block shares its whole outline with the rest', () => {
  const [block] = blocks(0, 0, 20, 20, 1, 1, 1);
  const shape = lantern(4, 4, 12, 12);
  const ground = without([block!], [shape]);
  const outline = shape.reduce((l, [x, y], i, ring) => {
    const [nx, ny] = ring[(i + 1) % ring.length]!;
    return l + Math.hypot(nx - x, ny - y);
  }, 0);
  expect(sharedEdgeIn([[shape]], ground)).toBeCloseTo(outline, 3);
});

test('an empty zone has no neighbours', () => {
  expect(sharedEdgeIn([], box(0, 0, 1, 1))).toBe(0);
});

test('seams are found once for each pair', () => {
  const zones = [
    { id: 'A', geometry: box(0, 0, 10, 10) },
    { id: 'B', geometry: box(10, 0, 10, 10) },
    { id: 'C', geometry: box(0, 10, 20, 10) },
  ];
  expect(seamsOf(zones).map(({ a, b, lengthIn }) => ({ a, b, lengthIn }))).toEqual([
    { a: 'A', b: 'B', lengthIn: 10 },
    { a: 'A', b: 'C', lengthIn: 10 },
    { a: 'B', b: 'C', lengthIn: 10 },
  ]);
});

test('a shape turned by any angle keeps its seam', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: Math.PI, noNaN: true }),
      fc.integer({ min: 1, max: 20 }),
      (angle, width) => {
        const turn = (shape: MultiPolygon): MultiPolygon =>
          shape.map((p) =>
            p.map((ring) =>
              ring.map(([x, y]) => [
                x * Math.cos(angle) - y * Math.sin(angle),
                x * Math.sin(angle) + y * Math.cos(angle),
              ]),
            ),
          );
        expect(sharedEdgeIn(turn(box(0, 0, width, 8)), turn(box(0, 8, width, 3)))).toBeCloseTo(width, 5);
      },
    ),
    { numRuns: 60 },
  );
});

describe('densities of neighbours', () => {
  const zones = [
    { id: 'A', geometry: box(0, 0, 10, 10), lineDensity: 4 },
    { id: 'B', geometry: box(10, 0, 10, 10), lineDensity: 1 },
    { id: 'C', geometry: box(20, 0, 10, 10), lineDensity: 2 },
  ];
  const told = neighbourDensities(zones, 2.5);

  test('only zones that share a seam are compared', () => {
    expect(told.get('A')!.map((n) => n.id)).toEqual(['B']);
    expect(told.get('B')!.map((n) => n.id)).toEqual(['A', 'C']);
  });

  test('the ratio is this zone over its neighbour, and the limit holds both ways', () => {
    expect(told.get('A')![0]).toEqual({
      id: 'B',
      seamIn: 10,
      ratio: 4,
      even: false,
      edges: [
        [
          [10, 0],
          [10, 10],
        ],
      ],
    });
    expect(told.get('B')![0]).toMatchObject({ id: 'A', seamIn: 10, ratio: 0.25, even: false });
    expect(told.get('B')![1]).toMatchObject({ id: 'C', ratio: 0.5, even: true });
  });

  test('quick work allows more', () => {
    expect(neighbourDensities(zones, 4).get('A')![0]!.even).toBe(true);
  });
});
