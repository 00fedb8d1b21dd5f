import type { Field, KeptOf } from './field';
import { BOBBIN_KINDS } from './lists';

/** Bobbins of one thread on the tray. */
export const BOBBIN = [
  {
    id: 'kind',
    label: 'Wound here, or bought prewound',
    kind: 'choice',
    choices: BOBBIN_KINDS.map((value) => ({ value, label: value })),
    ask: 'Wound here, or bought prewound.',
    usual: 'wound',
  },
  {
    id: 'metresEach',
    label: 'Metres each',
    noun: 'Metres a bobbin',
    kind: 'number',
    range: [1, 2000],
    optional: true,
  },
  {
    id: 'count',
    label: 'How many',
    noun: 'The number of bobbins',
    kind: 'whole',
    range: [0, 10_000],
    usual: 1,
  },
] as const satisfies readonly Field[];
export type BobbinFields = KeptOf<typeof BOBBIN>;
