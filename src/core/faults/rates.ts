import { gammaPoisson } from '../statistics/gamma-poisson';

export interface Tally {
  id: string;
  faults: number;
  stitches: number;
}

/** What a studio has logged: by thread (needle, fabric, technique …), and over all its work. */
export interface FaultRecord {
  tallies: readonly Tally[];
  all: { faults: number; stitches: number };
}

export interface FaultRate {
  id: string;
  /** Faults per 100 000 stitches, drawn toward the studio's mean where little was sewn. */
  per100k: number;
  /** 90 % interval of it. */
  low: number;
  high: number;
  /** The studio's own mean, per 100 000 stitches. */
  mean: number;
  /** Whether the interval parts it from the mean; 'unsure' ones are never ranked. */
  differs: 'worse' | 'better' | 'unsure';
}

/** How much the studio's mean counts beside an item's own log, stitches (judgement). */
const PRIOR_STITCHES = 50_000;
const PER = 100_000;

/**
 * Fault rates with shrinkage: a Gamma–Poisson model whose prior is worth 50 000 stitches at the studio's mean
 * (Gelman et al., Bayesian Data Analysis, 2.6). Faults and stitches at or above 0. A studio that has logged no
 * fault yet, or no stitch, has no rates: the map is empty.
 * @example faultRates({ all: { faults: 20, stitches: 1e6 }, tallies: [{ id: 'a', faults: 8, stitches: 1e5 }] }).get('a')!.differs // 'worse'
 */
export function faultRates({ tallies, all }: FaultRecord): ReadonlyMap<string, FaultRate> {
  const mean = all.faults / all.stitches;
  if (!(mean > 0 && Number.isFinite(mean))) return new Map();
  return new Map(
    tallies.map(({ id, faults, stitches }) => {
      const rate = gammaPoisson(faults, stitches, mean, PRIOR_STITCHES);
      const differs = rate.low > mean ? 'worse' : rate.high < mean ? 'better' : 'unsure';
      const [per100k, low, high] = [rate.mean * PER, rate.low * PER, rate.high * PER];
      return [id, { id, per100k, low, high, mean: mean * PER, differs }];
    }),
  );
}
