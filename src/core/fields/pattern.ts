import { NAME } from './cloth';
import type { Field, KeptOf } from './field';

/** A pattern of the studio: what it is called, the words it is found by, how wide a repeat is usually sewn. */
export const PATTERN = [
  NAME,
  {
    id: 'words',
    label: 'Words it is found by',
    kind: 'text',
    most: 300,
    mayBeEmpty: true,
    hint: 'water, baby, airy',
  },
  {
    id: 'widthIn',
    label: 'One repeat, wide',
    noun: 'The width of a repeat, in inches,',
    kind: 'inches',
    range: [0.25, 200],
    hint: '8 in or 20 cm',
  },
] as const satisfies readonly Field[];
export type PatternFields = KeptOf<typeof PATTERN>;
