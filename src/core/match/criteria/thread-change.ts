import type { CriterionOf, TopContext } from './criterion';

/** Minutes of a thread change against a penalty, 0.1 a minute. */
const CHANGE = 0.3;
const inWords = (letters: readonly string[]) =>
  `${letters.length === 1 ? 'zone' : 'zones'} ${letters.length > 1 ? `${letters.slice(0, -1).join(', ')} and ${letters.at(-1)}` : letters[0]}`;

export const threadChange: CriterionOf<TopContext> = {
  id: 'thread-change',
  label: 'Thread change',
  weight: 1,
  cost: ({ thread, others }) =>
    others && others.length > 0 && !others.some((o) => o.topId === thread.id) ? CHANGE : 0,
  say({ thread, others }, penalty) {
    if (!others || others.length === 0) return {};
    if (penalty > 0)
      return {
        reason: { code: 'thread-change', text: 'One more thread on this quilt: a change in every sweep.' },
      };
    const same = others.filter((o) => o.topId === thread.id).map((o) => o.zone);
    return {
      reason: { code: 'no-thread-change', text: `Already chosen for ${inWords(same)}: no thread change.` },
    };
  },
};
