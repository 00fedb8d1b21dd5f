import polylabel from 'polylabel';
import type { MultiPolygon } from '../geometry/polygon';
import type { Technique } from '../tables/techniques';

const PRECISION_IN = 0.05;
/** So many spacings go across the widest place of a zone before one says the technique is too large for it. */
const ACROSS = 2;
const LEAST_IN = 1 / 8;

/** Diameter of the largest circle in a shape, inches. */
export const openIn = (shape: MultiPolygon): number =>
  2 * Math.max(0, ...shape.map((polygon) => polylabel(polygon, PRECISION_IN).distance));

/** To the eighth of an inch, below an inch to the sixteenth: what a ruler shows. */
const onRuler = (n: number) => (n < 1 ? Math.round(n * 16) / 16 : Math.round(n * 8) / 8);

/**
 * The spacing offered first for a technique in a zone: the usual one, or as much less as lets it lie across the zone at
 * least twice (never four inches in a two-inch sashing). What follows its own lines keeps its usual figure. Inches.
 */
export function spacingFor(t: Technique, shape: MultiPolygon): number {
  if (t.density.kind !== 'spacing') return t.usualSpacingIn;
  return Math.max(LEAST_IN, onRuler(Math.min(t.usualSpacingIn, openIn(shape) / ACROSS)));
}
