import { CoreError } from '../notes';

/** A setting on a dial (any number, or turns) and what was measured there. */
export interface CalibrationPoint {
  mark: number;
  value: number;
}

export interface Calibration {
  /** The fitted curve's corners, rising, one per distinct mark. */
  knots: readonly CalibrationPoint[];
  /** Measured less fitted, in the order of the points given. */
  residuals: readonly number[];
  /** Root mean square of the residuals over the mean value. */
  rmsShare: number;
  /** The value at a mark; beyond the ends the outermost slope goes on, never below 0. */
  valueAt(mark: number): number;
  /** The mark for a value, by the same curve. */
  markAt(value: number): number;
}

/** A curve whose measurements fall by more than this share of their range somewhere is no calibration. */
const FALLING_SHARE = 0.15;

/**
 * Monotone fit through measured points: marks are averaged, then pooled until the values rise (pool
 * adjacent violators; Ayer et al. 1955), with straight lines between. Two or more distinct marks.
 * @throws CoreError `too-few` with fewer, `not-a-number`, `falling` when the values fall as the marks rise.
 * @example fitCalibration([{ mark: 2, value: 40 }, { mark: 4, value: 90 }]).valueAt(3) // 65
 */
export function fitCalibration(points: readonly CalibrationPoint[]): Calibration {
  points.forEach(({ mark, value }, i) => {
    if (!Number.isFinite(mark) || !Number.isFinite(value) || value < 0)
      throw new CoreError(
        'not-a-number',
        'Give a mark and what was measured there, both as numbers.',
        `points.${i}`,
      );
  });
  const byMark = new Map<number, number[]>();
  for (const { mark, value } of points) byMark.set(mark, [...(byMark.get(mark) ?? []), value]);
  if (byMark.size < 2) throw new CoreError('too-few', 'Measure at two or more different settings.', 'points');
  const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;
  const marks = [...byMark.keys()].sort((a, b) => a - b);
  const means = marks.map((m) => mean(byMark.get(m)!));
  const range = Math.max(...means) - Math.min(...means);
  const worstFall = Math.max(...means.slice(1).map((v, i) => Math.max(...means.slice(0, i + 1)) - v));
  if (range === 0 || means.at(-1)! <= means[0]! || worstFall > FALLING_SHARE * range)
    throw new CoreError(
      'falling',
      'What was measured falls while the mark rises. Check which way the dial turns, and measure that setting again.',
      'points',
    );
  // Pools carry their weight so that a mark measured twice counts twice.
  const pools: { sum: number; weight: number; marks: number[] }[] = [];
  marks.forEach((m, i) => {
    const weight = byMark.get(m)!.length;
    pools.push({ sum: means[i]! * weight, weight, marks: [m] });
    for (;;) {
      const [a, b] = [pools.at(-2), pools.at(-1)!];
      if (!a || a.sum / a.weight <= b.sum / b.weight) break;
      pools.splice(-2, 2, {
        sum: a.sum + b.sum,
        weight: a.weight + b.weight,
        marks: [...a.marks, ...b.marks],
      });
    }
  });
  const knots = pools.flatMap((p) => p.marks.map((mark) => ({ mark, value: p.sum / p.weight })));
  const along = (x: number, from: 'mark' | 'value', to: 'mark' | 'value'): number => {
    let i = 1;
    while (i < knots.length - 1 && knots[i]![from] < x) i++;
    const [a, b] = [knots[i - 1]!, knots[i]!];
    const run = b[from] - a[from];
    return run === 0 ? (a[to] + b[to]) / 2 : a[to] + ((x - a[from]) / run) * (b[to] - a[to]);
  };
  const valueAt = (mark: number) => Math.max(0, along(mark, 'mark', 'value'));
  const residuals = points.map((p) => p.value - valueAt(p.mark));
  const rms = Math.sqrt(mean(residuals.map((r) => r * r)));
  return {
    knots,
    residuals,
    rmsShare: rms / mean(points.map((p) => p.value)),
    valueAt,
    markAt: (value) => along(value, 'value', 'mark'),
  };
}
