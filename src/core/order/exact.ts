import type { Cell, First, Prices } from './cells';
import { needsOf } from './lie-flat';

/** Above this many cells the table of subsets grows too large. */
export const EXACT_CELLS = 16;

const maskOf = (places: readonly number[]) => places.reduce((mask, i) => mask | (1 << i), 0);

/** The lightest order of cells that keeps the quilt flat, by dynamic programming over subsets (Held and Karp 1962), exact. */
export function exactOrder(cells: readonly Cell[], prices: Prices, first: First = {}): Cell[] {
  const { rollMin, changeMin, changeTroubleMin = 0, startPass = 1 } = prices;
  const n = cells.length;
  if (n === 0) return [];
  const size = 1 << n;
  const cost = new Float64Array(size * n).fill(Infinity);
  const from = new Int8Array(size * n).fill(-1);
  const needs = needsOf(cells, first);
  const before = needs.map(({ all }) => maskOf(all));
  const some = needs.map((x) => x.some.map(maskOf));
  const step = cells.map((a) =>
    cells.map(
      (b) => Math.abs(a.pass - b.pass) * rollMin + (a.thread === b.thread ? 0 : changeMin + changeTroubleMin),
    ),
  );
  const may = (i: number, mask: number) =>
    (before[i]! & ~mask) === 0 && some[i]!.every((passMask) => (passMask & mask) !== 0);
  cells.forEach((c, i) => {
    if (may(i, 0)) cost[(1 << i) * n + i] = Math.abs(c.pass - startPass) * rollMin;
  });
  // Few sets of cells can be sewn at all: the others are passed by at once.
  const reached = new Uint8Array(size);
  for (let i = 0; i < n; i++) if (cost[(1 << i) * n + i]! < Infinity) reached[1 << i] = 1;
  for (let mask = 1; mask < size; mask++) {
    if (reached[mask] === 0) continue;
    for (let next = 0; next < n; next++) {
      if (mask & (1 << next) || !may(next, mask)) continue;
      reached[mask | (1 << next)] = 1;
      const to = (mask | (1 << next)) * n + next;
      for (let last = 0; last < n; last++) {
        const here = cost[mask * n + last]!;
        if (here === Infinity) continue;
        const total = here + step[last]![next]!;
        if (total < cost[to]! - 1e-12) {
          cost[to] = total;
          from[to] = last;
        }
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
