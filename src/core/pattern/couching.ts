import { linesLength } from '../geometry/clip-lines';
import type { XY } from '../geometry/polygon';
import { mmToIn } from '../units/length';
import { COUCHED_GAP, COUCHED_RADIUS } from '../couching/couching';
import { nearShare, type Spot, spotsOf } from './nearness';

/** So many spots along the sewing are looked at, at most. */
export const MOST_SPOTS = 300_000;
/** Lines of yarn disturb each other up to this angle (judgement). */
const BESIDE = Math.PI / 4;
/** A share of the sewing that lies too near another below this is nothing. */
const LEAST_SHARE = 0.05;

/** Whether a yarn follows it: curves of two diameters, lines two and a half apart. */
export function couched(yarnMm: number, minRadiusIn: number | null, spots: readonly Spot[]) {
  const yarnIn = mmToIn(yarnMm);
  const codes: string[] = [];
  if (minRadiusIn !== null && minRadiusIn < COUCHED_RADIUS * yarnIn) codes.push('radius-tight');
  const within = COUCHED_GAP * yarnIn;
  if (nearShare(spots, { within, angle: BESIDE, apart: 4 * within, earlier: false }) > LEAST_SHARE)
    codes.push('gap-tight');
  return { fit: codes.length === 0, codes };
}

/** A yarn laid along a pattern that is kept as lines one wide: whether its curves and gaps leave room for it. */
export interface YarnAlong {
  fits: boolean;
  codes: string[];
}

/**
 * Whether a yarn follows a pattern at a width, by its curves and by the lines that lie beside one another.
 * @param runs lines of one repeat, its width being 1. @param widthIn as it is sewn, inches.
 * @param minRadiusIn its tightest curve at that width; null where nothing bends. @param yarnMm thickness, above 0.
 */
export function yarnAlong(
  runs: readonly (readonly XY[])[],
  widthIn: number,
  minRadiusIn: number | null,
  yarnMm: number,
): YarnAlong {
  const lines = runs.map((run) => run.map(([x, y]): XY => [x * widthIn, y * widthIn]));
  const spots = spotsOf(lines, Math.max(mmToIn(0.5), linesLength(lines) / MOST_SPOTS));
  const { fit, codes } = couched(yarnMm, minRadiusIn, spots);
  return { fits: fit, codes };
}
