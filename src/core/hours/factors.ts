import { type EffectsFit, fitEffects, type Observation } from '../statistics/linear-effects';
import { type LoggedStep, type Part, predictedMin } from './step';

/**
 * How a studio's real minutes differ from the model's: a factor of the hand, one of each technique, one of the acts
 * (thread changes, stops …), each ln-normal about 1, and a scatter of single steps. Judgement until the log says
 * better. Where several people sew, each has a factor of her own beside the studio's, so that a hand that learns does not
 * make the others slow.
 */
export const PRIOR = {
  hand: 0.3,
  /** One person of several beside the studio's hand. */
  person: 0.2,
  technique: 0.25,
  acts: 0.35,
  setting: 0.35,
  scatter: 0.25,
} as const;
/** The prior scatter weighs as much as so many steps. */
const SCATTER_WEIGHT = 20;
const LINEARISED = 4;

export const HAND = 'hand';
export const ACTS = 'acts';
/** Thinking a figure out, marking it, moving to it. */
export const SETTING = 'setting out';
/** One person's own factor beside the studio's hand, where several sew. */
export const personEffect = (id: string) => `${PERSON}${id}`;
const PERSON = 'person ';
export const isPersonEffect = (effect: string): boolean => effect.startsWith(PERSON);

/** The name under which the log learns how long one technique takes in this studio (a factor on minutes, unit-less). */
export const techniqueEffect = (id: string) => `technique ${id}`;

/** What the log says of a studio's hands. */
export interface HoursBelief {
  fit: EffectsFit;
  /** Spread of one step about its own prediction, on the logarithm. */
  scatter: number;
  /** Steps it rests on. */
  steps: number;
}

const priorSd = (effect: string) =>
  ({ [HAND]: PRIOR.hand, [ACTS]: PRIOR.acts, [SETTING]: PRIOR.setting })[effect] ??
  (isPersonEffect(effect) ? PRIOR.person : PRIOR.technique);

/** Effects a part's hands, or its acts, are multiplied by. */
export const handEffects = (p: Pick<Part, 'technique'>) => [HAND, techniqueEffect(p.technique)] as const;

/** ln(minutes/predicted) with each factor weighted by its share, linearised about the factors believed so far. */
function linearised(
  s: LoggedStep,
  mean: (effect: string) => number,
  sd: number,
  several: boolean,
): Observation {
  const weights = new Map<string, number>();
  let total = 0;
  const add = (effect: string, w: number) => weights.set(effect, (weights.get(effect) ?? 0) + w);
  const own = several && s.by !== undefined ? [personEffect(s.by)] : [];
  for (const p of s.parts) {
    const effects = [...handEffects(p), ...own];
    const hands = p.handsMin * Math.exp(effects.reduce((sum, e) => sum + mean(e), 0));
    const acts = p.actsMin * Math.exp(mean(ACTS));
    const setting = (p.setMin ?? 0) * Math.exp(mean(SETTING));
    total += hands + acts + setting;
    for (const e of effects) if (hands > 0) add(e, hands);
    if (acts > 0) add(ACTS, acts);
    if (setting > 0) add(SETTING, setting);
  }
  const loads = [...weights].map(([e, w]) => [e, w / total] as const);
  const offset = loads.reduce((sum, [e, w]) => sum + w * mean(e), 0);
  return { y: Math.log(s.minutes / total) + offset, sd, loads };
}

const sound = (s: LoggedStep) => s.minutes > 0 && predictedMin(s) > 0;

/**
 * Learns the factors from logged steps: the linear model of all learning on ln(real/predicted minutes), linearised a
 * few times about its own answer (Gauss–Newton), with the scatter drawn from 0.25 towards what the steps show. Steps
 * without an honest prediction teach nothing.
 */
export function learnHours(logged: readonly LoggedStep[]): HoursBelief {
  const steps = logged.filter(sound);
  let scatter: number = PRIOR.scatter;
  let fit = fitEffects([], { priorSd });
  // One alone is the studio's hand.
  const several = new Set(steps.map((s) => s.by)).size > 1;
  if (steps.length === 0) return { fit, scatter, steps: 0 };
  for (let i = 0; i < LINEARISED; i++) {
    const observations = steps.map((s) => linearised(s, fit.mean, scatter, several));
    fit = fitEffects(observations, { priorSd });
    const out = new Set(fit.leftOut);
    // Leave-one-out residuals in sd: their mean square is 1 when the scatter is right.
    const inside = fit.surprise.filter((_, k) => !out.has(k));
    const squares = inside.reduce((sum, z) => sum + z ** 2, 0) * scatter ** 2;
    scatter = Math.sqrt((SCATTER_WEIGHT * PRIOR.scatter ** 2 + squares) / (SCATTER_WEIGHT + inside.length));
  }
  return { fit, scatter, steps: steps.length };
}

/** Belief before anything is logged. */
export const NOTHING_LOGGED: HoursBelief = learnHours([]);
