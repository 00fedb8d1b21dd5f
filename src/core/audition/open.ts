import { FAR, squaredDistances } from '../geometry/distance-transform';
import type { MultiPolygon, XY } from '../geometry/polygon';
import { fieldOf } from './field';
import { resampled } from './smooth';

/** Points of a grid to the width looked for. */
const FINE = 16;

/**
 * The width of the largest round place that lies within a shape and holds no line, inches; right to about a fifteenth of
 * the spacing.
 */
export function openIn(shape: MultiPolygon, lines: readonly (readonly XY[])[], spacing: number): number {
  const { nx, ny, cell, inside, at } = fieldOf(shape, spacing / FINE);
  const [left, top] = at(0, 0);
  const field = new Float64Array(nx * ny).fill(FAR);
  for (const line of lines)
    for (const [x, y] of resampled(line, cell * 0.7)) {
      const [i, j] = [Math.round((x - left) / cell), Math.round((y - top) / cell)];
      if (i >= 0 && j >= 0 && i < nx && j < ny) field[j * nx + i] = 0;
    }
  squaredDistances(field, nx, ny);
  let most = 0;
  for (let k = 0; k < field.length; k++)
    if (inside[k]! > 0) most = Math.max(most, Math.min(inside[k]!, Math.sqrt(field[k]!) * cell));
  return 2 * most;
}
