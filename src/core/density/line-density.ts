import { type Technique, techniques } from '../tables/techniques';

/**
 * Stitched length per area λ in in/in² at a spacing g (inches): k/g by technique. Lines sewn along
 * something (ditch, outline …) have their own length over the area; without it 1/g stands in.
 */
export function lineDensity(t: Technique, spacingIn: number, areaIn2: number, lengthIn?: number): number {
  if (t.density.kind === 'none') return 0;
  if (t.density.kind === 'spacing') return t.density.k / spacingIn;
  return lengthIn != null ? lengthIn / areaIn2 : 1 / spacingIn;
}

export interface SewnRequest {
  technique: string;
  spacingIn: number;
  areaIn2: number;
  lengthIn?: number;
}

/** Sewn length in inches, λ·area·(1 + backtrack). */
export function sewnLengthIn({ technique, spacingIn, areaIn2, lengthIn }: SewnRequest): number {
  const t = techniques.get(technique, 'technique');
  return lineDensity(t, spacingIn, areaIn2, lengthIn) * areaIn2 * (1 + t.backtrack);
}
