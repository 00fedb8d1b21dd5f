import { table } from '../tables/lookup';
import rows from './knowledge.json';

/** One clause of when a cause is likelier: a fact of the set-up against a value. */
export interface Clause {
  fact: string;
  op: '>' | '>=' | '<' | '<=' | '==' | '!=' | 'in' | 'has' | 'lacks';
  value: string | number | boolean | readonly (string | number)[];
}

/** How much likelier a cause is when all clauses hold, and why. */
export interface Modifier {
  multiply: number;
  why: string;
  test: readonly Clause[];
}

/** What may lie behind a fault. `prior` is its share over the studio's mix of set-ups. */
export interface Cause {
  id: string;
  label: string;
  group: string;
  description: string;
  prior: number;
  modifiers: readonly Modifier[];
  modifierMean: number;
  remedy: readonly string[];
  /** How one knows that it was this. */
  confirm: string;
  /** Do not sew on before the remedy. */
  stopWork: boolean;
  /** The remedy, or part of it, wants a trained technician. */
  technician: boolean;
}

/** Something to look at, or to try, at the machine. */
export interface Check {
  id: string;
  label: string;
  minutes: number;
  tools: readonly string[];
  steps: readonly string[];
  outcomes: readonly { id: string; label: string }[];
  likelihoods: readonly { cause: string; outcome: string; p: number }[];
  defaultOutcomeP: Readonly<Record<string, number>>;
  safety?: string;
  /** Causes that the act of checking cures by itself. */
  fixes: readonly string[];
}

/** When and where a fault shows. */
export interface ContextFact {
  id: string;
  label: string;
  values: readonly string[];
  valueLabels: Readonly<Record<string, string>>;
  base: Readonly<Record<string, number>>;
  /** How often a quilter can tell. */
  answerRate: number;
}

type Mix =
  | { dist: 'normal'; mean: number; sd: number; min: number; max: number }
  | { dist: 'lognormal'; median: number; sigma: number }
  | { dist: 'exponential'; mean: number };

/** A fact of the set-up with how common its values are in a studio. */
export type SetupFact =
  | { id: string; type: 'number'; label: string; mix: Mix }
  | {
      id: string;
      type: 'category' | 'set' | 'boolean';
      label: string;
      mix: Readonly<Record<string, number>>;
    };

interface Rows {
  causes: readonly Cause[];
  likelihoods: readonly { cause: string; symptom: string; p: number }[];
  baseRates: Readonly<Record<string, number>>;
  contextFacts: readonly ContextFact[];
  contextLikelihoods: readonly { cause: string; fact: string; value: string; p: number }[];
  checks: readonly Check[];
  setupFacts: readonly SetupFact[];
  modifierCap: readonly number[];
}

const typed = rows as unknown as Rows;

/**
 * What is known of stitch faults: causes, how they show, when, and what checks tell. Expert judgement, no counts behind
 * any figure: a first guess that the studio's own log moves.
 */
const allPriors = typed.causes.reduce((sum, c) => sum + c.prior, 0);
/** Their priors add up to 1, whatever was added to the file. */
export const causes = table<Cause>(
  'Cause',
  typed.causes.map((c) => ({ ...c, prior: c.prior / allPriors })),
);
export const checks = table<Check>('Check', typed.checks);
export const contextFacts = table<ContextFact>('Fact', typed.contextFacts);
export const setupFacts = table<SetupFact>('Set-up fact', typed.setupFacts);
export const { likelihoods, contextLikelihoods, baseRates } = typed;
export const [LEAST_MODIFIED, MOST_MODIFIED] = typed.modifierCap as [number, number];
