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
 * @param spots along the lines, closer together than a cell. @param cells across the longer side of the field.
 * @returns in the unit of the field; right to about a cell.
 */
export function largestGap(
  spots: readonly XY[],
  [width, height]: XY,
  part: Part = { from: [0, 0], to: [width, height] },
  cells = GAP_CELLS,
): number {
  const size = Math.max(width, height) / cells;
  const [nx, ny] = [Math.max(1, Math.round(width / size)), Math.max(1, Math.round(height / size))];
  const field = new Float64Array(nx * ny).fill(FAR);
  for (const [x, y] of spots) {
    const [i, j] = [Math.min(nx - 1, Math.floor(x / size)), Math.min(ny - 1, Math.floor(y / size))];
    if (i >= 0 && j >= 0) field[j * nx + i] = 0;
  }
  squaredDistances(field, nx, ny);
  let most = 0;
  const first = (at: number) => Math.floor(at / size);
  for (let j = first(part.from[1]); j < Math.min(ny, Math.ceil(part.to[1] / size)); j++)
    for (let i = first(part.from[0]); i < Math.min(nx, Math.ceil(part.to[0] / size)); i++)
      most = Math.max(most, field[j * nx + i]!);
  return most >= FAR ? Math.max(width, height) : 2 * Math.sqrt(most) * size;
}
