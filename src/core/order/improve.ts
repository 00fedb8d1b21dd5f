import { burden, type Cell, type First, type Prices } from './cells';
import { liesFlat } from './lie-flat';

const LONGEST_PIECE = 8;
const MOST_ROUNDS = 60;

/**
 * Local search: pieces of the order are moved, also turned round, while that saves minutes (Or-opt and 2-opt).
 * Never worse than what it is given.
 */
export function improveOrder(start: readonly Cell[], prices: Prices, first: First = {}): Cell[] {
  let best = [...start];
  let price = burden(best, prices);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const better = firstBetter(best, price, prices, first);
    if (!better) return best;
    [best, price] = better;
  }
  return best;
}

function firstBetter(
  order: readonly Cell[],
  price: number,
  prices: Prices,
  must: First,
): [Cell[], number] | null {
  const n = order.length;
  const change = prices.changeMin + (prices.changeTroubleMin ?? 0);
  let found: [Cell[], number] | null = null;
  const gap = (a: Cell | undefined, b: Cell | undefined) =>
    !b
      ? 0
      : !a
        ? Math.abs(b.pass - (prices.startPass ?? 1)) * prices.rollMin
        : Math.abs(a.pass - b.pass) * prices.rollMin + (a.thread === b.thread ? 0 : change);
  for (let length = 1; length <= Math.min(LONGEST_PIECE, n - 1); length++)
    for (let i = 0; i + length <= n; i++) {
      const [a, first, last, b] = [order[i - 1], order[i]!, order[i + length - 1]!, order[i + length]];
      const out = gap(a, first) + gap(last, b) - gap(a, b);
      if (out <= 1e-9) continue;
      const rest = [...order.slice(0, i), ...order.slice(i + length)];
      const piece = order.slice(i, i + length);
      for (let j = 0; j <= rest.length; j++) {
        if (j === i) continue;
        const [c, d] = [rest[j - 1], rest[j]];
        for (const turned of length > 1 ? [false, true] : [false]) {
          const [head, tail] = turned ? [last, first] : [first, last];
          const gain = out - (gap(c, head) + gap(tail, d) - gap(c, d));
          if (gain <= 1e-9 || (found && price - gain >= found[1] - 1e-9)) continue;
          const tried = [...rest.slice(0, j), ...(turned ? [...piece].reverse() : piece), ...rest.slice(j)];
          if (liesFlat(tried, must)) found = [tried, price - gain];
        }
      }
    }
  return found;
}
