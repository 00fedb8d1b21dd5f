import { inToMm, spiToMm } from '../units/length';

export type Curve = 'smooth' | 'faceted' | 'jagged' | 'straight';

/** Stitches in a full turn from which a curve looks smooth; and the chord error that never shows. */
export const SMOOTH_STITCHES = 14;
const SMOOTH_ERROR_MM = 0.1;
const JAGGED_STITCHES = 10;
const JAGGED_ERROR_MM = 0.2;

export interface CurveFacts {
  curve: Curve;
  /** Turn per stitch in degrees, 0 on a straight line. */
  turnDeg: number;
  /** Stitches in a full turn, null on a straight line. */
  stitchesPerTurn: number | null;
  /** How far the chord of a stitch leaves the curve, mm. */
  chordErrorMm: number;
}

/**
 * How a curve of radius R looks at a stitch length L: θ = L/R, e = L²/(8R), N = 2πR/L. Smooth when
 * N ≥ 14 or e ≤ 0.10 mm, jagged when N < 10 and e > 0.20 mm, faceted between. Radius in inches, above 0;
 * null is a straight line.
 */
export function curveFacts(radiusIn: number | null, spi: number): CurveFacts {
  if (radiusIn === null) return { curve: 'straight', turnDeg: 0, stitchesPerTurn: null, chordErrorMm: 0 };
  const r = inToMm(radiusIn);
  const l = spiToMm(spi);
  const stitchesPerTurn = (2 * Math.PI * r) / l;
  const chordErrorMm = l ** 2 / (8 * r);
  const curve =
    stitchesPerTurn >= SMOOTH_STITCHES || chordErrorMm <= SMOOTH_ERROR_MM
      ? 'smooth'
      : stitchesPerTurn < JAGGED_STITCHES && chordErrorMm > JAGGED_ERROR_MM
        ? 'jagged'
        : 'faceted';
  return { curve, turnDeg: ((l / r) * 180) / Math.PI, stitchesPerTurn, chordErrorMm };
}

/** Stitches per inch that make a curve smooth, 14·25.4/(2πR); radius in inches. */
export const smoothSpi = (radiusIn: number): number =>
  (SMOOTH_STITCHES * 25.4) / (2 * Math.PI * inToMm(radiusIn));

/** Radius in inches from which curves come out smooth at a stitch length. */
export function smoothRadiusIn(spi: number): number {
  const l = spiToMm(spi);
  return Math.min((SMOOTH_STITCHES * l) / (2 * Math.PI), l ** 2 / (8 * SMOOTH_ERROR_MM)) / 25.4;
}
