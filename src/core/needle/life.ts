/** Stitches a needle lasts: 250 000 × the wear factors of what it met, × 3 when coated (judgement). */
export const needleLife = (wearFactors: readonly number[], coated = false): number =>
  wearFactors.reduce((life, factor) => life * factor, 250_000) * (coated ? 3 : 1);

/** Stitches counted as stitches through plain cotton: those through cloth or thread that halves a needle's life count twice. */
export const wornBy = (stitches: number, wearFactor: number): number => stitches / wearFactor;
