import { NAME, NOTES } from './cloth';
import type { Field, KeptOf } from './field';

/** A yarn that is couched. Its thickness is measured by winding it round a ruler, see `readLengthMm`. */
export const YARN = [
  NAME,
  { id: 'hex', label: 'Colour', kind: 'hex', optional: true },
  {
    id: 'diameterMm',
    label: 'Thickness',
    noun: 'Thickness, mm,',
    kind: 'mm',
    range: [0.2, 20],
    hint: '2.5 mm, or 10 turns per inch',
    usual: 2.5,
  },
  {
    id: 'skeinM',
    label: 'A skein holds',
    noun: 'Metres of a skein',
    kind: 'number',
    range: [0.5, 10_000],
    optional: true,
    hint: 'm',
  },
  {
    id: 'skeins',
    label: 'Skeins here',
    noun: 'Skeins',
    kind: 'number',
    range: [0, 1000],
    usual: 1,
    hint: 'a begun one as its part',
  },
  { id: 'place', label: 'Where it lies', kind: 'text', most: 120, mayBeEmpty: true },
  {
    id: 'price',
    label: 'Price a skein',
    noun: 'The price',
    kind: 'number',
    range: [0, 100_000],
    optional: true,
  },
  NOTES,
] as const satisfies readonly Field[];
export type YarnFields = KeptOf<typeof YARN>;
