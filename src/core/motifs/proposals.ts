import { EVENNESS_LIMIT } from '../density/density';
import { ACT_MIN } from '../usage/sewing-time';
import { clamp } from '../units/clamp';
import { MOTIFS } from './motif-table';
import { log2 } from './penalties';
import type { Weighed } from './rank';
import type { MotifsRequest } from './request';
import { pairsOf, type QuiltFacts, type ZoneFacts } from './zone-facts';

export type ProposalKind = 'few-motifs' | 'rich' | 'edge-to-edge';

/** One way to quilt the whole: a pick for each zone in the order of the zones. */
export interface Proposal {
  kind: ProposalKind;
  picks: Weighed[];
  minutes: number;
  cost: number;
  withinHours: boolean;
}

/** Two zones that touch: what each choice of both costs, and the minutes along the seam, as tables by their options. */
interface Pair {
  a: number;
  b: number;
  factor: number;
  seamIn: number;
}
interface Tabled extends Pair {
  cost: Float64Array;
  minutes: Float64Array;
  /** Options of `b`: the width of the tables. */
  width: number;
}

/** What two picks beside each other are judged by. */
interface Judge {
  request: MotifsRequest;
  zones: readonly ZoneFacts[];
  limit: number;
}

/** The whole quilt as it is searched: what each zone may be, and what two beside each other cost. */
export interface Search {
  options: readonly (readonly Weighed[])[];
  /** Weighed penalty, minutes and motif (−1 for none) of each option. */
  own: Float64Array[];
  minutes: Float64Array[];
  motif: Int16Array[];
  weights: number[];
  pairs: Tabled[];
  of: Tabled[][];
}

const DITCH_SPEED_MIN = 54;

/** λ beside its neighbours: what is left open is as sparse as one line across it. */
const besideDensity = (w: Weighed): number =>
  w.motif.kind === 'none' ? Math.max(w.work.lambda, 1 / Math.max(0.1, w.work.openIn)) : w.work.lambda;

/** What two picks beside each other cost. */
function pairCost(s: Judge, p: Pair, a: Weighed, b: Weighed): number {
  const [za, zb] = [s.zones[p.a]!, s.zones[p.b]!];
  const accents = za.accent || zb.accent;
  const [la, lb] = [besideDensity(a), besideDensity(b)];
  const r = Math.max(la, lb) / Math.max(1e-6, Math.min(la, lb));
  const limit = s.limit * (za.relief === 'raised' || zb.relief === 'raised' ? 2 : 1);
  let cost = 0;
  if (!accents && r > limit) cost += 0.4 + 1.2 * log2(r / limit);
  if (a.motif.id === b.motif.id && a.motif.kind !== 'none' && za.role !== zb.role)
    cost += r >= 1.4 && !accents ? 0.1 : 0.3;
  if (a.motif.id !== b.motif.id) {
    if (a.motif.kind === 'figure' && b.motif.kind === 'figure') cost += 0.2;
    if (a.motif.kind === 'fill' && b.motif.kind === 'fill' && r < 1.4) cost += 0.12;
  }
  const raised = (za.relief === 'raised' ? 1 : 0) + (zb.relief === 'raised' ? 1 : 0);
  if (raised === 1) {
    const [up, other] = za.relief === 'raised' ? [la, lb] : [lb, la];
    cost += 0.5 * Math.max(0, log2((2 * up) / Math.max(1e-6, other)));
  }
  return cost * p.factor;
}

/** Two motifs are free; the third costs 0.2, each further 0.1 more than the one before. */
export const motifCost = (n: number): number => {
  let cost = 0;
  for (let k = 3; k <= n; k++) cost += 0.2 + 0.1 * (k - 3);
  return cost;
};

/** Minutes of a whole quilt beside its zones: loading, passes. */
export function frameMinutes({ quilt }: MotifsRequest, q: QuiltFacts): number {
  const passes = q.depthIn === null ? 6 : Math.ceil(quilt.lengthIn / q.depthIn);
  return ACT_MIN.load + ACT_MIN.takeOff + passes * (ACT_MIN.advance + ACT_MIN.basteSides);
}

/** Minutes along a seam where two unlike zones meet: it is held in the ditch. */
const seamMinutes = (s: Judge, p: Pair, a: Weighed, b: Weighed): number => {
  if (a.motif.id === b.motif.id || a.motif.id === 'ditch' || b.motif.id === 'ditch' || !s.request.neighbours)
    return 0;
  return ((1.1 * p.seamIn) / DITCH_SPEED_MIN) * (s.request.preferences?.ditch === 'travel' ? 0.5 : 1);
};

const at = (p: Tabled, z: number, mine: number, other: number): number =>
  p.a === z ? mine * p.width + other : other * p.width + mine;

/** How many motifs a choice needs. */
function countMotifs(s: Search, picks: Int16Array): number {
  const seen = new Set<number>();
  picks.forEach((k, z) => seen.add(s.motif[z]![k]!));
  seen.delete(-1);
  return seen.size;
}

const costOf = (s: Search, picks: Int16Array): number =>
  s.own.reduce((sum, own, z) => sum + own[picks[z]!]!, 0) +
  s.pairs.reduce((sum, p) => sum + p.cost[picks[p.a]! * p.width + picks[p.b]!]!, 0) +
  motifCost(countMotifs(s, picks));

const minutesOf = (s: Search, picks: Int16Array): number =>
  s.minutes.reduce((sum, m, z) => sum + m[picks[z]!]!, 0) +
  s.pairs.reduce((sum, p) => sum + p.minutes[picks[p.a]! * p.width + picks[p.b]!]!, 0);

const MOST_ROUNDS = 12;

/** One zone after another set to what is best while the others stay, until nothing gets better. */
function descend(s: Search, start: Int16Array, price: number): Int16Array {
  const picks = start.slice();
  const counts = new Int32Array(MOTIFS.ids.length);
  let used = 0;
  const count = (z: number, by: 1 | -1) => {
    const m = s.motif[z]![picks[z]!]!;
    if (m < 0) return;
    if (by === 1 && counts[m] === 0) used++;
    counts[m]! += by;
    if (by === -1 && counts[m] === 0) used--;
  };
  for (let z = 0; z < picks.length; z++) count(z, 1);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let moved = false;
    for (let z = 0; z < picks.length; z++) {
      count(z, -1);
      const [own, minutes, motif] = [s.own[z]!, s.minutes[z]!, s.motif[z]!];
      let [best, least] = [picks[z]!, Infinity];
      for (let k = 0; k < own.length; k++) {
        const more = motif[k]! >= 0 && counts[motif[k]!] === 0 ? 1 : 0;
        let c = own[k]! + price * minutes[k]! + motifCost(used + more);
        for (const p of s.of[z]!) {
          if (c >= least) break;
          const i = at(p, z, k, picks[p.a === z ? p.b : p.a]!);
          c += p.cost[i]! + price * p.minutes[i]!;
        }
        if (c < least - 1e-9) [least, best] = [c, k];
      }
      if (best !== picks[z]) moved = true;
      picks[z] = best;
      count(z, 1);
    }
    if (!moved) break;
  }
  return picks;
}

const STARTS = { few: 6, many: 5 } as const;

/** Where descents begin: each zone's own best, and every one and two of the best techniques. */
function startsOf(s: Search): Int16Array[] {
  const tally = new Map<number, number>();
  s.motif.forEach((list, z) =>
    list.slice(0, 8).forEach((m, i) => {
      if (m >= 0) tally.set(m, (tally.get(m) ?? 0) + s.weights[z]! / (1 + i));
    }),
  );
  const most = s.options.length > 20 ? STARTS.many : STARTS.few;
  const top = [...tally]
    .sort((a, b) => b[1] - a[1])
    .slice(0, most)
    .map(([m]) => m);
  const sets = [...top.map((m) => [m]), ...top.flatMap((a, i) => top.slice(i + 1).map((b) => [a, b]))];
  return [
    new Int16Array(s.options.length),
    ...sets.map((set) =>
      Int16Array.from(s.motif, (list) =>
        Math.max(
          0,
          list.findIndex((m) => m < 0 || set.includes(m)),
        ),
      ),
    ),
  ];
}

/** The best of the descents at a price a minute; of few zones the best there is, when it is asked. */
function best(s: Search, price: number, exactly: boolean): Int16Array {
  let [found, least] = [new Int16Array(s.options.length), Infinity];
  for (const start of startsOf(s)) {
    const picks = descend(s, start, price);
    const c = costOf(s, picks) + price * minutesOf(s, picks);
    if (c < least - 1e-9) [found, least] = [picks as Int16Array<ArrayBuffer>, c];
  }
  return exactly && s.options.length <= EXACT_ZONES ? exact(s, price, found, least) : found;
}

const EXACT_ZONES = 7;
const MOST_NODES = 200_000;

/** Branch and bound over every choice, from an answer that is good already; bounded in its steps. */
function exact(s: Search, price: number, from: Int16Array, known: number): Int16Array {
  const n = s.options.length;
  const value = s.own.map((own, z) => own.map((v, k) => v + price * s.minutes[z]![k]!));
  const order = value.map((v) => [...v.keys()].sort((a, b) => v[a]! - v[b]!));
  const rest = new Float64Array(n + 1);
  for (let z = n - 1; z >= 0; z--) rest[z] = rest[z + 1]! + value[z]![order[z]![0]!]!;
  const before = s.of.map((list, z) => list.filter((p) => (p.a === z ? p.b : p.a) < z));
  const counts = new Int32Array(MOTIFS.ids.length);
  const picks = new Int16Array(n);
  let [found, least, nodes] = [from, known, 0];
  const step = (z: number, soFar: number, used: number): void => {
    if (z === n) {
      if (soFar + motifCost(used) < least - 1e-9) [found, least] = [picks.slice(), soFar + motifCost(used)];
      return;
    }
    for (const k of order[z]!) {
      if (nodes++ > MOST_NODES) return;
      if (soFar + value[z]![k]! + rest[z + 1]! + motifCost(used) >= least - 1e-9) return;
      let c = soFar + value[z]![k]!;
      for (const p of before[z]!) {
        const i = at(p, z, k, picks[p.a === z ? p.b : p.a]!);
        c += p.cost[i]! + price * p.minutes[i]!;
      }
      const m = s.motif[z]![k]!;
      const more = m >= 0 && counts[m] === 0 ? 1 : 0;
      if (c + rest[z + 1]! + motifCost(used + more) >= least - 1e-9) continue;
      picks[z] = k;
      if (m >= 0) counts[m]!++;
      step(z + 1, c, used + more);
      if (m >= 0) counts[m]!--;
    }
  };
  step(0, 0, 0);
  return found;
}

const MOST = { few: 26, many: 16 } as const;
const SPACINGS = 3;

/** The best candidates of a zone: at most three spacings of a technique. */
function candidates(all: readonly Weighed[], zones: number): Weighed[] {
  const n = new Map<string, number>();
  return all
    .filter((w) => {
      const k = (n.get(w.motif.id) ?? 0) + 1;
      n.set(w.motif.id, k);
      return k <= SPACINGS;
    })
    .slice(0, zones > 20 ? MOST.many : MOST.few);
}

/**
 * A whole proposal: least weighed penalties, seams and motifs within the hours. Deterministic. Zones without any candidate
 * stay out of it by being given none; held zones have one.
 */
export function propose(
  request: MotifsRequest,
  q: QuiltFacts,
  zones: readonly ZoneFacts[],
  all: readonly (readonly Weighed[])[],
  kind: 'few-motifs' | 'rich',
  base: Search = searchOf(request, zones, all),
): Proposal {
  const s = kind === 'rich' ? richer(base, zones) : base;
  const fixed = frameMinutes(request, q);
  const { hours } = request.quilt;
  const over = (picks: Int16Array) => hours !== undefined && minutesOf(s, picks) + fixed > hours * 60 + 1e-6;
  let picks = best(s, 0, true);
  if (over(picks)) picks = withinHours(s, picks, over);
  const minutes = minutesOf(s, picks) + fixed;
  return {
    kind,
    picks: s.options.map((list, z) => list[picks[z]!]!),
    minutes,
    cost: costOf(s, picks),
    withinHours: hours === undefined || minutes <= hours * 60 + 1e-6,
  };
}

/** The cheapest choice within the hours: a price a minute, raised until they hold and bisected; the quickest where none does. */
function withinHours(s: Search, free: Int16Array, over: (picks: Int16Array) => boolean): Int16Array {
  let [low, high] = [0, 0.02];
  let tried = free;
  for (let i = 0; i < 7; i++, high *= 4) {
    tried = best(s, high, false);
    if (!over(tried)) break;
    low = high;
  }
  if (over(tried)) return tried;
  let within = tried;
  for (let i = 0; i < 6; i++) {
    const mid = (low + high) / 2;
    const next = best(s, mid, false);
    if (over(next)) low = mid;
    else [within, high] = [next, mid];
  }
  const last = best(s, high, true);
  return !over(last) && costOf(s, last) < costOf(s, within) ? last : within;
}

/** The same search where what is seen is worth more. */
const richer = (s: Search, zones: readonly ZoneFacts[]): Search => ({
  ...s,
  own: s.own.map((own, z) =>
    zones[z]!.visibility === 'sink'
      ? own
      : own.map((v, k) => v - 0.3 * s.weights[z]! * Math.max(0, s.options[z]![k]!.motif.presence - 1)),
  ),
});

/** The search of a whole quilt, its tables worked out once for every kind of proposal. */
export function searchOf(
  request: MotifsRequest,
  zones: readonly ZoneFacts[],
  all: readonly (readonly Weighed[])[],
): Search {
  const roots = zones.map((z) => Math.sqrt(z.areaIn2));
  const total = roots.reduce((a, b) => a + b, 0);
  const weights = roots.map((r) => 0.4 + (0.6 * zones.length * r) / total);
  const options = all.map((list) => candidates(list, zones.length));
  const raw = pairsOf(request);
  const seams = raw.reduce((sum, p) => sum + p.seamIn, 0);
  const index = new Map(zones.map((z, i) => [z.zone.id, i]));
  const judge: Judge = { request, zones, limit: request.quilt.evenness ?? EVENNESS_LIMIT };
  const pairs = raw.map((p): Tabled => {
    const pair: Pair = {
      a: index.get(p.a)!,
      b: index.get(p.b)!,
      seamIn: p.seamIn,
      factor: clamp((zones.length * p.seamIn) / seams, 0.25, 1),
    };
    const [left, right] = [options[pair.a]!, options[pair.b]!];
    const cost = new Float64Array(left.length * right.length);
    const minutes = new Float64Array(cost.length);
    left.forEach((a, i) =>
      right.forEach((b, k) => {
        cost[i * right.length + k] = pairCost(judge, pair, a, b);
        minutes[i * right.length + k] = seamMinutes(judge, pair, a, b);
      }),
    );
    return { ...pair, cost, minutes, width: right.length };
  });
  return {
    options,
    own: options.map((list, z) => Float64Array.from(list, (w) => weights[z]! * w.score)),
    minutes: options.map((list) => Float64Array.from(list, (w) => w.work.minutes)),
    motif: options.map((list) =>
      Int16Array.from(list, (w) => (w.motif.kind === 'none' ? -1 : MOTIFS.ids.indexOf(w.motif.id))),
    ),
    weights,
    pairs,
    of: zones.map((_, z) => pairs.filter((p) => p.a === z || p.b === z)),
  };
}

/** The largest ratio of line densities between neighbours that are no accents. */
export function evennessOf(
  request: MotifsRequest,
  zones: readonly ZoneFacts[],
  picks: readonly Weighed[],
): number {
  const index = new Map(zones.map((z, i) => [z.zone.id, i]));
  return pairsOf(request).reduce((worst, p) => {
    const [a, b] = [index.get(p.a)!, index.get(p.b)!];
    if (zones[a]!.accent || zones[b]!.accent) return worst;
    const [la, lb] = [besideDensity(picks[a]!), besideDensity(picks[b]!)];
    return Math.max(worst, Math.max(la, lb) / Math.max(1e-6, Math.min(la, lb)));
  }, 1);
}

/** What half a pick of a zone costs beside neighbours whose technique is held; the seams are looked up once. */
export function nearCosts(
  request: MotifsRequest,
  zones: readonly ZoneFacts[],
  held: ReadonlyMap<number, Weighed>,
): (z: number, w: Weighed) => number {
  const index = new Map(zones.map((x, i) => [x.zone.id, i]));
  const judge: Judge = { request, zones, limit: request.quilt.evenness ?? EVENNESS_LIMIT };
  const beside = new Map<number, ((w: Weighed) => number)[]>();
  const add = (z: number, cost: (w: Weighed) => number) => beside.set(z, [...(beside.get(z) ?? []), cost]);
  for (const p of held.size === 0 ? [] : pairsOf(request)) {
    const pair = { a: index.get(p.a)!, b: index.get(p.b)!, seamIn: p.seamIn, factor: 1 };
    const [left, right] = [held.get(pair.a), held.get(pair.b)];
    if (right) add(pair.a, (w) => 0.5 * pairCost(judge, pair, w, right));
    if (left) add(pair.b, (w) => 0.5 * pairCost(judge, pair, left, w));
  }
  return (z, w) => (beside.get(z) ?? []).reduce((sum, cost) => sum + cost(w), 0);
}
