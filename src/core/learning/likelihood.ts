/** A finished search as it is stored: what it proved, and what it began from, all on ln of the balance ratio. */
export interface FinishedSearch {
  /** Mean and sd of ln R as the search ended, its first guess still in it. */
  lnRatioMean: number;
  lnRatioSd: number;
  /** The ratio first guessed, and its sd on the logarithm. */
  ratio: number;
  ratioSd: number;
  /** The ratio the models alone expect; nothing was learned yet when it is not kept. */
  ratioModel: number | null;
}

/**
 * What its test stitches alone say of ln R* − ln R₀: the first guess is taken out of what the search ended with
 * (precisions of Gaussians subtract), so that learning never feeds on itself. Null when the test stitches said nothing.
 */
export function likelihoodOf(s: FinishedSearch): { mean: number; sd: number } | null {
  const [end, begin] = [1 / s.lnRatioSd ** 2, 1 / s.ratioSd ** 2];
  const said = end - begin;
  if (!(said > begin * 1e-3)) return null;
  const mean = (end * s.lnRatioMean - begin * Math.log(s.ratio)) / said;
  return { mean: mean - Math.log(s.ratioModel ?? s.ratio), sd: Math.sqrt(1 / said) };
}
