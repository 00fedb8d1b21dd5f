import { BALANCED_Z, type Verdict, verdictLikelihood, windowWidth } from './probit';

export interface Observation {
  topGf: number;
  bobbinGf: number;
  verdicts: readonly Verdict[];
}

/** Belief about ln R*, the ratio of top to bobbin tension at which the interlock lies inside. */
export interface Posterior {
  /** ln R at the grid's points, and the probability of each. */
  lnRatio: readonly number[];
  mass: readonly number[];
  /** Log of the average likelihood, for telling tests that contradict each other. */
  logEvidence: number;
  mean: number;
  sd: number;
  quantile(p: number): number;
  /** P(|z| < 0.5): the chance that a ratio of top to bobbin is balanced. */
  pBalanced(ratio: number): number;
}

const POINTS = 1201;
const REACH_SD = 5;
/** A judgement may be a plain slip; this keeps one slip from ruling the search. */
const SLIP = 1e-3;

/**
 * Posterior of ln R* on a grid, prior N(ln ratio, sd), each verdict multiplying by the ordered probit.
 * `thicknessMm` sets the window's width.
 */
export function tensionPosterior(
  prior: { ratio: number; sd: number },
  thicknessMm: number,
  tests: readonly Observation[],
): Posterior {
  const w = windowWidth(thicknessMm);
  const centre = Math.log(prior.ratio);
  const reach = Math.max(REACH_SD * prior.sd, 1.2);
  const lnRatio = Array.from({ length: POINTS }, (_, i) => centre - reach + (2 * reach * i) / (POINTS - 1));
  const log = lnRatio.map((x) => -0.5 * ((x - centre) / prior.sd) ** 2);
  const priorSum = log.reduce((sum, l) => sum + Math.exp(l), 0);
  for (const test of tests) {
    const ln = Math.log(test.topGf / test.bobbinGf);
    for (const verdict of test.verdicts)
      for (let i = 0; i < POINTS; i++) {
        const likelihood = verdictLikelihood(verdict, (ln - lnRatio[i]!) / w);
        log[i]! += Math.log((1 - SLIP) * likelihood + SLIP / 7);
      }
  }
  const peak = log.reduce((a, b) => Math.max(a, b), -Infinity);
  const weights = log.map((l) => Math.exp(l - peak));
  const sum = weights.reduce((a, b) => a + b, 0);
  const mass = weights.map((x) => x / sum);
  const mean = mass.reduce((total, m, i) => total + m * lnRatio[i]!, 0);
  const variance = mass.reduce((total, m, i) => total + m * (lnRatio[i]! - mean) ** 2, 0);
  const step = (2 * reach) / (POINTS - 1);
  return {
    lnRatio,
    mass,
    logEvidence: Math.log(sum) + peak - Math.log(priorSum),
    mean,
    sd: Math.sqrt(variance),
    quantile(p) {
      let below = 0;
      for (let i = 0; i < POINTS; i++) {
        const m = mass[i]!;
        if (below + m >= p) return lnRatio[i]! + step * ((p - below) / m - 0.5);
        below += m;
      }
      return lnRatio[POINTS - 1]!;
    },
    pBalanced(ratio) {
      const ln = Math.log(ratio);
      return mass.reduce((total, m, i) => total + (Math.abs(ln - lnRatio[i]!) / w < BALANCED_Z ? m : 0), 0);
    },
  };
}
