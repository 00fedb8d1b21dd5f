import { sewnLengthIn, type SewnRequest } from '../density/line-density';
import { techniques } from '../tables/techniques';

/** Minutes of the single acts at the frame (judgements; a studio's log corrects them). */
export const ACT_MIN = {
  advance: 3,
  basteSides: 2,
  bobbin: 1.5,
  threadChange: 3,
  needleChange: 2,
  rulerMove: 0.15,
  startOrStop: 0.5,
  load: 35,
  takeOff: 10,
  testRound: 4,
} as const;

const STARTS_PER_100_IN2 = 1;

/**
 * Minutes to sew a zone: sewn length at the slower of the technique's usual hand speed and the
 * machine's ceiling, and a start and a stop for every 100 in² (judgement).
 */
export function sewingMinutes(zone: SewnRequest, maxInPerS: number): number {
  const speed = Math.min(techniques.get(zone.technique, 'technique').handInPerS, maxInPerS);
  const starts = Math.ceil((zone.areaIn2 / 100) * STARTS_PER_100_IN2);
  return sewnLengthIn(zone) / speed / 60 + starts * ACT_MIN.startOrStop;
}
