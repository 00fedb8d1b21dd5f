import type { Caution, Reason } from '../notes';
import type { CriterionOf } from './criteria';
import { CRITERIA } from './weights';

/** What all criteria together say: weighted penalties, their sum, and the sentences. */
export interface Weighed {
  total: number;
  parts: Record<string, number>;
  reasons: Reason[];
  cautions: Caution[];
}

/** Judges by each criterion and weighs the penalties by CRITERIA. */
export function weigh<C>(criteria: readonly CriterionOf<C>[], context: C): Weighed {
  const out: Weighed = { total: 0, parts: {}, reasons: [], cautions: [] };
  for (const criterion of criteria) {
    const { penalty, reason, caution } = criterion.judge(context);
    const part = CRITERIA[criterion.id].weight * penalty;
    out.parts[criterion.id] = part;
    out.total += part;
    // Marked in place: a judgement is made anew each time, and ten thousand copies a match are felt.
    if (reason) out.reasons.push(Object.assign(reason, { from: criterion.id }));
    if (caution) out.cautions.push(Object.assign(caution, { from: criterion.id }));
  }
  return out;
}

/** What all criteria together cost, without their sentences. */
export const costOf = <C>(criteria: readonly CriterionOf<C>[], context: C): number =>
  criteria.reduce((sum, c) => sum + CRITERIA[c.id].weight * c.judge(context).penalty, 0);
