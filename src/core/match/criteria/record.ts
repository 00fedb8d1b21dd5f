import type { CriterionOf, TopContext } from './criterion';

/** What the studio's own log says of the thread; only what chance does not explain counts. */
export const record: CriterionOf<TopContext> = {
  id: 'record',
  label: 'Your own faults',
  weight: 1,
  cost({ thread, record: r }) {
    const rate = r?.get(thread.id);
    return rate?.differs === 'worse' ? Math.log(rate.per100k / rate.mean) : 0;
  },
  say({ thread, record: r }) {
    const rate = r?.get(thread.id);
    if (!rate || rate.differs === 'unsure') return {};
    const per = `${rate.per100k.toFixed(1)} faults in 100 000 stitches with this thread, your studio’s mean is ${rate.mean.toFixed(1)}`;
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
