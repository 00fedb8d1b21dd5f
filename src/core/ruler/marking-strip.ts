import { planRuler } from './ruler';

/** A border to mark: its length between the corners, the repeat that is wished, the line's depth from the seam, a second line. */
export interface StripRequest {
  lengthIn: number;
  repeatIn: number;
  depthIn: number;
  secondIn?: number;
  cornerIn: number;
}

/** A strip to print at full size and lay on the border. */
export interface MarkingStrip {
  repeats: number;
  /** One repeat as it comes out, and by how much it is stretched. */
  repeatIn: number;
  scalePct: number;
  /** Ticks along the border, inches from its corner. */
  ticksIn: number[];
  cautions: { code: string; text: string }[];
}

/**
 * Ticks of a border's repeats, stretched so that a whole number fits: n = round(length/repeat).
 * @throws CoreError of `planRuler`. @example markingStrip({ lengthIn: 60, repeatIn: 8, depthIn: 1, cornerIn: 6 }).repeats // 8
 */
export function markingStrip({ lengthIn, repeatIn }: StripRequest): MarkingStrip {
  const {
    repeats = 1,
    scalePct = 100,
    cautions,
  } = planRuler({ offsetIn: 0, repeat: { lengthIn, repeatIn } });
  const each = lengthIn / repeats;
  return {
    repeats,
    repeatIn: each,
    scalePct,
    ticksIn: Array.from({ length: repeats + 1 }, (_, i) => i * each),
    cautions,
  };
}

/** What fits on one sheet of paper with its margins, mm. */
export interface Paper {
  widthMm: number;
  heightMm: number;
  marginMm: number;
}
export const PAPERS: Readonly<Record<'a4' | 'letter', Paper>> = {
  a4: { widthMm: 297, heightMm: 210, marginMm: 10 },
  letter: { widthMm: 279.4, heightMm: 215.9, marginMm: 10 },
};

/** Sheets overlap by so much, where they are laid on one another, mm. */
export const LAP_MM = 10;

/** Where each sheet of a strip begins and ends along it, mm; neighbours overlap so that they can be joined. */
export function sheetsOf(lengthMm: number, { widthMm, marginMm }: Paper): { fromMm: number; toMm: number }[] {
  const usable = widthMm - 2 * marginMm;
  const step = usable - LAP_MM;
  const n = Math.max(1, Math.ceil((lengthMm - LAP_MM) / step));
  return Array.from({ length: n }, (_, i) => ({
    fromMm: i * step,
    toMm: Math.min(lengthMm, i * step + usable),
  }));
}
