import type { Direction } from '../fields/lists';
import type { Random } from '../statistics/random';
import { NOISE_SD, type Verdict, verdictAt, windowWidth } from '../tension/probit';

/** The stand-in machine: what it balances at nobody knows, and its directions differ a little. */
export interface StandIn {
  /** Natural logarithm of the ratio it balances at. */
  lnRatio: number;
  thicknessMm: number;
}

/** How far the stand-in's directions lie apart, in units of z, and how far tests differ, of the model's own noise. */
const DIRECTION = 0.5;
const TEST = 0.6;
/** A gauge is read to about so much, as a share. */
const GAUGE = 0.04;

/** A machine with a truth of its own about what the models expect: as unlike them as they say they may be. */
export const standIn = (
  first: { ratio: number; sd: number },
  thicknessMm: number,
  random: Random,
): StandIn => ({ lnRatio: Math.log(first.ratio) + first.sd * random.normal(), thicknessMm });

/**
 * Sews a test on the stand-in machine and judges it as an eye would.
 * @param setting tensions in gf, above 0. @param ways the directions sewn.
 */
export function sewTest(
  machine: StandIn,
  setting: { topGf: number; bobbinGf: number },
  ways: readonly Direction[],
  random: Random,
): Partial<Record<Direction, Verdict>> {
  const z = (Math.log(setting.topGf / setting.bobbinGf) - machine.lnRatio) / windowWidth(machine.thicknessMm);
  // One cloth and one thread path: directions differ by less than tests do.
  const common = NOISE_SD * TEST * random.normal();
  return Object.fromEntries(
    ways.map((d) => [d, verdictAt(z + common + NOISE_SD * DIRECTION * random.normal())]),
  );
}

/** Whether a setting is truly balanced there. */
export const trulyBalanced = (machine: StandIn, setting: { topGf: number; bobbinGf: number }): boolean =>
  Math.abs(
    (Math.log(setting.topGf / setting.bobbinGf) - machine.lnRatio) / windowWidth(machine.thicknessMm),
  ) <
  NOISE_SD + 0.5;

/** Three readings of a tension gauge about what is really set, gf, as read from a scale of whole grams. */
export const gaugeReadings = (trueGf: number, random: Random, times = 3): number[] =>
  Array.from({ length: times }, () => Math.max(1, Math.round(trueGf * (1 + GAUGE * random.normal()))));

/** A number from a text, to begin a generator with: the same text, the same chance. */
export function seedOf(text: string): number {
  let h = 2166136261;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 16777619);
  return h >>> 0;
}
