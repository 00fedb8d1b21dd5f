import { type FaultRate, recordOf } from '../../faults/rates';
import { fabrics } from '../../tables/fabrics';
import type { CriterionOf, TopContext } from './criterion';

/** What the log says of a thread on this needle and cloth, or, where it never was, of the thread. */
function rateOf({ thread, needle, facts, record: r }: TopContext): { rate: FaultRate; on: string } | null {
  const together = r?.get(recordOf(thread.id, needle.nm, facts.mostly));
  if (together)
    return {
      rate: together,
      on: ` on ${fabrics.get(facts.mostly).label.toLowerCase()} with Nm ${needle.nm}`,
    };
  const alone = r?.get(thread.id);
  return alone ? { rate: alone, on: '' } : null;
}

/** What the studio's own log says of the thread; only what chance does not explain counts. */
export const record: CriterionOf<TopContext> = {
  id: 'record',
  label: 'Your own faults',
  weight: 1,
  cost(c) {
    const rate = rateOf(c)?.rate;
    return rate?.differs === 'worse' ? Math.log(rate.per100k / rate.mean) : 0;
  },
  say(c) {
    const found = rateOf(c);
    if (!found || found.rate.differs === 'unsure') return {};
    const { rate, on } = found;
    const per = `${rate.per100k.toFixed(1)} faults in 100 000 stitches with this thread${on}, your studio’s mean is ${rate.mean.toFixed(1)}`;
    return rate.differs === 'worse'
      ? {
          caution: {
            code: 'own-faults',
            severity: 'note',
            text: `${per}: worse than chance explains.`,
            act: 'Test it longer, or take another.',
          },
        }
      : { reason: { code: 'own-record', text: `${per}: better than chance explains.` } };
  },
};
