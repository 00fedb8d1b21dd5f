import { CoreError } from '../notes';
import { symptoms } from '../tables/symptoms';
import {
  baseRates,
  type Cause,
  causes,
  type Check,
  checks,
  contextFacts,
  contextLikelihoods,
  likelihoods,
} from './knowledge';
import { readSetup, type SetupAnswers, setupReasons, setupShare } from './setup-share';

/** What was answered of a fault so far. */
export interface FaultEvidence {
  /** Symptoms seen. */
  seen: readonly string[];
  /** Looked for, and not there. What was not looked for is neither. */
  absent?: readonly string[];
  /** When and where it shows. */
  facts?: Readonly<Record<string, string>>;
  /** What is known of the set-up. */
  setup?: Readonly<Record<string, unknown>>;
  /** Checks made, with what they told. */
  done?: readonly { check: string; outcome: string }[];
}

/** A fault of the studio's own whose cause was confirmed. */
export type FaultEpisode = FaultEvidence & { cause: string };

export interface DiagnosedCause {
  id: string;
  label: string;
  /** 0–1. */
  p: number;
  remedy: readonly string[];
  confirm: string;
  stopWork: boolean;
  technician: boolean;
  /** What in this set-up speaks for it (above 1) or against. */
  reasons: { why: string; multiply: number }[];
  /** Confirmed episodes of the studio's own with this cause. */
  episodes: number;
}

export interface NextCheck {
  check: string;
  label: string;
  minutes: number;
  /** Expected gain of information, bits. */
  gainBits: number;
  steps: readonly string[];
  caution?: string;
}

export interface Diagnosis {
  causes: DiagnosedCause[];
  next: NextCheck | null;
  /** A check made the fault stop. */
  resolved: boolean;
}

/** The shipped figures weigh as much as so many confirmed episodes of each cause. */
const WORTH = 40;
/** How often a symptom that is there is also told. */
const TOLD = 0.8;
/** No outcome is quite impossible. */
const LEAST = 0.002;
/** From this chance on a cause that forbids to sew on is settled before any other. */
const STOP_FIRST = 0.1;
/** A check that tells less than this is not worth its minutes, bits. */
const LEAST_GAIN = 0.005;
/** The outcome of a check that made the fault stop. */
const GONE = 'gone';

/** Every figure, as shipped and moved by the studio's confirmed episodes. */
export interface FaultBook {
  prior: ReadonlyMap<string, number>;
  episodes: ReadonlyMap<string, number>;
  symptom(cause: string, symptom: string): number;
  fact(cause: string, fact: string, value: string): number;
  outcome(cause: string, check: string, outcome: string): number;
  /** The chance that nothing at all is seen of a cause. */
  nothingSeen(cause: string): number;
  /** The chance of an outcome for each cause, in the order of the table. */
  outcomes(check: string, outcome: string): readonly number[];
}

const pairKey = (...ids: string[]) => ids.join(' ');

/** Listed values stand; what is left of 1 is shared over the others in proportion to how common they are. */
function shared(
  values: readonly string[],
  usual: Readonly<Record<string, number>>,
  listed: ReadonlyMap<string, number> | undefined,
): Map<string, number> {
  const left = 1 - [...(listed?.values() ?? [])].reduce((a, b) => a + b, 0);
  const others = values.filter((v) => !listed?.has(v));
  const common = others.reduce((sum, v) => sum + (usual[v] ?? 0), 0);
  const raw = values.map(
    (v) =>
      [
        v,
        Math.max(LEAST, listed?.get(v) ?? (common > 0 ? (Math.max(0, left) * (usual[v] ?? 0)) / common : 0)),
      ] as const,
  );
  const sum = raw.reduce((s, [, p]) => s + p, 0);
  return new Map(raw.map(([v, p]) => [v, p / sum]));
}

function nested(rows: readonly { key: string; value: string; p: number }[]) {
  const map = new Map<string, Map<string, number>>();
  for (const { key, value, p } of rows) {
    const own = map.get(key);
    if (own) own.set(value, p);
    else map.set(key, new Map([[value, p]]));
  }
  return map;
}

const shippedSymptoms = new Map(likelihoods.map((l) => [pairKey(l.cause, l.symptom), l.p]));
const listedFacts = nested(
  contextLikelihoods.map((l) => ({ key: pairKey(l.cause, l.fact), value: l.value, p: l.p })),
);
const shippedFacts = new Map(
  causes.ids.flatMap((c) =>
    contextFacts.rows.map(
      (f) => [pairKey(c, f.id), shared(f.values, f.base, listedFacts.get(pairKey(c, f.id)))] as const,
    ),
  ),
);
const shippedOutcomes = new Map(
  checks.rows.flatMap((check) => {
    const listed = nested(check.likelihoods.map((l) => ({ key: l.cause, value: l.outcome, p: l.p })));
    const names = check.outcomes.map((o) => o.id);
    return causes.ids.map(
      (c) => [pairKey(c, check.id), shared(names, check.defaultOutcomeP, listed.get(c))] as const,
    );
  }),
);
const shippedSymptom = (cause: string, symptom: string) =>
  shippedSymptoms.get(pairKey(cause, symptom)) ?? baseRates[symptom] ?? LEAST;

/** Each answer worked out once. */
function once<T>(work: (key: string) => T): (key: string) => T {
  const known = new Map<string, T>();
  return (key) => {
    if (!known.has(key)) known.set(key, work(key));
    return known.get(key)!;
  };
}

/**
 * The figures moved by the studio's confirmed episodes (Dirichlet and Beta counts; the shipped figures count as 40
 * episodes of each cause). A symptom an episode does not name counts as there in part: it may not have been told.
 * @throws CoreError `unknown-id`, for a cause, symptom, fact or check that is not known.
 */
export function faultBook(learned: readonly FaultEpisode[] = []): FaultBook {
  const counts = new Map<string, number>();
  const add = (key: string, by = 1) => counts.set(key, (counts.get(key) ?? 0) + by);
  const episodes = new Map<string, number>();
  for (const [i, e] of learned.entries()) {
    causes.get(e.cause, `learned.${i}.cause`);
    checkEvidence(e, `learned.${i}.`);
    episodes.set(e.cause, (episodes.get(e.cause) ?? 0) + 1);
    const [seen, absent] = [new Set(e.seen), new Set(e.absent)];
    for (const s of symptoms.ids) {
      const p = shippedSymptom(e.cause, s);
      const there = seen.has(s) ? 1 : absent.has(s) ? 0 : (p * (1 - TOLD)) / (p * (1 - TOLD) + 1 - p);
      add(pairKey(e.cause, s), there);
    }
    for (const [fact, value] of Object.entries(e.facts ?? {})) {
      add(pairKey(e.cause, fact));
      add(pairKey(e.cause, fact, value));
    }
    for (const d of e.done ?? []) {
      add(pairKey(e.cause, 'check', d.check));
      add(pairKey(e.cause, 'check', d.check, d.outcome));
    }
  }
  const moved = (p: number, hits: number, of: number) => (WORTH * p + hits) / (WORTH + of);
  const all = WORTH * causes.rows.length;
  const told = (key: string) => counts.get(key) ?? 0;
  const outcome = (c: string, check: string, o: string) =>
    moved(
      shippedOutcomes.get(pairKey(c, check))!.get(o)!,
      told(pairKey(c, 'check', check, o)),
      told(pairKey(c, 'check', check)),
    );
  const symptom = (c: string, s: string) =>
    moved(shippedSymptom(c, s), told(pairKey(c, s)), episodes.get(c) ?? 0);
  const outcomesOf = once((key) => {
    const [check, o] = key.split(' ') as [string, string];
    return causes.ids.map((c) => outcome(c, check, o));
  });
  return {
    episodes,
    prior: new Map(
      causes.rows.map((c) => [c.id, (all * c.prior + (episodes.get(c.id) ?? 0)) / (all + learned.length)]),
    ),
    symptom,
    fact: (c, f, v) =>
      moved(shippedFacts.get(pairKey(c, f))!.get(v)!, told(pairKey(c, f, v)), told(pairKey(c, f))),
    outcome,
    nothingSeen: once((c) => symptoms.ids.reduce((p, s) => p * (1 - symptom(c, s)), 1)),
    outcomes: (check, o) => outcomesOf(pairKey(check, o)),
  };
}

/** The figures as they ship. */
const SHIPPED = faultBook();

/** Refuses ids that are not known, and answers that contradict each other. */
function checkEvidence({ seen, absent = [], facts = {}, done = [] }: FaultEvidence, at = ''): void {
  seen.forEach((s, i) => symptoms.get(s, `${at}seen.${i}`));
  absent.forEach((s, i) => symptoms.get(s, `${at}absent.${i}`));
  const both = seen.find((s) => absent.includes(s));
  if (both)
    throw new CoreError(
      'contradiction',
      `“${symptoms.get(both).label}” cannot be seen and not there at once. Take one of the two back.`,
      `${at}absent`,
    );
  for (const [id, value] of Object.entries(facts)) {
    const fact = contextFacts.get(id, `${at}facts.${id}`);
    if (!fact.values.includes(value))
      throw new CoreError(
        'unknown-id',
        `“${value}” is no answer to “${fact.label}” Known: ${fact.values.join(', ')}.`,
        `${at}facts.${id}`,
      );
  }
  done.forEach((d, i) => {
    const check = checks.get(d.check, `${at}done.${i}.check`);
    if (!check.outcomes.some((o) => o.id === d.outcome))
      throw new CoreError(
        'unknown-id',
        `“${d.outcome}” is no outcome of “${check.label}”. Known: ${check.outcomes.map((o) => o.id).join(', ')}.`,
        `${at}done.${i}.outcome`,
      );
  });
}

/** Chances of all causes from what was answered, in the order of the table; they add up to 1. */
function beliefs(evidence: FaultEvidence, known: SetupAnswers, book: FaultBook): number[] {
  const seen = [...new Set(evidence.seen)];
  const absent = [...new Set(evidence.absent)];
  const logs = causes.rows.map((c) => {
    let log = 0;
    for (const s of seen) log += Math.log(Math.max(LEAST, book.symptom(c.id, s)));
    for (const s of absent) log += Math.log(Math.max(LEAST, 1 - book.symptom(c.id, s)));
    if (seen.length > 0) {
      // A fault is only reported when something is seen.
      log -= Math.log(Math.max(LEAST, 1 - book.nothingSeen(c.id)));
    }
    for (const [f, v] of Object.entries(evidence.facts ?? {})) log += Math.log(book.fact(c.id, f, v));
    for (const d of evidence.done ?? []) log += Math.log(book.outcome(c.id, d.check, d.outcome));
    return log + Math.log(book.prior.get(c.id)! * setupShare(c, known));
  });
  return normalised(logs);
}

function normalised(logs: readonly number[]): number[] {
  const most = Math.max(...logs);
  const weights = logs.map((l) => Math.exp(l - most));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / sum);
}

const bits = (p: readonly number[]) => p.reduce((h, x) => (x > 0 ? h - x * Math.log2(x) : h), 0);

/** Expected gain of a check: how much less is open after it. A fault that stops leaves nothing open. */
function gainOf(
  check: Check,
  p: readonly number[],
  book: FaultBook,
  open: (p: readonly number[]) => number,
): number {
  let after = 0;
  for (const { id: outcome } of check.outcomes) {
    const likely = book.outcomes(check.id, outcome);
    const chance = likely.reduce((sum, l, i) => sum + l * p[i]!, 0);
    if (outcome === GONE || chance <= 0) continue;
    const weights = likely.map((l, i) => p[i]! * l);
    const sum = weights.reduce((a, b) => a + b, 0);
    after += chance * open(weights.map((w) => w / sum));
  }
  return open(p) - after;
}

/** Of two kinds of cause, whether it is one of the first. */
const halves = (of: (c: Cause) => boolean) => (p: readonly number[]) => {
  const share = causes.rows.reduce((sum, c, i) => (of(c) ? sum + p[i]! : sum), 0);
  return bits([share, 1 - share]);
};

/** Checks that tell nearly as much a minute as the best are ordered as a technician would: from this share of it on. */
const NEARLY = 2 / 3;
/** Whether a check asks for something that lies in no usual drawer, or is used up by it. */
const wantsPart = (c: Check): boolean =>
  c.tools.some((t) => /spare|new needle|one size|known good|technician/.test(t));

/**
 * The check that tells most a minute; of those nearly as good the one that tests the likeliest cause and wants no spare
 * part. One that settles a cause which forbids to sew on comes first.
 */
function nextCheck(p: readonly number[], done: ReadonlySet<string>, book: FaultBook): NextCheck | null {
  const left = checks.rows.filter((c) => !done.has(c.id));
  const first = causes.rows[p.indexOf(Math.max(...p))]!;
  const tests = halves((c) => c === first);
  const best = (open: (p: readonly number[]) => number) => {
    const told = left
      .map((check) => ({ check, gain: gainOf(check, p, book, open) }))
      .filter(({ gain }) => gain > LEAST_GAIN)
      .sort((a, b) => b.gain / b.check.minutes - a.gain / a.check.minutes);
    const most = told[0] ? told[0].gain / told[0].check.minutes : 0;
    return told
      .filter(({ check, gain }) => gain / check.minutes >= NEARLY * most)
      .map(({ check }) => ({ check, part: wantsPart(check), of: gainOf(check, p, book, tests) }))
      .sort((a, b) => Number(a.part) - Number(b.part) || b.of - a.of)[0];
  };
  const stops = new Set(causes.rows.filter((c, i) => c.stopWork && p[i]! > STOP_FIRST).map((c) => c.id));
  const found = (stops.size > 0 && best(halves((c) => stops.has(c.id)))) || best(bits);
  if (!found) return null;
  const { check } = found;
  return {
    check: check.id,
    label: check.label,
    minutes: check.minutes,
    gainBits: gainOf(check, p, book, bits),
    steps: check.steps,
    ...(check.safety ? { caution: check.safety } : {}),
  };
}

/**
 * The likely causes of a stitch fault, likeliest first, and the check to make next: naive Bayes over symptoms seen and
 * not there, when it shows, the set-up and the checks made; the check by expected information a minute.
 * @throws CoreError `unknown-id` for what is not in the tables, `contradiction` when a symptom is both, `bad-fact`.
 */
export function diagnose(evidence: FaultEvidence, book: FaultBook = SHIPPED): Diagnosis {
  checkEvidence(evidence);
  const known = readSetup(evidence.setup);
  const p = beliefs(evidence, known, book);
  const resolved = (evidence.done ?? []).some((d) => d.outcome === GONE);
  const ranked = causes.rows
    .map((c, i) => ({
      id: c.id,
      label: c.label,
      p: p[i]!,
      remedy: c.remedy,
      confirm: c.confirm,
      stopWork: c.stopWork,
      technician: c.technician,
      reasons: setupReasons(c, known),
      episodes: book.episodes.get(c.id) ?? 0,
    }))
    .sort((a, b) => b.p - a.p);
  const done = new Set((evidence.done ?? []).map((d) => d.check));
  return { causes: ranked, next: resolved ? null : nextCheck(p, done, book), resolved };
}
