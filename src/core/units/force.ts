/** One gram-force in centinewtons (standard gravity 9.80665 m/s²). */
export const CN_PER_GF = 0.980665;

/** Centinewtons to gram-force. */
export const cnToGf = (cN: number): number => cN / CN_PER_GF;

/** Gram-force to centinewtons. */
export const gfToCn = (gf: number): number => gf * CN_PER_GF;

/** Grams as a gauge is set: whole above 40, to the half below. @example gramsText(23.3) // '23.5' */
export const gramsText = (gf: number): string => String(gf >= 40 ? Math.round(gf) : Math.round(gf * 2) / 2);
