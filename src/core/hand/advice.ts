import { HAND } from '../motifs/work';
import type { Level } from '../motifs/request';

/** What a level means for the work, in words. */
export function levelAdvice(level: Level): string[] {
  const { speed, error, leastIn } = HAND[level];
  const pace = speed < 1 ? 'slower than usual' : speed > 1 ? 'quicker than usual' : 'the usual time';
  return [
    `Hours are reckoned ${pace}; lines may stray by ${Math.round(error * 100)} % of their spacing, and the batting is watched for the widest.`,
    `Spacings from ${leastIn} in are offered.`,
    level === 'beginner'
      ? 'A thread that blends into the fabric hides slips; some teachers take contrast on purpose, to see and learn. One stitch fewer per inch is easier to unpick.'
      : level === 'steady'
        ? 'Show on quiet ground where you like how it lies; blend where you try something new.'
        : 'Thread may show wherever it is meant to.',
  ];
}

/** Inches below the standing elbow at which the bed lies well; handles at the elbow, lower when seated for tiny work. */
const BED_BELOW_IN = [2, 4] as const;
/** A reach most people keep without leaning, inches. */
export const USUAL_REACH_IN = 18;

/** Where bed and handles belong for one who stands so tall, in words. @param elbowIn from the floor, inches. */
export const heightAdvice = (elbowIn: number): string[] => [
  `Bed ${elbowIn - BED_BELOW_IN[1]} to ${elbowIn - BED_BELOW_IN[0]} in from the floor: two to four below your elbow.`,
  `Handles at your elbow, ${elbowIn} in; elbows open by 90 to 110°.`,
  'For tiny work sit down with low handles: the eyes nearer, the neck no more than 25° down.',
];

/** What a pass deeper than a reach asks, in words; null where it can be reached. */
export const reachAdvice = (machine: string, depthIn: number, reachIn: number): string | null =>
  depthIn > reachIn
    ? `${machine}: a first pass is ${depthIn.toFixed(1)} in deep, you reach ${reachIn}. Sew the far edge from the other side, or plan shallower passes.`
    : null;

/** What always holds of a long day at the machine. */
export const REST_ADVICE = [
  'Five hours sewn a day are enough; in tiny fills half a minute of rest in every ten.',
  'Warm up where it shows least.',
  'In tiny work a little more drag steadies the hands: a pad under the wrist, or the carriage’s brake.',
  'Pain or tingling: stop, and ask a professional.',
] as const;
