import fc from 'fast-check';
import type { XY } from '../geometry/polygon';
import { begunAt, waysOn } from './on-from';
import { arrowsOf, routeSvg } from './route-svg';
import type { Line } from './lines';

const line = (...p: XY[]): Line[] => p.slice(1).map((b, i) => ({ a: p[i]!, b }));
const row = line([0, 0], [4, 0], [8, 0], [12, 0], [30, 0]);

describe('stuck: the ways on', () => {
  test('near: back over what is sewn; far: tie off', () => {
    // At 8, the first inch from 0 is left: 4 in back.
    const near = waysOn(row, new Set([0]), [8, 0], 8, false);
    expect(near[0]).toMatchObject({ kind: 'retrace', costIn: 4, to: [4, 0] });
    expect(near[0]!.points).toEqual([
      [8, 0],
      [4, 0],
    ]);
    const far = waysOn(row, new Set([0]), [30, 0], 8, false);
    expect(far[0]).toMatchObject({ kind: 'tie-off', costIn: 8 });
  });
  test('where a line sewn twice shows, beside it is cheaper than over it', () => {
    const kinds = waysOn(row, new Set([0]), [8, 0], 8, true).map((w) => w.kind);
    expect(kinds.indexOf('echo')).toBeLessThan(kinds.indexOf('retrace'));
  });
  test('everything sewn: no way is needed; a part that is not joined can only be begun anew', () => {
    expect(waysOn(row, new Set(), [0, 0], 8, false)).toEqual([]);
    const apart = [...row, ...line([0, 20], [5, 20])];
    expect(waysOn(apart, new Set([4]), [0, 0], 8, false).map((w) => w.kind)).toEqual(['tie-off']);
  });
});

const total = (paths: readonly { points: readonly XY[] }[]) =>
  paths
    .flatMap(({ points }) => line(...points))
    .reduce((s, { a, b }) => s + Math.hypot(b[0] - a[0], b[1] - a[1]), 0);

test('begun elsewhere, the same is sewn, at the place that was asked for', () => {
  const point = fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 }));
  fc.assert(
    fc.property(
      fc.array(fc.array(point, { minLength: 2, maxLength: 8 }), { minLength: 1, maxLength: 4 }),
      fc.nat(),
      fc.boolean(),
      (lists, pick, closed) => {
        const paths = lists.map((points) => ({ points: closed ? [...points, points[0]!] : points }));
        const places = paths.flatMap((p) => p.points);
        const at = places[pick % places.length]!;
        const anew = begunAt(paths, at);
        expect(anew[0]!.points[0]).toEqual(at);
        expect(total(anew)).toBeCloseTo(total(paths), 6);
        expect(anew.length - paths.length).toBeLessThanOrEqual(closed ? 0 : 1);
      },
    ),
    { numRuns: 2000 },
  );
});

test('arrows point along the line, one at least; the file is the quilt at full size', () => {
  expect(
    arrowsOf(
      [
        [0, 0],
        [1, 0],
      ],
      5,
    ),
  ).toEqual([{ at: [0.5, 0], angle: 0 }]);
  expect(
    arrowsOf(
      [
        [0, 0],
        [0, 20],
      ],
      5,
    ).map((a) => a.angle),
  ).toEqual([90, 90, 90, 90]);
  const svg = routeSvg({ name: 'A & B', widthIn: 40, lengthIn: 50 }, [
    {
      zone: 'A',
      pass: 1,
      paths: [
        {
          points: [
            [0, 0],
            [1, 1],
          ],
        },
      ],
      starts: 1,
      freeEnds: 0,
      sewnIn: 1,
      againIn: 0,
      exact: true,
    },
  ]);
  expect(svg).toContain('width="40in" height="50in"');
  expect(svg).toContain('A &amp; B');
});
