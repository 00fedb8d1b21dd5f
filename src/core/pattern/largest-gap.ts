import { FAR, squaredDistances } from '../geometry/distance-transform';
import type { XY } from '../geometry/polygon';

export const GAP_CELLS = 750;

/** A part of a field: from one corner to the other. */
export interface Part {
  from: XY;
  to: XY;
}

/**
 * The width of the largest round place free of any line whose middle lies in a part of a field, by the exact distance
 * transform of a raster (Felzenszwalb and Huttenlocher, 2012).
 * @param runs lines, each a point or more. @param cells across the longer side of the field.
 * @returns in the unit of the field; right to about a cell.
 */
export function largestGap(
  runs: readonly (readonly XY[])[],
  [width, height]: XY,
  part: Part = { from: [0, 0], to: [width, height] },
  cells = GAP_CELLS,
): number {
  const size = Math.max(width, height) / cells;
  const [nx, ny] = [Math.max(1, Math.round(width / size)), Math.max(1, Math.round(height / size))];
  const field = new Float64Array(nx * ny).fill(FAR);
  for (const points of runs) strike(field, nx, ny, points, size);
  squaredDistances(field, nx, ny);
  let most = 0;
  const first = (at: number) => Math.floor(at / size);
  const last = (at: number, n: number) => Math.min(n, Math.ceil(at / size));
  const [left, right] = [first(part.from[0]), last(part.to[0], nx)];
  for (let j = first(part.from[1]); j < last(part.to[1], ny); j++)
    for (let k = j * nx + left; k < j * nx + right; k++) if (field[k]! > most) most = field[k]!;
  return most >= FAR ? Math.max(width, height) : 2 * Math.sqrt(most) * size;
}

/** Every cell a line passes is made 0: struck at its points and twice a cell between them. */
function strike(field: Float64Array, nx: number, ny: number, points: readonly XY[], size: number) {
  let [x, y] = points[0] ?? [NaN, NaN];
  for (let p = 0; p < points.length; p++) {
    const [toX, toY] = [points[p]![0], points[p]![1]];
    const steps = Math.max(1, Math.ceil((2 * Math.max(Math.abs(toX - x), Math.abs(toY - y))) / size));
    for (let n = 1; n <= steps; n++) {
      const i = Math.min(nx - 1, Math.floor((x + ((toX - x) * n) / steps) / size));
      const j = Math.min(ny - 1, Math.floor((y + ((toY - y) * n) / steps) / size));
      if (i >= 0 && j >= 0) field[j * nx + i] = 0;
    }
    [x, y] = [toX, toY];
  }
}
