import { fibres } from '@/core/tables/fibres';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import type { FieldSpec } from '@/ui/kit/RecordDialog';

const NONE = { value: '-', label: 'none given' };
const SIZES = [NONE, ...NEEDLE_SIZES.map((s) => ({ value: String(s.nm), label: `Nm ${s.nm} / US ${s.us}` }))];

export const ROLE_LABEL = { top: 'top', bobbin: 'bobbin', both: 'top and bobbin' } as const;
export const SHEEN_LABEL = { matt: 'matt', satin: 'satin', bright: 'bright' } as const;
const options = (labels: Readonly<Record<string, string>>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

/** What is asked of a line of thread; the colour is asked for beside it. */
export const CONE_FIELDS: readonly FieldSpec[] = [
  { name: 'line', label: 'Thread line, as on the cone', kind: 'text' },
  {
    name: 'fibre',
    label: 'Fibre',
    kind: 'choice',
    options: fibres.rows.map((f) => ({ value: f.id, label: f.label })),
  },
  { name: 'label', label: 'Size, as printed', kind: 'text', wide: true },
  { name: 'fullG', label: 'Net grams, full', kind: 'number', hint: 'if printed' },
  { name: 'fullM', label: 'Metres, full', kind: 'number', hint: 'if printed' },
  { name: 'role', label: 'Sewn', kind: 'choice', options: options(ROLE_LABEL) },
  { name: 'sheen', label: 'Sheen', kind: 'choice', options: [NONE, ...options(SHEEN_LABEL)] },
  { name: 'needleMinNm', label: 'Maker’s needle, from', kind: 'choice', options: SIZES },
  { name: 'needleMaxNm', label: 'to', kind: 'choice', options: SIZES },
  { name: 'place', label: 'Where it stands', kind: 'text' },
  { name: 'tareG', label: 'Empty cone, grams', kind: 'number', hint: 'for weighing' },
  { name: 'price', label: 'Price a cone', kind: 'number', hint: 'optional' },
  { name: 'notes', label: 'Notes', kind: 'long' },
];
