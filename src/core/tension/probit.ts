/**
 * Standard normal distribution function, Abramowitz & Stegun 7.1.26 (absolute error below 1.5e-7).
 */
export function normalCdf(x: number): number {
  const t = 1 / (1 + 0.3275911 * (Math.abs(x) / Math.SQRT2));
  const poly =
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const erf = 1 - poly * Math.exp(-(x * x) / 2);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** A test stitch's verdict: −3 top pulled right through … 0 interlock inside … +3 top lies flat. */
export type Verdict = -3 | -2 | -1 | 0 | 1 | 2 | 3;

const CUTS = [-2.2, -1.2, -0.5, 0.5, 1.2, 2.2] as const;
/** Half width of the balanced window on z. */
export const BALANCED_Z = 0.5;
/** Spread of a single judgement on z. */
export const NOISE_SD = 0.35;

/** Width of the balance window on ln R for a sandwich of thickness t mm: w = 0.10 + 0.06·t. */
export const windowWidth = (thicknessMm: number): number => 0.1 + 0.06 * thicknessMm;

/** P(verdict | z) of the ordered probit with cuts at ±0.5, ±1.2, ±2.2 and noise sd 0.35. */
export function verdictLikelihood(verdict: Verdict, z: number): number {
  const lo = verdict === -3 ? -Infinity : CUTS[verdict + 2]!;
  const hi = verdict === 3 ? Infinity : CUTS[verdict + 3]!;
  const upper = hi === Infinity ? 1 : normalCdf((hi - z) / NOISE_SD);
  const lower = lo === -Infinity ? 0 : normalCdf((lo - z) / NOISE_SD);
  return Math.max(0, upper - lower);
}

/** The verdict a noiseless eye would give at z. */
export function verdictAt(z: number): Verdict {
  return (CUTS.filter((cut) => z > cut).length - 3) as Verdict;
}
