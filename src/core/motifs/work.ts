import { FIGURE_MIN, markingMin } from '../plan/setting-out';
import { techniques } from '../tables/techniques';
import { inToM, mmToIn, spiToMm } from '../units/length';
import type { Motif } from './motif-table';
import type { Level, MotifsRequest } from './request';
import type { ZoneFacts } from './zone-facts';

/** What the hand changes: speed, spread of ln hours, spacing error, least spacing (in), fewer stitches (judgements). */
export const HAND: Readonly<
  Record<Level, { speed: number; sd: number; error: number; leastIn: number; n: number }>
> = {
  beginner: { speed: 0.65, sd: 0.45, error: 0.35, leastIn: 0.5, n: 1 },
  steady: { speed: 1, sd: 0.3, error: 0.2, leastIn: 0.25, n: 2 },
  practised: { speed: 1.15, sd: 0.2, error: 0.1, leastIn: 0.1, n: 3 },
};

/** How practised this hand is with a technique; steady where nothing is known. */
export const levelOf = ({ hand }: MotifsRequest, technique: string): Level =>
  hand?.levels?.[technique] ?? hand?.usual ?? 'steady';

/** Line density λ of a technique in a zone, in/in². @param g its spacing; null where it has none. */
export function lambdaOf(z: ZoneFacts, m: Motif, g: number | null): number {
  switch (m.id) {
    case 'open':
      return 0;
    case 'outline':
      return z.edgeIn / z.areaIn2;
    case 'ditch':
      return z.edgeIn / 2 / z.areaIn2;
    case 'web':
      return 2 / g!;
    case 'ruler-arcs':
      return z.shape === 'compact' ? (1.05 * z.edgeIn) / z.areaIn2 : 4.2 / g!;
    default: {
      const { density } = techniques.get(m.id);
      return (density.kind === 'spacing' ? density.k : 1) / g!;
    }
  }
}

/** How wide it is left open, inches. */
export const leftOpen = (z: ZoneFacts, m: Motif, g: number | null): number =>
  m.id === 'open' || m.id === 'ditch' ? z.openIn : m.id === 'outline' ? z.openIn / 2 : g!;

const PIECE_MIN = 0.3;
const BURIED_MIN = 0.9;
/** A spine runs down the middle of what is not a strip's whole length (judgement). */
const SPINE_SHARE = 0.5;
const LEAST_NARROW_IN = 0.5;

export interface ZoneWork {
  lambda: number;
  openIn: number;
  sewnIn: number;
  minutes: number;
  threadM: number;
}

/** What a technique takes in a zone at a spacing, by this hand. */
export function workOf(request: MotifsRequest, z: ZoneFacts, m: Motif, g: number | null): ZoneWork {
  const t = techniques.get(m.id);
  const lambda = lambdaOf(z, m, g);
  const sewnIn = lambda * z.areaIn2 * (1 + t.backtrack);
  const speed = t.handInPerS * HAND[levelOf(request, m.id)].speed;
  const buried = request.quilt.use === 'show' ? BURIED_MIN : 0;
  const figures = m.kind === 'figure' ? FIGURE_MIN * z.pieces : 0;
  const minutes =
    m.id === 'open'
      ? 0
      : sewnIn / speed / 60 +
        (PIECE_MIN + buried) * z.pieces +
        figures +
        markingMin(t, {
          edgeIn: z.edgeIn,
          spacingIn: g ?? z.openIn,
          sewnIn,
          spineIn: (SPINE_SHARE * z.areaIn2) / Math.max(z.narrowIn, LEAST_NARROW_IN),
        });
  const stitchMm = spiToMm(t.baseSpi);
  return {
    lambda,
    openIn: leftOpen(z, m, g),
    sewnIn,
    minutes,
    threadM:
      m.id === 'open'
        ? 0
        : 1.05 * (inToM(sewnIn) * (1 + (z.thicknessMm * 2 + 1) / stitchMm) + 0.3 * z.pieces),
  };
}

/** Minutes of a plain medium fill in the same zone, to weigh others against. */
export const plainMinutes = (z: ZoneFacts): number => (0.84 * z.areaIn2) / 2.1 / 60 + PIECE_MIN * z.pieces;

/** Least spacing: the technique's own, the hand's, two and a half yarns. */
export const leastSpacing = (request: MotifsRequest, m: Motif): number =>
  Math.max(
    m.g![0],
    m.kind === 'none' ? 0 : HAND[levelOf(request, m.id)].leastIn,
    m.id === 'couching' && request.yarn ? 2.5 * mmToIn(request.yarn.diameterMm) : 0,
  );
