import { type Caution, CoreError } from '../notes';
import { battings } from '../tables/battings';
import { type Technique, techniques } from '../tables/techniques';
import { diameterMm } from '../thread/thread';
import type { Softness } from '../fields/lists';
import { mmToIn } from '../units/length';
import { lineDensity, sewnLengthIn, type SewnRequest } from './line-density';

export interface DensityZone extends SewnRequest {
  id: string;
  topTex?: number;
  fibre?: string;
  /** How soft it should stay. */
  softness?: Softness;
  /** How wide it lies open, where it is left open, inches; its spacing unless said. */
  openIn?: number;
}

export interface DensityRequest {
  battingId: string;
  /** The rating on the batting's own label, inches. */
  battingMaxGapIn?: number;
  /** Share of the rating that is used; 0.95 keeps a margin. */
  gapShare?: number;
  zones: readonly DensityZone[];
  /** Seams that zones share, inches; left out, every zone touches every other. */
  neighbours?: readonly SharedSeam[];
  /** Denser over sparser neighbour allowed: 2.5 by default, 4 for quick work. */
  evenness?: number;
}

/** Length of seam two zones share, by their ids. */
export interface SharedSeam {
  a: string;
  b: string;
  seamIn: number;
}

export interface ZoneDensity {
  id: string;
  lineDensity: number;
  sewnLengthIn: number;
  gapIn: number;
  gapLimitIn: number;
  ok: boolean;
}

export interface Density {
  zones: ZoneDensity[];
  /** The largest ratio of line densities between neighbours that are no accents. */
  evenness: number;
  /** Area-weighted spread of ln λ over the whole quilt. */
  spread: number;
  limit: number;
  ok: boolean;
  cautions: Caution[];
}

/** Safety margin on a batting's rating. */
const GAP_SHARE = 0.95;
export const EVENNESS_LIMIT = 2.5;
/** Thread cover λ(1 + backtrack)·d above which a zone turns stiff (judgement). */
const STIFF = 0.1;

/** Widest open gap allowed on a batting, inches: 0.95 of its rating, its own label's before its kind's. */
export const gapLimitIn = (battingId: string, ratedIn?: number, share = GAP_SHARE): number =>
  share * (ratedIn ?? battings.get(battingId, 'battingId').maxGapIn);

/** Share of the surface under thread, λ(1 + backtrack)·d with both lengths in inches. */
export const threadCover = (lambda: number, backtrack: number, threadMm: number): number =>
  lambda * (1 + backtrack) * mmToIn(threadMm);

/** Line density up to which an area counts as soft, and as neither soft nor firm, in/in² (judgement). */
export const SOFT_UP_TO = { soft: 1, usual: 2.5 } as const;

/** Soft, usual or firm, by its line density in in/in². */
export const softnessOf = (lambda: number): Softness =>
  lambda <= SOFT_UP_TO.soft + 1e-9 ? 'soft' : lambda <= SOFT_UP_TO.usual + 1e-9 ? 'usual' : 'firm';

/** A zone smaller than this share of the zones it touches together is an accent and condemns nothing. */
const ACCENT = 0.08;
/** Line density above which an area is stiff whatever the thread, in/in². */
const STIFF_LAMBDA = 6;

/** Density of each zone against the batting's rating, and of neighbours along their seams. @throws CoreError `unknown-zone` when a seam names a zone that is not there. */
export function density(request: DensityRequest): Density {
  const { battingId, evenness: limit = EVENNESS_LIMIT } = request;
  const allowed = gapLimitIn(battingId, request.battingMaxGapIn, request.gapShare);
  const told = request.zones.map((zone) => zoneDensity(zone, allowed));
  const cautions = told.flatMap((z) => z.cautions);
  const zones = told.map((z) => z.density);
  const pairs = neighbourPairs(request);
  const by = new Map(zones.map((z, i) => [z.id, { ...z, areaIn2: request.zones[i]!.areaIn2 }]));
  const accents = accentsOf(by, pairs);
  const judged = pairs
    .filter((p) => !accents.has(p.a) && !accents.has(p.b))
    .map((p) => ({ ...p, ratio: by.get(p.a)!.besideDensity / by.get(p.b)!.besideDensity }))
    .map((p) => (p.ratio >= 1 ? p : { ...p, a: p.b, b: p.a, ratio: 1 / p.ratio }));
  const worst = judged.reduce<(typeof judged)[number] | null>(
    (w, p) => (!w || p.ratio > w.ratio ? p : w),
    null,
  );
  const evenness = worst?.ratio ?? 1;
  for (const p of judged.filter((x) => x.ratio > limit + 1e-9))
    cautions.push({
      code: 'uneven',
      severity: 'warn',
      text: `Zone ${p.a} is ${p.ratio.toFixed(1)} times as dense as zone ${p.b} beside it; above ${limit} the open one bubbles after washing.`,
    });
  return {
    zones: zones.map(({ besideDensity: _, ...z }) => z),
    evenness,
    spread: spreadOf([...by.values()]),
    limit,
    ok: evenness <= limit && zones.every((z) => z.ok),
    cautions,
  };
}

/** A zone by itself: how dense it is, how wide it lies open against what the batting allows, and what speaks against that. */
function zoneDensity(
  zone: DensityZone,
  allowed: number,
): { density: ZoneDensity & { besideDensity: number }; cautions: Caution[] } {
  const t = techniques.get(zone.technique, 'zones.technique');
  const lambda = lineDensity(t, zone.spacingIn, zone.areaIn2, zone.lengthIn);
  // Nothing is sewn in what is left open: the batting holds it by itself, as wide as it is.
  const gapIn = t.leftOpen ? (zone.openIn ?? zone.spacingIn) : zone.spacingIn;
  const ok = gapIn <= allowed;
  const cautions = [
    ok ? null : gapCaution(zone.id, t, gapIn, allowed),
    stiffCaution(zone, lambda, t),
    softnessCaution(zone, lambda, t, allowed),
  ].filter((c) => c !== null);
  return {
    density: {
      id: zone.id,
      // Beside its neighbours an open zone is as sparse as one line across it.
      besideDensity: t.leftOpen ? 1 / Math.max(0.1, gapIn) : lambda,
      lineDensity: lambda,
      sewnLengthIn: sewnLengthIn(zone),
      gapIn,
      gapLimitIn: allowed,
      ok,
    },
    cautions,
  };
}

const gapCaution = (id: string, t: Technique, gapIn: number, allowed: number): Caution => ({
  code: 'batting-gap',
  severity: 'warn',
  text: t.leftOpen
    ? `Zone ${id} is left open ${Number(gapIn.toFixed(1))} in wide; this batting allows ${Number(allowed.toFixed(2))} in.`
    : `Zone ${id} leaves gaps of ${gapIn} in; this batting allows ${Number(allowed.toFixed(2))} in.`,
});

function stiffCaution(zone: DensityZone, lambda: number, t: Technique): Caution | null {
  const covers =
    zone.topTex != null && zone.fibre != null
      ? threadCover(lambda, t.backtrack, diameterMm({ tex: zone.topTex, fibre: zone.fibre }))
      : 0;
  if (t.pilesUp || !t.area || (covers <= STIFF && lambda <= STIFF_LAMBDA)) return null;
  return {
    code: 'stiff',
    severity: 'warn',
    text:
      covers > STIFF
        ? `Thread covers ${(covers * 100).toFixed(0)} % of zone ${zone.id}: it will be stiff.`
        : `Zone ${zone.id} has ${lambda.toFixed(1)} in of line on each square inch: it will be stiff whatever the thread.`,
  };
}

/** What stands against a wish for softness, with the gap that would meet it; null when it is met. */
function softnessCaution(zone: DensityZone, lambda: number, t: Technique, allowedIn: number): Caution | null {
  const wish = zone.softness;
  if (!wish || softnessOf(lambda) === wish || !t.area) return null;
  const aim = wish === 'firm' ? SOFT_UP_TO.usual * 1.05 : SOFT_UP_TO[wish];
  if (wish === 'usual' && lambda < aim) return null;
  // Line density falls as the gap grows, in proportion.
  const gap = (zone.spacingIn * lambda) / aim;
  const much = lambda > aim ? 'firmer' : 'softer';
  const held =
    gap > allowedIn
      ? `This batting allows gaps of ${allowedIn.toFixed(1)} in, which leaves it ${softnessOf((zone.spacingIn * lambda) / allowedIn)}.`
      : `${Number(gap.toFixed(2))} in spacing would do it.`;
  return {
    code: 'softness',
    severity: 'note',
    text: `Zone ${zone.id} comes out ${much} than wished: ${lambda.toFixed(1)} in of line to the square inch is ${softnessOf(lambda)}, and ${wish} is asked. ${held}`,
  };
}

/** Each pair of neighbours once. */
function neighbourPairs({ zones, neighbours }: DensityRequest): SharedSeam[] {
  if (!neighbours)
    return zones.flatMap((a, i) => zones.slice(i + 1).map((b) => ({ a: a.id, b: b.id, seamIn: 1 })));
  const ids = new Set(zones.map((z) => z.id));
  neighbours.forEach(({ a, b }, i) => {
    for (const id of [a, b])
      if (!ids.has(id))
        throw new CoreError(
          'unknown-zone',
          `A seam names zone “${id}”, which is not in the list.`,
          `neighbours.${i}`,
        );
  });
  return neighbours.filter((n) => n.a !== n.b && n.seamIn > 0);
}

/** Zones much smaller than all they touch together. */
function accentsOf(
  zones: ReadonlyMap<string, { areaIn2: number }>,
  pairs: readonly SharedSeam[],
): ReadonlySet<string> {
  const beside = new Map<string, Set<string>>();
  for (const { a, b } of pairs)
    for (const [here, there] of [
      [a, b],
      [b, a],
    ] as const)
      beside.set(here, (beside.get(here) ?? new Set()).add(there));
  const area = (id: string) => zones.get(id)!.areaIn2;
  return new Set(
    [...beside]
      .filter(([id, others]) => area(id) < ACCENT * [...others].reduce((sum, o) => sum + area(o), 0))
      .map(([id]) => id),
  );
}

/** Area-weighted standard deviation of ln λ. */
function spreadOf(zones: readonly { besideDensity: number; areaIn2: number }[]): number {
  const total = zones.reduce((sum, z) => sum + z.areaIn2, 0);
  if (total === 0) return 0;
  const mean = zones.reduce((sum, z) => sum + z.areaIn2 * Math.log(z.besideDensity), 0) / total;
  return Math.sqrt(
    zones.reduce((sum, z) => sum + z.areaIn2 * (Math.log(z.besideDensity) - mean) ** 2, 0) / total,
  );
}
