import type { Field, KeptOf } from './field';

/** What is noted of one test stitch besides how it looks. */
export const ROUND = [
  {
    id: 'topGf',
    label: 'Top, g',
    noun: 'Top tension in g',
    kind: 'number',
    range: [5, 500],
  },
  {
    id: 'bobbinGf',
    label: 'Bobbin, g',
    noun: 'Bobbin tension in g',
    kind: 'number',
    range: [3, 150],
  },
  { id: 'note', label: 'Note', kind: 'text', most: 1000, mayBeEmpty: true },
] as const satisfies readonly Field[];
export type RoundFields = KeptOf<typeof ROUND>;

/** What else is seen of a test stitch, besides the thread: signs of the fault tables, under a short name. */
export const SEEN_LABEL = {
  skipped: 'skips',
  top_shred: 'shredding',
  pucker_line: 'puckers',
  pleats_back: 'pleats at a crossing',
  holes: 'holes',
  eyelash: 'eyelashes',
} as const;
export const SEEN_IN_TESTS = Object.keys(SEEN_LABEL) as (keyof typeof SEEN_LABEL)[];
