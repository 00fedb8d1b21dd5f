import type { Reason } from '../../notes';
import { breakGf } from '../../thread/thread';
import { HARD_SHARE } from '../../tension/start';
import type { Usage } from '../../usage/usage';
import type { MatchThread } from '../request';
import { type CriterionOf, over, type PairContext } from './criterion';

const name = (t: MatchThread) => t.name ?? t.id;
const metres = (m: number) => `${Math.round(m)} m`;

const share = ({ top, tension }: PairContext) => tension.topGf / breakGf(top);
/** Fine is no fault: strength costs only when the start tension passes so much of the breaking load. */
export const strength: CriterionOf<PairContext> = {
  id: 'strength',
  label: 'Strength',
  weight: 1,
  cost: (c) => over(share(c), HARD_SHARE, 0.08),
  say: (c) =>
    c.tension.cautions.length > 0
      ? { caution: c.tension.cautions[0] }
      : share(c) > HARD_SHARE
        ? {
            reason: {
              code: 'works-hard',
              text: `The start tension takes ${Math.round(share(c) * 100)} % of what this thread bears.`,
            },
          }
        : {},
};

const wants = ({ top, bobbin, usage }: PairContext) => {
  const same = top.id === bobbin.id;
  return [
    { thread: top, m: usage!.topM + (same ? usage!.bobbinM : 0) },
    ...(same ? [] : [{ thread: bobbin, m: usage!.bobbinM }]),
  ];
};
const short = (c: PairContext) =>
  c.usage
    ? wants(c).find(
        (w) => w.thread.remainingM != null && w.thread.remainingM - (c.claimedM?.[w.thread.id] ?? 0) < w.m,
      )
    : undefined;

export const stock: CriterionOf<PairContext> = {
  id: 'stock',
  label: 'Stock',
  weight: 1.5,
  cost: (c) => (short(c) ? 1 : 0),
  say(c) {
    const found = short(c);
    if (!found) return { reason: c.usage ? windMore(c.bobbin, c.usage, c.wound) : undefined };
    const claimed = c.claimedM?.[found.thread.id] ?? 0;
    return {
      caution: {
        code: 'stock-short',
        severity: 'warn',
        text: `${name(found.thread)}: ${metres(found.thread.remainingM!)} left${claimed > 0 ? `, ${metres(claimed)} of it for the other zones` : ''}, ${metres(found.m)} wanted.`,
        act: 'Have another cone ready.',
      },
    };
  },
};

/** How many bobbins to wind before beginning, where the studio counts them. */
function windMore(
  bobbin: MatchThread,
  { bobbins }: Usage,
  wound: ReadonlyMap<string, number> | undefined,
): Reason | undefined {
  const ready = wound?.get(bobbin.id);
  if (ready === undefined) return undefined;
  const more = bobbins - ready;
  const takes = `Takes about ${bobbins} ${bobbins === 1 ? 'bobbin' : 'bobbins'}`;
  return more > 0
    ? {
        code: 'wind-bobbins',
        text: `${takes}, ${ready === 0 ? 'none is' : ready === 1 ? 'one is' : `${ready} are`} wound.`,
        act: `Wind ${more} more.`,
      }
    : { code: 'bobbins-ready', text: `${takes}: wound and ready.` };
}
