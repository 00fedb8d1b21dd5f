import type { TensionSchool } from '../fields/lists';
import { inQuarters } from '../machine/scales';
import { gramsText } from '../units/force';

/** A tension as a studio reads it: what stands large, its unit, and what stands small beside it. */
export interface TensionSaid {
  big: string;
  unit: '' | 'g';
  beside: string;
}

/** A top tension by feel, for one who has neither gauge nor measured dial (judgement). */
const firmness = (gf: number): string => (gf < 65 ? 'light' : gf < 105 ? 'medium' : 'firm');
/** The drop test: a case held by its thread, jerked once. The heavier the tension, the shorter the drop (judgement). */
const dropTest = (gf: number): string =>
  `drop test ${inQuarters(gf < 17 ? 4 : gf < 22 ? 3 : gf < 27 ? 2 : 1)} in`;

/**
 * A tension in gf as this studio sets it: grams for those with a gauge, with the mark of the dial beside them where it was
 * measured; for those who set by dial and eye the mark, or the drop test, and grams only beside.
 */
export function tensionSaid(
  school: TensionSchool,
  kind: 'top-dial' | 'bobbin-turns',
  gf: number,
  place: string | null,
): TensionSaid {
  const grams = gramsText(gf);
  if (school !== 'dial') return { big: grams, unit: 'g', beside: school === 'both' ? (place ?? '') : '' };
  const felt = kind === 'top-dial' ? firmness(gf) : dropTest(gf);
  return { big: place ?? felt, unit: '', beside: `about ${grams} g on a gauge` };
}
