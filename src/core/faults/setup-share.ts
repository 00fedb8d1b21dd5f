import { CoreError } from '../notes';
import { normalCdf } from '../statistics/normal';
import {
  type Cause,
  type Clause,
  LEAST_MODIFIED,
  MOST_MODIFIED,
  type SetupFact,
  setupFacts,
} from './knowledge';
import { SETUP_WORDS } from './setup-words';

/** What is known of the set-up at the fault, by fact. */
export type SetupAnswers = Readonly<Record<string, string | number | boolean | readonly string[]>>;

type Value = string | number | boolean | readonly string[];

function holds({ op, value }: Clause, known: Value): boolean {
  const elements = () => (Array.isArray(known) ? (known as readonly string[]) : [String(known)]);
  switch (op) {
    case '==':
      return String(known) === String(value);
    case '!=':
      return String(known) !== String(value);
    case 'in':
      return (value as readonly (string | number)[]).map(String).includes(String(known));
    case 'has':
      return elements().includes(String(value));
    case 'lacks':
      return !elements().includes(String(value));
    case '>':
      return Number(known) > Number(value);
    case '>=':
      return Number(known) >= Number(value);
    case '<':
      return Number(known) < Number(value);
    case '<=':
      return Number(known) <= Number(value);
  }
}

/** Share of a studio's set-ups below a number. */
function shareBelow(fact: Extract<SetupFact, { type: 'number' }>, x: number): number {
  const { mix } = fact;
  if (mix.dist === 'exponential') return x <= 0 ? 0 : 1 - Math.exp(-x / mix.mean);
  if (mix.dist === 'lognormal') return x <= 0 ? 0 : normalCdf(Math.log(x / mix.median) / mix.sigma);
  const at = (v: number) => normalCdf((v - mix.mean) / mix.sd);
  const within = Math.min(mix.max, Math.max(mix.min, x));
  return (at(within) - at(mix.min)) / (at(mix.max) - at(mix.min));
}

/** The values of an unknown fact that the clauses tell apart, with their shares of the studio's mix. */
function casesOf(fact: SetupFact, clauses: readonly Clause[]): { value: Value; share: number }[] {
  if (fact.type === 'number') {
    const cuts = [...new Set(clauses.map((c) => Number(c.value)))].sort((a, b) => a - b);
    const below = cuts.map((x) => shareBelow(fact, x));
    return [...cuts, Infinity].map((cut, i) => {
      const from = cuts[i - 1];
      const value = from === undefined ? cut - 1 : cut === Infinity ? from + 1 : (from + cut) / 2;
      return { value, share: (below[i] ?? 1) - (below[i - 1] ?? 0) };
    });
  }
  if (fact.type === 'boolean') {
    const share = fact.mix.true ?? 0;
    return [
      { value: true, share },
      { value: false, share: 1 - share },
    ];
  }
  if (fact.type === 'category') return Object.entries(fact.mix).map(([value, share]) => ({ value, share }));
  // Of a set each element is there or not, by itself.
  const elements = [...new Set(clauses.map((c) => String(c.value)))];
  return elements.reduce<{ value: readonly string[]; share: number }[]>(
    (cases, element) => {
      const p = fact.mix[element] ?? 0;
      return cases.flatMap((c) => [
        { value: [...c.value, element], share: c.share * p },
        { value: c.value, share: c.share * (1 - p) },
      ]);
    },
    [{ value: [], share: 1 }],
  );
}

/**
 * How much likelier (above 1) a cause is with this set-up than over the studio's mix: the product of its multipliers,
 * held within bounds and averaged over what is not known, over the same average when nothing is known.
 */
export function setupShare(cause: Cause, known: SetupAnswers): number {
  const clauses = new Map<string, Clause[]>();
  for (const { test } of cause.modifiers)
    for (const clause of test) clauses.set(clause.fact, [...(clauses.get(clause.fact) ?? []), clause]);
  let cases: { values: Record<string, Value>; share: number }[] = [{ values: {}, share: 1 }];
  for (const [id, asked] of clauses) {
    const own = known[id];
    const options = own === undefined ? casesOf(setupFacts.get(id), asked) : [{ value: own, share: 1 }];
    cases = cases.flatMap(({ values, share }) =>
      options.map((o) => ({ values: { ...values, [id]: o.value }, share: share * o.share })),
    );
  }
  const product = (values: Record<string, Value>) =>
    cause.modifiers.reduce(
      (x, m) => (m.test.every((c) => holds(c, values[c.fact]!)) ? x * m.multiply : x),
      1,
    );
  const mean = cases.reduce(
    (sum, { values, share }) =>
      sum + share * Math.min(MOST_MODIFIED, Math.max(LEAST_MODIFIED, product(values))),
    0,
  );
  return mean / cause.modifierMean;
}

/** The reasons in this set-up that speak for or against a cause, from what is known. */
export const setupReasons = (cause: Cause, known: SetupAnswers): { why: string; multiply: number }[] =>
  cause.modifiers
    .filter((m) => m.test.every((c) => known[c.fact] !== undefined && holds(c, known[c.fact]!)))
    .map(({ why, multiply }) => ({ why, multiply }));

/**
 * Checks the names and values of what is told of a set-up, in the words of the fault knowledge or the ids of the tables;
 * what the tables know and the fault knowledge says nothing of is let go.
 * @throws CoreError `bad-fact` when a number is told in words or the other way about, `unknown-id` for a fact or a
 * value that stands nowhere.
 */
export function readSetup(told: Readonly<Record<string, unknown>> = {}): SetupAnswers {
  const known: Record<string, Value> = {};
  for (const [id, value] of Object.entries(told)) {
    if (value === null || value === undefined) continue;
    const fact = setupFacts.get(id, `setup.${id}`);
    const bad = (want: string) =>
      new CoreError('bad-fact', `“${fact.label}” must be ${want}.`, `setup.${id}`);
    if (fact.type === 'number') {
      if (typeof value !== 'number' || !Number.isFinite(value)) throw bad('a number');
      known[id] = value;
    } else if (fact.type === 'boolean') {
      if (typeof value !== 'boolean') throw bad('yes or no');
      known[id] = value;
    } else if (fact.type === 'set') {
      if (!Array.isArray(value) || !value.every((v) => typeof v === 'string')) throw bad('a list');
      known[id] = (value as string[]).flatMap((v) => categoryOf(fact, v) ?? []);
    } else {
      if (typeof value !== 'string' && typeof value !== 'number') throw bad('one of its values');
      const name = categoryOf(fact, value);
      if (name !== null) known[id] = name;
    }
  }
  return known;
}

/** A category by its name or the tables' id for it; of sizes the nearest; null for what nothing is said of. */
function categoryOf(
  fact: Extract<SetupFact, { mix: Readonly<Record<string, number>> }>,
  value: string | number,
): string | null {
  const { ids = [], words = {} } = SETUP_WORDS[fact.id] ?? {};
  const name = words[String(value)] ?? String(value);
  const names = Object.keys(fact.mix);
  if (names.includes(name)) return name;
  if (names.every((n) => Number.isFinite(Number(n))) && value !== '' && Number.isFinite(Number(value)))
    return names.reduce((best, n) =>
      Math.abs(Number(n) - Number(value)) < Math.abs(Number(best) - Number(value)) ? n : best,
    );
  if (ids.includes(name)) return null;
  throw new CoreError(
    'unknown-id',
    `“${value}” is not known for “${fact.label}”. Known: ${[...new Set([...names, ...ids])].join(', ')}.`,
    `setup.${fact.id}`,
  );
}
