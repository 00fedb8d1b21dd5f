import type { Field, KeptOf } from './field';
import { three } from './quilt';

/** How a quilt came out, and a word for the next one like it. */
export const CAME_OUT = [
  { id: 'widthsIn', label: 'Width', ...three('widths', 'width') },
  { id: 'lengthsIn', label: 'Length', ...three('lengths', 'length') },
  {
    id: 'word',
    label: 'What worked, and what you would do otherwise',
    kind: 'long',
    most: 2000,
    mayBeEmpty: true,
  },
] as const satisfies readonly Field[];
export type CameOut = KeptOf<typeof CAME_OUT>;

/** Who lets a quilt go with an open fault, and why. */
export const WAIVED = [
  { id: 'waivedBy', label: 'Decided by', kind: 'text', most: 120, mayBeEmpty: true, hint: 'your name' },
  { id: 'waivedWhy', label: 'Why', kind: 'text', most: 300, mayBeEmpty: true, hint: 'a word for the record' },
] as const satisfies readonly Field[];
export type Waived = KeptOf<typeof WAIVED>;
