import { CoreError } from '../notes';
import { checkTex } from '../shelf/cone';
import { EYES, type Eye, NEEDLE_SIZES, type Point, POINTS } from '../tables/needles';
import { describeThread } from '../thread/describe';
import type { Basis } from '../thread/label-forms';
import { COLUMNS, type ExchangeKind, type Mapping } from './columns';
import { type DecimalSign, readLengthMm, readNumber } from './read-number';
import { readBattingKind, readFabricKind, readFibre, readHex, readYes } from './words';

/** What is wrong ('error': the row cannot be stored) or not known ('flag': stored, and said) in one cell. */
export interface CellProblem {
  column: string;
  message: string;
  severity: 'error' | 'flag';
}

export interface ThreadRow {
  line: string;
  colour: string;
  hex: string | null;
  fibre: string;
  label: string;
  tex: number;
  texBasis: Basis;
  role: 'top' | 'bobbin' | 'both';
  remainingM: number | null;
  fullG: number | null;
  fullM: number | null;
  tareG: number | null;
  sheen: 'matt' | 'satin' | 'bright' | null;
  needleMinNm: number | null;
  needleMaxNm: number | null;
  place: string;
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
  threads: ThreadRow;
  battings: BattingRow;
  fabrics: FabricRow;
  needles: NeedleRow;
}

export interface ReadRow<T> {
  /** Null when an error stands in the way. */
  value: T | null;
  problems: CellProblem[];
}

/** Reads the cells of one row, noting every problem rather than stopping at the first. */
class Cells {
  readonly problems: CellProblem[] = [];
  constructor(
    private readonly cells: ReadonlyMap<string, string>,
    private readonly decimal: DecimalSign,
  ) {}

  text(column: string, most: number): string {
    // Our own files write a quote before what a spreadsheet would run as a formula.
    const value = (this.cells.get(column) ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    if (value.length > most) this.error(column, `Longer than ${most} letters.`);
    // A control character is a sign of a file that is not text.
    if (/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/.test(value))
      this.error(column, 'Holds signs that are not text.');
    return value;
  }
  needed(column: string, most: number): string {
    const value = this.text(column, most);
    if (!value) this.error(column, 'Is empty, and is needed.');
    return value;
  }
  number(column: string, [low, high]: readonly [number, number], noun: string): number | null {
    const text = this.text(column, 60);
    if (!text) return null;
    const value = readNumber(text, this.decimal);
    if (value === null) this.error(column, `“${text}” is not a number.`);
    else if (value < low || value > high)
      this.error(column, `${noun} must lie between ${low} and ${high}; ${text} does not.`);
    else return value;
    return null;
  }
  lengthMm(column: string, bare: 'mm' | 'in', [low, high]: readonly [number, number]): number | null {
    const text = this.text(column, 60);
    if (!text) return null;
    const mm = readLengthMm(text, this.decimal, bare);
    if (mm === null) this.error(column, `“${text}” is not a length, such as 6 in or 150 mm.`);
    else if (mm < low || mm > high) this.error(column, `${text} is beyond anything usual here.`);
    else return mm;
    return null;
  }
  oneOf<T extends string>(column: string, words: Readonly<Record<string, T>>, fallback: T): T {
    const text = this.text(column, 60).toLowerCase();
    if (!text) return fallback;
    const found = words[text];
    if (found === undefined)
      this.error(column, `“${text}” is not understood here. Known: ${Object.keys(words).join(', ')}.`);
    return found ?? fallback;
  }
  hex(column: string): string | null {
    const text = this.text(column, 60);
    if (!text) {
      this.flag(column, 'No colour given: it stays unknown until you pick one.');
      return null;
    }
    const hex = readHex(text);
    if (!hex) this.error(column, `“${text}” is not a colour. Write six digits, such as #6e3b63.`);
    return hex;
  }
  named(column: string, read: (text: string) => string | null, advice: string): string {
    const text = this.needed(column, 120);
    const id = text ? read(text) : null;
    if (text && !id) this.error(column, `“${text}” is not a kind known here. ${advice}`);
    return id ?? '';
  }
  error(column: string, message: string) {
    this.problems.push({ column, message, severity: 'error' });
  }
  flag(column: string, message: string) {
    this.problems.push({ column, message, severity: 'flag' });
  }
  give<T>(value: T): ReadRow<T> {
    return {
      value: this.problems.some((p) => p.severity === 'error') ? null : value,
      problems: this.problems,
    };
  }
}

const ROLES = { top: 'top', bobbin: 'bobbin', both: 'both', under: 'bobbin', needle: 'top' } as const;
const SHEENS = {
  matt: 'matt',
  matte: 'matt',
  satin: 'satin',
  bright: 'bright',
  shiny: 'bright',
  '-': '',
} as const;

function readThread(c: Cells): ReadRow<ThreadRow> {
  const line = c.needed('line', 120);
  const colour = c.needed('colour', 120);
  const hex = c.hex('hex');
  const fibre = c.named(
    'fibre',
    readFibre,
    '“Polyester” alone may be filament, core-spun or spun: say which.',
  );
  const label = c.text('label', 200);
  const texGiven = c.number('tex', [1, 1000], 'Tex');
  const fullG = c.number('fullG', [0.1, 10_000], 'Grams');
  const fullM = c.number('fullM', [1, 1_000_000], 'Metres');
  const size = fibre ? sizeOf(c, { fibre, label, texGiven, fullG, fullM }) : null;
  const needleMinNm = c.number('needleMinNm', [40, 200], 'A needle');
  const needleMaxNm = c.number('needleMaxNm', [40, 200], 'A needle');
  if ((needleMinNm === null) !== (needleMaxNm === null))
    c.error(needleMinNm === null ? 'needleMinNm' : 'needleMaxNm', 'A needle range needs both ends.');
  if (needleMinNm !== null && needleMaxNm !== null && needleMinNm > needleMaxNm)
    c.error('needleMaxNm', `The range runs backwards: ${needleMinNm} to ${needleMaxNm}.`);
  return c.give({
    line,
    colour,
    hex,
    fibre,
    label,
    tex: size?.tex ?? 0,
    texBasis: size?.basis ?? 'tex',
    role: c.oneOf('role', ROLES, 'both'),
    remainingM: c.number('remainingM', [0, 1_000_000], 'Metres left'),
    fullG,
    fullM,
    tareG: c.number('tareG', [0, 10_000], 'Grams'),
    sheen: c.oneOf<'matt' | 'satin' | 'bright' | ''>('sheen', SHEENS, '') || null,
    needleMinNm,
    needleMaxNm,
    place: c.text('place', 120),
    price: c.number('price', [0, 100_000], 'A price'),
    notes: c.text('notes', 2000),
  });
}

interface SizeSources {
  fibre: string;
  label: string;
  texGiven: number | null;
  fullG: number | null;
  fullM: number | null;
}

function sizeOf(
  c: Cells,
  { fibre, label, texGiven, fullG, fullM }: SizeSources,
): { tex: number; basis: Basis } | null {
  const weighed = fullG !== null && fullM !== null ? { netG: fullG, lengthM: fullM } : {};
  const words = [texGiven === null ? '' : `Tex ${texGiven}`, label].filter(Boolean).join(' / ');
  if (!words && !('netG' in weighed)) {
    c.error('label', 'No size: give the label, its tex, or net grams and metres of a full cone.');
    return null;
  }
  try {
    const { tex, basis, reasons, uncertain } = describeThread({
      fibre,
      label: words || undefined,
      ...weighed,
    });
    checkTex(tex, fibre);
    if (uncertain) c.flag('label', `Tex ${tex.toFixed(0)} from a weight number only, ±25 %.`);
    for (const r of reasons.filter((x) => x.code === 'sources-disagree')) c.flag('label', r.text);
    return { tex, basis };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    c.error(texGiven !== null && error.code === 'tex-impossible' ? 'tex' : 'label', error.message);
    return null;
  }
}

function readBatting(c: Cells): ReadRow<BattingRow> {
  const gapMm = c.lengthMm('maxGapIn', 'in', [2, 600]);
  return c.give({
    name: c.needed('name', 120),
    kind: c.named('kind', readBattingKind, 'Write “unknown batting” when you are not sure.'),
    loftMm: c.lengthMm('loftMm', 'mm', [0.1, 60]),
    maxGapIn: gapMm === null ? null : gapMm / 25.4,
    ratingText: c.text('ratingText', 120),
    shrinkPct: c.number('shrinkPct', [0, 30], 'Shrinkage'),
    notes: c.text('notes', 2000),
  });
}

const readFabric = (c: Cells): ReadRow<FabricRow> =>
  c.give({
    name: c.needed('name', 120),
    kind: c.named('kind', readFabricKind, 'Write “unknown cloth” when you are not sure.'),
    hex: c.hex('hex'),
    notes: c.text('notes', 2000),
  });

const identity = <T extends string>(ids: readonly T[]) =>
  Object.fromEntries(ids.map((id) => [id, id])) as Record<T, T>;

function readNeedle(c: Cells): ReadRow<NeedleRow> {
  const text = c.needed('nm', 20);
  const found = /^(?:nm\s*)?(\d{2,3})(?:\s*\/\s*\d{1,2})?$/i.exec(text);
  const nm = found ? Number(found[1]) : null;
  if (text && (nm === null || !NEEDLE_SIZES.some((s) => s.nm === nm)))
    c.error('nm', `There is no needle ${text}. Sizes: ${NEEDLE_SIZES.map((s) => s.nm).join(', ')}.`);
  const coatedText = c.text('coated', 20);
  const coated = readYes(coatedText);
  if (coated === null) c.error('coated', `“${coatedText}” is neither yes nor no.`);
  const stock = c.number('stock', [0, 10_000], 'Stock');
  if (stock !== null && !Number.isInteger(stock)) c.error('stock', 'Needles are counted whole.');
  return c.give({
    nm: nm ?? 0,
    eye: c.oneOf<Eye>('eye', identity(EYES), 'standard'),
    point: c.oneOf<Point>('point', identity(POINTS), 'sharp'),
    coated: coated ?? false,
    stock: stock ?? 0,
  });
}

const READERS: { [K in ExchangeKind]: (c: Cells) => ReadRow<RowOf[K]> } = {
  threads: readThread,
  battings: readBatting,
  fabrics: readFabric,
  needles: readNeedle,
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
  return READERS[kind](new Cells(byColumn, decimal));
}

/** What makes two rows the same thing, for telling doubles within a file and against the shelf. */
export const rowKey = <K extends ExchangeKind>(kind: K, row: RowOf[K]): string => {
  const key: { [P in ExchangeKind]: (r: RowOf[P]) => string } = {
    threads: (r) => `${r.line}\n${r.colour}`,
    battings: (r) => r.name,
    fabrics: (r) => r.name,
    needles: (r) => `${r.nm} ${r.eye} ${r.point} ${r.coated}`,
  };
  return key[kind](row).toLowerCase();
};

/** The column's label, for messages. */
export const columnLabel = (kind: ExchangeKind, id: string): string =>
  COLUMNS[kind].find((c) => c.id === id)?.label ?? id;
