import { EYES, NEEDLE_SIZES, POINT_LABEL, POINTS } from '../tables/needles';
import type { Field, FieldChoice, KeptOf } from './field';

const sizes = NEEDLE_SIZES.map((s) => s.nm).join(', ');
export const NO_SUCH_NEEDLE = `There is no such needle. Sizes: ${sizes}.`;
export const NEEDLE_CHOICES: readonly FieldChoice<number>[] = NEEDLE_SIZES.map((s) => ({
  value: s.nm,
  label: `Nm ${s.nm} / US ${s.us}`,
}));

/** 100, Nm 100 or 100/16 in a file; null when there is no such size. */
export function readNeedleSize(text: string): number | null {
  const found = /^(?:nm\s*)?(\d{2,3})(?:\s*\/\s*\d{1,2})?$/i.exec(text);
  const nm = found ? Number(found[1]) : null;
  return NEEDLE_SIZES.some((s) => s.nm === nm) ? nm : null;
}

/** A kind of needle in the drawer. */
export const NEEDLE = [
  {
    id: 'nm',
    label: 'Size',
    kind: 'choice',
    choices: NEEDLE_CHOICES,
    ask: NO_SUCH_NEEDLE,
    usual: 100,
    column: {
      label: 'Size Nm',
      also: ['nm', 'size', 'metric size', 'needle size'],
      required: true,
      read: readNeedleSize,
      advice: `Sizes: ${sizes}.`,
    },
  },
  {
    id: 'eye',
    label: 'Eye',
    kind: 'choice',
    choices: EYES.map((value) => ({ value, label: value })),
    ask: 'Standard or large eye.',
    usual: 'standard',
    column: { label: 'Eye', also: ['eye size'], empty: 'standard' },
  },
  {
    id: 'point',
    label: 'Point',
    kind: 'choice',
    choices: POINTS.map((value) => ({ value, label: POINT_LABEL[value] })),
    ask: 'Pick the point.',
    usual: 'sharp',
    column: { label: 'Point', also: ['point type', 'tip'], empty: 'sharp' },
  },
  {
    id: 'stock',
    label: 'In the drawer',
    noun: 'The number of needles',
    kind: 'whole',
    range: [0, 10_000],
    usual: 10,
    column: { label: 'Stock', also: ['count', 'number', 'pieces', 'quantity', 'qty'], required: true },
  },
  {
    id: 'coated',
    label: 'Coated, lasts three times as long',
    kind: 'yes',
    usual: false,
    column: { label: 'Coated', also: ['coating', 'finish'] },
  },
] as const satisfies readonly Field[];
export type NeedleFields = KeptOf<typeof NEEDLE>;
