import { contains, type MultiPolygon, type XY } from '../geometry/polygon';
import type { Random } from '../statistics/random';
import { type Field, fieldOf, levelOf } from './field';
import { joined } from './join';
import { evened, resampled } from './smooth';

/** Points of a grid to a spacing. */
const FINE = 7;
/** A place is filled once more where a line would leave it open further than this, against the spacing. */
const OPEN = 0.72;
/** Corners are rounded over so much of the spacing. */
const ROUND = 1.5;
/** How far an irregular echo leaves its line, and how long its waves are, against the spacing. */
const WOBBLE = 0.16;
const WAVE = 4;

/** Slow waves over the plane, between −1 and 1. */
function waves(spacing: number, random: Random): (p: XY) => number {
  const parts = Array.from({ length: 3 }, () => {
    const angle = random.uniform() * 2 * Math.PI;
    const k = (2 * Math.PI) / (WAVE * spacing * (0.8 + 0.5 * random.uniform()));
    return { kx: k * Math.cos(angle), ky: k * Math.sin(angle), phase: random.uniform() * 2 * Math.PI };
  });
  return ([x, y]) =>
    parts.reduce((sum, { kx, ky, phase }) => sum + Math.sin(kx * x + ky * y + phase), 0) / parts.length;
}

/** The deepest a field gets within a ring. */
function deepest(field: Field, values: Float64Array, ring: readonly XY[]): number {
  const [left, top] = field.at(0, 0);
  const xs = ring.map(([x]) => (x - left) / field.cell);
  const ys = ring.map(([, y]) => (y - top) / field.cell);
  const [i0, i1, j0, j1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const shape = [[ring]];
  let most = 0;
  for (let j = Math.ceil(j0); j <= j1; j++)
    for (let i = Math.ceil(i0); i <= i1; i++) {
      const v = values[j * field.nx + i]!;
      if (v > most && contains(shape, field.at(i, j))) most = v;
    }
  return most;
}

/** Closed lines that repeat a shape's outline inward, a spacing apart, and one more where the middle stays too open. */
function echoes(field: Field, values: Float64Array, spacing: number): XY[][] {
  let most = 0;
  for (const v of values) if (v > most) most = v;
  const rings: XY[][] = [];
  const levels: number[] = [];
  for (let level = spacing / 2; level < most; level += spacing) levels.push(level);
  if (levels.length === 0) levels.push(0.55 * most);
  const found = levels.map((level) => levelOf(field, values, level));
  for (const [n, level] of levels.entries()) {
    for (const polygon of found[n]!) {
      rings.push(...polygon);
      if (found[n + 1]?.some(([ring]) => contains([polygon], ring![0]!))) continue;
      const left = deepest(field, values, resampled(polygon[0]!, spacing / 3, true)) - level;
      if (left > OPEN * spacing)
        rings.push(
          ...levelOf(field, values, level + 0.6 * left)
            .filter(([ring]) => contains([polygon], ring![0]!))
            .flat(),
        );
    }
  }
  return rings.filter((r) => r.length >= 4);
}

/** A shape's outline repeated inward at a spacing, sewn as one line where its parts hang together. @param wobble it wanders. */
export function echoLines(shape: MultiPolygon, spacing: number, random: Random, wobble = false): XY[][] {
  const field = fieldOf(shape, spacing / FINE);
  const values = wobble ? field.inside.slice() : field.inside;
  if (wobble) {
    const wave = waves(spacing, random);
    for (let j = 0; j < field.ny; j++)
      for (let i = 0; i < field.nx; i++) {
        const k = j * field.nx + i;
        if (values[k]! > 0)
          values[k]! += WOBBLE * spacing * wave(field.at(i, j)) * Math.min(1, values[k]! / spacing);
      }
  }
  const rings = echoes(field, values, spacing).map((r) =>
    evened(resampled(r, spacing / 10, true), ROUND * spacing, true),
  );
  return joined(rings, spacing, shape, random).map((l) => evened(l, 0.4 * spacing, true));
}
