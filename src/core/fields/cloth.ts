import { readBattingKind, readFabricKind } from '../exchange/words';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { choicesFrom, type Field, type KeptOf } from './field';

const name = {
  id: 'name',
  label: 'Name',
  kind: 'text',
  most: 120,
  ask: 'Give it a name.',
  wide: true,
} as const satisfies Field;
export const NAME = name;
export const NOTES = {
  id: 'notes',
  label: 'Notes',
  kind: 'long',
  most: 2000,
  mayBeEmpty: true,
  column: { label: 'Notes', also: ['note', 'remarks', 'comment', 'comments'] },
} as const satisfies Field;

/** A fabric of the studio's own. */
export const FABRIC = [
  { ...name, column: { label: 'Name', also: ['fabric', 'cloth', 'product'], required: true } },
  {
    id: 'kind',
    label: 'Most like',
    kind: 'choice',
    choices: choicesFrom(fabrics.rows),
    ask: 'Pick the kind it is most like; “unknown” is a proper choice.',
    usual: 'quilting-cotton',
    column: {
      label: 'Kind',
      also: ['type', 'weave', 'material', 'fibre', 'fiber'],
      required: true,
      read: readFabricKind,
      advice: 'Write “unknown fabric” when you are not sure.',
    },
  },
  {
    id: 'hex',
    label: 'Colour',
    kind: 'hex',
    optional: true,
    column: {
      label: 'Hex',
      also: ['hex colour', 'hex color', 'rgb', 'html'],
      emptyFlag: 'No colour given: it stays unknown until you pick one.',
    },
  },
  NOTES,
] as const satisfies readonly Field[];
export type FabricFields = KeptOf<typeof FABRIC>;

/** A batting of the studio's own. */
export const BATTING = [
  { ...name, column: { label: 'Name', also: ['batting', 'wadding', 'product'], required: true } },
  {
    id: 'kind',
    label: 'Kind',
    kind: 'choice',
    choices: choicesFrom(battings.rows),
    ask: 'Pick the kind; “unknown” is a proper choice, and the cautious one.',
    usual: 'unknown',
    wide: true,
    column: {
      label: 'Kind',
      also: ['type', 'fibre', 'fiber', 'material'],
      required: true,
      read: readBattingKind,
      advice: 'Write “unknown batting” when you are not sure.',
    },
  },
  {
    id: 'ratingText',
    label: 'Rating, as printed',
    kind: 'text',
    most: 120,
    mayBeEmpty: true,
    column: {
      label: 'Recommended quilting distance, as printed',
      also: ['rating', 'label', 'printed rating'],
    },
  },
  {
    id: 'maxGapIn',
    label: 'Widest gap',
    noun: 'The widest gap, in inches,',
    kind: 'inches',
    range: [0.1, 24],
    optional: true,
    hint: '6 in or 15 cm; empty: its kind’s',
    column: {
      label: 'Widest gap in',
      also: ['gap', 'quilt up to', 'max gap', 'quilting distance', 'stitch distance'],
    },
  },
  {
    id: 'loftMm',
    label: 'Loft',
    noun: 'Loft, mm,',
    kind: 'mm',
    range: [0.1, 60],
    optional: true,
    hint: '3 mm or 0.12 in; empty: its kind’s',
    column: { label: 'Loft mm', also: ['loft', 'thickness', 'height'] },
  },
  {
    id: 'shrinkPct',
    label: 'Shrinkage',
    noun: 'Shrinkage, per cent,',
    kind: 'number',
    range: [0, 30],
    optional: true,
    hint: '%',
    column: { label: 'Shrinkage %', also: ['shrinkage', 'shrink'] },
  },
  NOTES,
] as const satisfies readonly Field[];
export type BattingFields = KeptOf<typeof BATTING>;
