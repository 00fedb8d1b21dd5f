import { contours } from 'd3-contour';
import { boundsOf, edgeDistance, type MultiPolygon, type XY } from '../geometry/polygon';

/** Distances to a shape's edge at the points of a grid, inches: above 0 inside, −1 outside. */
export interface Field {
  nx: number;
  ny: number;
  at: (i: number, j: number) => XY;
  cell: number;
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

/** Distances inside a shape on a grid about as fine as is asked. @param cell wanted distance of its points, inches. */
export function fieldOf(shape: MultiPolygon, cell: number): Field {
  const edges = edgesOf(shape);
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const most = Math.min(MOST_POINTS, MOST_WORK / Math.max(1, edges.length));
  const step = Math.max(cell, Math.sqrt(((x1 - x0) * (y1 - y0)) / most), 1e-6);
  const [nx, ny] = [Math.ceil((x1 - x0) / step) + 5, Math.ceil((y1 - y0) / step) + 5];
  const [left, top] = [(x0 + x1) / 2 - ((nx - 1) / 2) * step, (y0 + y1) / 2 - ((ny - 1) / 2) * step];
  const inside = new Float64Array(nx * ny).fill(-1);
  for (let j = 0; j < ny; j++) {
    const y = top + j * step;
    const xs: number[] = [];
    for (const [[ax, ay], [bx, by]] of edges)
      if (ay > y !== by > y) xs.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
    xs.sort((a, b) => a - b);
    for (let k = 0; k + 1 < xs.length; k += 2)
      for (let i = Math.ceil((xs[k]! - left) / step); i <= Math.floor((xs[k + 1]! - left) / step); i++)
        inside[j * nx + i] = leastSquare(edges, left + i * step, y);
  }
  return { nx, ny, cell: step, inside, at: (i, j) => [left + i * step, top + j * step] };
}

/** The distance to the nearest edge, without a call for each: this runs for every point of a grid. */
function leastSquare(edges: readonly (readonly [XY, XY])[], px: number, py: number): number {
  let least = Infinity;
  for (let k = 0; k < edges.length; k++) {
    const [[ax, ay], [bx, by]] = edges[k]!;
    const [dx, dy] = [bx - ax, by - ay];
    const u = Math.max(0, Math.min(1, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy || 1)));
    const d = (px - ax - u * dx) ** 2 + (py - ay - u * dy) ** 2;
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
