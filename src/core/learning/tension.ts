import { type EffectsFit, fitEffects, type Observation } from '../statistics/linear-effects';
import { normalQuantile, Z80 } from '../statistics/normal';
import { clamp } from '../units/clamp';

/** What a test was sewn with: each of them may shift the balance in a way of its own. */
export interface Combination {
  machineId: string;
  topId: string;
  bobbinId: string;
  battingId: string;
  needleNm: number;
  /** Relative humidity then, per cent; nothing where nobody noted it. */
  humidityPct?: number | null;
}

/** A finished search as its own likelihood: mean and sd of ln R* − ln R₀ as its test stitches alone say it. */
export interface LearnedSearch extends Combination {
  mean: number;
  sd: number;
  /** Left out, or put back, by the quilter. */
  dropped?: boolean;
  kept?: boolean;
}

export const EFFECT_KINDS = ['machine', 'top', 'bobbin', 'batting', 'needle'] as const;
export type EffectKind = (typeof EFFECT_KINDS)[number];

/** Prior standard deviations of the effects on ln R*, and of what is special to one combination (judgement). */
export const EFFECT_SD: Record<EffectKind, number> = {
  machine: 0.2,
  top: 0.12,
  bobbin: 0.12,
  batting: 0.08,
  needle: 0.05,
};
export const OWN_SD = 0.05;

const ID: Record<EffectKind, (c: Combination) => string> = {
  machine: (c) => c.machineId,
  top: (c) => c.topId,
  bobbin: (c) => c.bobbinId,
  batting: (c) => c.battingId,
  needle: (c) => String(c.needleNm),
};
const key = (kind: EffectKind, id: string) => `${kind} ${id}`;
const AIR = 'air ';
/** The air's effect for every so many points damper than usual, and its prior sd: little, until the log shows more (judgement). */
const [AIR_POINTS, USUAL_PCT, AIR_SD] = [20, 50, 0.04];
/** Fewer tests with the air noted tell nothing of it. */
const LEAST_AIR = 6;

const loadsOf = (c: Combination, withAir = true): Observation['loads'] => [
  ...EFFECT_KINDS.map((kind) => [key(kind, ID[kind](c)), 1] as const),
  ...(withAir && c.humidityPct != null ? [[AIR, (c.humidityPct - USUAL_PCT) / AIR_POINTS] as const] : []),
];
const groupOf = (c: Combination) => EFFECT_KINDS.map((kind) => ID[kind](c)).join('\n');

export interface LearnedEffect {
  kind: EffectKind;
  id: string;
  mean: number;
  sd: number;
  searches: number;
}

export interface Prediction {
  /** Of ln R* − ln R₀, for the first guess of this combination. */
  mean: number;
  sd: number;
  /** How many searches bear on any part of it. */
  searches: number;
  /** Test rounds it is likely to take, 8 times in 10. */
  roundsLow: number;
  roundsHigh: number;
}

/** What the air does to the balance: the shift of ln R for each twenty points damper. */
export interface AirEffect {
  mean: number;
  sd: number;
  /** Tests with the air noted. */
  searches: number;
  /** The log tells it from none, 8 times in 10: from then on it is reckoned with. */
  shown: boolean;
}

export interface TensionLearning {
  effects: LearnedEffect[];
  /** Null while too few tests had the air noted. */
  air: AirEffect | null;
  predict(c: Combination): Prediction;
  /** Searches left out of the fit: by the quilter, or because another cause is likelier. */
  leftOut: number[];
  /** How far each lies from what the others say, in sd. */
  surprise: readonly number[];
  /** Of the last bands, how many were held against the log and how many held. */
  held: { bands: number; inside: number };
  /** What the bands are widened or narrowed by, 1 when they hold as they should. */
  widening: number;
}

/** The last so many bands are held against the log. */
const HELD = 50;
/** Too few to judge the bands by. */
const LEAST_HELD = 20;
const [TOO_FEW, TOO_MANY] = [0.7, 0.9];

/**
 * Rounds a search takes, 10 % and 90 %, by the spread of its first guess: from searches simulated with the model's own
 * verdicts, four directions a round.
 */
const ROUNDS: readonly (readonly [sd: number, low: number, high: number])[] = [
  [0.05, 1, 1],
  [0.11, 1, 2],
  [0.3, 1, 3],
  [Infinity, 2, 3],
];
/** How many test rounds a start that is this uncertain will likely need: fewest and most, by the sd of its error on the balance. */
export const likelyRounds = (sd: number): [number, number] => {
  const [, low, high] = ROUNDS.find(([most]) => sd <= most)!;
  return [low, high];
};

/** A service that touched hook, case, timing or tension unit makes what is known of the machine so much less sure. */
const SERVICED_SD = 0.1;

/**
 * What the finished searches of a studio say together: effects of machine, top, bobbin, batting and needle on the
 * balance, exact for the linear model, refitted from the log each time. A new combination starts from their sum.
 * @param serviced machines whose tension or hook was touched since their last search: their own effect is 0.10 wider.
 */
export function learnTension(
  searches: readonly LearnedSearch[],
  serviced: ReadonlySet<string> = new Set(),
): TensionLearning {
  const fit = fitEffects(
    searches.map((s) => ({
      y: s.mean,
      sd: s.sd,
      loads: loadsOf(s),
      group: groupOf(s),
      dropped: s.dropped,
      kept: s.kept,
    })),
    {
      priorSd: (effect) => (effect === AIR ? AIR_SD : EFFECT_SD[effect.split(' ')[0] as EffectKind]),
      groupSd: OWN_SD,
    },
  );
  const air = airOf(fit);
  const held = holdAgainst(fit, searches.length);
  const wider = (machineId: string) => {
    if (!serviced.has(machineId)) return 0;
    const sd = fit.effects.get(key('machine', machineId))?.sd ?? EFFECT_SD.machine;
    return (sd + SERVICED_SD) ** 2 - sd ** 2;
  };
  return {
    air,
    effects: [...fit.effects].flatMap(([effect, e]) => {
      if (effect === AIR) return [];
      const at = effect.indexOf(' ');
      return {
        kind: effect.slice(0, at) as EffectKind,
        id: effect.slice(at + 1),
        mean: e.mean,
        sd: effect.startsWith('machine ') && serviced.has(effect.slice(at + 1)) ? e.sd + SERVICED_SD : e.sd,
        searches: e.observations,
      };
    }),
    predict(c) {
      const loads = loadsOf(c, air?.shown ?? false);
      const { mean, variance } = fit.predict(loads, groupOf(c));
      const sd = Math.sqrt(variance + wider(c.machineId)) * held.widening;
      const [roundsLow, roundsHigh] = likelyRounds(sd);
      return { mean, sd, searches: fit.restsOn(loadsOf(c, false)), roundsLow, roundsHigh };
    },
    leftOut: [...fit.leftOut],
    surprise: fit.surprise,
    held: { bands: held.bands, inside: held.inside },
    widening: held.widening,
  };
}

/** What the fit says of the air. */
function airOf({ effects }: EffectsFit): AirEffect | null {
  const e = effects.get(AIR);
  if (!e || e.observations < LEAST_AIR) return null;
  return { mean: e.mean, sd: e.sd, searches: e.observations, shown: Math.abs(e.mean) > Z80 * e.sd };
}

/** Each search against what all the others say of it: about 80 % should lie within their 80 % bands. */
function holdAgainst(fit: EffectsFit, n: number): { bands: number; inside: number; widening: number } {
  const out = new Set(fit.leftOut);
  const last = Array.from({ length: n }, (_, i) => i)
    .filter((i) => !out.has(i))
    .slice(-HELD)
    .map((i) => Math.abs(fit.surprise[i]!));
  const inside = last.filter((z) => z <= Z80).length;
  const share = last.length > 0 ? inside / last.length : 0.8;
  if (last.length < LEAST_HELD || (share >= TOO_FEW && share <= TOO_MANY))
    return { bands: last.length, inside, widening: 1 };
  const at80 = [...last].sort((a, b) => a - b)[Math.floor(0.8 * (last.length - 1))]!;
  return { bands: last.length, inside, widening: clamp(at80 / normalQuantile(0.9), 0.6, 2) };
}
