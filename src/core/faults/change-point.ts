import logGamma from '@stdlib/math-base-special-gammaln';
import { gammaPoisson, type Rate } from '../statistics/gamma-poisson';

/** A stretch that was sewn, in the order of time: its stitches, and the faults noted in it. */
export interface Stretch {
  stitches: number;
  faults: number;
}

export interface Change {
  /** Index of the first stretch after the change. */
  at: number;
  /** Chance that the rate changed at all, 0–1; and, given that, that it was within the stretches `from` to `to`. */
  p: number;
  from: number;
  to: number;
  /** Faults in 100 000 stitches before and after. */
  before: Rate;
  after: Rate;
}

const PER = 100_000;
/** Before anything is seen, a change is as likely as none. */
const PRIOR_CHANGE = 0.5;
/** The rates before and after are drawn to the whole stretch's mean with the weight of so many faults (judgement). */
const PRIOR_FAULTS = 1;
/** Share of the chance that the stated span holds. */
const SPAN = 0.8;
const LEAST_STRETCHES = 4;

/** Log of the chance of a stretch's count under a Gamma prior on the rate; terms common to all splits left out. */
function logMarginal(faults: number, stitches: number, shape: number, rate: number): number {
  return (
    shape * Math.log(rate) -
    logGamma(shape) +
    logGamma(shape + faults) -
    (shape + faults) * Math.log(rate + stitches)
  );
}

/**
 * Whether and where the rate of faults changed: every split into before and after weighed against no change, counts
 * Poisson, rates Gamma (Raftery and Akman 1986). Stitches above 0, faults whole and at or above 0. Null where there is
 * nothing to tell: fewer than four stretches, or no fault.
 * @example changePoint([{stitches: 1e4, faults: 0}, …])?.at
 */
export function changePoint(stretches: readonly Stretch[]): Change | null {
  const kept = stretches.filter((s) => s.stitches > 0);
  const total = kept.reduce(
    (sum, s) => ({ stitches: sum.stitches + s.stitches, faults: sum.faults + s.faults }),
    {
      stitches: 0,
      faults: 0,
    },
  );
  if (kept.length < LEAST_STRETCHES || total.faults === 0) return null;
  const shape = PRIOR_FAULTS;
  const rate = (PRIOR_FAULTS * total.stitches) / total.faults;
  const none = logMarginal(total.faults, total.stitches, shape, rate);
  let stitches = 0;
  let faults = 0;
  const logs = kept.slice(0, -1).map((s) => {
    stitches += s.stitches;
    faults += s.faults;
    return (
      logMarginal(faults, stitches, shape, rate) +
      logMarginal(total.faults - faults, total.stitches - stitches, shape, rate)
    );
  });
  const most = Math.max(none, ...logs);
  const weights = logs.map((l) => (Math.exp(l - most) * PRIOR_CHANGE) / logs.length);
  const changed = weights.reduce((a, b) => a + b, 0);
  const p = changed / (changed + Math.exp(none - most) * (1 - PRIOR_CHANGE));
  const best = weights.reduce((b, w, i) => (w > weights[b]! ? i : b), 0);
  // The shortest span about the best split that holds the stated share.
  let [low, high] = [best, best];
  let held = weights[best]!;
  while (held < SPAN * changed) {
    const [down, up] = [weights[low - 1] ?? -1, weights[high + 1] ?? -1];
    if (down < 0 && up < 0) break;
    held += Math.max(down, up);
    if (down >= up) low--;
    else high++;
  }
  const mean = total.faults / total.stitches;
  const at = best + 1;
  const side = (part: readonly Stretch[]): Rate => {
    const f = part.reduce((sum, s) => sum + s.faults, 0);
    const st = part.reduce((sum, s) => sum + s.stitches, 0);
    const r = gammaPoisson(f, st, mean, PRIOR_FAULTS / mean);
    return { mean: r.mean * PER, low: r.low * PER, high: r.high * PER };
  };
  return { at, p, from: low + 1, to: high + 1, before: side(kept.slice(0, at)), after: side(kept.slice(at)) };
}
