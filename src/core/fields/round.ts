import type { Field } from './field';

/** What is noted of one test stitch besides how it looks. */
export const ROUND: readonly Field[] = [
  {
    id: 'topGf',
    label: 'Top, gf',
    noun: 'Top tension in gf',
    kind: 'number',
    range: [5, 500],
  },
  {
    id: 'bobbinGf',
    label: 'Bobbin, gf',
    noun: 'Bobbin tension in gf',
    kind: 'number',
    range: [3, 150],
  },
  { id: 'note', label: 'Note', kind: 'text', most: 1000, mayBeEmpty: true },
];

/** What else is seen of a test stitch, besides the thread: signs of the fault tables. */
export const SEEN_IN_TESTS = [
  'skipped',
  'top_shred',
  'pucker_line',
  'pleats_back',
  'holes',
  'eyelash',
] as const;
