export interface Measured {
  widthsIn: readonly number[];
  lengthsIn: readonly number[];
}

export interface CameOut {
  widthIn: number;
  lengthIn: number;
  /** Between the widest and the narrowest of three, inches; and of the lengths. */
  widthSpreadIn: number;
  lengthSpreadIn: number;
  /** Square within an inch in a hundred either way. */
  square: boolean;
  /** How much it drew in against what was measured at the counter, per cent; null without measures of then. */
  drewInWidthPct: number | null;
  drewInLengthPct: number | null;
}

const mean = (of: readonly number[]) => of.reduce((a, b) => a + b, 0) / of.length;
const spread = (of: readonly number[]) => Math.max(...of) - Math.min(...of);
/** Out of square from this share of a side on; the eye sees no less (judgement). */
const SEEN_SHARE = 0.01;

/**
 * How a quilt came out, from three widths and three lengths, inches above 0: its size, whether it is square, and how much
 * quilting (and the wash) drew it in. @example cameOut({ widthsIn: [63, 63, 63], lengthsIn: [79, 79, 79] }, null).square // true
 */
export function cameOut(now: Measured, then: Measured | null): CameOut {
  const [widthIn, lengthIn] = [mean(now.widthsIn), mean(now.lengthsIn)];
  const [widthSpreadIn, lengthSpreadIn] = [spread(now.widthsIn), spread(now.lengthsIn)];
  const drew = (before: readonly number[] | undefined, after: number) =>
    before && before.length > 0 ? 100 * (1 - after / mean(before)) : null;
  return {
    widthIn,
    lengthIn,
    widthSpreadIn,
    lengthSpreadIn,
    square: widthSpreadIn <= SEEN_SHARE * widthIn && lengthSpreadIn <= SEEN_SHARE * lengthIn,
    drewInWidthPct: drew(then?.widthsIn, widthIn),
    drewInLengthPct: drew(then?.lengthsIn, lengthIn),
  };
}
