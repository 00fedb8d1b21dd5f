import type { Field, KeptOf } from './field';

const length = <I extends string>(id: I, label: string, noun: string) =>
  ({ id, label, noun, kind: 'mm', range: [0.05, 60], shownAs: 'mm' }) as const satisfies Field & Shown;

/** How a measure is shown with its test. */
interface Shown {
  shownAs?: 'spi' | '%' | 'mm' | 'count';
}

/** What a stitch photograph told, kept with its test. Each with the way it is shown; the rest is said in words. */
export const MEASURED = [
  {
    id: 'spi',
    label: 'Stitches per inch',
    noun: 'Stitches per inch',
    kind: 'number',
    range: [1, 60],
    shownAs: 'spi',
  },
  {
    id: 'cvPct',
    label: 'Uneven by',
    noun: 'Evenness, per cent,',
    kind: 'number',
    range: [0, 300],
    shownAs: '%',
  },
  length('longestMm', 'Longest', 'The longest stitch, mm,'),
  length('shortestMm', 'Shortest', 'The shortest stitch, mm,'),
  { id: 'stitches', label: 'Counted', noun: 'Stitches', kind: 'whole', range: [2, 2000], shownAs: 'count' },
  {
    id: 'trust',
    label: 'To be relied on',
    kind: 'choice',
    choices: [
      { value: 'good', label: 'good' },
      { value: 'look', label: 'look' },
    ],
    ask: 'What cannot be told is not kept.',
  },
  /** Holes moved by hand. */
  { id: 'corrected', label: 'Corrected by hand', kind: 'yes' },
  /** Share of the holes where the other thread's colour shows, where the two differ. */
  {
    id: 'otherShare',
    label: 'The other thread shows at',
    noun: 'The share of holes',
    kind: 'number',
    range: [0, 1],
    optional: true,
  },
] as const satisfies readonly (Field & Shown)[];
/** What a stitch photograph told. */
export type MeasuredStitches = KeptOf<typeof MEASURED>;

const WORDS: Readonly<Record<NonNullable<Shown['shownAs']>, (v: number, of: MeasuredStitches) => string>> = {
  spi: (v) => v.toFixed(1),
  '%': (v) => `${v.toFixed(0)} %`,
  mm: (v) => `${v.toFixed(1)} mm`,
  count: (v, { spi }) => `${v} on ${(v / spi).toFixed(1)} in`,
};

/** The numbers of a measuring in their order, as they are read. */
export const measuredWords = (
  m: Omit<MeasuredStitches, 'trust' | 'corrected' | 'otherShare'>,
): [label: string, words: string][] =>
  MEASURED.flatMap((f) =>
    'shownAs' in f ? [[f.label, WORDS[f.shownAs](m[f.id], m as MeasuredStitches)] as [string, string]] : [],
  );
