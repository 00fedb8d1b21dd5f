import { readMetres, readGrams } from '../exchange/read-number';
import { CoreError } from '../notes';
import { fibres } from '../tables/fibres';
import { describeThread } from './describe';

/** A cone as it was typed in one line, and what of it was only assumed. */
export interface ConeLine {
  /** The words that are neither size, fibre, length nor weight. */
  words: string;
  /** A colour the words name, and how it looks, roughly; null where none is named. */
  colour: { name: string; hex: string } | null;
  fibre: string;
  label: string;
  tex: number;
  /** True where the size rests on a weight number alone. */
  uncertain: boolean;
  lengthM: number | null;
  netG: number | null;
  /** What was taken for granted: the fibre, or the size. */
  assumed: readonly ('fibre' | 'size')[];
}

/** What labels call a fibre; the first that is named counts. */
const FIBRE_WORDS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:clear|invisible|mono\w*|transparent)\b.*\bnylon\b|\bnylon\b/iu, 'nylon-mono'],
  [/\b(?:clear|invisible|mono\w*|transparent|smoke)\b/iu, 'polyester-mono'],
  [/\bmetall?ic\b|\bfoil\b/iu, 'metallic'],
  [/\brayon\b|\bviscose\b/iu, 'rayon'],
  [/\bsilk\b/iu, 'silk'],
  [/\bwool\b|\bacrylic\b/iu, 'wool-blend'],
  [/\bsoluble\b|\bwash[- ]?(?:away|out)\b/iu, 'soluble'],
  [/\bcore[- ]?spun\b/iu, 'polyester-corespun'],
  [/\bspun\b/iu, 'polyester-spun'],
  [/\bcotton\b|\bcott?\b/iu, 'cotton'],
  [/\bpoly\w*\b|\btrilobal\b|\bfilament\b/iu, 'polyester-filament'],
];
const USUAL_FIBRE = 'polyester-filament';
/** The size of a thread of which nothing is said: forty weight, and a clear strand of a tenth of a millimetre. */
const USUAL_SIZE = (fibre: string) => (fibres.get(fibre).mono ? '0.1 mm' : '40 wt');

/** Colours as they are named at a counter, roughly. */
const COLOURS: Readonly<Record<string, string>> = {
  white: '#fbfaf6',
  natural: '#efe6d2',
  cream: '#f1e7d0',
  ivory: '#f4ecd9',
  ecru: '#e3d7bd',
  beige: '#d9c9a8',
  sand: '#d9c7a0',
  tan: '#b99c74',
  taupe: '#9b8b7a',
  brown: '#6a4a32',
  chocolate: '#4a3022',
  black: '#1b1b1d',
  charcoal: '#3b3e42',
  grey: '#8b9096',
  gray: '#8b9096',
  silver: '#c3c7cb',
  navy: '#1f2a44',
  blue: '#2f5aa0',
  denim: '#3c5577',
  sky: '#9cc3dc',
  turquoise: '#3fb0b5',
  teal: '#1f6f78',
  aqua: '#7fcfcf',
  green: '#2f7d4a',
  moss: '#5d6b3a',
  olive: '#6b6b32',
  sage: '#9aa886',
  lime: '#9fc23b',
  mint: '#b5dcc4',
  yellow: '#f0cf3c',
  gold: '#c9962b',
  mustard: '#c99a2e',
  orange: '#e07b28',
  rust: '#a5502a',
  peach: '#f2bf9e',
  coral: '#ea7a66',
  red: '#a3262f',
  burgundy: '#6b1f2e',
  wine: '#6b1f2e',
  rose: '#d88fa0',
  pink: '#f0b3c0',
  fuchsia: '#c2307e',
  purple: '#5e3a7d',
  plum: '#5a3557',
  violet: '#6a4ba0',
  lavender: '#b9a7d6',
  lilac: '#c4b0dc',
};

/**
 * Reads a cone as people write it on a list: “Poly 40 white 5000 m”, “cotton 50/3 cream 1 200 yd”, “clear nylon 0.004 in”.
 * What is not said is assumed and told.
 * @throws CoreError `label-unreadable` where a size stands there and cannot be read.
 * @example readConeLine('Poly 40 white 5000 m').tex // 25
 */
export function readConeLine(text: string): ConeLine {
  let rest = ` ${text.normalize('NFKC').replace(/\s+/gu, ' ').trim()} `;
  if (!rest.trim()) throw new CoreError('label-unreadable', 'Type what stands on the cone.', 'label');
  const assumed: ('fibre' | 'size')[] = [];
  const named = FIBRE_WORDS.find(([words]) => words.test(rest));
  const fibre = named?.[1] ?? USUAL_FIBRE;
  if (!named) assumed.push('fibre');
  const take = (pattern: RegExp): string | null => {
    const found = pattern.exec(rest);
    if (!found) return null;
    rest = rest.replace(found[0], ' ');
    return found[0].trim();
  };
  // The length of a cone: hundreds of metres or yards, or any number with its unit spelled.
  const length = take(/(?<![\w./])\d[\d ,.]*\s*(?:metres?|meters?|mtrs?|m|yards?|yds?)\b\.?/iu);
  const weight = take(/(?<![\w./])\d[\d.,]*\s*(?:grams?|g|oz|ounces?|lbs?|pounds?)\b\.?/iu);
  const size =
    take(/(?<![\w.])(?:tex|t)[ .:-]*\d+(?:[.,]\d+)?\b/iu) ??
    take(
      /(?<![\w.])\d+(?:[.,]\d+)?(?:\s*\/\s*\d{1,2})?\s*(?:tex|dtex|den(?:ier)?|d|nm|ne|wt|weight)\b\.?/iu,
    ) ??
    take(/(?<![\w.])(?:ne|nm|den|tkt|ticket|no\.?|size|wt)[ .]*\d+(?:[.,]\d+)?(?:\s*\/\s*\d{1,2})?\b/iu) ??
    (fibres.get(fibre).mono ? take(/(?<![\w])0?[.,]\d+\s*(?:mm|in(?:ch)?\b|")/iu) : null) ??
    take(/(?<![\w.])\d+\s*\/\s*\d{1,2}\b/u) ??
    take(/(?<![\w./])(?:[89]|[1-9]\d|1[0-4]\d|150)(?![\w./])/u);
  if (size === null) assumed.push('size');
  const label = size ?? USUAL_SIZE(fibre);
  const { tex, uncertain } = describeThread({ label, fibre });
  const words = rest
    .replace(/[;,|]+/gu, ' ')
    .replace(/\s+/gu, ' ')
    .trim();
  const colour = words
    .toLowerCase()
    .split(' ')
    .reverse()
    .find((w) => COLOURS[w]);
  return {
    words,
    colour: colour ? { name: colour, hex: COLOURS[colour]! } : null,
    fibre,
    label,
    tex,
    uncertain,
    lengthM: length === null ? null : readMetres(length, '.'),
    netG: weight === null ? null : readGrams(weight, '.'),
    assumed,
  };
}
