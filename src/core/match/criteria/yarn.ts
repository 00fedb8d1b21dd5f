import { deltaE, labOf } from '../../colour/delta-e';
import { breakGf } from '../../thread/thread';
import { coloursOf, sinkPenalty } from './colour';
import { type CriterionOf, over, type TopContext } from './criterion';

/** A thread that holds a yarn bears at least this, gf (judgement). */
const HOLDS_GF = 450;

const difference = ({ facts, thread, fibre }: TopContext): number | null => {
  if (!facts.yarn?.hex) return null;
  const own = coloursOf(thread);
  if (own.length === 0) return fibre.mono ? 0 : null;
  return Math.max(...own.map((lab) => deltaE(lab, labOf(facts.yarn!.hex!))));
};

/** Couching: the thread goes by the yarn's colour and must hold it. */
export const yarn: CriterionOf<TopContext> = {
  id: 'yarn',
  label: 'Yarn',
  weight: 1,
  cost(c) {
    if (!c.technique.couches) return 0;
    const de = difference(c);
    const colour = !c.facts.yarn ? 0 : de === null ? 0.4 : sinkPenalty(de);
    return colour + over(HOLDS_GF, breakGf(c.thread), HOLDS_GF);
  },
  say(c, penalty) {
    if (!c.technique.couches) return {};
    const de = difference(c);
    const weak = breakGf(c.thread) < HOLDS_GF;
    if (weak)
      return {
        caution: {
          code: 'yarn-not-held',
          severity: 'note',
          text: `Breaks at ${Math.round(breakGf(c.thread))} g: too weak to hold a yarn for long.`,
        },
      };
    if (de === null) return {};
    return penalty > 0.5
      ? {
          caution: {
            code: 'thread-shows',
            severity: 'note',
            text: 'Shows on the yarn, where it should vanish.',
          },
        }
      : { reason: { code: 'yarn-colour', text: 'Near the yarn’s colour: it vanishes on it.' } };
  },
};
