import { boundsOf, type MultiPolygon, type XY } from './polygon';

/** Edges closer than this count as one, inches: seams are not drawn finer. */
const NEAR_IN = 0.05;
/** A corner touched is not a neighbour; this much seam is, inches. */
const LEAST_IN = 0.25;

/** A straight edge from point to point, inches. */
export type Edge = readonly [XY, XY];

const edgesOf = (shape: MultiPolygon): Edge[] =>
  shape.flat().flatMap((ring) => ring.map((p, i): Edge => [p, ring[(i + 1) % ring.length]!]));

/** Where two straight edges lie on one another; null where they do not. */
function overlap([a, b]: Edge, [c, d]: Edge): Edge | null {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length === 0) return null;
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const along = ([x, y]: XY) => (x - a[0]) * ux + (y - a[1]) * uy;
  const off = ([x, y]: XY) => Math.abs((x - a[0]) * uy - (y - a[1]) * ux);
  if (off(c) > NEAR_IN || off(d) > NEAR_IN) return null;
  const [p, q] = [along(c), along(d)].sort((x, y) => x - y) as [number, number];
  const [from, to] = [Math.max(0, p), Math.min(length, q)];
  const at = (t: number): XY => [a[0] + t * ux, a[1] + t * uy];
  return to > from ? [at(from), at(to)] : null;
}

/** The seam two zones share, as straight pieces; none when they only touch at corners or not at all. */
export function sharedEdges(a: MultiPolygon, b: MultiPolygon): Edge[] {
  if (a.length === 0 || b.length === 0) return [];
  const [p, q] = [boundsOf(a), boundsOf(b)];
  if (p.x0 > q.x1 + NEAR_IN || q.x0 > p.x1 + NEAR_IN || p.y0 > q.y1 + NEAR_IN || q.y0 > p.y1 + NEAR_IN)
    return [];
  const others = edgesOf(b);
  return edgesOf(a).flatMap((e) =>
    others.flatMap((o) => {
      const piece = overlap(e, o);
      return piece ? [piece] : [];
    }),
  );
}

const lengthOf = (edges: readonly Edge[]) =>
  edges.reduce((sum, [p, q]) => sum + Math.hypot(q[0] - p[0], q[1] - p[1]), 0);

/** Length of seam two zones share, inches. */
export const sharedEdgeIn = (a: MultiPolygon, b: MultiPolygon): number => lengthOf(sharedEdges(a, b));

export interface Seam {
  a: string;
  b: string;
  lengthIn: number;
  /** Its straight pieces. */
  edges: Edge[];
}

/** Every pair of zones that share a seam, with its length. */
export function seamsOf(zones: readonly { id: string; geometry: MultiPolygon }[]): Seam[] {
  return zones.flatMap((a, i) =>
    zones.slice(i + 1).flatMap((b) => {
      const edges = sharedEdges(a.geometry, b.geometry);
      const lengthIn = lengthOf(edges);
      return lengthIn >= LEAST_IN ? [{ a: a.id, b: b.id, lengthIn, edges }] : [];
    }),
  );
}
