import Flatbush from 'flatbush';
import { CoreError } from '../notes';
import type { MultiPolygon, XY } from './polygon';

/** What a map may hold at most: more is a drawing, not a quilt, and would take the computer from everyone. */
export const MOST = { zones: 150, rings: 6000, points: 14_000, crossings: 500 } as const;
/** So many pairs of edges are looked at in search of crossings. */
const MOST_PAIRS = 3_000_000;

/** Whether two edges cross in a point inside both; touching ends and edges lying on each other do not count. */
function cross([a, b]: readonly [XY, XY], [c, d]: readonly [XY, XY]): boolean {
  const side = (p: XY, q: XY, r: XY) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  const [s, t] = [side(a, b, c), side(a, b, d)];
  const [u, v] = [side(c, d, a), side(c, d, b)];
  const hair = 1e-9;
  return (
    ((s > hair && t < -hair) || (s < -hair && t > hair)) &&
    ((u > hair && v < -hair) || (u < -hair && v > hair))
  );
}

/** How often the edges of a map cross, counted up to a limit, by an index of their boxes (n log n). */
export function crossings(shapes: readonly MultiPolygon[], most: number = MOST.crossings): number {
  const edges = shapes
    .flat(2)
    .flatMap((ring) => ring.map((p, i): [XY, XY] => [p, ring[(i + 1) % ring.length]!]));
  if (edges.length === 0) return 0;
  const index = new Flatbush(edges.length);
  for (const [[ax, ay], [bx, by]] of edges)
    index.add(Math.min(ax, bx), Math.min(ay, by), Math.max(ax, bx), Math.max(ay, by));
  index.finish();
  let found = 0;
  let looked = 0;
  for (const [i, e] of edges.entries()) {
    const [[ax, ay], [bx, by]] = e;
    const near = index.search(
      Math.min(ax, bx),
      Math.min(ay, by),
      Math.max(ax, bx),
      Math.max(ay, by),
      (j) => j > i,
    );
    for (const j of near) if (cross(e, edges[j]!)) found++;
    looked += near.length;
    if (found > most || looked > MOST_PAIRS) return Math.max(found, most + 1);
  }
  return found;
}

/**
 * Refuses what no map of a quilt is, before anything is clipped.
 * @throws CoreError `map-too-fine` (too many zones, shapes or corners) or `map-tangled` (edges cross again and again).
 */
export function checkMap(zones: readonly { geometry: MultiPolygon }[]): void {
  const n = (of: number) => of.toLocaleString('en');
  const rings = zones.reduce((sum, z) => sum + z.geometry.reduce((s, p) => s + p.length, 0), 0);
  const points = zones.reduce((sum, z) => sum + z.geometry.flat().reduce((s, ring) => s + ring.length, 0), 0);
  const over =
    zones.length > MOST.zones
      ? `${n(zones.length)} zones; a map takes ${MOST.zones}`
      : rings > MOST.rings
        ? `${n(rings)} shapes; a map takes ${n(MOST.rings)}`
        : points > MOST.points
          ? `${n(points)} corners; a map takes ${n(MOST.points)}`
          : null;
  if (over) throw new CoreError('map-too-fine', `This has ${over}. Draw it simpler.`, 'zones');
  if (crossings(zones.map((z) => z.geometry)) > MOST.crossings)
    throw new CoreError(
      'map-tangled',
      `The edges cross each other more than ${MOST.crossings} times. A zone’s outline does not cross itself.`,
      'zones',
    );
}
