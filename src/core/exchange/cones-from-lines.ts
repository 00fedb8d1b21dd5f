import { CoreError } from '../notes';
import { fibres } from '../tables/fibres';
import { readConeLine } from '../thread/read-cone-line';

/** One line of a list of labels: what it was read as, or why it was not. */
export interface ConeFromLine {
  /** As it was typed. */
  text: string;
  /** Its row of the file, in the order of the header; null where it cannot be read. */
  row: string[] | null;
  /** How it is understood, or what is wrong with it, in words. */
  words: string;
}

/** Columns of the rows, by the names the exchange knows. */
export const CONE_HEADER = [
  'Line',
  'Colour',
  'Hex',
  'Fibre',
  'Label',
  'Full net g',
  'Full length m',
] as const;
const MOST_LINES = 500;

const capital = (s: string) => s[0]!.toUpperCase() + s.slice(1);
const plain = (x: number | null) => (x === null ? '' : String(Number(x.toFixed(1))));

/**
 * Labels typed or pasted one to a line, “Poly 40 white 5000 m”, as rows of a file of cones; at most 500 lines, empty ones
 * are passed over.
 */
export function conesFromLines(text: string): ConeFromLine[] {
  return text
    .split(/\r?\n/u)
    .map((line) => line.trim())
    .filter(Boolean)
    .slice(0, MOST_LINES)
    .map((line) => {
      try {
        const c = readConeLine(line);
        const fibre = fibres.get(c.fibre).label;
        const words = c.colour
          ? c.words
              .replace(new RegExp(`\\b${c.colour.name}\\b`, 'iu'), ' ')
              .replace(/\s+/gu, ' ')
              .trim()
          : c.words;
        // A name of one's own, or what it is.
        const own = words
          .replace(/\b(?:poly\w*|cotton|rayon|silk|nylon|wool|metallic|thread)\b/giu, '')
          .trim();
        const name = own ? words : capital(`${fibre} ${c.label}`);
        const colour = c.colour ? capital(c.colour.name) : 'no colour named';
        const guessed = c.assumed.length > 0 ? ` (${c.assumed.join(' and ')} taken for granted)` : '';
        return {
          text: line,
          row: [name, colour, c.colour?.hex ?? '', c.fibre, c.label, plain(c.netG), plain(c.lengthM)],
          words: `${fibre}, tex ${plain(c.tex)}, ${colour}${c.lengthM === null ? '' : `, ${plain(c.lengthM)} m`}${guessed}`,
        };
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
        return { text: line, row: null, words: error.message };
      }
    });
}
