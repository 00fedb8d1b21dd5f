import type { MatchThread } from '../request';
import { fibres } from '../../tables/fibres';
import { sinkPenalty, spreadOf } from './colour';
import type { CriterionOf, PairContext, TopContext } from './criterion';

/** A thread one looks through: of no colour of its own. */
export const isClear = (t: MatchThread): boolean => !t.hex && fibres.get(t.fibre).mono;

/** Cloths of so many clearly different colours are what clear thread is for. */
const MANY = 3;
/** On one colour a thread of that colour is the better line; less so where nothing at all should be seen. */
const ON_ONE = { texture: 0.6, show: 0.6, sink: 0.3 } as const;

/** Clear thread is for lines through many colours. */
export const clearThread: CriterionOf<TopContext> = {
  id: 'clear-thread',
  label: 'Clear thread',
  weight: 1,
  cost({ thread, facts }) {
    if (!isClear(thread) || facts.cloths.length === 0 || facts.colours >= MANY) return 0;
    const most = ON_ONE[facts.zone.visibility];
    return facts.colours <= 1 ? most : most / 2;
  },
  say: ({ thread, facts }, penalty) =>
    !isClear(thread)
      ? {}
      : penalty > 0.2
        ? {
            reason: {
              code: 'clear-on-few',
              text: 'Clear thread is for lines through many colours: on this fabric a thread of its own colour is the better line.',
            },
          }
        : facts.colours >= MANY
          ? {
              reason: {
                code: 'clear-through-many',
                text: `Clear: one line through ${facts.colours} colours, and none of them wrong.`,
              },
            }
          : {},
};

/** Under a clear thread the bobbin's colour is seen through it, against the top cloth. */
export const seenThrough: CriterionOf<PairContext> = {
  id: 'seen-through',
  label: 'Bobbin seen through',
  weight: 1,
  cost({ top, bobbin, facts: { cloths } }) {
    const spread = isClear(top) ? spreadOf(bobbin, cloths) : null;
    return spread ? sinkPenalty(spread.felt) : 0;
  },
  say: (_, penalty) =>
    penalty > 0.5
      ? {
          caution: {
            code: 'bobbin-seen-through',
            severity: 'note',
            text: 'The bobbin thread is seen through the clear one: its colour is far from the fabric’s.',
          },
        }
      : {},
};
