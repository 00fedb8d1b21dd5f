import { boundsOf, type MultiPolygon, type XY } from '../geometry/polygon';
import type { WayAsked } from './way';

/** Many ways as they are drawn together: each unlike one once, and for each that was asked which it is and how far moved. */
export interface Together {
  once: WayAsked[];
  /** In the order asked. Inches. */
  places: { of: number; dx: number; dy: number }[];
}

const NEAR = 1e4;
const moved = (shape: MultiPolygon, dx: number, dy: number): MultiPolygon =>
  shape.map((p) => p.map((ring) => ring.map(([x, y]): XY => [x + dx, y + dy])));
const keyOf = ({ shape, unit: _, ...way }: WayAsked, x0: number, y0: number): string =>
  JSON.stringify([
    way,
    shape.map((p) =>
      p.map((r) => r.map(([x, y]) => [Math.round((x - x0) * NEAR), Math.round((y - y0) * NEAR)])),
    ),
  ]);

/**
 * Zones of the same outline quilted in the same way, as the blocks of a quilt are, drawn once and laid where each lies.
 * @param leastIn a spacing finer than this cannot be seen and is drawn so coarse; a pattern keeps its width. Inches.
 */
export function together(asked: readonly WayAsked[], leastIn = 0): Together {
  const known = new Map<string, number>();
  const out: Together = { once: [], places: [] };
  for (const one of asked) {
    const { x0, y0 } = boundsOf(one.shape);
    const spacingIn = one.unit ? one.spacingIn : Math.max(leastIn, one.spacingIn);
    const way = { ...one, spacingIn };
    const key = keyOf(way, x0, y0);
    let of = known.get(key);
    if (of === undefined) {
      of = out.once.push({ ...way, shape: moved(one.shape, -x0, -y0) }) - 1;
      known.set(key, of);
    }
    out.places.push({ of, dx: x0, dy: y0 });
  }
  return out;
}
