import { NAME, NOTES } from './cloth';
import { choicesOf, type Field, type KeptOf } from './field';
import { RULER_SHAPE_LABEL } from './lists';

/** A ruler or template. */
export const RULER = [
  NAME,
  {
    id: 'shape',
    label: 'Shape',
    kind: 'choice',
    choices: choicesOf(RULER_SHAPE_LABEL),
    ask: 'Pick its shape.',
    usual: 'straight',
  },
  {
    id: 'thicknessMm',
    label: 'Thickness',
    noun: 'Thickness, mm,',
    kind: 'mm',
    range: [0.1, 30],
    hint: 'mm',
    usual: 6,
  },
  {
    id: 'radiusIn',
    label: 'Radius of its edge',
    noun: 'The radius, in inches,',
    kind: 'inches',
    range: [0.01, 200],
    optional: true,
    hint: 'in, for arcs and circles',
  },
  NOTES,
] as const satisfies readonly Field[];
export type RulerFields = KeptOf<typeof RULER>;
