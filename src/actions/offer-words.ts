import { addDays, format, parseISO } from 'date-fns';
import type { LetterFacts } from '@/core/letters/letters';
import { hoursWords } from '@/core/quote/offer';
import { moneyText } from '@/core/units/money';
import type { StoredOffer } from '@/data/offers';

/** Money from low to high; one sum where they are the same. */
export const moneyRange = (low: number, high: number, currency: string): string =>
  low === high ? moneyText(low, currency) : `${moneyText(low, currency)} to ${moneyText(high, currency)}`;

/** The last day an offer is good, yyyy-mm-dd. */
export const goodUntil = ({ madeOn, validDays }: Pick<StoredOffer, 'madeOn' | 'validDays'>): string =>
  format(addDays(parseISO(madeOn), validDays), 'yyyy-MM-dd');

/** An offer as a letter tells it. */
export const offerWords = (o: StoredOffer): NonNullable<LetterFacts['offer']> => ({
  lines: o.reckoned.lines.map((l) => `${l.label}: ${moneyRange(l.low, l.high, o.currency)}`),
  total: moneyRange(o.lowMinor, o.highMinor, o.currency),
  until: goodUntil(o),
  note: o.note,
  hours: o.basis === 'hour' ? hoursWords(o.reckoned.frameHours) : '',
});

/** What is due by an agreed offer, less the deposit. */
export const dueWords = (
  o: Pick<StoredOffer, 'lowMinor' | 'highMinor' | 'currency'>,
  depositMinor: number | null,
): string => {
  const less = depositMinor ?? 0;
  return moneyRange(Math.max(0, o.lowMinor - less), Math.max(0, o.highMinor - less), o.currency);
};
