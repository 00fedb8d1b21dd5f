/** One mark of a dial, or a quarter turn of a knob, changes tension by this share until a calibration says better (judgement). */
export const TURN_SHARE = 0.12;

/** Quarter turns from one tension to another, above 0 to tighten: ln(to/from) / ln 1.12. Tensions in gf, above 0. */
export const quarterTurns = (fromGf: number, toGf: number): number =>
  Math.log(toGf / fromGf) / Math.log(1 + TURN_SHARE);
