import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { fibres } from '../tables/fibres';

const FIBRE_WORDS: readonly (readonly [RegExp, string])[] = [
  [/nylon.*mono|mono.*nylon|clear nylon|invisible nylon/, 'nylon-mono'],
  [/poly.*mono|mono.*poly/, 'polyester-mono'],
  [/core ?-?spun|corespun/, 'polyester-corespun'],
  [/spun.*poly|poly.*spun/, 'polyester-spun'],
  [/trilobal|filament|continuous/, 'polyester-filament'],
  [/metal/, 'metallic'],
  [/solub|dissolv|wash ?away/, 'soluble'],
  [/rayon|viscose/, 'rayon'],
  [/silk/, 'silk'],
  [/wool/, 'wool-blend'],
  [/cotton/, 'cotton'],
];

const exact = (text: string, rows: readonly { id: string; label: string }[]): string | null => {
  const t = text.trim().toLowerCase();
  return rows.find((r) => r.id === t || r.label.toLowerCase() === t)?.id ?? null;
};

/** A fibre by id, by our own word for it, or by a plain word that means only one; null otherwise ('polyester' alone may be three). */
export const readFibre = (text: string): string | null =>
  exact(text, fibres.rows) ?? FIBRE_WORDS.find(([words]) => words.test(text.toLowerCase()))?.[1] ?? null;

/** The fabric kind a word of a file means, in its code or its label in any case; null where it is none of the list. */
export const readFabricKind = (text: string): string | null => exact(text, fabrics.rows);
/** The batting kind a word of a file means, in its code or its label in any case; null where it is none of the list. */
export const readBattingKind = (text: string): string | null => exact(text, battings.rows);

/** A colour written as six hexadecimal digits, with or without #; null otherwise: names are never guessed at. */
export function readHex(text: string): string | null {
  const found = /^#?([0-9a-f]{6})$/i.exec(text.trim());
  return found ? `#${found[1]!.toLowerCase()}` : null;
}

const YES = ['yes', 'y', 'true', '1', 'x', 'ja', 'oui', 'si', 'coated'];
const NO = ['no', 'n', 'false', '0', '', 'nein', 'non', 'uncoated'];
/** Yes or no from what people write in a table (yes, y, true, 1, x and their opposites); null where it is neither. */
export const readYes = (text: string): boolean | null => {
  const t = text.trim().toLowerCase();
  return YES.includes(t) ? true : NO.includes(t) ? false : null;
};
