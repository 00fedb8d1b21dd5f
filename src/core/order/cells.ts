/**
 * What must come first: in each pass what stabilises it (`in-pass`); besides, nothing is sewn past a pass that is not
 * stabilised or not begun (`flat`, the plan’s own rule); or the whole quilt is stabilised before anything is filled.
 */
export const FIRST_RULES = ['in-pass', 'flat', 'whole-first'] as const;
export type FirstRule = (typeof FIRST_RULES)[number];

export const ROLLINGS = ['least-time', 'one-way', 'down-and-up'] as const;
export type Rolling = (typeof ROLLINGS)[number];

/** Work of one thread in one pass. Cells that stabilise come before the others of their pass. */
export interface Cell {
  pass: number;
  thread: string;
  stabilise?: boolean;
  /** Minutes of sewing; the order does not change them. */
  minutes: number;
}

/** What rolls and thread changes cost: in minutes, and a change besides in trouble (tension set anew, a new start). */
export interface Prices {
  rollMin: number;
  changeMin: number;
  /** What a change of thread and tension is worth besides its minutes, in minutes; nothing unless said. */
  changeTroubleMin?: number;
  /** The pass the frame stands at; the first unless said. */
  startPass?: number;
}

/** What must come first. */
export interface First {
  /** `flat` unless said. */
  rule?: FirstRule;
  /** Passes in which something is sewn already. */
  sewnPasses?: readonly number[];
}

export interface OrderRequest extends Prices, First {
  passes: number;
  threads: readonly string[];
  cells: readonly Cell[];
  /** How the studio rolls: whichever costs least, one way with all colours in each pass, or down and up by colour. */
  rolling?: Rolling;
}

/** Minutes of rolls and thread changes of an order: from the pass the frame stands at, with its first thread on the machine. */
export function overhead(order: readonly Cell[], { rollMin, changeMin, startPass = 1 }: Prices): number {
  let [pass, minutes] = [startPass, 0];
  let thread = order[0]?.thread;
  for (const c of order) {
    minutes += Math.abs(c.pass - pass) * rollMin + (c.thread === thread ? 0 : changeMin);
    [pass, thread] = [c.pass, c.thread];
  }
  return minutes;
}

/** How often the thread is changed in an order. */
export const changesIn = (order: readonly Pick<Cell, 'thread'>[]): number =>
  order.reduce((n, c, i) => n + (i > 0 && order[i - 1]!.thread !== c.thread ? 1 : 0), 0);

/** The same with the trouble of changes: what an order is chosen by. */
export const burden = (order: readonly Cell[], prices: Prices): number =>
  overhead(order, prices) + (prices.changeTroubleMin ?? 0) * changesIn(order);
