import type { Caution, Reason } from '../notes';
import type { CriterionOf } from './criteria/criterion';

/** Weighted penalties by criterion, and their sum. */
export interface Weighed {
  total: number;
  parts: Record<string, number>;
}

/** Judges by each criterion and weighs the penalties: numbers only. */
export function weigh<C>(criteria: readonly CriterionOf<C>[], context: C): Weighed {
  const out: Weighed = { total: 0, parts: {} };
  for (const criterion of criteria) {
    const part = criterion.weight * criterion.cost(context);
    out.parts[criterion.id] = part;
    out.total += part;
  }
  return out;
}

/** What all criteria together cost. */
export function costOf<C>(criteria: readonly CriterionOf<C>[], context: C): number {
  let total = 0;
  for (const c of criteria) total += c.weight * c.cost(context);
  return total;
}

/** The sentences of what was weighed, each marked with its criterion. */
export function sayOf<C>(
  criteria: readonly CriterionOf<C>[],
  context: C,
): { reasons: Reason[]; cautions: Caution[] } {
  const reasons: Reason[] = [];
  const cautions: Caution[] = [];
  for (const c of criteria) {
    if (!c.say) continue;
    const { reason, caution } = c.say(context, c.cost(context));
    if (reason) reasons.push({ ...reason, from: c.id });
    if (caution) cautions.push({ ...caution, from: c.id });
  }
  return { reasons, cautions };
}
