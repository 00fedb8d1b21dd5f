import { CoreError } from '../notes';
import { planRuler } from './ruler';

/** A ruler that is owned: what its edge is. */
export interface OwnedRuler {
  id: string;
  name: string;
  shape: 'straight' | 'arc' | 'circle' | 'template';
  radiusIn: number | null;
}

/** The arc that is wanted: by chord and depth, or by its radius; and the chord of one arc. */
export interface WantedArc {
  chordIn: number;
  depthIn?: number;
  radiusIn?: number;
}

/** One ruler and its edge, with what it sews there. */
export interface RulerPick {
  id: string;
  name: string;
  /** Foot outside the edge of it, or inside: the hollow side of a template or nested set. */
  edge: 'convex' | 'concave';
  sewnRadiusIn: number;
  /** Depth of the arc it sews over the wanted chord. */
  depthIn: number;
  /** By how much that depth is off, inches: below 0 flatter. */
  offIn: number;
  /** Hold its end so far past the point: the foot keeps the needle away from it. */
  pastIn: number;
  /** Times it is set anew along the arc. */
  settings: number;
}

export interface RulerPicks {
  wantedRadiusIn: number;
  wantedDepthIn: number;
  picks: RulerPick[];
}

/** A hand holds so much of an edge before it lets go and sets anew, inches (judgement). */
const REACH_IN = 8;
/** An arc that is off by no more is the one that was wanted, inches. */
export const SAME_DEPTH_IN = 0.0625;

/** Depth of an arc over its chord: s = R − √(R² − c²/4). */
export const depthOf = (radiusIn: number, chordIn: number): number =>
  radiusIn - Math.sqrt(radiusIn ** 2 - chordIn ** 2 / 4);

/** Radius of an arc by its chord and depth: R = c²/8s + s/2. */
export const radiusOf = (chordIn: number, depthIn: number): number =>
  chordIn ** 2 / (8 * depthIn) + depthIn / 2;

/**
 * Which of the rulers owned sews an arc, on which of its edges, nearest in depth first; how far past the point to hold it,
 * and how often it is set anew. The line lies a foot's offset from the edge.
 * @param offsetIn needle to the foot's edge, inches.
 * @throws CoreError `chord-too-long` when no circle of that radius has such a chord, `nothing-wanted` without depth or radius.
 */
export function pickRuler(wanted: WantedArc, rulers: readonly OwnedRuler[], offsetIn: number): RulerPicks {
  const { chordIn, depthIn } = wanted;
  if (wanted.radiusIn == null && depthIn == null)
    throw new CoreError('nothing-wanted', 'Give how deep the arc is, or its radius.', 'depthIn');
  if (depthIn != null && depthIn > chordIn / 2)
    throw new CoreError(
      'too-deep',
      `Over a chord of ${chordIn} in an arc is ${chordIn / 2} in deep at most: that is a half circle.`,
      'depthIn',
    );
  const radius = wanted.radiusIn ?? radiusOf(chordIn, depthIn!);
  if (chordIn > 2 * radius + 1e-9)
    throw new CoreError(
      'chord-too-long',
      `A circle of radius ${Number(radius.toFixed(2))} in spans ${Number((2 * radius).toFixed(2))} in at most.`,
      'chordIn',
    );
  const depth = depthOf(radius, chordIn);
  const picks = rulers.flatMap((r) => {
    if (r.radiusIn === null || r.shape === 'straight') return [];
    const edges = r.shape === 'circle' ? (['convex'] as const) : (['convex', 'concave'] as const);
    return edges.flatMap((edge): RulerPick[] => {
      const sewn = edge === 'convex' ? r.radiusIn! + offsetIn : r.radiusIn! - offsetIn;
      if (sewn <= 0 || chordIn > 2 * sewn) return [];
      const own = depthOf(sewn, chordIn);
      const arcIn = 2 * sewn * Math.asin(chordIn / 2 / sewn);
      return [
        {
          id: r.id,
          name: r.name,
          edge,
          sewnRadiusIn: sewn,
          depthIn: own,
          offIn: own - depth,
          pastIn: offsetIn,
          settings: Math.max(1, Math.ceil(arcIn / REACH_IN)),
        },
      ];
    });
  });
  picks.sort((a, b) => Math.abs(a.offIn) - Math.abs(b.offIn) || a.settings - b.settings);
  return { wantedRadiusIn: radius, wantedDepthIn: depth, picks };
}

/** How an edge goes: one arc, arcs one after another, or a wave out and in. */
export type EdgeKind = 'arc' | 'scallops' | 'wave';

/**
 * The arc that sews an edge measured by the length and depth of one repeat: a scallop is one arc; a wave is two, each of half
 * its length and half its depth from crest to trough. With the length of the side, the repeat is stretched so that a whole
 * number fits. Inches. @throws CoreError of `planRuler`.
 */
export function arcOfEdge(
  kind: EdgeKind,
  repeatIn: number,
  depthIn: number,
  sideIn?: number,
): { chordIn: number; depthIn: number; repeats: number | null; repeatIn: number; scalePct: number } {
  const fitted = sideIn ? planRuler({ offsetIn: 0, repeat: { lengthIn: sideIn, repeatIn } }) : null;
  const own = fitted ? sideIn! / fitted.repeats! : repeatIn;
  const half = kind === 'wave' ? 2 : 1;
  return {
    chordIn: own / half,
    depthIn: depthIn / half,
    repeats: fitted?.repeats ?? null,
    repeatIn: own,
    scalePct: fitted?.scalePct ?? 100,
  };
}

/** A wave along an edge, by its length and depth: each half is an arc of this radius. */
export const waveRadiusIn = (wavelengthIn: number, depthIn: number): number =>
  radiusOf(wavelengthIn / 2, depthIn / 2);
