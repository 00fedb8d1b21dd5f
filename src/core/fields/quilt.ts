import { type Field, choicesOf, type KeptOf } from './field';
import {
  APPROVAL_LABEL,
  CONDITION_STATE_LABEL,
  CONTACT_LABEL,
  DELIVERY_LABEL,
  MARKS_OFF_LABEL,
  PHOTO_CONSENT_LABEL,
  SIDES,
  USE_LABEL,
} from './lists';
import { BLEED_GRADES } from '../cloth/bleeding';
import { CONDITION_KINDS } from '../tables/conditions';

/** The part of a field that holds three measures of one side (edge, middle, edge), 4 to 200 in each. */
export const three = (many: string, each: string) =>
  ({
    kind: 'numbers',
    hint: 'edge; middle; edge: 52; 52 1/4; 52',
    noun: `Each ${each}, in inches,`,
    range: [4, 200],
    count: [3, 3],
    ask: `Measure three ${many}.`,
  }) as const;

/** A client: how she is reached, and what she allows. */
export const CLIENT = [
  {
    id: 'phone',
    label: 'Phone',
    kind: 'text',
    most: 60,
    mayBeEmpty: true,
    looks: { like: /^[\d\s+().\-/x]*$/iu, else: 'A phone number has digits, spaces, + and -.' },
  },
  {
    id: 'email',
    label: 'E-mail',
    kind: 'text',
    most: 254,
    mayBeEmpty: true,
    looks: {
      like: /^[^\s@<>,;]+@[^\s@<>,;]+\.[^\s@<>,;]+$/u,
      else: 'Write the address like name@place.example.',
    },
  },
  { id: 'address', label: 'Address', kind: 'long', most: 500, mayBeEmpty: true },
  {
    id: 'contactBy',
    label: 'Reached best by',
    kind: 'choice',
    choices: choicesOf(CONTACT_LABEL),
    optional: true,
  },
  {
    id: 'photosOk',
    label: 'Photographs of the quilt',
    kind: 'choice',
    choices: choicesOf(PHOTO_CONSENT_LABEL),
    optional: true,
  },
] as const satisfies readonly Field[];
export type ClientFields = KeptOf<typeof CLIENT>;

/** What was said of a quilt at the counter, and may be corrected at any time. */
export const QUILT = [
  {
    id: 'name',
    label: 'The quilt’s name',
    kind: 'text',
    most: 120,
    ask: 'Give the quilt a name, so that you find it again.',
  },
  { id: 'use', label: 'For', kind: 'choice', choices: choicesOf(USE_LABEL), ask: 'Say what it is for.' },
  { id: 'widthsIn', label: 'Widths, in', ...three('widths', 'width') },
  { id: 'lengthsIn', label: 'Lengths, in', ...three('lengths', 'length') },
  { id: 'dueOn', label: 'Promised for', kind: 'day', ask: 'Give the day it is promised for.' },
  {
    id: 'battingId',
    label: 'Batting',
    kind: 'ref',
    ask: 'Pick the batting; “unknown batting” is a proper choice.',
  },
  {
    id: 'backingId',
    label: 'Backing',
    kind: 'ref',
    ask: 'Pick the backing; “unknown fabric” is a proper choice.',
  },
  {
    id: 'backingClothIn',
    label: 'Width of the backing fabric',
    noun: 'The width of the backing fabric, in inches,',
    kind: 'inches',
    range: [10, 200],
    optional: true,
    hint: '108 in or 274 cm; empty: to be bought',
  },
  { id: 'prewash', label: 'Prewashed, or to be', kind: 'yes' },
  {
    id: 'bleedGrade',
    label: 'Bleeding test',
    kind: 'choice',
    choices: BLEED_GRADES,
    ask: 'From 1, the white is dyed, to 5, clean.',
    optional: true,
    none: 'not tested',
  },
  {
    id: 'care',
    label: 'Washing and ironing to come',
    kind: 'text',
    most: 500,
    mayBeEmpty: true,
    hint: 'as the client says',
  },
  { id: 'wishes', label: 'Wishes', kind: 'long', most: 2000, mayBeEmpty: true },
  {
    id: 'watch',
    label: 'What to watch for',
    kind: 'long',
    most: 2000,
    mayBeEmpty: true,
    hint: 'pockets, prints, bulky seams',
  },
] as const satisfies readonly Field[];
export type QuiltFields = KeptOf<typeof QUILT>;

/** What is agreed with the client besides: money got, thread and design approved, the way home. */
export const AGREED = [
  {
    id: 'depositMinor',
    label: 'Deposit',
    noun: 'The deposit',
    kind: 'money',
    range: [0, 100_000_000],
    optional: true,
    hint: 'empty: none',
  },
  {
    id: 'depositOn',
    label: 'Deposit got on',
    kind: 'day',
    ask: 'Give the day the deposit came.',
    optional: true,
  },
  {
    id: 'approval',
    label: 'Thread and design',
    kind: 'choice',
    choices: choicesOf(APPROVAL_LABEL),
    ask: 'Say what the client said of thread and design.',
    usual: 'not-asked',
  },
  { id: 'approvedOn', label: 'Answered on', kind: 'day', ask: 'Give the day of the answer.', optional: true },
  {
    id: 'marksOff',
    label: 'Marks come off by',
    kind: 'choice',
    choices: choicesOf(MARKS_OFF_LABEL),
    optional: true,
    none: 'not asked',
  },
  {
    id: 'delivery',
    label: 'Goes home',
    kind: 'choice',
    choices: choicesOf(DELIVERY_LABEL),
    ask: 'Collected or shipped.',
    usual: 'collect',
  },
  {
    id: 'shipValueMinor',
    label: 'Value for the parcel',
    noun: 'The value',
    kind: 'money',
    range: [0, 100_000_000],
    optional: true,
  },
  { id: 'tracking', label: 'Parcel number', kind: 'text', most: 120, mayBeEmpty: true },
] as const satisfies readonly Field[];
export type AgreedFields = KeptOf<typeof AGREED>;

/** One thing found on a quilt when it arrived. */
export const CONDITION = [
  {
    id: 'kind',
    label: 'What is it',
    kind: 'choice',
    choices: CONDITION_KINDS.rows.map((r) => ({ value: r.id, label: r.label })),
    ask: 'Pick what it is from the list.',
  },
  {
    id: 'side',
    label: 'Side',
    kind: 'choice',
    choices: SIDES.map((value) => ({ value, label: value })),
    ask: 'Top or back.',
    usual: 'top',
  },
  {
    id: 'place',
    label: 'Where',
    kind: 'text',
    most: 120,
    mayBeEmpty: true,
    hint: 'left border, block 3, whole quilt',
  },
  {
    id: 'xIn',
    label: 'From the left',
    noun: 'Inches from the left edge',
    kind: 'inches',
    range: [0, 200],
    optional: true,
    onForm: false,
  },
  {
    id: 'yIn',
    label: 'From the top',
    noun: 'Inches from the top edge',
    kind: 'inches',
    range: [0, 200],
    optional: true,
    onForm: false,
  },
  {
    id: 'sizeIn',
    label: 'How long or large',
    noun: 'Its size, in inches,',
    kind: 'inches',
    range: [0, 400],
    optional: true,
    hint: 'inches along it',
  },
  { id: 'note', label: 'Note', kind: 'text', most: 500, mayBeEmpty: true },
  {
    id: 'state',
    label: 'It is',
    kind: 'choice',
    choices: choicesOf(CONDITION_STATE_LABEL),
    ask: 'Say where it stands with the client.',
    usual: 'found',
  },
] as const satisfies readonly Field[];
export type ConditionFields = KeptOf<typeof CONDITION>;

/** Ways to cut a backing from its fabric. */
export const LAYOUT_LABEL = {
  whole: 'in one piece',
  'whole-turned': 'in one piece, turned',
  'vertical-seams': 'lengths joined, seams down',
  'horizontal-seams': 'widths joined, seams across',
} as const;

/** What was chosen on the page of backing and binding, kept with the quilt. */
export const PREPARED = [
  {
    id: 'clothIn',
    label: 'Width of the fabric',
    noun: 'The width, in inches,',
    kind: 'inches',
    range: [10, 200],
  },
  {
    id: 'marginIn',
    label: 'Margin each side',
    noun: 'The margin, in inches,',
    kind: 'inches',
    range: [0, 24],
  },
  {
    id: 'testMarginIn',
    label: 'More on the test side',
    noun: 'The test margin, in inches,',
    kind: 'inches',
    range: [0, 40],
  },
  {
    id: 'shrinkPct',
    label: 'Shrinks',
    noun: 'Shrinkage, per cent,',
    kind: 'number',
    range: [0, 30],
    hint: '%',
  },
  { id: 'prewash', label: 'prewashed, or to be', kind: 'yes' },
  { id: 'stretch', label: 'stretches', kind: 'yes' },
  { id: 'nap', label: 'has a nap', kind: 'yes' },
  { id: 'stripIn', label: 'Strips cut at', noun: 'The strips, in inches,', kind: 'inches', range: [0.5, 12] },
  {
    id: 'battingHere',
    label: 'Batting that is here',
    kind: 'text',
    most: 300,
    mayBeEmpty: true,
    hint: '72 × 90; 40 × 80 wool',
  },
  {
    id: 'backingHere',
    label: 'Backing that is here',
    kind: 'text',
    most: 300,
    mayBeEmpty: true,
    hint: '72 × 90; 40 × 80',
  },
  {
    id: 'panel',
    label: 'A panel they are cut from',
    kind: 'text',
    most: 60,
    mayBeEmpty: true,
    hint: '44 × 108',
  },
  {
    id: 'layout',
    label: 'Way',
    kind: 'choice',
    choices: choicesOf(LAYOUT_LABEL),
    optional: true,
  },
] as const satisfies readonly Field[];
export type PreparedFields = KeptOf<typeof PREPARED>;
