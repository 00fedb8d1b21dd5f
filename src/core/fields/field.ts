/** How a field is asked for and kept. `inches`, `mm`, `metres` and `grams` may be typed with a unit. */
export type FieldKind =
  | 'text'
  | 'long'
  | 'number'
  | 'whole'
  | 'inches'
  | 'mm'
  | 'metres'
  | 'grams'
  | 'choice'
  | 'checks'
  | 'yes'
  | 'hex'
  | 'hexes'
  | 'numbers'
  /** A day, yyyy-mm-dd. */
  | 'day'
  /** Another thing the studio keeps, by its id. */
  | 'ref'
  /** Money in whole minor units of the studio's currency. */
  | 'money';

/** One of a closed list: what is stored, what a person reads, and what files may call it. */
export interface FieldChoice<V extends string | number = string | number> {
  value: V;
  label: string;
  also?: readonly string[];
  /** For schools: what choosing it does. */
  does?: string;
}

/**
 * One field of a thing the studio keeps, once for every floor: the form, its ranges and messages, the class that
 * checks what comes in, the columns of files, the workroom file and the panel all read it here. Its type is
 * inferred from it; the database's column is written by hand and held to it by a test.
 */
export interface Field {
  id: string;
  /** As the form and the panel call it. */
  label: string;
  kind: FieldKind;
  /** Begins the sentence of a range: “Net grams must lie …”; else the label. */
  noun?: string;
  range?: readonly [low: number, high: number];
  /** Letters at most, or entries of a list at least and at most. */
  most?: number;
  count?: readonly [least: number, most: number];
  choices?: readonly FieldChoice[];
  /** Said when it is missing or none of the choices. */
  ask?: string;
  /** What a text must look like, and what is said when it does not. An empty one passes where it may be empty. */
  looks?: { like: RegExp; else: string };
  /** May be left out; then nothing is stored. */
  optional?: boolean;
  /** A text that may be empty. */
  mayBeEmpty?: boolean;
  hint?: string;
  /** What a choice that may be left out says while it is. */
  none?: string;
  /** Takes a whole row of the form. */
  wide?: boolean;
  /** Words offered while typing. */
  suggest?: readonly string[];
  /** What a new one begins with. */
  usual?: unknown;
  /** False: kept, but asked for elsewhere or worked out. */
  onForm?: boolean;
  /** False: kept, but not written into the workroom file under its own name. */
  inFile?: boolean;
  /** Its column in a CSV file. */
  column?: {
    label: string;
    also: readonly string[];
    required?: boolean;
    /** Reads a word of the file; null when it means nothing here. */
    read?: (text: string) => string | number | null;
    /** What to do about a word that could not be read. */
    advice?: string;
    /** Taken when the cell is empty. */
    empty?: unknown;
    /** Said of an empty cell, and stored all the same. */
    emptyFlag?: string;
  };
}

/** A range as a sentence. */
export const rangeWords = (f: Field): string =>
  `${f.noun ?? f.label} must lie between ${f.range![0]} and ${f.range![1]}.`;

/** A wrong choice as a sentence. */
export const choiceWords = (f: Field): string =>
  f.ask ?? `${f.label}: pick one of ${f.choices!.map((c) => c.label).join(', ')}.`;

/** Choices from a closed list and its labels. */
export const choicesOf = <T extends string>(labels: Readonly<Record<T, string>>): FieldChoice<T>[] =>
  (Object.entries(labels) as [T, string][]).map(([value, label]) => ({ value, label }));

/** Choices from the rows of a table of the core. */
export const choicesFrom = (rows: readonly { id: string; label: string }[]): FieldChoice<string>[] =>
  rows.map((r) => ({ value: r.id, label: r.label }));

const NUMBERS: readonly FieldKind[] = ['number', 'whole', 'inches', 'mm', 'metres', 'grams', 'money'];

/**
 * What is wrong with one value as it is typed, in the words the server would say; null when it may pass, and while nothing
 * is given. What a field asks beside its kind, range and look is only known where it is stored.
 */
export function problemOf(f: Field, value: unknown): string | null {
  if (value === null || value === undefined || value === '') return null;
  const outside = (v: number) => f.range !== undefined && (v < f.range[0] || v > f.range[1]);
  if (NUMBERS.includes(f.kind)) {
    if (typeof value !== 'number') return `${f.noun ?? f.label}: give a number.`;
    if (f.kind === 'whole' && !Number.isInteger(value)) return `${f.noun ?? f.label}: give a whole number.`;
    return outside(value) ? rangeWords(f) : null;
  }
  if (f.kind === 'numbers' && Array.isArray(value)) {
    if (f.count && (value.length < f.count[0] || value.length > f.count[1])) return f.ask ?? rangeWords(f);
    if (value.some((v) => typeof v !== 'number'))
      return `${(f.noun ?? f.label).replace(/,$/u, '')}: give numbers.`;
    return value.some((v) => outside(v as number)) ? rangeWords(f) : null;
  }
  if (typeof value !== 'string') return null;
  if (f.most !== undefined && value.length > f.most) return `Keep it under ${f.most} letters.`;
  return f.looks && value.trim() !== '' && !f.looks.like.test(value.trim()) ? f.looks.else : null;
}

type ValueOf<F extends Field> = F['kind'] extends 'yes'
  ? boolean
  : F['kind'] extends 'checks'
    ? F['choices'] extends readonly FieldChoice<infer V>[]
      ? V[]
      : string[]
    : F['kind'] extends 'hexes'
      ? string[]
      : F['kind'] extends 'numbers'
        ? F['count'] extends readonly [3, 3]
          ? [number, number, number]
          : number[]
        : F['kind'] extends 'choice'
          ? F['choices'] extends readonly FieldChoice<infer V>[]
            ? V
            : string
          : F['kind'] extends 'text' | 'long' | 'hex' | 'day' | 'ref'
            ? string
            : number;

/** The type of a thing kept, from its rows: what may be left out may be null. */
export type KeptOf<Rows extends readonly Field[]> = {
  [F in Rows[number] as F['id']]: F extends { optional: true } ? ValueOf<F> | null : ValueOf<F>;
};
