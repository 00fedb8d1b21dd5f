import fc from 'fast-check';
import { type MultiPolygon, rect, type XY } from '../geometry/polygon';
import { freeEndsOf, inBand, linesOf } from './lines';
import { linesLengthIn, passRoute, zoneRoutes } from './zone-routes';

const quilt = { widthIn: 60, lengthIn: 60 };
const whole = { quilt, bands: [[0, 60]] as const, axis: 1 as const };
const blocks = (n: number, side: number, at = 0): MultiPolygon =>
  Array.from({ length: n * n }, (_, i) => [
    rect(at + (i % n) * side, at + Math.floor(i / n) * side, side, side),
  ]);

describe('lines of a zone', () => {
  test('a seam two pieces share is sewn once', () => {
    const two: MultiPolygon = [[rect(10, 10, 10, 10)], [rect(20, 10, 10, 10)]];
    expect(linesLengthIn(linesOf(two, 'edges', quilt))).toBeCloseTo(70, 6);
  });
  test('a seam that meets another half-way is split there', () => {
    const three: MultiPolygon = [[rect(10, 10, 20, 10)], [rect(10, 20, 10, 10)], [rect(20, 20, 10, 10)]];
    const lines = linesOf(three, 'edges', quilt);
    expect(linesLengthIn(lines)).toBeCloseTo(20 + 20 + 20 + 3 * 10 + 2 * 10, 6);
    // The way round is found because all three meet in one place.
    expect(lines.filter(({ a, b }) => [a, b].some(([x, y]) => x === 20 && y === 20))).toHaveLength(3);
  });
  test('the quilt’s own edge is not sewn: the binding holds it', () => {
    expect(linesLengthIn(linesOf([[rect(0, 0, 60, 8)]], 'edges', quilt))).toBeCloseTo(60, 6);
  });
  test('cut into passes, no line is lost and none is sewn twice', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(40), fc.nat(40), fc.integer({ min: 2, max: 18 })), {
          minLength: 1,
          maxLength: 6,
        }),
        fc.uniqueArray(fc.integer({ min: 1, max: 59 }), { maxLength: 6 }),
        fc.constantFrom(0, 1),
        (squares, cuts, axis) => {
          const lines = linesOf(
            squares.map(([x, y, s]) => [rect(x + 1, y + 1, s, s)]),
            'edges',
            quilt,
          );
          const stops = [0, ...cuts.sort((a, b) => a - b), 60];
          const parts = stops
            .slice(1)
            .flatMap((to, i) => inBand(lines, axis as 0 | 1, stops[i]!, to, i === stops.length - 2));
          expect(linesLengthIn(parts)).toBeCloseTo(linesLengthIn(lines), 1);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('the way round', () => {
  test('arcs in a grid of blocks are one line: every corner has an even number of them', () => {
    for (const n of [1, 2, 3, 5]) {
      const [r] = zoneRoutes({ geometry: blocks(n, 8, 4), kind: 'arcs', ...whole });
      expect([n, r!.starts, r!.againIn]).toEqual([n, 1, 0]);
    }
  });
  test('ditch through a quilt from edge to edge begins and ends for nothing', () => {
    // Two blocks side by side on a quilt of their own size: the one seam runs from edge to edge.
    const small = { widthIn: 20, lengthIn: 10 };
    const [r] = zoneRoutes({
      geometry: [[rect(0, 0, 10, 10)], [rect(10, 0, 10, 10)]],
      kind: 'edges',
      quilt: small,
      bands: [[0, 10]],
      axis: 1,
    });
    expect(r).toMatchObject({ starts: 1, freeEnds: 2, sewnIn: 10, againIn: 0 });
  });
  test('every line of every zone is sewn, in one path at least and without leaving its pass', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 3, max: 12 }),
        fc.integer({ min: 1, max: 5 }),
        fc.constantFrom<'edges' | 'arcs'>('edges', 'arcs'),
        (n, side, passes, kind) => {
          const bands = Array.from({ length: passes }, (_, i): [number, number] => [
            (i * 60) / passes,
            ((i + 1) * 60) / passes,
          ]);
          const geometry = blocks(n, side, 2);
          const routes = zoneRoutes({ geometry, kind, quilt, bands, axis: 1 });
          const lines = linesOf(geometry, kind, quilt);
          const sewn = routes.reduce((s, r) => s + r.sewnIn - r.againIn, 0);
          expect(sewn).toBeCloseTo(linesLengthIn(lines), 1);
          for (const r of routes) {
            const [from, to] = bands[r.pass - 1]!;
            for (const [, y] of r.paths.flatMap((p) => p.points))
              expect(y >= from - 0.01 && y <= to + 0.01).toBe(true);
            expect(r.starts).toBe(r.paths.length);
          }
        },
      ),
      { numRuns: 200 },
    );
  });
  test('nothing to sew has no way', () => {
    expect(passRoute([], 1, quilt)).toBeNull();
    expect(freeEndsOf([], quilt)).toEqual<XY[]>([]);
  });
});
