import { type Caution, CoreError } from '../notes';

export interface RulerRequest {
  /** From the needle to the foot's edge. */
  offsetIn: number;
  edge?: { kind: 'convex' | 'concave' | 'straight'; radiusIn?: number };
  /** Chord of the arc sewn, for its depth. */
  chordIn?: number;
  repeat?: { lengthIn: number; repeatIn: number };
}

export interface RulerAnswer {
  sewnRadiusIn?: number;
  sagittaIn?: number;
  /** How far short of a corner the ruler stops. */
  stopShortIn: number;
  repeats?: number;
  scalePct?: number;
  cautions: Caution[];
}

/** A pattern stretched or squeezed by more than this along a border is seen (judgement). */
const SEEN_PCT = 8;

/**
 * A line sewn along a ruler lies a foot's offset away: a convex edge of radius R sews R + offset, a concave one
 * R − offset. Sagitta s = R − √(R² − c²/4) of the arc sewn. Repeats n = round(length/repeat), scale =
 * length/(n·repeat). Inches.
 * @throws CoreError `radius-missing`, `radius-too-small`, `chord-too-long`.
 */
export function planRuler({ offsetIn, edge, chordIn, repeat }: RulerRequest): RulerAnswer {
  const out: RulerAnswer = { stopShortIn: offsetIn, cautions: [] };
  if (edge && edge.kind !== 'straight') {
    if (edge.radiusIn == null)
      throw new CoreError('radius-missing', 'Give the radius of the ruler’s edge.', 'edge.radiusIn');
    const sewn = edge.kind === 'convex' ? edge.radiusIn + offsetIn : edge.radiusIn - offsetIn;
    if (sewn <= 0)
      throw new CoreError(
        'radius-too-small',
        `The foot does not fit inside a curve of ${edge.radiusIn} in.`,
        'edge.radiusIn',
      );
    out.sewnRadiusIn = sewn;
    if (chordIn != null) {
      if (chordIn > 2 * sewn)
        throw new CoreError(
          'chord-too-long',
          `An arc of radius ${sewn} in spans ${2 * sewn} in at most.`,
          'chordIn',
        );
      out.sagittaIn = sewn - Math.sqrt(sewn ** 2 - chordIn ** 2 / 4);
    }
  }
  if (repeat) {
    const n = Math.max(1, Math.round(repeat.lengthIn / repeat.repeatIn));
    out.repeats = n;
    out.scalePct = (100 * repeat.lengthIn) / (n * repeat.repeatIn);
    if (Math.abs(out.scalePct - 100) > SEEN_PCT)
      out.cautions.push({
        code: 'repeat-stretched',
        severity: 'note',
        text: `The repeat is scaled to ${out.scalePct.toFixed(0)} %: it will be seen. Another repeat, or a motif at the corner, fits better.`,
      });
  }
  return out;
}
