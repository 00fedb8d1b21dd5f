import {
  causes,
  checks,
  contextFacts,
  contextLikelihoods,
  baseRates,
  likelihoods,
} from '../faults/knowledge';
import type { FaultEpisode } from '../faults/diagnose';
import { symptoms } from '../tables/symptoms';

/** Numbers between 0 and 1 from a seed (Mulberry32). */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A standard normal number from two even ones. */
export const gaussian = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/**
 * A studio whose true figures are off the shipped ones (by `spread` on the logit), and whose quilter tells only part.
 * It has faults with a cause, and answers checks by that cause.
 */
export function faultWorld(seed: number, spread = 0.5, told = 0.8) {
  const random = seeded(seed);
  const off = (p: number) => {
    const x = Math.log(Math.max(1e-4, p) / Math.max(1e-4, 1 - p)) + spread * gaussian(random);
    return 1 / (1 + Math.exp(-x));
  };
  const listed = new Map(likelihoods.map((l) => [`${l.cause} ${l.symptom}`, l.p]));
  const truth = new Map(
    causes.ids.map((c) => [
      c,
      symptoms.ids.map((s) => [s, off(listed.get(`${c} ${s}`) ?? baseRates[s] ?? 0.01)] as const),
    ]),
  );
  const weights = causes.rows.map((c) => c.prior * Math.exp(spread * gaussian(random)));
  const total = weights.reduce((a, b) => a + b, 0);
  const pick = <T>(of: readonly (readonly [T, number])[]): T => {
    const sum = of.reduce((s, [, p]) => s + p, 0);
    let x = random() * sum;
    for (const [v, p] of of) if ((x -= p) <= 0) return v;
    return of.at(-1)![0];
  };
  const spreadOver = (
    values: readonly string[],
    usual: Readonly<Record<string, number>>,
    own: Map<string, number>,
  ) => {
    const left = Math.max(0, 1 - [...own.values()].reduce((a, b) => a + b, 0));
    const rest = values.filter((v) => !own.has(v)).reduce((s, v) => s + (usual[v] ?? 0), 0);
    return values.map(
      (v) => [v, off(own.get(v) ?? (rest > 0 ? (left * (usual[v] ?? 0)) / rest : 0))] as const,
    );
  };
  const outcomes = new Map<string, readonly (readonly [string, number])[]>();
  const outcomesOf = (cause: string, id: string) => {
    const key = `${cause} ${id}`;
    if (!outcomes.has(key)) {
      const check = checks.get(id);
      const own = new Map(check.likelihoods.filter((l) => l.cause === cause).map((l) => [l.outcome, l.p]));
      outcomes.set(
        key,
        spreadOver(
          check.outcomes.map((o) => o.id),
          check.defaultOutcomeP,
          own,
        ),
      );
    }
    return outcomes.get(key)!;
  };
  return {
    random,
    answer: (cause: string, check: string) => pick(outcomesOf(cause, check)),
    episode(): FaultEpisode {
      for (;;) {
        const cause = pick(causes.rows.map((c, i) => [c.id, weights[i]! / total] as const));
        const there = truth
          .get(cause)!
          .filter(([, p]) => random() < p)
          .map(([s]) => s);
        const seen = there.filter(() => random() < told);
        if (seen.length === 0) continue;
        const facts: Record<string, string> = {};
        for (const f of contextFacts.rows) {
          if (random() > f.answerRate * told) continue;
          const own = new Map(
            contextLikelihoods.filter((l) => l.cause === cause && l.fact === f.id).map((l) => [l.value, l.p]),
          );
          facts[f.id] = pick(spreadOver(f.values, f.base, own));
        }
        return { cause, seen, facts };
      }
    },
  };
}
