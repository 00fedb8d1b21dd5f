import type { FaultRate } from '../../faults/rates';
import type { Caution, Reason } from '../../notes';
import type { Fibre } from '../../tables/fibres';
import type { Technique } from '../../tables/techniques';
import type { TensionStart } from '../../tension/start';
import type { Usage } from '../../usage/usage';
import type { PickedNeedle } from '../pick-needle';
import type { MatchPreferences, MatchRequest, MatchThread } from '../request';
import type { ZoneFacts } from '../zone-facts';

/** What a criterion says of a penalty it gave: why, or what to mind, and what one can do. */
export interface Said {
  reason?: Reason;
  caution?: Caution;
}

/**
 * One way a set-up is weighed: its label, its weight and its judgement. Penalties are in one common unit, 1 = a
 * quilter would see it and mind; never below 0, so that a search may stop early. Numbers first: sentences are made
 * only for the few set-ups that are shown.
 */
export interface CriterionOf<Context> {
  id: string;
  label: string;
  weight: number;
  cost(c: Context): number;
  /** Where the context has a top thread: what it costs at least under any. Never more than `cost`. */
  leastUnderAny?(c: Omit<Context, 'top'>): number;
  /** What it costs at least where the threads differ in colour by so much (CIEDE2000) or more, besides `leastUnderAny`. */
  leastApart?(c: Context, deltaE: number): number;
  /** Asks for the colour of the top thread: differs between cones of one line. */
  byColour?: true;
  say?(c: Context, penalty: number): Said;
}

/** What is known when a top thread is weighed, before any bobbin. */
export interface TopContext {
  facts: ZoneFacts;
  technique: Technique;
  thread: MatchThread;
  fibre: Fibre;
  threadMm: number;
  needle: PickedNeedle;
  /** Top threads, and needles, of the quilt's other zones. */
  others?: MatchRequest['others'];
  /** Every top thread that stands on the shelf, held or not. */
  shelf?: readonly MatchThread[];
  /** What the studio's own log says of threads, by id. */
  record?: ReadonlyMap<string, FaultRate>;
}

/** What is known of two threads before any tension is reckoned. */
export interface BobbinContext {
  top: MatchThread;
  bobbin: MatchThread;
  bobbinFibre: Fibre;
  preferences: MatchPreferences;
  /** How far a colour is from the backing's, CIEDE2000, where that is known. */
  toBacking?: (hex: string) => number;
  /** Bobbins wound and ready, by thread id, where the studio counts them. */
  wound?: ReadonlyMap<string, number>;
}

/** What is known when a pair's tension and metres are reckoned. */
export interface PairContext {
  facts: Pick<ZoneFacts, 'cloths'>;
  top: MatchThread;
  bobbin: MatchThread;
  tension: TensionStart;
  usage: Usage | null;
  /** Metres of each thread the quilt's other zones will take. */
  claimedM?: Readonly<Record<string, number>>;
  wound?: ReadonlyMap<string, number>;
}

/** How far a value lies over a limit, in spans. */
export const over = (value: number, limit: number, span: number) => Math.max(0, (value - limit) / span);
/** A sentence with its first letter large. The text must not be empty. */
export const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);
