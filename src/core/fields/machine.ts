import { MODE_LABEL, MODES } from '../stitch/machine';
import { FEET, FOOT_LABEL } from '../tables/techniques';
import { choicesOf, type Field, type KeptOf } from './field';
import { NEEDLE_STOP_LABEL } from './lists';

const spm = <I extends string>(id: I, label: string, noun: string, low: number, usual: number) =>
  ({
    id,
    label,
    noun,
    kind: 'number',
    range: [low, 10_000],
    hint: 'stitches a minute',
    usual,
  }) as const satisfies Field;
const length = <I extends string, K extends 'mm' | 'inches'>(
  id: I,
  kind: K,
  label: string,
  noun: string,
  range: readonly [number, number],
  usual: number | null,
  hint: string = kind === 'mm' ? 'mm' : 'in',
) => ({ id, label, noun, kind, range, hint, usual }) as const satisfies Field;

/** A machine and its frame, as the manual and a tape measure give them. */
export const MACHINE = [
  { id: 'name', label: 'Name', kind: 'text', most: 120, ask: 'Give the machine a name.', usual: '' },
  {
    id: 'shank',
    label: 'Needle shank',
    kind: 'text',
    most: 120,
    mayBeEmpty: true,
    hint: 'as in its manual',
    usual: '',
  },
  spm('maxSpm', 'Highest rate', 'The highest rate, stitches a minute,', 100, 2000),
  {
    id: 'minSpi',
    label: 'Fewest per inch',
    noun: 'Fewest stitches per inch',
    kind: 'number',
    range: [1, 40],
    usual: 4,
  },
  {
    id: 'maxSpi',
    label: 'Most per inch',
    noun: 'Most stitches per inch',
    kind: 'number',
    range: [1, 40],
    usual: 18,
  },
  spm('idleMinSpm', 'Idle, lowest', 'The lowest idle', 0, 100),
  spm('idleMaxSpm', 'Idle, highest', 'The highest idle', 0, 900),
  {
    id: 'modes',
    label: 'Modes',
    kind: 'checks',
    choices: MODES.map((value) => ({ value, label: MODE_LABEL[value] })),
    ask: 'Say which regulator modes the machine has.',
    usual: [...MODES],
  },
  {
    id: 'feet',
    label: 'Feet',
    kind: 'checks',
    choices: FEET.map((value) => ({ value, label: FOOT_LABEL[value] })),
    ask: 'Pick the feet from the list.',
    usual: ['open-toe', 'ruler'],
  },
  length(
    'rulerFootMm',
    'mm',
    'Ruler foot asks for',
    'The ruler thickness the foot asks, mm,',
    [1, 20],
    6,
    'mm of ruler, see its manual',
  ),
  length(
    'footOffsetIn',
    'inches',
    'Needle to foot’s edge',
    'From needle to the foot’s edge, in inches,',
    [0.05, 1],
    0.25,
  ),
  {
    ...length(
      'couchingHoleMm',
      'mm',
      'Couching foot’s hole',
      'The couching foot’s hole, mm,',
      [0.5, 12],
      null,
      'mm, if it has one',
    ),
    optional: true,
  },
  length('bobbinOdMm', 'mm', 'Bobbin, outside', 'The bobbin’s outer diameter, mm,', [5, 60], 25),
  length('bobbinCoreMm', 'mm', 'Bobbin, core', 'The bobbin’s core, mm,', [0.5, 59], 7.6),
  length('bobbinWidthMm', 'mm', 'Bobbin, inner width', 'The bobbin’s inner width, mm,', [2, 40], 10),
  length('throatIn', 'inches', 'Throat', 'The throat, in inches,', [4, 60], 20),
  length(
    'deadIn',
    'inches',
    'Dead space',
    'The dead space, in inches,',
    [0, 59],
    5,
    'in: rails, plate, foot',
  ),
  length('frameIn', 'inches', 'Frame, quiltable width', 'The frame’s width, in inches,', [10, 300], 120),
  length(
    'rollStartIn',
    'inches',
    'Empty roller',
    'The empty roller, in inches,',
    [0.5, 12],
    2.5,
    'in across',
  ),
  {
    id: 'needleStops',
    label: 'The needle stops',
    kind: 'choice',
    choices: choicesOf(NEEDLE_STOP_LABEL),
    ask: 'Say where the needle can stop.',
    usual: 'both',
  },
  { id: 'ownTieOff', label: 'It ties off by itself', kind: 'yes', usual: false },
  { id: 'rollInThroat', label: 'The quilt’s roll lies inside the throat', kind: 'yes', usual: true },
] as const satisfies readonly Field[];
export type MachineFields = KeptOf<typeof MACHINE>;
