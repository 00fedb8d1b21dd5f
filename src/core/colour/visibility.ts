import { deltaE, labOf } from './delta-e';

export type VisibilityWord = 'disappears' | 'texture' | 'shows';

/** A thread at least this thick shows its full colour, mm. */
const FULL_COLOUR_MM = 0.2;

/** How much a line is seen: ΔE·min(1, d/0.20 mm). */
export const visibility = (de: number, threadMm: number): number =>
  de * Math.min(1, threadMm / FULL_COLOUR_MM);

/** Under 5 disappears, 5–15 is texture, above 15 shows. */
export const visibilityWord = (v: number): VisibilityWord =>
  v < 5 ? 'disappears' : v <= 15 ? 'texture' : 'shows';

export interface ColourSpread {
  worst: number;
  least: number;
  mean: number;
  /** Index of the fabric with the largest difference, and of the one with the least. */
  worstIndex: number;
  leastIndex: number;
}

/** CIEDE2000 of a thread against every fabric of a zone; the mean is weighted by share of area. */
export function colourSpread(
  threadHex: string,
  fabrics: readonly { hex: string; share?: number }[],
): ColourSpread {
  const thread = labOf(threadHex);
  const each = fabrics.map((f) => deltaE(thread, labOf(f.hex)));
  const shares = fabrics.map((f) => f.share ?? 1);
  const sum = shares.reduce((a, b) => a + b, 0) || 1;
  const worst = Math.max(...each);
  const least = Math.min(...each);
  return {
    worst,
    least,
    mean: each.reduce((total, de, i) => total + (de * (shares[i] ?? 0)) / sum, 0),
    worstIndex: each.indexOf(worst),
    leastIndex: each.indexOf(least),
  };
}
