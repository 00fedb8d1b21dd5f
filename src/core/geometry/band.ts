import { areaOf, type MultiPolygon, type Ring, type XY } from './polygon';

/** What of a ring lies on one side of a line along an axis (Sutherland and Hodgman 1974). */
function halfPlane(ring: Ring, axis: 0 | 1, limit: number, keep: 'above' | 'below'): XY[] {
  const inside = (p: XY) => (keep === 'above' ? p[axis] >= limit : p[axis] <= limit);
  const out: XY[] = [];
  ring.forEach((p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    if (inside(p)) out.push(p);
    if (inside(p) !== inside(q)) {
      const u = (limit - p[axis]) / (q[axis] - p[axis]);
      out.push([p[0] + u * (q[0] - p[0]), p[1] + u * (q[1] - p[1])]);
    }
  });
  return out;
}

/** What of a shape lies between two lines across an axis (0: x, 1: y); pieces cut apart stay joined along the cut. */
export const clipToBand = (shape: MultiPolygon, axis: 0 | 1, from: number, to: number): MultiPolygon =>
  shape
    .map((polygon) =>
      polygon
        .map((ring) => halfPlane(halfPlane(ring, axis, from, 'above'), axis, to, 'below'))
        .filter((ring) => ring.length > 2),
    )
    .filter((polygon) => polygon.length > 0);

/** Area of a shape between two lines across an axis (0: x, 1: y), exact for any simple rings and holes. */
export const areaInBand = (shape: MultiPolygon, axis: 0 | 1, from: number, to: number): number =>
  areaOf(
    shape.map((polygon) =>
      polygon.map((ring) => halfPlane(halfPlane(ring, axis, from, 'above'), axis, to, 'below')),
    ),
  );
