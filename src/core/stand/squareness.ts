import { tQuantile } from '../statistics/normal';

/** How the width changes from pass to pass. */
export interface Squareness {
  /** Inches a pass; above 0 it flares. */
  slopeIn: number;
  /** Standard error of that, from the widths’ own scatter. */
  seIn: number;
  /** Whether it lies outside its own noise. */
  real: boolean;
  words: string;
}

/** A tape is read to about so much, inches: the scatter is never taken to be less. */
const TAPE_IN = 0.06;
/**
 * The trend of the quilt’s width over its passes, by least squares; null with fewer than three passes measured. A slope
 * counts as real when it is outside its own noise (95 %), the scatter taken as the tape’s at least.
 */
export function squareness(widths: readonly { pass: number; widthIn: number }[]): Squareness | null {
  // Measured twice in a pass: the last counts.
  const by = new Map(widths.map((w) => [w.pass, w.widthIn]));
  if (by.size < 3) return null;
  const points = [...by];
  const n = points.length;
  const mean = (of: (p: readonly [number, number]) => number) => points.reduce((s, p) => s + of(p), 0) / n;
  const [mx, my] = [mean((p) => p[0]), mean((p) => p[1])];
  const sxx = points.reduce((s, [x]) => s + (x - mx) ** 2, 0);
  const slopeIn = points.reduce((s, [x, y]) => s + (x - mx) * (y - my), 0) / sxx;
  const rss = points.reduce((s, [x, y]) => s + (y - my - slopeIn * (x - mx)) ** 2, 0);
  // With one spare point its own scatter says next to nothing: the tape’s does.
  const scatter = Math.max(TAPE_IN, n > 3 ? Math.sqrt(rss / (n - 2)) : 0);
  const seIn = scatter / Math.sqrt(sxx);
  const t = n > 3 ? tQuantile(0.975, n - 2) : 2;
  const real = Math.abs(slopeIn) > t * seIn && n >= 3;
  const by1 = `${Number(Math.abs(slopeIn).toFixed(2))} in a pass`;
  return {
    slopeIn,
    seIn,
    real,
    words: !real
      ? 'The width holds, as far as a tape can tell.'
      : slopeIn > 0
        ? `Flaring ${by1}: baste near the rail and in the middle.`
        : `Drawing in ${by1}: ease the sides out, clamp more loosely, and sew less densely at the edges.`,
  };
}
