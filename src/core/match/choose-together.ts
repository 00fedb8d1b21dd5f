/** One way to sew a zone: which top, which bobbin, what it costs. Indices into the lists of both. */
export interface Choice {
  top: number;
  bobbin: number;
  cost: number;
}

export interface TogetherRequest {
  /** The choices of each zone, cheapest first, none empty. */
  zones: readonly (readonly Choice[])[];
  tops: number;
  bobbins: number;
  /** What every top and every bobbin thread beyond the first costs. */
  topPrice: number;
  bobbinPrice: number;
}

export interface Together {
  /** The choice of each zone, by its place in that zone's list. */
  picks: number[];
  cost: number;
  exact: boolean;
}

/** Up to this many top and bobbin threads in play the answer is proven to be the cheapest. */
const EXACT_EACH = 12;

/**
 * One choice a zone so that Σ cost + price of every further thread is least: uncapacitated facility location with
 * two kinds of facility. A local search over the sets from the zone-by-zone choice, never worse than it; and up to
 * 12 top and 12 bobbin threads in play exact, by branch and bound from what the search found.
 */
export function chooseTogether(request: TogetherRequest): Together {
  const exact = request.tops <= EXACT_EACH && request.bobbins <= EXACT_EACH;
  const searched = searchSets(request);
  const [tops, bobbins] = exact ? everySet(request, searched.cost, searched.sets) : searched.sets;
  const { picks, cost } = within(request, tops, bobbins);
  return { picks, cost: cost + priceOf(request, picks), exact };
}

type Members = readonly boolean[];

/** The cheapest choice of each zone among the threads allowed; choices come cheapest first. */
function within({ zones }: TogetherRequest, tops: Members, bobbins: Members) {
  let cost = 0;
  const picks = zones.map((choices) => {
    const pick = choices.findIndex((c) => tops[c.top] && bobbins[c.bobbin]);
    cost += pick < 0 ? Infinity : choices[pick]!.cost;
    return pick;
  });
  return { picks, cost };
}

/** What the threads really picked cost, the first of each kind being free. */
export function priceOf(
  { zones, topPrice, bobbinPrice }: Pick<TogetherRequest, 'zones' | 'topPrice' | 'bobbinPrice'>,
  picks: readonly number[],
): number {
  const tops = new Set(picks.map((p, z) => zones[z]![p]!.top));
  const bobbins = new Set(picks.map((p, z) => zones[z]![p]!.bobbin));
  return topPrice * (tops.size - 1) + bobbinPrice * (bobbins.size - 1);
}

/**
 * Branch and bound over the threads (after Land and Doig 1960): a thread is open, paid for or ruled out. With only
 * those ruled out barred, each zone's cheapest choice and the price of what is paid for bound the cost from below;
 * when all those choices are paid for, the bound is the cost. `best` is a cost already reached.
 */
function everySet(r: TogetherRequest, best: number, found: [Members, Members]): [Members, Members] {
  const out = [new Array<boolean>(r.tops).fill(false), new Array<boolean>(r.bobbins).fill(false)] as const;
  const paid = [new Array<boolean>(r.tops).fill(false), new Array<boolean>(r.bobbins).fill(false)] as const;
  const prices = [r.topPrice, r.bobbinPrice] as const;
  const payFor = (kind: 0 | 1) => prices[kind] * Math.max(0, paid[kind].filter(Boolean).length - 1);

  const visit = () => {
    let bound = payFor(0) + payFor(1);
    // How much the zones would lose if an open thread they take were ruled out: the weightiest is decided first.
    const weight = [new Array<number>(r.tops).fill(0), new Array<number>(r.bobbins).fill(0)] as const;
    for (const choices of r.zones) {
      const pick = choices.find((c) => !out[0][c.top] && !out[1][c.bobbin]);
      if (!pick) return;
      bound += pick.cost;
      const other = (same: (c: Choice) => boolean) =>
        (choices.find((c) => !out[0][c.top] && !out[1][c.bobbin] && !same(c))?.cost ?? 1e6) - pick.cost;
      if (!paid[0][pick.top]) weight[0][pick.top]! += 1e-6 + other((c) => c.top === pick.top);
      if (!paid[1][pick.bobbin]) weight[1][pick.bobbin]! += 1e-6 + other((c) => c.bobbin === pick.bobbin);
    }
    if (bound >= best - 1e-9) return;
    let [kind, at]: [0 | 1, number] = [0, -1];
    for (const k of [0, 1] as const)
      weight[k].forEach((w, i) => {
        if (w > 0 && (at < 0 || w > weight[kind][at]!)) [kind, at] = [k, i];
      });
    if (at < 0) {
      best = bound;
      found = [[...paid[0]], [...paid[1]]];
      return;
    }
    paid[kind][at] = true;
    visit();
    paid[kind][at] = false;
    out[kind][at] = true;
    visit();
    out[kind][at] = false;
  };
  visit();
  return found;
}

/** Takes threads out, in, and in exchange, as long as that is cheaper. */
function searchSets(r: TogetherRequest): { sets: [Members, Members]; cost: number } {
  const tops = Array.from({ length: r.tops }, (_, i) => r.zones.some(([own]) => own!.top === i));
  const bobbins = Array.from({ length: r.bobbins }, (_, i) => r.zones.some(([own]) => own!.bobbin === i));
  const costNow = () => {
    const { picks, cost } = within(r, tops, bobbins);
    return cost === Infinity ? Infinity : cost + priceOf(r, picks);
  };
  let best = costNow();
  const kinds = [tops, bobbins];
  const attempt = (moves: readonly [boolean[], number][]) => {
    for (const [set, i] of moves) set[i] = !set[i];
    const cost = costNow();
    if (cost < best - 1e-9) {
      best = cost;
      return true;
    }
    for (const [set, i] of moves) set[i] = !set[i];
    return false;
  };
  for (let better = true; better;) {
    better = false;
    for (const set of kinds)
      for (let i = 0; i < set.length; i++) {
        if (attempt([[set, i]])) better = true;
        else if (!set[i])
          for (let j = 0; j < set.length; j++)
            if (
              set[j] &&
              attempt([
                [set, i],
                [set, j],
              ])
            ) {
              better = true;
              break;
            }
      }
  }
  return { sets: [tops, bobbins], cost: best };
}
