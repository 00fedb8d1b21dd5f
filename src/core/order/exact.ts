import type { Cell } from './cells';

/** Above this many cells the table of subsets grows too large. */
export const EXACT_CELLS = 16;

/** The cheapest order of cells by dynamic programming over subsets (Held and Karp 1962), exact. */
export function exactOrder(cells: readonly Cell[], rollMin: number, changeMin: number): Cell[] {
  const n = cells.length;
  if (n === 0) return [];
  const size = 1 << n;
  const cost = new Float64Array(size * n).fill(Infinity);
  const from = new Int8Array(size * n).fill(-1);
  // Cells of the same pass that must be sewn before this one.
  const before = cells.map((c) =>
    c.stabilise
      ? 0
      : cells.reduce((mask, o, i) => (o.stabilise && o.pass === c.pass ? mask | (1 << i) : mask), 0),
  );
  const step = cells.map((a) =>
    cells.map((b) => Math.abs(a.pass - b.pass) * rollMin + (a.thread === b.thread ? 0 : changeMin)),
  );
  cells.forEach((c, i) => {
    if (before[i] === 0) cost[(1 << i) * n + i] = Math.abs(c.pass - 1) * rollMin;
  });
  for (let mask = 1; mask < size; mask++)
    for (let last = 0; last < n; last++) {
      const so = cost[mask * n + last]!;
      if (so === Infinity) continue;
      for (let next = 0; next < n; next++) {
        if (mask & (1 << next) || (before[next]! & ~mask) !== 0) continue;
        const at = (mask | (1 << next)) * n + next;
        const total = so + step[last]![next]!;
        if (total < cost[at]! - 1e-12) {
          cost[at] = total;
          from[at] = last;
        }
      }
    }
  let mask = size - 1;
  let last = 0;
  for (let i = 1; i < n; i++) if (cost[mask * n + i]! < cost[mask * n + last]!) last = i;
  const order: Cell[] = [];
  while (last >= 0) {
    order.push(cells[last]!);
    const previous = from[mask * n + last]!;
    mask &= ~(1 << last);
    last = previous;
  }
  return order.reverse();
}
