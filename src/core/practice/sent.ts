import type { PathPoint } from '../machine/regulator';
import type { Frame } from '../stand-in/longarm';
import type { Drill } from './drills';

/** Slower than this the hands have not begun, or are done, in/s. */
const MOVING_IN_PER_S = 0.15;
/** At its ends a drill keeps this much of a rest, ms. */
const REST_MS = 100;

/**
 * Readings of a machine as the path of a drill: what stands still before and after it left away, its beginning laid where
 * the drill begins, since the fabric lies anywhere in the frame. Inches, milliseconds.
 */
export function pathSent(frames: readonly Frame[], drill: Drill): PathPoint[] {
  const from = frames.findIndex((f) => f.v > MOVING_IN_PER_S);
  if (from < 0) return [];
  const to = frames.findLastIndex((f) => f.v > MOVING_IN_PER_S);
  const [begin, end] = [frames[from]!.t - REST_MS, frames[to]!.t + REST_MS];
  const sewn = frames.filter((f) => f.t >= begin && f.t <= end);
  const [x, y] = drill.line[0]!;
  const first = frames[from]!;
  return sewn
    .filter((f, i) => i === 0 || f.t > sewn[i - 1]!.t)
    .map((f) => ({ tMs: f.t - sewn[0]!.t, xIn: x + f.x - first.x, yIn: y + f.y - first.y }));
}
