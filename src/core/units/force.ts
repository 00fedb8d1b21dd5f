/** One gram-force in centinewtons (standard gravity 9.80665 m/s²). */
export const CN_PER_GF = 0.980665;

/** Centinewtons to gram-force. */
export const cnToGf = (cN: number): number => cN / CN_PER_GF;

/** Gram-force to centinewtons. */
export const gfToCn = (gf: number): number => gf * CN_PER_GF;
