import { CoreError } from '../notes';
import { fibres } from '../tables/fibres';

/** A needle must be of the usual series, and a thread of a size its fibre is made in; these say so in words. */

/**
 * @throws CoreError `tex-impossible` when the size cannot be of that fibre: the label was misread, or the
 * fibre is another. Tex in g/km.
 */
export function checkTex(tex: number, fibreId: string, path = 'tex'): void {
  const fibre = fibres.get(fibreId, 'fibre');
  const [low, high] = fibre.texRange;
  if (!(tex >= low && tex <= high))
    throw new CoreError(
      'tex-impossible',
      `Tex ${Number(tex.toPrecision(3))} cannot be ${fibre.label}: it is made from tex ${low} to ${high}. Check the label and the fibre.`,
      path,
    );
}

/**
 * Metres on a cone from its weight now: 1000 · (gross − tare) / tex. Grams and tex above 0.
 * @throws CoreError `weight-short` when the cone weighs less than it does empty.
 * @example metresFromWeight(95, 40, 27) // 2037
 */
export function metresFromWeight(grossG: number, tareG: number, tex: number): number {
  if (grossG < tareG)
    throw new CoreError(
      'weight-short',
      `The cone weighs ${grossG} g, less than the ${tareG} g of the empty cone.`,
      'grossG',
    );
  return (1000 * (grossG - tareG)) / tex;
}
