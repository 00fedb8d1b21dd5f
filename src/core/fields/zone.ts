import { ROLES } from '../motifs/motif-table';
import { features } from '../tables/features';
import { techniques } from '../tables/techniques';
import { choicesFrom, choicesOf, type Field, type KeptOf } from './field';
import { CLOTH_ROLES, SOFTNESSES, WISH_LABEL } from './lists';

/** What is done in a zone of a quilt's map. */
export const ZONE = [
  { id: 'name', label: 'Zone', kind: 'text', most: 120, ask: 'Give the zone a name.' },
  {
    id: 'technique',
    label: 'Technique',
    kind: 'choice',
    choices: choicesFrom(techniques.rows),
    ask: 'Pick a technique from the list.',
  },
  {
    id: 'spacingIn',
    label: 'Spacing',
    noun: 'The spacing, in inches,',
    kind: 'inches',
    range: [0.05, 200],
    hint: 'in or cm',
  },
  {
    id: 'smallestRadiusIn',
    label: 'Smallest curve',
    noun: 'The smallest curve, in inches,',
    kind: 'inches',
    range: [0.01, 100],
    optional: true,
    hint: 'in, if you know it',
  },
  {
    id: 'lengthIn',
    label: 'Length of the lines',
    noun: 'The length of the lines, in inches,',
    kind: 'inches',
    range: [0.1, 1_000_000],
    optional: true,
    hint: 'in, for ditch and outline',
  },
  {
    id: 'visibility',
    label: 'The quilting should',
    kind: 'choice',
    choices: choicesOf(WISH_LABEL),
    ask: 'Should the stitching sink, be texture, or show?',
  },
  {
    id: 'yarnId',
    label: 'Yarn that is laid',
    kind: 'ref',
    ask: 'This yarn is not known any more.',
    optional: true,
  },
  {
    id: 'softness',
    label: 'It should stay',
    kind: 'choice',
    choices: SOFTNESSES.map((value) => ({ value, label: value === 'usual' ? 'as usual' : value })),
    ask: 'Soft, usual or firm.',
    optional: true,
    none: 'not said',
  },
  {
    id: 'retraced',
    label: 'Passes over each line',
    noun: 'Passes over each line',
    kind: 'whole',
    range: [1, 9],
    optional: true,
    hint: 'when on purpose more than one',
  },
  /** What it is in its quilt; not said: by its name. Asked for where it is decided what to quilt. */
  {
    id: 'role',
    label: 'It is',
    kind: 'choice',
    choices: ROLES.map((value) => ({ value, label: value })),
    ask: 'Pick what it is from the list.',
    optional: true,
    onForm: false,
  },
] as const satisfies readonly Field[];
export type ZoneFields = KeptOf<typeof ZONE>;

/** Whatever else lies in a zone and changes how it is sewn; kept beside it. */
export const ZONE_FEATURES = {
  id: 'features',
  label: 'What else is in it',
  kind: 'checks',
  choices: choicesFrom(features.rows),
  ask: 'Pick from the list.',
  count: [0, 40],
} as const satisfies Field;

/** One fabric as it lies in a zone. */
export const ZONE_FABRIC = [
  { id: 'fabricId', label: 'Fabric', kind: 'ref', ask: 'Pick the fabric.' },
  /** Nothing while nobody has given it. */
  { id: 'hex', label: 'Colour', kind: 'hex', optional: true },
  { id: 'share', label: 'Share', noun: 'Its share', kind: 'number', range: [0.01, 1] },
  {
    id: 'role',
    label: 'It is',
    kind: 'choice',
    choices: CLOTH_ROLES.map((value) => ({ value, label: value })),
    ask: 'Ground, print or motif.',
    usual: 'ground',
  },
  { id: 'sewnOver', label: 'Quilt over it', kind: 'yes', usual: true },
  {
    id: 'busyness',
    label: 'How busy it is',
    noun: 'How busy it is',
    kind: 'whole',
    range: [0, 3],
    optional: true,
  },
] as const satisfies readonly Field[];
export type ZoneFabricFields = KeptOf<typeof ZONE_FABRIC>;
