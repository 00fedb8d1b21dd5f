import type { Caution } from '../notes';
import { battings } from '../tables/battings';
import { techniques } from '../tables/techniques';
import { diameterMm } from '../thread/thread';
import { mmToIn } from '../units/length';
import { lineDensity, sewnLengthIn, type SewnRequest } from './line-density';

export interface DensityZone extends SewnRequest {
  id: string;
  topTex?: number;
  fibre?: string;
}

export interface DensityRequest {
  battingId: string;
  /** The rating on the batting's own label, inches. */
  battingMaxGapIn?: number;
  /** Share of the rating that is used; 0.95 keeps a margin. */
  gapShare?: number;
  zones: readonly DensityZone[];
  /** Densest over sparsest allowed: 2.5 by default, 4 for quick work. */
  evenness?: number;
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
  evenness: number;
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

/** Density of each zone against the batting's rating, and of the zones against each other. */
export function density(request: DensityRequest): Density {
  const { battingId, evenness: limit = EVENNESS_LIMIT } = request;
  const allowed = gapLimitIn(battingId, request.battingMaxGapIn, request.gapShare);
  const cautions: Caution[] = [];
  const zones = request.zones.map((zone) => {
    const t = techniques.get(zone.technique, 'zones.technique');
    const lambda = lineDensity(t, zone.spacingIn, zone.areaIn2, zone.lengthIn);
    const ok = zone.spacingIn <= allowed;
    if (!ok)
      cautions.push({
        code: 'batting-gap',
        severity: 'warn',
        text: `Zone ${zone.id} leaves gaps of ${zone.spacingIn} in; this batting allows ${allowed.toFixed(2)} in.`,
      });
    if (zone.topTex != null && zone.fibre != null && !t.pilesUp) {
      const cover = threadCover(lambda, t.backtrack, diameterMm({ tex: zone.topTex, fibre: zone.fibre }));
      if (cover > STIFF)
        cautions.push({
          code: 'stiff',
          severity: 'warn',
          text: `Thread covers ${(cover * 100).toFixed(0)} % of zone ${zone.id}: it will be stiff.`,
        });
    }
    return {
      id: zone.id,
      lineDensity: lambda,
      sewnLengthIn: sewnLengthIn(zone),
      gapIn: zone.spacingIn,
      gapLimitIn: allowed,
      ok,
    };
  });
  const lambdas = zones.map((z) => z.lineDensity);
  const evenness = lambdas.length > 0 ? Math.max(...lambdas) / Math.min(...lambdas) : 1;
  if (evenness > limit) {
    const dense = zones.find((z) => z.lineDensity === Math.max(...lambdas))!;
    const open = zones.find((z) => z.lineDensity === Math.min(...lambdas))!;
    cautions.push({
      code: 'uneven',
      severity: 'warn',
      text: `Zone ${dense.id} is ${evenness.toFixed(1)} times as dense as zone ${open.id}; above ${limit} the open one bubbles after washing.`,
    });
  }
  return { zones, evenness, limit, ok: evenness <= limit && zones.every((z) => z.ok), cautions };
}
