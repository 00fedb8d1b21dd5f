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

/** A whole number with a fraction as a tape measure shows it: 53 1/4, 3/8. Null when it is none. */
function readFraction(text: string): number | null {
  const found = /^(?:(\d{1,4})[ -])?(\d{1,2})\/(2|4|8|16|32)$/u.exec(text.trim());
  if (!found) return null;
  const [over, under] = [Number(found[2]), Number(found[3])];
  return over < under ? Number(found[1] ?? 0) + over / under : null;
}

const IN_MM = { mm: 1, cm: 10, m: 1000, in: 25.4, '"': 25.4, '”': 25.4, inch: 25.4, inches: 25.4 } as const;

/**
 * A length with or without its unit, in mm; without one it is in `bare`. Null when it cannot be read.
 * A yarn’s thickness may be told by how many turns of it cover an inch.
 * Halves to thirty-seconds may be written as a tape measure shows them.
 * @example readLengthMm('6 in', '.', 'mm') // 152.4
 * @example readLengthMm('53 1/4', '.', 'in') // 1352.55
 * @example readLengthMm('10 turns', '.', 'mm') // 2.54
 */
export function readLengthMm(text: string, decimal: DecimalSign, bare: 'mm' | 'in'): number | null {
  const wound = /^(.*?)\s*(?:turns|wraps|wpi)(?: (?:to|per|an?) (?:the )?inch)?$/iu.exec(text.trim());
  const turns = wound && readNumber(wound[1]!, decimal);
  if (turns != null && turns > 0) return 25.4 / turns;
  const found = /^(.*?)\s*(mm|cm|m|in|inch|inches|"|”)?\.?$/iu.exec(text.trim());
  const n = found && (readFraction(found[1]!) ?? readNumber(found[1]!, decimal));
  return n == null ? null : n * IN_MM[(found![2]?.toLowerCase() ?? bare) as keyof typeof IN_MM];
}
