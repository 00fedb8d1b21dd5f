import { readShared, sharedFile } from '../exchange/shared';

/** A pattern as it is given to another studio: its words, its usual width, and its drawing. */
export interface SharedPattern {
  name: string;
  words: string;
  widthIn: number;
  svg: string;
}

const KIND = 'tidy-spool-pattern';

/** The file of a shared pattern: JSON that any program reads, with the drawing in it as SVG. */
export const sharedPatternFile = (p: SharedPattern): string => sharedFile(KIND, p);

/**
 * A shared pattern read again; null where a text is none, words where it is one that cannot be taken in.
 * @example readSharedPattern('{"format":"tidy-spool-pattern","version":9}') // 'This pattern comes from a newer program.'
 */
export function readSharedPattern(text: string): SharedPattern | string | null {
  const read = readShared(text, KIND, 'pattern');
  if (read === null || typeof read === 'string') return read;
  const { name, words, widthIn, svg } = read;
  if (typeof svg !== 'string' || !svg.includes('<svg')) return 'This file has no drawing in it.';
  return {
    name: typeof name === 'string' ? name.slice(0, 120) : '',
    words: typeof words === 'string' ? words.slice(0, 300) : '',
    widthIn: typeof widthIn === 'number' && widthIn >= 0.25 && widthIn <= 200 ? widthIn : 8,
    svg,
  };
}
