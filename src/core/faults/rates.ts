import { gammaPoisson } from '../statistics/gamma-poisson';

export interface Tally {
  id: string;
  faults: number;
  stitches: number;
}

/** What a studio has logged: by thread (needle, fabric, technique …), and over all its work. */
export interface FaultRecord {
  tallies: readonly Tally[];
  /** The same by thread with the needle and the cloth it was sewn on; `id` is that of `recordOf`. */
  together?: readonly (Tally & { of: string })[];
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

/** A thread on a needle and a cloth, as the record names it. */
export const recordOf = (threadId: string, needleNm: number, fabric: string): string =>
  `${threadId} ${needleNm} ${fabric}`;

/** How much the studio's mean counts beside an item's own log, stitches (judgement). */
const PRIOR_STITCHES = 50_000;
const PER = 100_000;

/**
 * Fault rates with shrinkage: a Gamma–Poisson model whose prior is worth 50 000 stitches at the studio's mean
 * (Gelman et al., Bayesian Data Analysis, 2.6). Faults and stitches at or above 0. A studio that has logged no
 * fault yet, or no stitch, has no rates: the map is empty. What was sewn with one needle on one cloth is drawn to the
 * rate of its thread in the same way.
 * @example faultRates({ all: { faults: 20, stitches: 1e6 }, tallies: [{ id: 'a', faults: 8, stitches: 1e5 }] }).get('a')!.differs // 'worse'
 */
export function faultRates({ tallies, together = [], all }: FaultRecord): ReadonlyMap<string, FaultRate> {
  const mean = all.faults / all.stitches;
  if (!(mean > 0 && Number.isFinite(mean))) return new Map();
  const rateOf = ({ id, faults, stitches }: Tally, prior: number): [string, FaultRate] => {
    const rate = gammaPoisson(faults, stitches, prior, PRIOR_STITCHES);
    const differs = rate.low > mean ? 'worse' : rate.high < mean ? 'better' : 'unsure';
    const [per100k, low, high] = [rate.mean * PER, rate.low * PER, rate.high * PER];
    return [id, { id, per100k, low, high, mean: mean * PER, differs }];
  };
  const own = new Map(tallies.map((t) => rateOf(t, mean)));
  const pairs = together.map((t) => rateOf(t, (own.get(t.of)?.per100k ?? mean * PER) / PER));
  return new Map([...own, ...pairs]);
}

/** What is surely more than the mean first, then what nothing tells apart by its name, then what is surely less. */
export function ordered<T extends Pick<FaultRate, 'differs' | 'per100k'> & { label: string }>(
  rates: readonly T[],
): T[] {
  const of = (differs: FaultRate['differs']) => rates.filter((r) => r.differs === differs);
  const byRate = (a: T, b: T) => b.per100k - a.per100k;
  return [
    ...of('worse').sort(byRate),
    ...of('unsure').sort((a, b) => a.label.localeCompare(b.label)),
    ...of('better').sort(byRate),
  ];
}
