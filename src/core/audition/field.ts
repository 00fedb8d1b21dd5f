import { contours } from 'd3-contour';
import { boundsOf, edgeDistance, type MultiPolygon, type XY } from '../geometry/polygon';

/** Distances to a shape's edge at the points of a grid, inches: above 0 inside, −1 outside. */
export interface Field {
  nx: number;
  ny: number;
  at: (i: number, j: number) => XY;
  cell: number;
  /** The distance that was asked for. */
  wanted: number;
  inside: Float64Array;
}

/** A finer grid than this shows nothing more and takes its time. */
const MOST_POINTS = 300_000;
const MOST_WORK = 12_000_000;

const edgesOf = (shape: MultiPolygon): [XY, XY][] =>
  shape.flatMap((polygon) =>
    polygon.flatMap((ring) => ring.map((p, i): [XY, XY] => [p, ring[(i + 1) % ring.length]!])),
  );

/** How far a place lies inside a shape, by its edges; exact. */
export function depthIn(shape: MultiPolygon): (p: XY) => number {
  const edges = edgesOf(shape);
  return (p) => edges.reduce((least, [a, b]) => Math.min(least, edgeDistance(p, a, b)), Infinity);
}

/** Grids of shapes that were asked for before: a drawing asks again and again. */
const known = new WeakMap<MultiPolygon, Field[]>();
/** A grid so much finer than is asked serves as well. */
const SERVES = 0.6;

/** Distances inside a shape on a grid about as fine as is asked. @param cell wanted distance of its points, inches. */
export function fieldOf(shape: MultiPolygon, cell: number): Field {
  const before = known.get(shape) ?? [];
  const same = before.find((f) => f.wanted <= cell && f.wanted >= SERVES * cell);
  if (same) return same;
  const made = gridOf(shape, cell);
  known.set(shape, [...before, made]);
  return made;
}

function gridOf(shape: MultiPolygon, cell: number): Field {
  const edges = Float64Array.from(edgesOf(shape).flat(2));
  const n = edges.length / 4;
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const most = Math.min(MOST_POINTS, MOST_WORK / Math.max(1, n));
  const step = Math.max(cell, Math.sqrt(((x1 - x0) * (y1 - y0)) / most), 1e-6);
  const [nx, ny] = [Math.ceil((x1 - x0) / step) + 5, Math.ceil((y1 - y0) / step) + 5];
  const [left, top] = [(x0 + x1) / 2 - ((nx - 1) / 2) * step, (y0 + y1) / 2 - ((ny - 1) / 2) * step];
  const inside = new Float64Array(nx * ny).fill(-1);
  for (let j = 0; j < ny; j++) {
    const y = top + j * step;
    const xs: number[] = [];
    for (let k = 0; k < n; k++) {
      const [ax, ay, bx, by] = [edges[4 * k]!, edges[4 * k + 1]!, edges[4 * k + 2]!, edges[4 * k + 3]!];
      if (ay > y !== by > y) xs.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
    }
    xs.sort((a, b) => a - b);
    for (let k = 0; k + 1 < xs.length; k += 2)
      for (let i = Math.ceil((xs[k]! - left) / step); i <= Math.floor((xs[k + 1]! - left) / step); i++)
        inside[j * nx + i] = leastDistance(edges, left + i * step, y);
  }
  return { nx, ny, cell: step, wanted: cell, inside, at: (i, j) => [left + i * step, top + j * step] };
}

/** The distance to the nearest edge, over plain numbers: this runs for every point of a grid. */
function leastDistance(edges: Float64Array, px: number, py: number): number {
  let least = Infinity;
  for (let k = 0; k < edges.length; k += 4) {
    const ax = edges[k]!;
    const ay = edges[k + 1]!;
    const dx = edges[k + 2]! - ax;
    const dy = edges[k + 3]! - ay;
    const t = ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy || 1);
    const u = t < 0 ? 0 : t > 1 ? 1 : t;
    const ex = px - ax - u * dx;
    const ey = py - ay - u * dy;
    const d = ex * ex + ey * ey;
    if (d < least) least = d;
  }
  return Math.sqrt(least);
}

/** The lines along which a field has a value, each with its holes. */
export function levelOf(
  { nx, ny, at }: Pick<Field, 'nx' | 'ny' | 'at'>,
  values: Float64Array,
  level: number,
): XY[][][] {
  const [left, top] = at(0, 0);
  const cell = at(1, 0)[0] - left;
  return contours()
    .size([nx, ny])
    .contour(values as unknown as number[], level)
    .coordinates.map((polygon) =>
      polygon.map((ring) =>
        ring.slice(1).map(([x, y]): XY => [left + (x! - 0.5) * cell, top + (y! - 0.5) * cell]),
      ),
    );
}
