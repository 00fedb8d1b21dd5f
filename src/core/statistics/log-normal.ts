import { normalCdf, normalQuantile, Z80 } from './normal';

/** A positive quantity whose logarithm is normal: the mean and sd of that logarithm. */
export interface LogNormal {
  mu: number;
  sigma: number;
}

/** Middle and 80 % range of a quantity. */
export interface Range {
  low: number;
  mid: number;
  high: number;
}

/** The log-normal of a given mean and variance (Fenton 1960: a sum of log-normals is nearly one). Mean above 0. */
export function logNormalOf(mean: number, variance: number): LogNormal {
  const s2 = Math.log(1 + variance / mean ** 2);
  return { mu: Math.log(mean) - s2 / 2, sigma: Math.sqrt(s2) };
}

/** The value a log-normal quantity stays below with probability p (0 < p < 1). */
export const logNormalQuantile = ({ mu, sigma }: LogNormal, p: number): number =>
  Math.exp(mu + sigma * normalQuantile(p));

/** The probability that a log-normal quantity stays below x; 0 for x ≤ 0. */
export const logNormalCdf = ({ mu, sigma }: LogNormal, x: number): number =>
  x <= 0 ? 0 : sigma === 0 ? Number(Math.log(x) >= mu) : normalCdf((Math.log(x) - mu) / sigma);

/** The 80 % range of a log-normal quantity, its median in the middle. */
export const rangeOf = ({ mu, sigma }: LogNormal): Range => ({
  low: Math.exp(mu - Z80 * sigma),
  mid: Math.exp(mu),
  high: Math.exp(mu + Z80 * sigma),
});
