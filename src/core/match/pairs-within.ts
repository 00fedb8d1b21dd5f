import { inOrder } from './match';
import type { Pair, WeighedZone } from './weigh-zone';

/**
 * The pairs of a zone that may be part of a choice for the whole quilt, best first. A zone gains at most the price
 * of a bobbin thread by another bobbin under the same top, and the price of both by another pair: what is further
 * off is left out. Penalties are never negative, so a top or a bobbin whose own share is beyond that is not weighed.
 */
export function pairsWithin(
  { tops, bobbinsFor, costUnder, pairOf }: WeighedZone,
  topPrice: number,
  bobbinPrice: number,
): Pair[] {
  let best = Infinity;
  const found: Pair[] = [];
  const slack = topPrice + bobbinPrice;
  for (const top of [...tops].sort((a, b) => a.weighed.total - b.weighed.total)) {
    if (top.weighed.total > best + slack) break;
    let least = Infinity;
    const under: Pair[] = [];
    const most = () => Math.min(least + bobbinPrice, best + slack) - top.weighed.total;
    bobbinsFor(
      top,
      (bobbin) => {
        if (costUnder(top, bobbin) > most()) return;
        const pair = pairOf(top, bobbin);
        least = Math.min(least, pair.total);
        best = Math.min(best, pair.total);
        under.push(pair);
      },
      most,
    );
    found.push(...under.filter((p) => p.total <= least + bobbinPrice));
  }
  return found.filter((p) => p.total <= best + slack).sort(inOrder);
}
