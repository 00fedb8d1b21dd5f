import { hides, shownDeltaE } from './colour';
import { type CriterionOf, over, type TopContext } from './criterion';

/** Each 0.03 mm off costs this (judgement). */
const PER_STEP = 0.25;
const STEP_MM = 0.03;
const [SINKS_MM, SHOWS_MM, BOLD_MM] = [0.13, 0.19, 0.28];
/** What must be read from across a room is so thick; the thinner of these only where its colour is far off. */
const DOOR_MM = 0.22;
const DOOR_DELTA_E = 40;
/** Texture: between these, up to the usual forty weight, nothing is felt. */
const [TEXTURE_LOW, TEXTURE_HIGH] = [0.11, 0.205];

/** A usual weight is never so thick that a finer one in a wrong colour would come before it. */
const USUAL_TEX = 30;
const USUAL_MOST = 0.7;

const steps = (mm: number, from: number) => PER_STEP * over(mm, from, STEP_MM);
const short = (mm: number, to: number) => PER_STEP * over(to, mm, STEP_MM);

const doorMm = (c: TopContext) => ((shownDeltaE(c) ?? 0) >= DOOR_DELTA_E ? SHOWS_MM : DOOR_MM);

/** Fine sinks, bold shows; fine is no fault of its own. */
export const thickness: CriterionOf<TopContext> = {
  id: 'thickness',
  label: 'Thickness',
  weight: 1,
  cost(c) {
    const { facts, technique, threadMm } = c;
    if (technique.couches) return steps(threadMm, SINKS_MM) / 2;
    switch (facts.zone.visibility) {
      case 'sink':
        return Math.min(
          steps(threadMm, SINKS_MM) * (facts.standsUp ? 2 : 1),
          c.thread.tex <= USUAL_TEX ? USUAL_MOST : Infinity,
        );
      case 'show':
        // Bold enough is enough; among those the bolder reads from further off.
        return short(threadMm, doorMm(c)) + 0.2 * short(threadMm, BOLD_MM);
      case 'texture':
        return 0.6 * steps(threadMm, TEXTURE_HIGH) + 0.4 * short(threadMm, TEXTURE_LOW);
    }
  },
  say(c, penalty) {
    const { facts, technique, threadMm } = c;
    const mm = `${threadMm.toFixed(2)} mm`;
    if (technique.couches) return {};
    switch (facts.zone.visibility) {
      case 'sink':
        return {
          reason:
            penalty <= 0.25
              ? { code: 'fine', text: `Fine, ${mm}: sits down in the fabric.` }
              : {
                  code: 'stands-up',
                  text: facts.standsUp
                    ? `${mm} on raised fabric: only a very fine thread sinks there.`
                    : `${mm}: a finer thread would sit lower.`,
                },
        };
      case 'show':
        return {
          reason:
            threadMm < doorMm(c)
              ? { code: 'slender', text: `${mm}: a bolder thread would be read from further off.` }
              : hides(c)
                ? undefined
                : { code: 'bold', text: `Bold, ${mm}: reads across a room.` },
        };
      case 'texture':
        return penalty > 0.04
          ? {
              reason: {
                code: threadMm > TEXTURE_HIGH ? 'stands-up' : 'slender',
                text: `${mm}: ${threadMm > TEXTURE_HIGH ? 'thicker' : 'finer'} than texture asks for.`,
              },
            }
          : {};
    }
  },
};
