import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile';

/** A rate of events per unit of exposure, drawn to a prior mean, with its middle 90 %. */
export interface Rate {
  mean: number;
  low: number;
  high: number;
}

/**
 * The rate behind a count: events Poisson over an exposure, the rate Gamma with mean `priorMean` and the weight of
 * `priorExposure` (conjugate, e.g. Gelman et al., Bayesian Data Analysis §2.6). Counts from 0, exposures above 0.
 */
export function gammaPoisson(
  events: number,
  exposure: number,
  priorMean: number,
  priorExposure: number,
): Rate {
  const shape = events + priorMean * priorExposure;
  const rate = exposure + priorExposure;
  const at = (p: number) => (shape > 0 ? gammaQuantile(p, shape, rate) : 0);
  return { mean: shape / rate, low: at(0.05), high: at(0.95) };
}
