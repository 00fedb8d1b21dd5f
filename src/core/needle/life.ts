/** Stitches a needle lasts: 250 000 × the wear factors of what it met, × 3 when coated (judgement). */
export const needleLife = (wearFactors: readonly number[], coated = false): number =>
  wearFactors.reduce((life, factor) => life * factor, 250_000) * (coated ? 3 : 1);
