import { boundsOf, type MultiPolygon, type XY } from './polygon';

/** Edges closer than this count as one, inches: seams are not drawn finer. */
const NEAR_IN = 0.05;
/** A corner touched is not a neighbour; this much seam is, inches. */
const LEAST_IN = 0.25;

type Edge = readonly [XY, XY];

const edgesOf = (shape: MultiPolygon): Edge[] =>
  shape.flat().flatMap((ring) => ring.map((p, i): Edge => [p, ring[(i + 1) % ring.length]!]));

/** Length along which two straight edges lie on one another. */
function overlap([a, b]: Edge, [c, d]: Edge): number {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length === 0) return 0;
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const along = ([x, y]: XY) => (x - a[0]) * ux + (y - a[1]) * uy;
  const off = ([x, y]: XY) => Math.abs((x - a[0]) * uy - (y - a[1]) * ux);
  if (off(c) > NEAR_IN || off(d) > NEAR_IN) return 0;
  const [from, to] = [along(c), along(d)].sort((p, q) => p - q) as [number, number];
  return Math.max(0, Math.min(length, to) - Math.max(0, from));
}

/** Length of seam two zones share, inches; 0 when they only touch at corners or not at all. */
export function sharedEdgeIn(a: MultiPolygon, b: MultiPolygon): number {
  if (a.length === 0 || b.length === 0) return 0;
  const [p, q] = [boundsOf(a), boundsOf(b)];
  if (p.x0 > q.x1 + NEAR_IN || q.x0 > p.x1 + NEAR_IN || p.y0 > q.y1 + NEAR_IN || q.y0 > p.y1 + NEAR_IN)
    return 0;
  const others = edgesOf(b);
  return edgesOf(a).reduce((sum, e) => sum + others.reduce((s, o) => s + overlap(e, o), 0), 0);
}

export interface Seam {
  a: string;
  b: string;
  lengthIn: number;
}

/** Every pair of zones that share a seam, with its length. */
export function seamsOf(zones: readonly { id: string; geometry: MultiPolygon }[]): Seam[] {
  return zones.flatMap((a, i) =>
    zones.slice(i + 1).flatMap((b) => {
      const lengthIn = sharedEdgeIn(a.geometry, b.geometry);
      return lengthIn >= LEAST_IN ? [{ a: a.id, b: b.id, lengthIn }] : [];
    }),
  );
}
