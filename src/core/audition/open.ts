import { FAR, squaredDistances } from '../geometry/distance-transform';
import { contains, type MultiPolygon, type XY } from '../geometry/polygon';
import { fieldOf } from './field';
import { resampled } from './smooth';

/** How far each place of a shape lies from its edge and from every line, whichever is nearer, on a grid. */
function freeOf(shape: MultiPolygon, lines: readonly (readonly XY[])[], cell: number) {
  const field = fieldOf(shape, cell);
  const { nx, ny, inside, at } = field;
  const [left, top] = at(0, 0);
  const free = new Float64Array(nx * ny).fill(FAR);
  for (const line of lines)
    for (const p of resampled(line, field.cell * 0.7)) {
      const i = Math.round((p[0] - left) / field.cell);
      const j = Math.round((p[1] - top) / field.cell);
      if (i >= 0 && j >= 0 && i < nx && j < ny) free[j * nx + i] = 0;
    }
  squaredDistances(free, nx, ny);
  for (let k = 0; k < free.length; k++) {
    const edge = inside[k]!;
    const line = Math.sqrt(free[k]!) * field.cell;
    free[k] = line < edge ? line : edge;
  }
  return { ...field, free };
}

/** Points of a grid to the spacing, where it is measured and where it is filled. */
const MEASURED = 16;
const FILLED = 10;

/**
 * The width of the largest round place that lies within a shape and holds no line, inches; right to about a fifteenth of
 * the spacing.
 */
export function openIn(shape: MultiPolygon, lines: readonly (readonly XY[])[], spacing: number): number {
  let most = 0;
  for (const d of freeOf(shape, lines, spacing / MEASURED).free) if (d > most) most = d;
  return 2 * most;
}

/** A place is filled from this radius on, against the spacing. */
const FROM = 0.74;
/** A drop laid in a free place: its length and half width, against the place's radius. */
const LONG = 1.35;
const HALF = 0.4;
const ROUND = 14;

/** A drop from a point of a line into a free place, and back to the point. */
function dropInto(from: XY, [cx, cy]: XY, free: number): XY[] {
  const d = Math.hypot(cx - from[0], cy - from[1]) || 1;
  const [ux, uy] = [(cx - from[0]) / d, (cy - from[1]) / d];
  // It ends as far beyond the middle as half its length reaches, and begins where the line is.
  const long = d - free + LONG * free;
  const neck = Math.max(0, d - free);
  return Array.from({ length: ROUND + 1 }, (_, k): XY => {
    const t = (k / ROUND) * 2 * Math.PI;
    const u = (1 - Math.cos(t)) / 2;
    const half = HALF * free * Math.sqrt(Math.max(0, u * (1 - u))) * 2 * Math.sqrt(u);
    const along = u * (long - neck) + (u > 0 ? neck : 0);
    const aside = Math.sign(Math.sin(t)) * half;
    return [from[0] + ux * along - uy * aside, from[1] + uy * along + ux * aside];
  });
}

/**
 * Lines that leave no place much more open than their spacing: where one does, the nearest line goes aside into it and
 * back, as a hand would. Nothing crosses: the place is free all round.
 */
export function withoutHoles(shape: MultiPolygon, lines: XY[][], spacing: number): XY[][] {
  if (lines.length === 0) return lines;
  const field = freeOf(shape, lines, spacing / FILLED);
  const { nx, free, cell, at } = field;
  const wide: number[] = [];
  for (let k = 0; k < free.length; k++) if (free[k]! > FROM * spacing) wide.push(k);
  wide.sort((a, b) => free[b]! - free[a]!);
  if (wide.length === 0) return lines;
  const points = new PointsNear(lines, spacing);
  const aside = new Map<number, Map<number, XY[][]>>();
  for (const k of wide) {
    // What was laid since takes its part of the place.
    const r = free[k]!;
    if (r <= FROM * spacing) continue;
    const c = at(k % nx, Math.floor(k / nx));
    const near = points.nearest(c, r + 2 * cell);
    if (!near) continue;
    const drop = dropInto(lines[near.line]![near.at]!, c, r - cell);
    if (!drop.every((p) => contains(shape, p) || p === drop[0])) continue;
    takeFrom(field, { c, r: HALF * r }, r);
    const of = aside.get(near.line) ?? new Map<number, XY[][]>();
    of.set(near.at, [...(of.get(near.at) ?? []), drop]);
    aside.set(near.line, of);
  }
  return lines.map((line, n) => {
    const of = aside.get(n);
    return of ? line.flatMap((p, i) => (of.has(i) ? [p, ...of.get(i)!.flat(), p] : [p])) : line;
  });
}

/** Takes from the places near a drop what it leaves free of them. @param reach no place further off is wide because of it. */
function takeFrom(
  { nx, ny, cell, free, at }: ReturnType<typeof freeOf>,
  { c, r }: { c: XY; r: number },
  reach: number,
) {
  const [left, top] = at(0, 0);
  const [ci, cj, n] = [(c[0] - left) / cell, (c[1] - top) / cell, Math.ceil((r + 2 * reach) / cell)];
  for (let j = Math.max(0, Math.floor(cj) - n); j <= Math.min(ny - 1, Math.ceil(cj) + n); j++)
    for (let i = Math.max(0, Math.floor(ci) - n); i <= Math.min(nx - 1, Math.ceil(ci) + n); i++) {
      const dx = left + i * cell - c[0];
      const dy = top + j * cell - c[1];
      const d = Math.sqrt(dx * dx + dy * dy) - r;
      if (d < free[j * nx + i]!) free[j * nx + i] = d;
    }
}

/** Points of lines, to be found by their place. */
class PointsNear {
  private readonly cells = new Map<string, [number, number][]>();
  constructor(
    private readonly lines: readonly (readonly XY[])[],
    private readonly size: number,
  ) {
    lines.forEach((line, n) =>
      line.forEach((p, i) => {
        const key = this.cellOf(p).join();
        const list = this.cells.get(key);
        if (list) list.push([n, i]);
        else this.cells.set(key, [[n, i]]);
      }),
    );
  }
  private cellOf([x, y]: XY): [number, number] {
    return [Math.floor(x / this.size), Math.floor(y / this.size)];
  }
  nearest(c: XY, within: number): { line: number; at: number } | null {
    const [cx, cy] = this.cellOf(c);
    const reach = Math.ceil(within / this.size) + 1;
    let [best, least]: [{ line: number; at: number } | null, number] = [null, Infinity];
    for (let dx = -reach; dx <= reach; dx++)
      for (let dy = -reach; dy <= reach; dy++)
        for (const [line, at] of this.cells.get(`${cx + dx},${cy + dy}`) ?? []) {
          const p = this.lines[line]![at]!;
          const d = Math.hypot(p[0] - c[0], p[1] - c[1]);
          if (d < least) [best, least] = [{ line, at }, d];
        }
    return best;
  }
}
