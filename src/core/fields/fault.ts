import type { Field, KeptOf } from './field';
import { FAULT_WAYS } from './lists';

/** A place on the quilt, inches from its top left corner; a little beyond it is backing. */
const place = <I extends string>(id: I, label: string) =>
  ({
    id,
    label,
    noun: 'The place',
    kind: 'inches',
    range: [-1000, 10_000],
    optional: true,
    hint: 'in',
  }) as const satisfies Field;

/** A stitch fault: where, which way, how bad, and a word. What is seen of it stands beside, a sign each. */
export const FAULT = [
  {
    id: 'zoneId',
    label: 'Zone',
    kind: 'ref',
    ask: 'Pick a zone of this quilt.',
    optional: true,
    none: 'by the place',
  },
  {
    id: 'pass',
    label: 'Pass',
    noun: 'The pass',
    kind: 'whole',
    range: [1, 200],
    optional: true,
  },
  place('xIn', 'From the left'),
  place('yIn', 'From the top'),
  {
    id: 'direction',
    label: 'Direction',
    kind: 'choice',
    choices: FAULT_WAYS.map((value) => ({ value, label: value })),
    ask: 'Pick the direction from the list.',
    optional: true,
    onForm: false,
  },
  { id: 'note', label: 'Note', kind: 'long', most: 2000, mayBeEmpty: true },
] as const satisfies readonly Field[];

/** What is told of it after it was noted. */
export const FAULT_TOLD = [
  {
    id: 'severity',
    label: 'How bad',
    noun: 'Severity',
    kind: 'whole',
    range: [0, 3],
    optional: true,
    onForm: false,
  },
  {
    id: 'photographId',
    label: 'Photograph',
    kind: 'ref',
    ask: 'This photograph is not known.',
    optional: true,
    onForm: false,
  },
] as const satisfies readonly Field[];
export type FaultFields = KeptOf<typeof FAULT> & KeptOf<typeof FAULT_TOLD>;
