import Flatbush from 'flatbush';
import type { MultiPolygon, XY } from './polygon';

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

const lengthOf = (edges: readonly Edge[]) =>
  edges.reduce((sum, [p, q]) => sum + Math.hypot(q[0] - p[0], q[1] - p[1]), 0);

export interface Seam {
  a: string;
  b: string;
  lengthIn: number;
  /** Its straight pieces. */
  edges: Edge[];
}

/** Every pair of zones that share a seam, with its length; edges near each other are found by an index (n log n). */
export function seamsOf(zones: readonly { id: string; geometry: MultiPolygon }[]): Seam[] {
  const edges = zones.flatMap((z, zone) => edgesOf(z.geometry).map((edge) => ({ zone, edge })));
  if (edges.length === 0) return [];
  const box = ([[ax, ay], [bx, by]]: Edge) =>
    [
      Math.min(ax, bx) - NEAR_IN,
      Math.min(ay, by) - NEAR_IN,
      Math.max(ax, bx) + NEAR_IN,
      Math.max(ay, by) + NEAR_IN,
    ] as const;
  const index = new Flatbush(edges.length);
  for (const { edge } of edges) index.add(...box(edge));
  index.finish();
  const shared = new Map<number, Edge[]>();
  for (const { zone, edge } of edges)
    for (const j of index.search(...box(edge), (k) => edges[k]!.zone > zone)) {
      const piece = overlap(edge, edges[j]!.edge);
      if (!piece) continue;
      const pair = zone * zones.length + edges[j]!.zone;
      const pieces = shared.get(pair);
      if (pieces) pieces.push(piece);
      else shared.set(pair, [piece]);
    }
  return [...shared]
    .sort(([p], [q]) => p - q)
    .flatMap(([pair, pieces]) => {
      const lengthIn = lengthOf(pieces);
      const [a, b] = [zones[Math.floor(pair / zones.length)]!, zones[pair % zones.length]!];
      return lengthIn >= LEAST_IN ? [{ a: a.id, b: b.id, lengthIn, edges: pieces }] : [];
    });
}
