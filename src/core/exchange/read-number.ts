/** Which sign a file writes before the decimals. */
export type DecimalSign = '.' | ',';

/**
 * A number as people and spreadsheets write it: spaces and the other sign part thousands, the decimal sign
 * is the file's. Null when it is no number; nothing is guessed.
 * @example readNumber('1.234,5', ',') // 1234.5
 */
export function readNumber(text: string, decimal: DecimalSign): number | null {
  const parts = decimal === ',' ? '.' : ',';
  const plain = new RegExp(
    `^[+-]?\\d{1,3}(?:[\\s'${parts}]\\d{3})+(?:[${decimal}]\\d+)?$|^[+-]?\\d+(?:[${decimal}]\\d+)?$`,
    'u',
  );
  const trimmed = text.trim();
  // A lone point in a comma file is a decimal point all the same, unless it parts thousands.
  if (decimal === ',' && /^[+-]?\d+\.\d{1,2}$/.test(trimmed)) return Number(trimmed);
  if (decimal === '.' && /^[+-]?\d+,\d{1,2}$/.test(trimmed)) return Number(trimmed.replace(',', '.'));
  if (!plain.test(trimmed)) return null;
  const value = Number(trimmed.replace(new RegExp(`[\\s'${parts}]`, 'gu'), '').replace(decimal, '.'));
  return Number.isFinite(value) ? value : null;
}

/** Fractions that have a sign of their own, as a phone writes them. */
const SIGNS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const spelled = (text: string): string =>
  text
    .replace(/[½¼¾⅛⅜⅝⅞]/gu, (sign) => ` ${SIGNS[sign]!}`)
    .replaceAll('⁄', '/')
    .trim();

/** A whole number with a fraction as a tape measure shows it: 53 1/4, 53-1/4, 3/8. Null when it is none. */
function readFraction(text: string): number | null {
  const found = /^(?:(\d{1,6})[ -]+)?(\d{1,2})\s*\/\s*(2|4|8|16|32)$/u.exec(text.trim());
  if (!found) return null;
  const [over, under] = [Number(found[2]), Number(found[3])];
  return over < under ? Number(found[1] ?? 0) + over / under : null;
}

const INCH = 25.4;
const IN_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  metre: 1000,
  metres: 1000,
  meter: 1000,
  meters: 1000,
  mtr: 1000,
  km: 1e6,
  in: INCH,
  ins: INCH,
  '"': INCH,
  '”': INCH,
  '″': INCH,
  inch: INCH,
  inches: INCH,
  ft: 12 * INCH,
  "'": 12 * INCH,
  '’': 12 * INCH,
  '′': 12 * INCH,
  foot: 12 * INCH,
  feet: 12 * INCH,
  yd: 36 * INCH,
  yds: 36 * INCH,
  yard: 36 * INCH,
  yards: 36 * INCH,
};
const IN_GRAMS: Readonly<Record<string, number>> = {
  g: 1,
  gr: 1,
  gram: 1,
  grams: 1,
  gramme: 1,
  grammes: 1,
  kg: 1000,
  oz: 28.349523125,
  ounce: 28.349523125,
  ounces: 28.349523125,
  lb: 453.59237,
  lbs: 453.59237,
  pound: 453.59237,
  pounds: 453.59237,
};

/** One number with one unit of a list, or none; in the list's own measure. */
function one(text: string, decimal: DecimalSign, units: Readonly<Record<string, number>>, bare: number) {
  const found = /^(.*?)\s*([a-z]+|["”″'’′])?\.?$/iu.exec(text.trim());
  const each = found?.[2] === undefined ? bare : units[found[2].toLowerCase()];
  const n = found && (readFraction(found[1]!) ?? readNumber(found[1]!, decimal));
  return n == null || each === undefined ? null : n * each;
}

/** One measure, or a larger and a smaller one after it: 4 ft 4 in, 1 lb 2 oz. */
function measured(text: string, decimal: DecimalSign, units: Readonly<Record<string, number>>, bare: number) {
  const plain = spelled(text);
  const whole = one(plain, decimal, units, bare);
  if (whole !== null) return whole;
  const pair =
    /^(\d+(?:[.,]\d+)?\s*(?:ft|feet|foot|['’′]|yds?|yards?|lbs?|pounds?|m))\.?\s*,?\s*(\d.*)$/iu.exec(plain);
  const [large, small] = [
    pair && one(pair[1]!, decimal, units, NaN),
    pair && one(pair[2]!, decimal, units, NaN),
  ];
  return large != null && small != null && small > 0 && small < large ? large + small : null;
}

/**
 * A length with or without its unit, in mm; without one it is in `bare`. Null when it cannot be read.
 * A yarn’s thickness may be told by how many turns of it cover an inch.
 * Halves to thirty-seconds may be written as a tape measure shows them.
 * @example readLengthMm('6 in', '.', 'mm') // 152.4
 * @example readLengthMm('53 1/4', '.', 'in') // 1352.55
 * @example readLengthMm('4 ft 4 in', '.', 'in') // 1320.8
 * @example readLengthMm('10 turns', '.', 'mm') // 2.54
 */
export function readLengthMm(text: string, decimal: DecimalSign, bare: 'mm' | 'in' | 'm'): number | null {
  const wound = /^(.*?)\s*(?:turns|wraps|wpi)(?: (?:to|per|an?) (?:the )?inch)?$/iu.exec(text.trim());
  const turns = wound && readNumber(wound[1]!, decimal);
  if (turns != null && turns > 0) return INCH / turns;
  return measured(text, decimal, IN_MM, IN_MM[bare]!);
}

/** The metres on a cone, told in metres or yards. @example readMetres('6000 yd', '.') // 5486.4 */
export const readMetres = (text: string, decimal: DecimalSign): number | null => {
  const mm = readLengthMm(text, decimal, 'm');
  return mm === null ? null : mm / 1000;
};

/** A weight in grams, told in grams, ounces or pounds. @example readGrams('8 oz', '.') // 226.8 */
export const readGrams = (text: string, decimal: DecimalSign): number | null =>
  measured(text, decimal, IN_GRAMS, 1);
