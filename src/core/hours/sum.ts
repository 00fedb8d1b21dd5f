import { type LogNormal, logNormalOf, type Range, rangeOf } from '../statistics/log-normal';
import { ACTS, type HoursBelief, handEffects } from './factors';
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

/** Predicted minutes gathered by the factors that multiply them. */
function components(parts: Step['parts']): Map<string, Component> {
  const found = new Map<string, Component>();
  const add = (effects: readonly string[], minutes: number) => {
    if (minutes <= 0) return;
    const key = effects.join('\n');
    found.set(key, { effects, minutes: minutes + (found.get(key)?.minutes ?? 0) });
  };
  for (const p of parts) {
    add(handEffects(p), p.handsMin);
    add([ACTS], p.actsMin);
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
 * Mean and variance of the sum of steps: factors of hand, technique and acts are common to all of them, so their part
 * is added once, as a covariance; only the scatter of single steps is independent.
 */
export function minutesOf(steps: readonly Step[], belief: HoursBelief): MinutesMoments {
  const { fit, scatter } = belief;
  const all = [...components(steps.flatMap((s) => s.parts)).values()];
  if (all.length === 0) return { mean: 0, variance: 0 };
  const e = Math.exp(scatter ** 2 / 2);
  const mean =
    e *
    all.reduce((sum, c) => {
      const m = c.effects.reduce((s, x) => s + fit.mean(x), 0);
      const v = c.effects.reduce((s, x) => s + c.effects.reduce((t, y) => t + fit.covariance(x, y), 0), 0);
      return sum + c.minutes * Math.exp(m + v / 2);
    }, 0);
  const together = e ** 2 * secondMoment(all, belief);
  const apart = steps.reduce((s, step) => s + secondMoment([...components(step.parts).values()], belief), 0);
  const variance = together + (e ** 4 - e ** 2) * apart - mean ** 2;
  return { mean, variance: Math.max(0, variance) };
}

/** Real minutes of some steps as a log-normal; steps with no minutes at all have none. */
export function minutesLogNormal(steps: readonly Step[], belief: HoursBelief): LogNormal | null {
  const { mean, variance } = minutesOf(steps, belief);
  return mean > 0 ? logNormalOf(mean, variance) : null;
}

/**
 * Middle and 80 % range of the real minutes of some steps.
 * @example minutesRange([{ parts: [{ technique: 'swirls', handsMin: 40, actsMin: 5 }] }], NOTHING_LOGGED).mid // about 45
 */
export function minutesRange(steps: readonly Step[], belief: HoursBelief): Range {
  const sum = minutesLogNormal(steps, belief);
  return sum ? rangeOf(sum) : { low: 0, mid: 0, high: 0 };
}
