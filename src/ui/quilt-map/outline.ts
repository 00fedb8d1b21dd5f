import type { MultiPolygon } from '@/core/geometry/polygon';
import { polyline } from '@/ui/draw/mark';

/** A zone's edge as one path in inches; holes by the even-odd rule. */
export const zonePath = (shape: MultiPolygon): string =>
  shape.map((polygon) => polygon.map((ring) => `${polyline(ring)}Z`).join('')).join('');

/** Where the letter of a zone is written: inside its largest polygon, clear of holes. */
export function letterSpot(shape: MultiPolygon): { x: number; y: number } {
  const size = (ring: MultiPolygon[number][number]) => {
    const xs = ring.map(([x]) => x);
    const ys = ring.map(([, y]) => y);
    return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
  };
  const widest = shape
    .map((p) => ({ p, b: size(p[0]!) }))
    .sort((a, b) => (b.b.x1 - b.b.x0) * (b.b.y1 - b.b.y0) - (a.b.x1 - a.b.x0) * (a.b.y1 - a.b.y0))[0]!;
  const { b, p } = widest;
  if (p.length === 1) return { x: (b.x0 + b.x1) / 2, y: (b.y0 + b.y1) / 2 };
  // With a hole in it, the widest free strip is above the first hole.
  const hole = size(p[1]!);
  return { x: (b.x0 + b.x1) / 2, y: (b.y0 + Math.max(b.y0 + 0.5, hole.y0)) / 2 };
}
