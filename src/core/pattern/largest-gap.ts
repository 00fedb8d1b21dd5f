import type { XY } from '../geometry/polygon';

const FAR = 1e20;
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
  const line = new Float64Array(Math.max(nx, ny));
  for (let i = 0; i < nx; i++) lower(field, i, nx, ny, line);
  for (let j = 0; j < ny; j++) lower(field, j * nx, 1, nx, line);
  let most = 0;
  const first = (at: number) => Math.floor(at / size);
  for (let j = first(part.from[1]); j < Math.min(ny, Math.ceil(part.to[1] / size)); j++)
    for (let i = first(part.from[0]); i < Math.min(nx, Math.ceil(part.to[0] / size)); i++)
      most = Math.max(most, field[j * nx + i]!);
  return most >= FAR ? Math.max(width, height) : 2 * Math.sqrt(most) * size;
}

/** The lower envelope of parabolas standing on a row or a column, in place. */
function lower(field: Float64Array, from: number, step: number, n: number, line: Float64Array) {
  for (let q = 0; q < n; q++) line[q] = field[from + q * step]!;
  const at = new Int32Array(n);
  const edge = new Float64Array(n + 1);
  let k = -1;
  for (let q = 0; q < n; q++) {
    if (line[q]! >= FAR) continue;
    let s = -FAR;
    while (k >= 0) {
      const p = at[k]!;
      s = (line[q]! + q * q - (line[p]! + p * p)) / (2 * (q - p));
      if (s > edge[k]!) break;
      k--;
    }
    k++;
    at[k] = q;
    edge[k] = k === 0 ? -FAR : s;
    edge[k + 1] = FAR;
  }
  if (k < 0) return;
  let j = 0;
  for (let q = 0; q < n; q++) {
    while (edge[j + 1]! < q) j++;
    const p = at[j]!;
    field[from + q * step] = (q - p) * (q - p) + line[p]!;
  }
}
