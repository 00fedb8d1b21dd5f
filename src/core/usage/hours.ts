/** Belief about a quilter's real speed against the model's, on ln(actual/predicted minutes). */
export interface SpeedFactor {
  mean: number;
  sd: number;
  /** How many logged passes it rests on. */
  passes: number;
}

export const PRIOR_SPEED: SpeedFactor = { mean: 0, sd: 0.3, passes: 0 };
/** Spread of one logged pass about the quilter's own speed (judgement). */
const PASS_SD = 0.25;
/** Standard deviations to either side of an 80 % range. */
export const Z80 = 1.2816;

/** The factor after logged passes: normal prior, normal observations of the log; minutes above 0. */
export function learnSpeed(logged: readonly { minutes: number; predictedMin: number }[]): SpeedFactor {
  const sound = logged.filter((l) => l.minutes > 0 && l.predictedMin > 0);
  const weight = 1 / PRIOR_SPEED.sd ** 2 + sound.length / PASS_SD ** 2;
  const sum = sound.reduce((s, l) => s + Math.log(l.minutes / l.predictedMin), 0) / PASS_SD ** 2;
  return { mean: sum / weight, sd: Math.sqrt(1 / weight), passes: sound.length };
}

/** The factor for one quilt of so many passes: what is not known of the hand, and how single passes scatter. */
export const speedForQuilt = (f: SpeedFactor, passes: number): SpeedFactor => ({
  ...f,
  sd: Math.hypot(f.sd, PASS_SD / Math.sqrt(Math.max(1, passes))),
});

export interface Range {
  low: number;
  mid: number;
  high: number;
}

/** Middle and 80 % range of minutes: what depends on the hands scales by the factor, acts do not. */
export function minutesRange(sewingMin: number, actsMin: number, f: SpeedFactor): Range {
  const at = (z: number) => sewingMin * Math.exp(f.mean + z * f.sd) + actsMin;
  return { low: at(-Z80), mid: at(0), high: at(Z80) };
}
