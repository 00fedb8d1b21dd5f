import { normalCdf } from '../statistics/normal';

/** A test stitch's verdict: −3 the bobbin thread lies straight on the back with the
 * top thread looped round it … 0 interlock inside … +3 the top thread lies straight on the top. */
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
