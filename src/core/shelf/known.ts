import type { RemainingSource } from '../fields/lists';
import type { Basis } from '../thread/label-forms';
import { type Known, learned, predicted, proven } from '../source/known';

/** A cone's size: proven when it was weighed, else what its label says. */
export const sizeKnown = (cone: { tex: number; texBasis: Basis }): Known =>
  cone.texBasis === 'measured'
    ? proven(cone.tex, 'net grams and metres')
    : predicted(cone.tex, cone.texBasis);

/** What is left on a cone: by the scale, from what was logged, or set by hand; null when never counted. */
export function remainingKnown(cone: {
  remainingM: number | null;
  remainingSource: RemainingSource | null;
}): Known | null {
  if (cone.remainingM === null) return null;
  switch (cone.remainingSource) {
    case 'weighed':
      return proven(cone.remainingM, 'by the scale');
    case 'logged':
      return learned(cone.remainingM, 'from what was logged');
    default:
      return predicted(cone.remainingM, 'set by hand');
  }
}
