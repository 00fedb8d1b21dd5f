import type { Caution } from '../notes';
import { nothingSuits } from './nothing-suits';
import { chooseTogether, type Choice, priceOf } from './choose-together';
import { pairsWithin } from './pairs-within';
import { type BobbinBook, bobbinBook } from './rank-bobbins';
import type { MatchRequest, MatchYarn, MatchZone } from './request';
import type { Setup } from './setup';
import { type Pair, weighZone } from './weigh-zone';
import { colour } from './criteria/colour';
import { CRITERIA, type Criterion } from './criteria';

export interface WholeQuiltRequest extends Omit<
  MatchRequest,
  'zone' | 'hold' | 'others' | 'claimedM' | 'limit'
> {
  zones: readonly {
    id: string;
    zone: MatchZone;
    yarn?: MatchYarn;
    retraced?: number;
    /** A pair that stands and is not to be moved: it has been tested, or was chosen by hand. */
    keep?: { topId: string; bobbinId: string };
    /** The quilter refuses the trade here: this zone keeps its own best. */
    refused?: boolean;
  }[];
  /** What a further top and a further bobbin thread on the quilt cost, in points of penalty. */
  topPrice?: number;
  bobbinPrice?: number;
}

/** How far one criterion changes by the trade, in points; above 0 is worse than the zone's own best. */
export interface Shift {
  criterion: Criterion;
  by: number;
}

export interface ZoneTogether {
  id: string;
  /** The set-up when the whole quilt is weighed; null when nothing suits the zone. */
  setup: Setup | null;
  /** The zone's own best. */
  own: Setup | null;
  /** Points of penalty given up for fewer thread changes. */
  extra: number;
  shifts: Shift[];
  kept: boolean;
}

export interface WholeQuilt {
  zones: ZoneTogether[];
  /** What holds for several zones, said once for all of them. */
  said: { caution: Caution; zones: string[] }[];
  /** Zones that are sewn with one and the same set-up. */
  alike: string[][];
  together: { tops: string[]; bobbins: string[] };
  apart: { tops: string[]; bobbins: string[] };
  /** Penalties and thread prices of the answer, and of choosing zone by zone. */
  cost: number;
  apartCost: number;
  exact: boolean;
  cautions: Caution[];
}

/** A further top thread is worth a thread that blends a little less well, not one that shows (judgement). */
export const TOP_PRICE = 0.2;
export const BOBBIN_PRICE = 0.1;

interface Weighed {
  id: string;
  pairs: Pair[];
  setupOf: (p: Pair) => Setup;
  fixed: boolean;
  /** Why nothing suits it, when nothing does. */
  refusal: Caution | null;
}

/**
 * Set-ups for all zones of a quilt together: a zone gives up a little where that spares a thread change. Exact for
 * up to 12 top and 12 bobbin threads in play, never worse than zone by zone beyond. A pair further from a zone's
 * best than the price of both its threads can never be part of the answer, so only nearer ones are weighed.
 * @throws CoreError when a zone has no fabric or an id is not known.
 */
export function matchWhole(request: WholeQuiltRequest): WholeQuilt {
  const { topPrice = TOP_PRICE, bobbinPrice = BOBBIN_PRICE } = request;
  const book = bobbinBook(request);
  const weighed = request.zones.map((z) => weighOne(z, request, { topPrice, bobbinPrice }, book));
  const sewable = weighed.filter((w) => w.pairs.length > 0);
  const tops = indexOf(sewable.flatMap((w) => w.pairs.map((p) => p.top.thread.id)));
  const bobbins = indexOf(sewable.flatMap((w) => w.pairs.map((p) => p.bobbin.id)));
  const zones = sewable.map((w) =>
    w.pairs.map((p): Choice => ({
      top: tops.get(p.top.thread.id)!,
      bobbin: bobbins.get(p.bobbin.id)!,
      cost: p.total,
    })),
  );
  const ask = { zones, tops: tops.size, bobbins: bobbins.size, topPrice, bobbinPrice };
  const own = zones.map(() => 0);
  const found = zones.length > 0 ? chooseTogether(ask) : { picks: [], cost: 0, exact: true };
  const pickOf = new Map(sewable.map((w, i) => [w.id, w.pairs[found.picks[i]!]!]));
  const chosen = [...pickOf.values()];
  const each = weighed.map((w) => told(w, pickOf.get(w.id)));
  const said = saidOnce(each);
  const once = new Set(said.map((s) => s.caution.text));
  return {
    zones: each.map((z) => withoutSaid(z, once)),
    said,
    alike: alikeOf(each),
    together: threadsOf(chosen),
    apart: threadsOf(sewable.map((w) => w.pairs[0]!)),
    cost: found.cost,
    apartCost: zones.length > 0 ? zones.reduce((s, z) => s + z[0]!.cost, priceOf(ask, own)) : 0,
    exact: found.exact,
    cautions: [...refusalsOf(weighed), ...shortOf(chosen)],
  };
}

function weighOne(
  z: WholeQuiltRequest['zones'][number],
  { zones: _, topPrice: __, bobbinPrice: ___, ...shared }: WholeQuiltRequest,
  prices: { topPrice: number; bobbinPrice: number },
  book: BobbinBook,
): Weighed {
  const zone = weighZone({ ...shared, zone: z.zone, yarn: z.yarn, retraced: z.retraced }, book);
  if (z.keep) {
    const top = zone.tops.find((t) => t.thread.id === z.keep!.topId);
    const bobbin = top && zone.bobbinOf(z.keep!.bobbinId);
    if (bobbin)
      return {
        id: z.id,
        pairs: [zone.pairOf(top, bobbin)],
        setupOf: zone.setupOf,
        fixed: true,
        refusal: null,
      };
  }
  const near = z.refused
    ? pairsWithin(zone, 0, 0).slice(0, 1)
    : pairsWithin(zone, prices.topPrice, prices.bobbinPrice);
  // A shade may be given up to spare a change of thread (ΔE 10 at the usual price), never a colour for a bobbin's sake.
  const seen = (p: Pair) => p.top.weighed.parts[colour.id] ?? 0;
  const pairs = near.filter((p) => seen(p) <= seen(near[0]!) + prices.topPrice + 1e-9);
  const refusal = pairs.length === 0 ? nothingSuits(zone) : null;
  return { id: z.id, pairs, setupOf: zone.setupOf, fixed: false, refusal };
}

function told({ id, pairs, setupOf, fixed }: Weighed, pick: Pair | undefined): ZoneTogether {
  const own = pairs[0];
  if (!pick || !own) return { id, setup: null, own: null, extra: 0, shifts: [], kept: false };
  return {
    id,
    setup: setupOf(pick),
    own: setupOf(own),
    extra: pick.total - own.total,
    shifts: shiftsOf(own, pick),
    kept: fixed,
  };
}

const partsOf = (p: Pair): Record<string, number> => ({ ...p.top.weighed.parts, ...p.weighed.parts });
/** Changes smaller than this are not worth a word, points. */
const FELT = 0.02;

/** What changes by taking one pair for another, the largest change first. */
export function shiftsOf(from: Pair, to: Pair): Shift[] {
  const [before, after] = [partsOf(from), partsOf(to)];
  return (Object.keys(CRITERIA) as Criterion[])
    .map((criterion) => ({ criterion, by: (after[criterion] ?? 0) - (before[criterion] ?? 0) }))
    .filter((s) => Math.abs(s.by) >= FELT)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
}

const indexOf = (ids: readonly string[]) => new Map([...new Set(ids)].sort().map((id, i) => [id, i]));

const threadsOf = (pairs: readonly Pair[]) => ({
  tops: [...new Set(pairs.map((p) => p.top.thread.id))].sort(),
  bobbins: [...new Set(pairs.map((p) => p.bobbin.id))].sort(),
});

/** Warnings that several zones share, each once; the gravest first. */
function saidOnce(zones: readonly ZoneTogether[]): WholeQuilt['said'] {
  const by = new Map<string, { caution: Caution; zones: string[] }>();
  for (const z of zones)
    for (const caution of z.setup?.cautions ?? []) {
      const known = by.get(caution.text);
      if (known) known.zones.push(z.id);
      else by.set(caution.text, { caution, zones: [z.id] });
    }
  const order = { stop: 0, warn: 1, note: 2 } as const;
  return [...by.values()]
    .filter((s) => s.zones.length > 1)
    .sort((a, b) => order[a.caution.severity] - order[b.caution.severity]);
}

const withoutSaid = (z: ZoneTogether, said: ReadonlySet<string>): ZoneTogether =>
  z.setup ? { ...z, setup: { ...z.setup, cautions: z.setup.cautions.filter((c) => !said.has(c.text)) } } : z;

/** Zones whose set-ups agree in all that is set: threads, needle, foot, stitch, mode and tensions. */
function alikeOf(zones: readonly ZoneTogether[]): string[][] {
  const by = new Map<string, string[]>();
  for (const { id, setup: s } of zones) {
    if (!s) continue;
    const { nm, eye, point } = s.needle;
    const key = [s.topId, s.bobbinId, nm, eye, point, s.foot, s.spi, s.mode, Math.round(s.topGf)].join(' ');
    by.set(key, [...(by.get(key) ?? []), id]);
  }
  return [...by.values()].filter((ids) => ids.length > 1);
}

/** Why zones have no set-up, each reason once. */
const refusalsOf = (weighed: readonly Weighed[]): Caution[] => [
  ...new Map(weighed.flatMap((w) => (w.refusal ? [[w.refusal.text, w.refusal] as const] : []))).values(),
];

/** Cones that would not last the whole quilt, though they may last each zone. */
function shortOf(pairs: readonly Pair[]): Caution[] {
  const wanted = new Map<string, number>();
  const add = (id: string, m: number) => wanted.set(id, (wanted.get(id) ?? 0) + m);
  for (const p of pairs) {
    if (!p.used) continue;
    add(p.top.thread.id, p.used.topM);
    add(p.bobbin.id, p.used.bobbinM);
  }
  const threads = new Map(pairs.flatMap((p) => [p.top.thread, p.bobbin]).map((t) => [t.id, t]));
  return [...wanted].flatMap(([id, m]) => {
    const t = threads.get(id)!;
    if (t.remainingM == null || t.remainingM >= m) return [];
    return [
      {
        code: 'stock-short',
        severity: 'warn' as const,
        text: `${t.name ?? id}: the whole quilt wants ${Math.round(m)} m, ${Math.round(t.remainingM)} m are left.`,
        act: 'Have another cone ready.',
      },
    ];
  });
}
