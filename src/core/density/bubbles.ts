import { contains, type MultiPolygon, type XY } from '../geometry/polygon';
import type { Neighbour } from './neighbours';

/** A place where the open zone will stand up after washing. */
export interface Bubble {
  /** The open zone. */
  zone: string;
  x: number;
  y: number;
  /** Half its width, inches. */
  radiusIn: number;
}

/** A bubble is at most this share of the gap between two lines of the open zone (judgement). */
const MOST_OF_GAP = 0.45;
const MOST_DRAWN = 400;

/**
 * Where an open zone bubbles: along the seams it shares with a much denser zone, one bubble to each gap between its
 * own lines, as large as its share of the take-up its neighbour has more than it.
 * @param zones their geometry in inches, line density in in/in², spacing in inches, and neighbours.
 */
export function bubbles(
  zones: readonly {
    id: string;
    geometry: MultiPolygon;
    spacingIn: number;
    neighbours: readonly Neighbour[];
  }[],
): Bubble[] {
  const out: Bubble[] = [];
  for (const zone of zones)
    for (const n of zone.neighbours) {
      if (n.even || n.ratio >= 1) continue;
      const radiusIn = MOST_OF_GAP * zone.spacingIn * (1 - n.ratio);
      for (const [a, b] of n.edges) {
        const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
        if (length < radiusIn) continue;
        const inward = inwardOf(zone.geometry, a, b, length, zone.spacingIn / 2);
        if (!inward) continue;
        const count = Math.max(1, Math.floor(length / zone.spacingIn));
        for (let i = 0; i < count && out.length < MOST_DRAWN; i++) {
          const t = (i + 0.5) / count;
          out.push({
            zone: zone.id,
            x: a[0] + t * (b[0] - a[0]) + inward[0],
            y: a[1] + t * (b[1] - a[1]) + inward[1],
            radiusIn,
          });
        }
      }
    }
  return out;
}

/** The step from a seam into the zone, that many inches; null when the zone is too narrow for it. */
function inwardOf(shape: MultiPolygon, a: XY, b: XY, length: number, by: number): XY | null {
  const normal: XY = [(-(b[1] - a[1]) / length) * by, ((b[0] - a[0]) / length) * by];
  const middle: XY = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  for (const sign of [1, -1])
    if (contains(shape, [middle[0] + sign * normal[0], middle[1] + sign * normal[1]]))
      return [sign * normal[0], sign * normal[1]];
  return null;
}
