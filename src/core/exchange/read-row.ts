import { CoreError } from '../notes';
import { checkTex } from '../shelf/cone';
import type { Field } from '../fields/field';
import { choiceWords, rangeWords } from '../fields/field';
import { FILE_FIELDS } from '../fields/files';
import type { ConeRole, Sheen } from '../fields/lists';
import type { Eye, Point } from '../tables/needles';
import { describeThread } from '../thread/describe';
import type { Basis } from '../thread/label-forms';
import { COLUMNS, type ExchangeKind, type Mapping } from './columns';
import { type DecimalSign, readGrams, readLengthMm, readMetres, readNumber } from './read-number';
import { readHex, readYes } from './words';

/** What is wrong ('error': the row cannot be stored) or not known ('flag': stored, and said) in one cell. */
export interface CellProblem {
  column: string;
  message: string;
  severity: 'error' | 'flag';
}

export interface ConeRow {
  line: string;
  colour: string;
  hex: string | null;
  hexes: string[];
  runIn: number | null;
  fibre: string;
  label: string;
  tex: number;
  texBasis: Basis;
  role: ConeRole;
  remainingM: number | null;
  fullG: number | null;
  fullM: number | null;
  tareG: number | null;
  sheen: Sheen | null;
  needleMinNm: number | null;
  needleMaxNm: number | null;
  place: string;
  batch: string;
  price: number | null;
  notes: string;
}
export interface BattingRow {
  name: string;
  kind: string;
  loftMm: number | null;
  maxGapIn: number | null;
  ratingText: string;
  shrinkPct: number | null;
  notes: string;
}
export interface FabricRow {
  name: string;
  kind: string;
  hex: string | null;
  notes: string;
}
export interface NeedleRow {
  nm: number;
  eye: Eye;
  point: Point;
  coated: boolean;
  stock: number;
}
export interface RowOf {
  cones: ConeRow;
  battings: BattingRow;
  fabrics: FabricRow;
  needles: NeedleRow;
}

export interface ReadRow<T> {
  /** Null when an error stands in the way. */
  value: T | null;
  problems: CellProblem[];
}

/** Notes every problem of a row rather than stopping at the first. */
class Reading {
  readonly problems: CellProblem[] = [];
  constructor(
    private readonly cells: ReadonlyMap<string, string>,
    readonly decimal: DecimalSign,
  ) {}
  /** Our own files write a quote before what a spreadsheet would run as a formula. */
  cell(id: string): string {
    return (this.cells.get(id) ?? '').trim().replace(/^'(?=[=+\-@＝＋－＠])/, '');
  }
  error(column: string, message: string): null {
    this.problems.push({ column, message, severity: 'error' });
    return null;
  }
  flag(column: string, message: string): null {
    this.problems.push({ column, message, severity: 'flag' });
    return null;
  }
}

const within = (r: Reading, f: Field, value: number, text: string): number | null => {
  const [low, high] = f.range!;
  return value < low || value > high
    ? r.error(f.id, `${rangeWords(f).slice(0, -1)}; ${text} does not.`)
    : value;
};

/** One cell by the rule of its field: the same rule the form and the database keep. */
/** What an empty cell of a kind is, where its column says nothing else. */
const EMPTY: Partial<Record<Field['kind'], () => unknown>> = {
  hexes: () => [],
  text: () => '',
  long: () => '',
  yes: () => false,
};

function emptyCell(r: Reading, f: Field): unknown {
  const { column } = f;
  if (column?.required) return r.error(f.id, 'Is empty, and is needed.');
  if (column?.emptyFlag) return r.flag(f.id, column.emptyFlag);
  if (column?.empty !== undefined) return column.empty;
  return EMPTY[f.kind]?.() ?? null;
}

type ReadCell = (r: Reading, f: Field, text: string) => unknown;
const readText: ReadCell = (r, f, text) =>
  text.length > f.most! ? r.error(f.id, `Longer than ${f.most} letters.`) : text;
const readANumber: ReadCell = (r, f, text) => {
  const value = readNumber(text, r.decimal);
  if (value === null) return r.error(f.id, `“${text}” is not a number.`);
  if (f.kind === 'whole' && !Number.isInteger(value))
    return r.error(f.id, `${f.noun ?? f.label}: a whole number is wanted, and ${text} is none.`);
  return within(r, f, value, text);
};
const readLength: ReadCell = (r, f, text) => {
  const mm = readLengthMm(text, r.decimal, f.kind === 'mm' ? 'mm' : 'in');
  if (mm === null) return r.error(f.id, `“${text}” is not a length, such as 6 in or 150 mm.`);
  return within(r, f, f.kind === 'mm' ? mm : mm / 25.4, text);
};
const readAmount =
  (read: typeof readMetres, words: string): ReadCell =>
  (r, f, text) => {
    const value = read(text, r.decimal);
    return value === null ? r.error(f.id, `“${text}” is no ${words}.`) : within(r, f, value, text);
  };
const readHexes: ReadCell = (r, f, text) => {
  const all = text.split(/[\s,;/|]+/).map(readHex);
  if (all.includes(null))
    return r.error(
      f.id,
      `“${text}” is not a row of colours. Write each as six digits, such as #6e3b63 #8a9a7b.`,
    );
  return all.length > f.count![1] ? r.error(f.id, `At most ${f.count![1]} colours.`) : all;
};

/** How a cell is read by the kind of its field; the others are choices. */
const CELLS: Partial<Record<Field['kind'], ReadCell>> = {
  text: readText,
  long: readText,
  number: readANumber,
  whole: readANumber,
  inches: readLength,
  mm: readLength,
  metres: readAmount(readMetres, 'length, such as 5000 m or 6000 yd'),
  grams: readAmount(readGrams, 'weight, such as 240 g or 8 oz'),
  hex: (r, f, text) =>
    readHex(text) ?? r.error(f.id, `“${text}” is not a colour. Write six digits, such as #6e3b63.`),
  hexes: readHexes,
  yes: (r, f, text) => readYes(text) ?? r.error(f.id, `“${text}” is neither yes nor no.`),
};

function readCell(r: Reading, f: Field): unknown {
  const text = r.cell(f.id);
  // A control character is a sign of a file that is not text; a name is one line.
  if (/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/.test(text))
    return r.error(f.id, 'Holds signs that are not text.');
  if (f.kind !== 'long' && /[\r\n]/.test(text)) return r.error(f.id, 'Must stand on one line.');
  return text ? (CELLS[f.kind] ?? readChoice)(r, f, text) : emptyCell(r, f);
}

function readChoice(r: Reading, f: Field, text: string): unknown {
  if (f.column?.read) {
    const found = f.column.read(text);
    if (found !== null) return found;
    return typeof f.choices![0]!.value === 'number'
      ? r.error(f.id, `There is no needle ${text}. ${choiceWords(f).replace(/^.*?\. /, '')}`)
      : r.error(f.id, `“${text}” is not a kind known here. ${f.column.advice ?? ''}`.trim());
  }
  const word = text.toLowerCase();
  if (f.optional && word === '-') return null;
  const choice = f.choices!.find(
    (c) => String(c.value) === word || c.label.toLowerCase() === word || c.also?.includes(word),
  );
  if (choice) return choice.value;
  const known = f.choices!.flatMap((c) => [String(c.value), ...(c.also ?? [])]);
  return r.error(f.id, `“${text}” is not understood here. Known: ${known.join(', ')}.`);
}

/** The size of a cone from its label, tex or weight; null with the reason noted when there is none. */
function sizeOf(r: Reading, c: ConeRow & { tex: number | null }): { tex: number; basis: Basis } | null {
  const weighed = c.fullG !== null && c.fullM !== null ? { netG: c.fullG, lengthM: c.fullM } : {};
  const words = [c.tex === null ? '' : `Tex ${c.tex}`, c.label].filter(Boolean).join(' / ');
  if (!words && !('netG' in weighed))
    return r.error('label', 'No size: give the label, its tex, or net grams and metres of a full cone.');
  try {
    const { tex, basis, reasons, uncertain } = describeThread({
      fibre: c.fibre,
      label: words || undefined,
      ...weighed,
    });
    checkTex(tex, c.fibre);
    if (uncertain) r.flag('label', `Tex ${tex.toFixed(0)} from a weight number only, ±25 %.`);
    for (const n of reasons.filter((x) => x.code === 'sources-disagree')) r.flag('label', n.text);
    return { tex, basis };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return r.error(c.tex !== null && error.code === 'tex-impossible' ? 'tex' : 'label', error.message);
  }
}

/** A range of needle sizes needs both ends, the smaller first; null when it is sound. */
export function needleRangeProblem(
  low: number | null,
  high: number | null,
): { path: 'needleMinNm' | 'needleMaxNm'; message: string } | null {
  if ((low === null) !== (high === null))
    return {
      path: low === null ? 'needleMinNm' : 'needleMaxNm',
      message: 'A needle range needs both ends.',
    };
  return low !== null && high !== null && low > high
    ? { path: 'needleMaxNm', message: `The range runs backwards: ${low} to ${high}.` }
    : null;
}

/** What the cells of a row say together, once each was read. */
const TOGETHER: { [K in ExchangeKind]?: (r: Reading, row: RowOf[K]) => RowOf[K] } = {
  cones: (r, row) => {
    const range = needleRangeProblem(row.needleMinNm, row.needleMaxNm);
    if (range && !r.problems.some((p) => p.column.startsWith('needleM'))) r.error(range.path, range.message);
    const size = row.fibre ? sizeOf(r, row) : null;
    return { ...row, tex: size?.tex ?? 0, texBasis: size?.basis ?? 'tex' };
  },
};

/** Reads one row of a file by its mapping; every problem is named with its column. */
export function readRow<K extends ExchangeKind>(
  kind: K,
  mapping: Mapping,
  cells: readonly string[],
  decimal: DecimalSign,
): ReadRow<RowOf[K]> {
  const byColumn = new Map<string, string>();
  mapping.forEach((id, i) => id && byColumn.set(id, cells[i] ?? ''));
  const r = new Reading(byColumn, decimal);
  const fields: readonly Field[] = FILE_FIELDS[kind];
  const read = Object.fromEntries(
    fields.filter((f) => f.column).map((f) => [f.id, readCell(r, f)]),
  ) as unknown as RowOf[K];
  const row = TOGETHER[kind]?.(r, read) ?? read;
  return { value: r.problems.some((p) => p.severity === 'error') ? null : row, problems: r.problems };
}

/** What makes two rows the same thing, for telling doubles within a file and against the shelf. */
export const rowKey = <K extends ExchangeKind>(kind: K, row: RowOf[K]): string => {
  const key: { [P in ExchangeKind]: (r: RowOf[P]) => string } = {
    cones: (r) => `${r.line}\n${r.colour}`,
    battings: (r) => r.name,
    fabrics: (r) => r.name,
    needles: (r) => `${r.nm} ${r.eye} ${r.point} ${r.coated}`,
  };
  return key[kind](row).toLowerCase();
};

/** The column's label, for messages. */
export const columnLabel = (kind: ExchangeKind, id: string): string =>
  COLUMNS[kind].find((c) => c.id === id)?.label ?? id;
