import { MARGIN_IN } from '../passes/passes';
import { MARKERS } from '../tables/markers';
import { choicesFrom, type Field, type KeptOf } from './field';
import { NEEDLE_CHOICES, NO_SUCH_NEEDLE } from './needle';

const PICK = 'Pick one of the two sides.';

/** Questions good quilters answer differently: each side says what it does, and each changes an answer. */
export const SCHOOLS = [
  {
    id: 'units',
    kind: 'choice',
    usual: 'inch',
    ask: PICK,
    label: 'Units',
    choices: [
      { value: 'inch', label: 'inch', does: 'Lengths in inches.' },
      { value: 'metric', label: 'metric', does: 'Lengths in millimetres and centimetres.' },
      { value: 'both', label: 'both', does: 'Inches, with the metric beside them.' },
    ],
  },
  {
    id: 'bobbinSchool',
    kind: 'choice',
    usual: 'fine',
    ask: PICK,
    label: 'Bobbin',
    choices: [
      {
        value: 'fine',
        label: 'fine filament under everything',
        does: 'More on a bobbin, and it stays below; a dot of it may show when the tension is off.',
      },
      {
        value: 'same',
        label: 'same thread above and below',
        does: 'A dot never shows; bobbins run out sooner and lint more.',
      },
    ],
  },
  {
    id: 'needleSchool',
    kind: 'choice',
    usual: 'per-thread',
    ask: PICK,
    label: 'Needle',
    choices: [
      {
        value: 'per-thread',
        label: 'size per thread and fabric',
        does: 'The eye and the flex decide each time.',
      },
      {
        value: 'one',
        label: 'one trusted size',
        does: 'Only that size is taken while you own it; threads that do not fit it drop out.',
      },
    ],
  },
  {
    id: 'labelRule',
    kind: 'choice',
    usual: 'obey',
    ask: PICK,
    label: 'Needle note on the cone',
    choices: [
      {
        value: 'obey',
        label: 'rules',
        does: 'A size in the maker’s range is taken, with any disagreement shown.',
      },
      { value: 'weigh', label: 'advises', does: 'It counts as one reason among others.' },
    ],
  },
  {
    id: 'spiSchool',
    kind: 'choice',
    usual: 'by-curve',
    ask: PICK,
    label: 'Stitch length',
    choices: [
      {
        value: 'by-curve',
        label: 'by the tightest curve',
        does: 'Shorter where curves need it, never under your floor.',
      },
      {
        value: 'one',
        label: 'one for all work',
        does: 'The same everywhere; tight curves may show facets, and it is said.',
      },
    ],
  },
  {
    id: 'modeRule',
    kind: 'choice',
    usual: 'by-technique',
    ask: PICK,
    label: 'Regulation',
    choices: [
      {
        value: 'by-technique',
        label: 'by technique',
        does: 'The needle idles in long lines and fills, and rests with you at points and rulers.',
      },
      { value: 'idling', label: 'idling', does: 'The needle idles in every pause.' },
      { value: 'resting', label: 'resting', does: 'The needle stops with the hands, everywhere.' },
      { value: 'manual', label: 'manual', does: 'Constant needle, your hands make the stitch.' },
    ],
  },
  {
    id: 'ditchSchool',
    kind: 'choice',
    usual: 'before-fills',
    ask: PICK,
    label: 'Ditch',
    choices: [
      { value: 'before-fills', label: 'first where fills follow', does: 'Stabilised before anything dense.' },
      {
        value: 'everywhere',
        label: 'first, everywhere',
        does: 'The whole quilt is held before anything is filled: flattest, most rolling.',
      },
      { value: 'as-travel', label: 'as travel, where needed', does: 'Fewest stops; blocks may creep.' },
    ],
  },
  {
    id: 'motifSchool',
    kind: 'choice',
    usual: 'by-size',
    ask: PICK,
    label: 'Over motifs',
    choices: [
      {
        value: 'by-size',
        label: 'by size against the batting',
        does: 'Quilted only where the batting asks for it.',
      },
      { value: 'down', label: 'quilt everything down', does: 'Nothing is left loose.' },
      {
        value: 'outline',
        label: 'leave, or outline only',
        does: 'Motifs stand up; the batting limit still rules.',
      },
    ],
  },
  {
    id: 'endsSchool',
    kind: 'choice',
    usual: 'lock',
    ask: PICK,
    label: 'Ends',
    choices: [
      {
        value: 'lock',
        label: 'lock and clip',
        does: 'Half a minute an end; buried all the same for a show.',
      },
      { value: 'bury', label: 'bury', does: 'A minute and a half an end, and counted so.' },
      {
        value: 'back-tack',
        label: 'back and on again',
        does: 'A third of a minute an end; a little is seen of it.',
      },
    ],
  },
  {
    id: 'rollingSchool',
    kind: 'choice',
    usual: 'least-time',
    ask: PICK,
    label: 'Rolling',
    choices: [
      { value: 'least-time', label: 'whichever costs less time', does: 'Worked out for each quilt.' },
      { value: 'one-way', label: 'one way', does: 'All colours in each pass; more thread changes.' },
      {
        value: 'down-and-up',
        label: 'down and back up by colour',
        does: 'One colour down, the next on the way up.',
      },
    ],
  },
  {
    id: 'footSchool',
    kind: 'choice',
    usual: 'split',
    ask: PICK,
    label: 'Two feet in one step',
    choices: [
      {
        value: 'split',
        label: 'change the foot',
        does: 'Zones of one foot together, and the change counted: two minutes each.',
      },
      {
        value: 'ruler-foot',
        label: 'the ruler foot stays on',
        does: 'It serves the open-toe zones beside a ruler zone too; less is seen of the line.',
      },
    ],
  },
  {
    id: 'tensionSchool',
    kind: 'choice',
    usual: 'both',
    ask: PICK,
    label: 'Tension',
    choices: [
      { value: 'both', label: 'gauge and dial', does: 'Grams, with the turn of the dial beside them.' },
      { value: 'gauge', label: 'gauge', does: 'Grams only.' },
      {
        value: 'dial',
        label: 'dial and eye',
        does: 'Turns and marks first; the same search runs underneath.',
      },
    ],
  },
  {
    id: 'bastingSchool',
    kind: 'choice',
    usual: 'edges',
    ask: PICK,
    label: 'Basting',
    choices: [
      { value: 'edges', label: 'edges', does: 'Top edge once, sides at each pass.' },
      {
        value: 'edges-and-middle',
        label: 'edges, near rail and middle',
        does: 'Squarer, and a little slower.',
      },
    ],
  },
  {
    id: 'prewashSchool',
    kind: 'choice',
    usual: 'ask',
    ask: PICK,
    label: 'Prewash and starch',
    choices: [
      { value: 'ask', label: 'asked per fabric', does: 'Flannel always, the rest as you say.' },
      { value: 'always', label: 'always', does: 'Shrinkage is out before cutting.' },
      { value: 'never', label: 'never', does: 'Crisp fabric; the quilt draws in at its first wash.' },
    ],
  },
] as const satisfies readonly Field[];

const number = <I extends string>(
  id: I,
  label: string,
  noun: string,
  range: readonly [number, number],
  usual: number,
  hint: string,
) => ({ id, label, noun, kind: 'number', range, usual, hint }) as const satisfies Field;

/** Thresholds, margins and times, with their units. */
export const THRESHOLDS = [
  number('floorSpi', 'Floor of stitch length', 'The floor, stitches per inch,', [3, 20], 8, 'per inch'),
  number(
    'evenness',
    'Even enough',
    'Evenness',
    [1.2, 20],
    2.5,
    'denser over sparser neighbour; 4 for quick work',
  ),
  number(
    'gapShare',
    'Share of a batting’s recommended distance used',
    'The share of a batting’s recommended distance',
    [0.5, 1],
    0.95,
    '0.95 keeps a margin',
  ),
  number('marginIn', 'Margin each side', 'The margin, in inches,', [0, 20], MARGIN_IN, 'in'),
  number('testMarginIn', 'Extra for tests', 'The test margin, in inches,', [0, 30], 8, 'in, one side'),
  number(
    'changeTroubleMin',
    'A change of thread is worth',
    'What a change of thread is worth, in minutes,',
    [0, 60],
    6,
    'min of trouble, besides its own three',
  ),
  number('lowM', 'A cone runs low below', 'Metres that count as low', [0, 100_000], 300, 'm'),
  number(
    'needleWarnShare',
    'Needle due from',
    'The share of a needle’s life',
    [0.1, 2],
    0.9,
    'share of its life',
  ),
] as const satisfies readonly Field[];

/** Asked for only where a school calls for them. */
export const ONES = [
  {
    id: 'oneNeedleNm',
    label: 'The trusted size',
    kind: 'choice',
    choices: NEEDLE_CHOICES,
    ask: NO_SUCH_NEEDLE,
    optional: true,
  },
  {
    id: 'oneSpi',
    label: 'Stitches per inch',
    noun: 'The one stitch length, per inch,',
    kind: 'number',
    range: [3, 20],
    optional: true,
  },
] as const satisfies readonly Field[];

/** Tools for marking that are used here; a studio without a beam or film says so by not naming it. */
export const MARKERS_HERE = {
  id: 'markers',
  label: 'Marking tools used here',
  kind: 'checks',
  choices: choicesFrom(MARKERS.rows),
  ask: 'Pick from the list.',
  count: [0, 40],
  usual: MARKERS.ids.filter((id) => id !== 'light' && id !== 'soluble-film'),
} as const satisfies Field;

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;

/** Everything the studio decides for itself. */
export const PREFERENCES = [
  { id: 'name', label: 'Studio', kind: 'text', most: 120, ask: 'Give the studio its name.' },
  { id: 'town', label: 'Town', kind: 'text', most: 120, mayBeEmpty: true },
  {
    id: 'currency',
    label: 'Currency',
    kind: 'text',
    most: 3,
    ask: 'Give the currency by its three letters, such as EUR.',
    looks: { like: /^[A-Z]{3}$/, else: 'Give the currency by its three capital letters, such as EUR.' },
    usual: 'EUR',
  },
  ...SCHOOLS,
  ...THRESHOLDS,
  ...ONES,
  MARKERS_HERE,
  {
    id: 'dayHours',
    label: 'Hours at the frame, by day',
    noun: 'Hours',
    kind: 'numbers',
    range: [0, 24],
    count: [7, 7],
    ask: 'Give the hours of all seven days.',
    usual: [4, 4, 4, 4, 2, 0, 0],
  },
  {
    id: 'tableHours',
    label: 'Hours at the table, a day',
    noun: 'Hours at the table',
    kind: 'number',
    range: [0, 24],
    usual: 2,
  },
] as const satisfies readonly Field[];
export type PreferenceFields = KeptOf<typeof PREFERENCES>;
