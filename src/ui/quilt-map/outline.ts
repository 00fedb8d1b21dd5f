import {
  boundsOf,
  contains,
  edgeDistance,
  type MultiPolygon,
  ringArea,
  type XY,
} from '@/core/geometry/polygon';
import { polyline } from '@/ui/draw/mark';

/** A zone's edge as one path in inches; holes by the even-odd rule. */
export const zonePath = (shape: MultiPolygon): string =>
  shape.map((polygon) => polygon.map((ring) => `${polyline(ring)}Z`).join('')).join('');

/** A point well inside a zone's largest polygon: of a grid over its bounds, the one farthest from any edge; finer grids for thin shapes. */
export function spotIn(shape: MultiPolygon): XY {
  const known = spots.get(shape);
  if (known) return known;
  const spot = spotOnGrid(shape, 12) ?? spotOnGrid(shape, 60) ?? shape[0]![0]![0]!;
  spots.set(shape, spot);
  return spot;
}

const spots = new WeakMap<MultiPolygon, XY>();

function spotOnGrid(shape: MultiPolygon, samples: number): XY | null {
  const largest = [...shape].sort((a, b) => ringArea(b[0]!) - ringArea(a[0]!))[0]!;
  const { x0, y0, x1, y1 } = boundsOf([largest]);
  let best: { at: XY; clear: number } | null = null;
  for (let i = 1; i < samples; i++)
    for (let j = 1; j < samples; j++) {
      const at: XY = [x0 + ((x1 - x0) * i) / samples, y0 + ((y1 - y0) * j) / samples];
      if (!contains([largest], at)) continue;
      const edge = Math.min(
        ...largest.flatMap((ring) => ring.map((p, k) => edgeDistance(at, p, ring[(k + 1) % ring.length]!))),
      );
      // Of places equally clear, the one nearest the middle.
      const clear = edge - 1e-3 * Math.hypot(at[0] - (x0 + x1) / 2, at[1] - (y0 + y1) / 2);
      if (!best || clear > best.clear) best = { at, clear };
    }
  return best?.at ?? null;
}
