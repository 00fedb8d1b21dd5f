import type { XY } from '../geometry/polygon';

/** What is to be looked at, besides the whole of it: an open fault with its place. */
export interface Marked {
  n: number;
  xIn: number;
  yIn: number;
}

export interface Inspection {
  /** The way of the eye over one side, from its top left corner, inches. */
  path: XY[];
  /** Open faults in the order they are met. */
  met: number[];
  lengthIn: number;
  lanes: number;
}

/** What the eye takes in beside its way, inches: a lane looked at from arm’s length (judgement). */
const LANE_IN = 10;

/**
 * The way of the eye over one side of a quilt: lanes to and fro, none wider than 10 in, that turn aside to each marked
 * place in the lane it lies in, so that nothing is left out and no fault is passed by. Sizes in inches, above 0. The
 * back is gone over in the mirrored way: `mirrored` lays the same places as they are seen from behind.
 * @example inspection(64, 80, []).lanes // 8
 */
export function inspection(
  widthIn: number,
  lengthIn: number,
  marked: readonly Marked[],
  mirrored = false,
): Inspection {
  const lanes = Math.max(1, Math.ceil(lengthIn / LANE_IN));
  const depth = lengthIn / lanes;
  const path: XY[] = [];
  const met: number[] = [];
  for (let lane = 0; lane < lanes; lane++) {
    const y = (lane + 0.5) * depth;
    const forth = lane % 2 === 0;
    const own = marked
      .map((m) => ({ ...m, xIn: mirrored ? widthIn - m.xIn : m.xIn }))
      .filter((m) => Math.min(lanes - 1, Math.max(0, Math.floor(m.yIn / depth))) === lane)
      .sort((a, b) => (forth ? a.xIn - b.xIn : b.xIn - a.xIn));
    path.push([forth ? 0 : widthIn, y]);
    for (const m of own) {
      path.push([m.xIn, m.yIn]);
      met.push(m.n);
    }
    path.push([forth ? widthIn : 0, y]);
  }
  const lengthOf = path
    .slice(1)
    .reduce((sum, [x, y], i) => sum + Math.hypot(x - path[i]![0], y - path[i]![1]), 0);
  return { path, met, lengthIn: lengthOf, lanes };
}
