import { type LogNormal, logNormalOf, type Range, rangeOf } from '../statistics/log-normal';
import { ACTS, type HoursBelief, handEffects, SETTING } from './factors';
import type { Step } from './step';

/** Mean and variance of the real minutes of some steps, with what they share. */
export interface MinutesMoments {
  mean: number;
  variance: number;
}

interface Component {
  effects: readonly string[];
  minutes: number;
}
type Components = ReadonlyMap<string, Component>;

/** Steps added up, so that a queue grows by what is added to it and is never reckoned anew. */
export interface MinutesTally {
  /** Predicted minutes by the factors that multiply them. */
  together: Components;
  /** Second moments of single steps, added up: only their scatter is their own. */
  apart: number;
  /** Middles of single steps, added up. */
  mid: number;
}
export const NO_MINUTES: MinutesTally = { together: new Map(), apart: 0, mid: 0 };

function gather(before: Components, parts: Step['parts']): Map<string, Component> {
  const found = new Map(before);
  const add = (effects: readonly string[], minutes: number) => {
    if (minutes <= 0) return;
    const key = effects.join('\n');
    found.set(key, { effects, minutes: minutes + (found.get(key)?.minutes ?? 0) });
  };
  for (const p of parts) {
    add(handEffects(p), p.handsMin);
    add([ACTS], p.actsMin);
    add([SETTING], p.setMin ?? 0);
  }
  return found;
}

/** E[ΣΣ cᵢcⱼ·exp(fᵢ + fⱼ)] for log-normal factors that may share effects. */
function secondMoment(list: readonly Component[], belief: HoursBelief): number {
  const { fit } = belief;
  const mean = (c: Component) => c.effects.reduce((s, e) => s + fit.mean(e), 0);
  const cov = (a: Component, b: Component) =>
    a.effects.reduce((s, x) => s + b.effects.reduce((t, y) => t + fit.covariance(x, y), 0), 0);
  const own = list.map((c) => ({ c, m: c.minutes * Math.exp(mean(c) + cov(c, c) / 2) }));
  return own.reduce((sum, a) => sum + own.reduce((t, b) => t + a.m * b.m * Math.exp(cov(a.c, b.c)), 0), 0);
}

/**
 * The middle of one step's real minutes: hands and acts, each by what the log says of them. Minutes of several steps are
 * these added up, so that a page never says another number than the steps it lists.
 */
export const midMinutes = (step: Step, { fit }: HoursBelief): number =>
  step.parts.reduce(
    (sum, p) =>
      sum +
      p.handsMin * Math.exp(handEffects(p).reduce((s, e) => s + fit.mean(e), 0)) +
      p.actsMin * Math.exp(fit.mean(ACTS)) +
      (p.setMin ?? 0) * Math.exp(fit.mean(SETTING)),
    0,
  );

/** Some steps added to those before. */
export const withSteps = (
  before: MinutesTally,
  steps: readonly Step[],
  belief: HoursBelief,
): MinutesTally => ({
  together: gather(
    before.together,
    steps.flatMap((s) => s.parts),
  ),
  apart: steps.reduce(
    (s, step) => s + secondMoment([...gather(new Map(), step.parts).values()], belief),
    before.apart,
  ),
  mid: steps.reduce((s, step) => s + midMinutes(step, belief), before.mid),
});

/** Mean and variance of what was added up: the factors of hand, technique and acts are common, so their part counts once. */
export function momentsOf(tally: MinutesTally, { fit, scatter }: HoursBelief): MinutesMoments {
  const all = [...tally.together.values()];
  if (all.length === 0) return { mean: 0, variance: 0 };
  const e = Math.exp(scatter ** 2 / 2);
  const mean =
    e *
    all.reduce((sum, c) => {
      const m = c.effects.reduce((s, x) => s + fit.mean(x), 0);
      const v = c.effects.reduce((s, x) => s + c.effects.reduce((t, y) => t + fit.covariance(x, y), 0), 0);
      return sum + c.minutes * Math.exp(m + v / 2);
    }, 0);
  const together = e ** 2 * secondMoment(all, { fit, scatter, steps: 0 });
  const variance = together + (e ** 4 - e ** 2) * tally.apart - mean ** 2;
  return { mean, variance: Math.max(0, variance) };
}

/** What was added up as a log-normal; nothing where there are no minutes at all. */
export function logNormalOfTally(tally: MinutesTally, belief: HoursBelief): LogNormal | null {
  const { mean, variance } = momentsOf(tally, belief);
  return mean > 0 ? logNormalOf(mean, variance) : null;
}

/** Mean and variance of the sum of some steps. */
export const minutesOf = (steps: readonly Step[], belief: HoursBelief): MinutesMoments =>
  momentsOf(withSteps(NO_MINUTES, steps, belief), belief);

/**
 * Middle and 80 % range of the real minutes of some steps.
 * @example minutesRange([{ parts: [{ technique: 'swirls', handsMin: 40, actsMin: 5 }] }], NOTHING_LOGGED).mid // about 45
 */
export function minutesRange(steps: readonly Step[], belief: HoursBelief): Range {
  const sum = logNormalOfTally(withSteps(NO_MINUTES, steps, belief), belief);
  return sum ? rangeOf(sum) : { low: 0, mid: 0, high: 0 };
}

/**
 * The same as it is shown beside the steps it is made of: the middle is the sum of theirs. (The middle of a sum lies a
 * little above the sum of the middles, at most some 3 %; the range holds both.)
 */
export const minutesOfSteps = (steps: readonly Step[], belief: HoursBelief): Range =>
  shownRange(withSteps(NO_MINUTES, steps, belief), belief);

/** The range of minutes shown to a person: what is certain plus the log-normal 80 % of what is believed (minutes). */
export function shownRange(tally: MinutesTally, belief: HoursBelief): Range {
  const sum = logNormalOfTally(tally, belief);
  return sum ? { ...rangeOf(sum), mid: tally.mid } : { low: 0, mid: 0, high: 0 };
}
