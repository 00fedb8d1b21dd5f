import { WORK_KIND_LABEL } from '../tables/techniques';
import { TASKS } from '../tables/tasks';
import { choicesFrom, choicesOf, type Field, type KeptOf } from './field';

export const OFFER_BASIS_LABEL = { hour: 'by the hour', area: 'by area and kind of work' } as const;
export const OFFER_STATES = ['offered', 'agreed', 'changed', 'withdrawn'] as const;
export type OfferState = (typeof OFFER_STATES)[number];
export const OFFER_STATE_LABEL: Record<OfferState, string> = {
  offered: 'offered',
  agreed: 'agreed',
  changed: 'replaced by a newer one',
  withdrawn: 'withdrawn',
};

const money = <I extends string>(id: I, label: string, hint: string) =>
  ({
    id,
    label,
    noun: label,
    kind: 'money',
    range: [0, 10_000_000],
    optional: true,
    hint,
  }) as const satisfies Field;
const perCent = <I extends string>(id: I, label: string, most: number, hint: string) =>
  ({
    id,
    label,
    noun: `${label}, per cent,`,
    kind: 'number',
    range: [0, most],
    usual: 0,
    hint,
  }) as const satisfies Field;

/** What the studio charges. Prices of an area are for 100 square inches: a square inch costs too little to be written. */
export const RATES = [
  {
    id: 'basis',
    label: 'The quilting is charged',
    kind: 'choice',
    choices: choicesOf(OFFER_BASIS_LABEL),
    ask: 'By the hour, or by area.',
    usual: 'hour',
  },
  money('hourMinor', 'An hour at the frame', 'for quilting, loading, rolling'),
  money('tableHourMinor', 'An hour at the table', 'for preparing and finishing; empty: as at the frame'),
  money('edgeMinor', `100 square inches ${WORK_KIND_LABEL.edge}`, 'one pattern all over'),
  money('lightMinor', `100 square inches ${WORK_KIND_LABEL.light}`, 'lines, ditch, open fills'),
  money('customMinor', `100 square inches ${WORK_KIND_LABEL.custom}`, 'figures, rulers, fills by zone'),
  money('denseMinor', `100 square inches ${WORK_KIND_LABEL.dense}`, 'pebbles, tiny fills, thread painting'),
  money('leastMinor', 'Least for a quilt', 'empty: none'),
  money('bobbinMinor', 'A bobbin of thread', 'empty: thread is in the price'),
  perCent('rushPct', 'More for a rush', 200, '% of the work'),
  perCent('taxPct', 'Tax', 100, '%'),
] as const satisfies readonly Field[];
export type RatesFields = KeptOf<typeof RATES>;

/** What is asked of one offer besides the quilt itself. */
export const OFFER = [
  {
    id: 'basis',
    label: 'The quilting is charged',
    kind: 'choice',
    choices: choicesOf(OFFER_BASIS_LABEL),
    ask: 'By the hour, or by area.',
  },
  {
    id: 'tasks',
    label: 'Besides the quilting',
    kind: 'checks',
    choices: choicesFrom(TASKS.rows),
    ask: 'Pick from the list.',
    count: [0, 40],
  },
  { id: 'isRush', label: 'It is a rush', kind: 'yes' },
  perCent('taxPct', 'Tax', 100, '%'),
  {
    id: 'validDays',
    label: 'Good for',
    noun: 'Days it is good for',
    kind: 'whole',
    range: [1, 365],
    usual: 7,
    hint: 'days',
  },
  { id: 'note', label: 'A word to the client', kind: 'long', most: 1000, mayBeEmpty: true },
] as const satisfies readonly Field[];
export type OfferFields = KeptOf<typeof OFFER>;

/** Something supplied with it, by the piece or the yard. */
export const SUPPLIED = [
  { id: 'label', label: 'What', kind: 'text', most: 80, ask: 'Say what is supplied.' },
  { id: 'amount', label: 'How much', noun: 'How much of it', kind: 'number', range: [0, 10_000] },
  { id: 'unit', label: 'Of', kind: 'text', most: 20, mayBeEmpty: true, hint: 'yd, m, piece' },
  { id: 'priceMinor', label: 'Price of one', noun: 'The price', kind: 'money', range: [0, 10_000_000] },
] as const satisfies readonly Field[];
export type SuppliedFields = KeptOf<typeof SUPPLIED>;
