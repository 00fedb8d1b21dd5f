import { threadCover } from '../../density/density';
import { type CriterionOf, over, type TopContext } from './criterion';

const STIFF = 0.1;
const cover = ({ facts, technique, threadMm }: TopContext) =>
  technique.pilesUp ? 0 : threadCover(facts.lambda, technique.backtrack, threadMm);

/** So much thread on the surface that the cloth turns stiff. */
export const threadCovers: CriterionOf<TopContext> = {
  id: 'cover',
  label: 'Thread cover',
  weight: 1,
  cost: (c) => over(cover(c), STIFF, 0.1),
  say: (c, penalty) =>
    penalty > 0.04
      ? {
          caution: {
            code: 'stiff',
            severity: 'note',
            text: `Thread covers ${Math.round(cover(c) * 100)} % of the surface: this area will be stiff.`,
            act: 'Open the spacing, or take a finer thread.',
          },
        }
      : {},
};
