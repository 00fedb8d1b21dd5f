/** Minutes of the single acts at the frame (judgements; a studio's log corrects them). */
export const ACT_MIN = {
  advance: 3,
  basteSides: 2,
  bobbin: 1.5,
  threadChange: 3,
  needleChange: 2,
  footChange: 2,
  rulerMove: 0.15,
  startOrStop: 0.5,
  load: 35,
  takeOff: 10,
  testRound: 4,
} as const;
