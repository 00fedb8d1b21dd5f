import { CARE } from '../care/items';
import { LOG_KINDS, SETTINGS } from '../log/kinds';
import { EYES, NEEDLE_SIZES, POINTS } from '../tables/needles';
import { FAULT, FAULT_TOLD } from './fault';
import type { Field, KeptOf } from './field';

const values = <V extends string | number>(of: readonly V[]) =>
  of.map((value) => ({ value, label: String(value) }));
const [, pass, xIn, yIn, direction] = FAULT;
const [severity, photographId] = FAULT_TOLD;

/** What every entry of the log says. */
export const ENTRY_HEAD = [
  { id: 'id', label: 'Id', kind: 'ref', ask: 'The entry’s id is no UUID.' },
  {
    id: 'kind',
    label: 'Kind',
    kind: 'choice',
    choices: values(LOG_KINDS),
    ask: `This kind is not known; known are ${LOG_KINDS.join(', ')}.`,
  },
  { id: 'quiltId', label: 'Quilt', kind: 'ref', ask: 'Say which quilt it belongs to.' },
] as const satisfies readonly Field[];

/** What an entry may say besides, by its kind. A field that is not here is kept as it came, and means nothing here. */
export const ENTRY = [
  pass,
  /** Cone: of a step its top thread, of a bobbin the thread that is on it. */
  { id: 'thread', label: 'Thread', kind: 'text', most: 60, mayBeEmpty: true },
  { id: 'stabilise', label: 'Holding lines', kind: 'yes' },
  { id: 'minutes', label: 'Minutes', kind: 'number', range: [0, 2000] },
  /** For `width-measured`. */
  { id: 'widthIn', label: 'Width', noun: 'The width, in inches,', kind: 'inches', range: [1, 400] },
  /** For `needle-changed`. */
  {
    id: 'nm',
    label: 'Needle',
    kind: 'choice',
    choices: values(NEEDLE_SIZES.map((s) => s.nm)),
    ask: 'There is no needle of this size.',
  },
  { id: 'eye', label: 'Eye', kind: 'choice', choices: values(EYES), ask: 'Standard or large eye.' },
  { id: 'point', label: 'Point', kind: 'choice', choices: values(POINTS), ask: 'This point is not known.' },
  { id: 'coated', label: 'Coated', kind: 'yes' },
  /** For `fault`. */
  { id: 'zoneId', label: 'Zone', kind: 'ref', ask: 'This zone is not known.' },
  xIn,
  yIn,
  { ...direction, ask: 'This direction is not known.' },
  severity,
  photographId,
  /** For `fault-mended`. */
  { id: 'faultId', label: 'Fault', kind: 'ref', ask: 'This fault is not known.' },
  { id: 'note', label: 'Note', kind: 'long', most: 2000, mayBeEmpty: true },
  /** For `care-done`: what was done to the machine. */
  {
    id: 'care',
    label: 'Care',
    kind: 'choice',
    choices: values(CARE.ids),
    ask: 'This care is not known.',
  },
  /** For `air-noted`. */
  { id: 'humidityPct', label: 'Humidity', kind: 'number', range: [1, 100] },
  { id: 'staticFelt', label: 'Static', kind: 'yes' },
  /** For `setting-changed` and `thread-changed`: what was set; from which value to which stands beside. */
  {
    id: 'setting',
    label: 'What was set',
    kind: 'choice',
    choices: values(SETTINGS),
    ask: `What can be set is one of ${SETTINGS.join(', ')}.`,
  },
  /** For `bobbin-changed`: it was wound just now, so many metres. */
  { id: 'woundM', label: 'Metres wound', kind: 'number', range: [0.1, 2000] },
  /** Stitches of the step sewn so far, as the clock or the machine says. */
  { id: 'stitches', label: 'Stitches', kind: 'number', range: [0, 10_000_000] },
  /** For `step-paused` after an absence: it was no sewing. */
  { id: 'away', label: 'Away', kind: 'yes' },
  /** For `undone`: the entry that is taken back. */
  { id: 'undoes', label: 'Takes back', kind: 'ref', ask: 'Name the entry that is taken back by its id.' },
] as const satisfies readonly Field[];

type Given<T> = { [K in keyof T]?: NonNullable<T[K]> };
export type EntryHead = KeptOf<typeof ENTRY_HEAD>;
export type EntryFields = Given<KeptOf<typeof ENTRY>>;
