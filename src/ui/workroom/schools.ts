import { NEEDLE_SIZES } from '@/core/tables/needles';
import type { Studio } from '@/data/types';

/** A question good quilters answer differently; each side says what it does. */
export interface School {
  name: keyof Studio;
  question: string;
  sides: readonly { value: string; label: string; does: string }[];
}

export const SCHOOLS: readonly School[] = [
  {
    name: 'units',
    question: 'Units',
    sides: [
      { value: 'inch', label: 'inch', does: 'Lengths in inches.' },
      { value: 'metric', label: 'metric', does: 'Lengths in millimetres and centimetres.' },
      { value: 'both', label: 'both', does: 'Inches, with the metric beside them.' },
    ],
  },
  {
    name: 'bobbinSchool',
    question: 'Bobbin',
    sides: [
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
    name: 'needleSchool',
    question: 'Needle',
    sides: [
      {
        value: 'per-thread',
        label: 'size per thread and cloth',
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
    name: 'labelRule',
    question: 'Needle note on the cone',
    sides: [
      {
        value: 'obey',
        label: 'rules',
        does: 'A size in the maker’s range is taken, with any disagreement shown.',
      },
      { value: 'weigh', label: 'advises', does: 'It counts as one reason among others.' },
    ],
  },
  {
    name: 'spiSchool',
    question: 'Stitch length',
    sides: [
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
    name: 'modeRule',
    question: 'Regulation',
    sides: [
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
    name: 'ditchSchool',
    question: 'Ditch',
    sides: [
      { value: 'before-fills', label: 'first where fills follow', does: 'Stabilised before anything dense.' },
      { value: 'everywhere', label: 'first, everywhere', does: 'Flattest result, most rolling.' },
      { value: 'as-travel', label: 'as travel, where needed', does: 'Fewest stops; blocks may creep.' },
    ],
  },
  {
    name: 'motifSchool',
    question: 'Over motifs',
    sides: [
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
    name: 'endsSchool',
    question: 'Ends',
    sides: [
      {
        value: 'lock',
        label: 'lock and clip',
        does: 'Half a minute an end; buried all the same for a show.',
      },
      { value: 'bury', label: 'bury', does: 'A minute and a half an end, and counted so.' },
    ],
  },
  {
    name: 'rollingSchool',
    question: 'Rolling',
    sides: [
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
    name: 'tensionSchool',
    question: 'Tension',
    sides: [
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
    name: 'bastingSchool',
    question: 'Basting',
    sides: [
      { value: 'edges', label: 'edges', does: 'Top edge once, sides at each pass.' },
      {
        value: 'edges-and-middle',
        label: 'edges, near rail and middle',
        does: 'Squarer, and a little slower.',
      },
    ],
  },
  {
    name: 'prewashSchool',
    question: 'Prewash and starch',
    sides: [
      { value: 'ask', label: 'asked per cloth', does: 'Flannel always, the rest as you say.' },
      { value: 'always', label: 'always', does: 'Shrinkage is out before cutting.' },
      { value: 'never', label: 'never', does: 'Crisp cloth; the quilt draws in at its first wash.' },
    ],
  },
];

/** Thresholds, margins and times, with their units. */
export const NUMBERS: readonly { name: keyof Studio; label: string; hint: string }[] = [
  { name: 'floorSpi', label: 'Floor of stitch length', hint: 'per inch' },
  { name: 'evenness', label: 'Even enough', hint: 'densest over sparsest; 4 for quick work' },
  { name: 'gapShare', label: 'Share of a batting’s rating used', hint: '0.95 keeps a margin' },
  { name: 'marginIn', label: 'Margin each side', hint: 'in' },
  { name: 'testMarginIn', label: 'Extra for tests', hint: 'in, one side' },
  { name: 'lowM', label: 'A cone runs low below', hint: 'm' },
  { name: 'needleWarnShare', label: 'Needle due from', hint: 'share of its life' },
];

export const NEEDLE_OPTIONS = NEEDLE_SIZES.map((s) => ({
  value: String(s.nm),
  label: `Nm ${s.nm} / US ${s.us}`,
}));
