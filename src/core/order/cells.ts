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

export interface OrderRequest {
  passes: number;
  threads: readonly string[];
  cells: readonly Cell[];
  rollMin: number;
  changeMin: number;
  /** How the studio rolls: whichever costs least, one way with all colours in each pass, or down and up by colour. */
  rolling?: Rolling;
}

/** Minutes of rolls and thread changes of an order: from pass 1, with its first thread on the machine. */
export function overhead(
  order: readonly Cell[],
  { rollMin, changeMin }: Pick<OrderRequest, 'rollMin' | 'changeMin'>,
): number {
  let [pass, minutes] = [1, 0];
  let thread = order[0]?.thread;
  for (const c of order) {
    minutes += Math.abs(c.pass - pass) * rollMin + (c.thread === thread ? 0 : changeMin);
    [pass, thread] = [c.pass, c.thread];
  }
  return minutes;
}

/** Whether every pass's stabilising cells come before its others. */
export function stabilisedFirst(order: readonly Cell[]): boolean {
  const begun = new Set<number>();
  return order.every((c) => {
    if (c.stabilise) return !begun.has(c.pass);
    begun.add(c.pass);
    return true;
  });
}
