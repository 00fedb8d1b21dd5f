import { features } from '../../tables/features';
import { capital, type CriterionOf, over, type TopContext } from './criterion';

/** Below this a thread does not bear being cut at by a print, tex; and no monofilament does. */
const LEAST_TEX = 14;
const STRONG_CN_TEX = 33;
/** From here on a thread is stout enough to be cut at. */
const STOUT_TEX = 25;

const rough = (c: TopContext) =>
  (c.facts.zone.features ?? []).map((f) => features.get(f)).find((f) => f.abrasive);

/** Prints and metal yarns that cut thread: never the finest, nor a monofilament, over them. */
export const rubbing: CriterionOf<TopContext> = {
  id: 'abrasion',
  label: 'Rubbing',
  weight: 1,
  cost(c) {
    if (!rough(c)) return 0;
    const weak = over(STRONG_CN_TEX, c.fibre.tenacityCnTex, 15);
    const thin = 0.8 * over(STOUT_TEX, c.thread.tex, STOUT_TEX);
    return weak + thin + (c.fibre.mono ? 1.5 : 0) + (c.thread.tex < LEAST_TEX ? 1.2 : 0);
  },
  say(c, penalty) {
    const first = rough(c);
    if (!first) return {};
    return {
      caution: { code: first.id, severity: 'warn', text: first.advice },
      reason:
        penalty < 0.04
          ? {
              code: 'stands-rubbing',
              text: `${capital(c.fibre.label)} stands the rubbing of the ${first.label}.`,
            }
          : undefined,
    };
  },
};
