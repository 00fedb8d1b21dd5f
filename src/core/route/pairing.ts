import blossom from 'edmonds-blossom';

/** Pairs that are walked between, and nodes left as ends of paths. */
export interface Pairing {
  walked: [number, number][];
  ends: number[];
  cost: number;
  exact: boolean;
}

/** Up to so many odd nodes the cheapest pairing is found by dynamic programming over subsets. */
export const EXACT_ODD = 18;
/** A matching works on whole numbers: a thousandth of an inch is fine enough. */
const SCALE = 1000;

/**
 * Which odd nodes of a connected part to join by a walk, and which to leave as the ends of paths: the cheapest, walks
 * at their length, ends at their own price, and a tour without any end at the price of beginning it somewhere.
 */
export function cheapestPairing(
  walk: readonly (readonly number[])[],
  endPrice: readonly number[],
  tourPrice: number,
): Pairing {
  const n = endPrice.length;
  if (n === 0) return { walked: [], ends: [], cost: tourPrice, exact: true };
  return n <= EXACT_ODD ? bySubsets(walk, endPrice, tourPrice) : byMatching(walk, endPrice, tourPrice);
}

function bySubsets(
  walk: readonly (readonly number[])[],
  endPrice: readonly number[],
  tourPrice: number,
): Pairing {
  const n = endPrice.length;
  const all = (1 << n) - 1;
  // best[0][mask]: every node of the mask paired; best[1][mask]: at least one of them left as an end.
  const best = [new Float64Array(all + 1).fill(Infinity), new Float64Array(all + 1).fill(Infinity)] as const;
  const from = [new Int32Array(all + 1), new Int32Array(all + 1)] as const;
  best[0][0] = 0;
  for (let mask = 1; mask <= all; mask++) {
    const u = 31 - Math.clz32(mask);
    const rest = mask & ~(1 << u);
    const alone = Math.min(best[0][rest]!, best[1][rest]!) + endPrice[u]!;
    if (alone < best[1][mask]!) {
      best[1][mask] = alone;
      from[1][mask] = -1;
    }
    for (let v = 0; v < u; v++) {
      if (!(rest & (1 << v))) continue;
      const pair = rest & ~(1 << v);
      for (const k of [0, 1] as const)
        if (best[k][pair]! + walk[u]![v]! < best[k][mask]!) {
          best[k][mask] = best[k][pair]! + walk[u]![v]!;
          from[k][mask] = v;
        }
    }
  }
  let k: 0 | 1 = best[0][all]! + tourPrice < best[1][all]! ? 0 : 1;
  const cost = k === 0 ? best[0][all]! + tourPrice : best[1][all]!;
  const walked: [number, number][] = [];
  const ends: number[] = [];
  for (let mask = all; mask > 0;) {
    const u = 31 - Math.clz32(mask);
    const v = from[k][mask]!;
    mask &= ~(1 << u);
    if (v < 0) {
      ends.push(u);
      k = best[0][mask]! <= best[1][mask]! ? 0 : 1;
    } else {
      walked.push([u, v]);
      mask &= ~(1 << v);
    }
  }
  return { walked, ends, cost, exact: true };
}

/** A node may be matched with its own shadow, which is to be left as an end; shadows match each other for nothing. */
function byMatching(
  walk: readonly (readonly number[])[],
  endPrice: readonly number[],
  tourPrice: number,
): Pairing {
  const n = endPrice.length;
  const most = Math.max(...walk.flat().filter(Number.isFinite), ...endPrice) + 1;
  const weight = (cost: number) => Math.round((most - cost) * SCALE);
  const edges: [number, number, number][] = [];
  for (let u = 0; u < n; u++) {
    edges.push([u, n + u, weight(endPrice[u]!)]);
    for (let v = 0; v < u; v++) {
      if (Number.isFinite(walk[u]![v]!)) edges.push([u, v, weight(walk[u]![v]!)]);
      edges.push([n + u, n + v, weight(0)]);
    }
  }
  const mate = blossom(edges, true);
  const walked: [number, number][] = [];
  const ends: number[] = [];
  for (let u = 0; u < n; u++) {
    const v = mate[u]!;
    if (v >= n || v < 0) ends.push(u);
    else if (v < u) walked.push([u, v]);
  }
  const cost =
    walked.reduce((sum, [u, v]) => sum + walk[u]![v]!, 0) +
    ends.reduce((sum, u) => sum + endPrice[u]!, 0) +
    (ends.length === 0 ? tourPrice : 0);
  // Where no end is left the price of beginning the tour was not weighed against leaving two.
  return { walked, ends, cost, exact: ends.length > 0 || tourPrice === 0 };
}
