import type { MatchRequest } from './request';
import { notForAChild, nothingSuits } from './nothing-suits';
import type { MatchResult } from './setup';
import { type Pair, type TopChoice, type WeighedZone, weighZone } from './weigh-zone';

const DEFAULT_LIMIT = 4;

/**
 * The best set-ups of the shelf for a zone, best first: one per top thread with its best bobbin.
 * Every thread is weighed by every criterion (see CRITERIA); the order does not depend on the order of
 * the shelf. An empty list comes with a `nothing-suits` caution that says what to buy.
 * @throws CoreError when the zone has no fabric or an id is not known.
 */
export function match(request: MatchRequest): MatchResult {
  const { limit = DEFAULT_LIMIT } = request;
  const zone = weighZone(request);
  if (zone.tops.length === 0 || zone.bobbins === 0)
    return { setups: [], weighed: 0, cautions: [nothingSuits(zone)] };
  if (request.zone.use === 'baby' && zone.tops.every((t) => t.context.fibre.mono))
    return { setups: [], weighed: 0, cautions: [notForAChild] };
  const setups = bestPairs(zone, limit).map(zone.setupOf);
  return { setups, weighed: zone.tops.length * zone.bobbins, cautions: [] };
}

/** Cheapest first; equal pairs by their top's own share, then by the ids of their threads, so that no order of the shelf shows through. */
export const inOrder = (a: Pair, b: Pair) =>
  a.total - b.total ||
  a.top.weighed.total - b.top.weighed.total ||
  byText(a.top.thread.id, b.top.thread.id) ||
  byText(a.bobbin.id, b.bobbin.id);

const byText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

/** Tops by their own share, equal ones by id. */
export const inOrderOfTops = (tops: readonly TopChoice[]): TopChoice[] =>
  [...tops].sort((a, b) => a.weighed.total - b.weighed.total || byText(a.thread.id, b.thread.id));

/**
 * The best pair of each top thread, best first; second pairs only when there are too few tops. Penalties are never
 * negative, so a top, or a bobbin under it, whose own share is beyond the best needs no further weighing.
 */
export function bestPairs({ tops, bobbinsFor, costUnder, pairOf }: WeighedZone, limit: number): Pair[] {
  const best: Pair[] = [];
  const others: Pair[] = [];
  const all = tops.length < limit;
  // A later top with an equal total comes after: it need not be weighed.
  for (const top of inOrderOfTops(tops)) {
    const last = best[limit - 1]?.total ?? Infinity;
    if (top.weighed.total >= last) break;
    const pairs: Pair[] = [];
    let most = all ? Infinity : last;
    bobbinsFor(
      top,
      (bobbin) => {
        if (top.weighed.total + costUnder(top, bobbin) > most) return;
        const pair = pairOf(top, bobbin);
        if (!all) most = Math.min(most, pair.total);
        pairs.push(pair);
      },
      () => most - top.weighed.total,
    );
    const [first, ...rest] = pairs.sort(inOrder);
    if (first && (all || first.total < last)) best.push(first);
    best.sort(inOrder);
    if (all) others.push(...rest);
  }
  return [...best, ...others.sort(inOrder)].slice(0, limit);
}
