import cdf from '@stdlib/stats-base-dists-normal-cdf';
import quantile from '@stdlib/stats-base-dists-normal-quantile';
import studentQuantile from '@stdlib/stats-base-dists-t-quantile';

/** Standard normal distribution function Φ(z). */
export const normalCdf = (z: number): number => cdf(z, 0, 1);

/** Its inverse: the z below which a share `p` of a standard normal lies; p strictly between 0 and 1. */
export const normalQuantile = (p: number): number => quantile(p, 0, 1);

/** Standard deviations to either side of the middle 80 %: Φ⁻¹(0.9) = 1.2816. */
export const Z80 = normalQuantile(0.9);

/**
 * Student's t: the value below which a share `p` of it lies.
 * @param p strictly between 0 and 1
 * @param freedom degrees of freedom, above 0
 */
export const tQuantile = (p: number, freedom: number): number => studentQuantile(p, freedom);
