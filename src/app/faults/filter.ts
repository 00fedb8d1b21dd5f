import { FAULT_STATES, type FaultState } from '@/core/fields/lists';
import { signs } from '@/core/tables/symptoms';
import { BOOK_SORTS, type BookSort, RATED_BY, type RatedBy } from '@/core/fields/lists';
import type { BookFilter } from '@/data/fault-book';

export type BookQuery = Partial<Record<'q' | 'sign' | 'state' | 'by' | 'of' | 'sort', string>>;

/** What an address narrows the book to; what is not known there is let go. */
export const filterOf = ({ q, sign, state, by, of, sort }: BookQuery): BookFilter => ({
  words: (q ?? '').slice(0, 60),
  sign: sign && signs.find(sign) ? sign : null,
  state: FAULT_STATES.includes(state as FaultState) ? (state as FaultState) : null,
  by: RATED_BY.includes(by as RatedBy) ? (by as RatedBy) : 'thread',
  of: of ? of.slice(0, 120) : null,
  sort: BOOK_SORTS.includes(sort as BookSort) ? (sort as BookSort) : 'newest',
});

/** The same as an address, with some of it changed. */
export function addressOf(filter: BookFilter, part: Partial<BookFilter> = {}, path = '/faults'): string {
  const f = { ...filter, ...part };
  const query = new URLSearchParams();
  if (f.words) query.set('q', f.words);
  if (f.sign) query.set('sign', f.sign);
  if (f.state) query.set('state', f.state);
  if (f.by !== 'thread') query.set('by', f.by);
  if (f.of) query.set('of', f.of);
  if (f.sort !== 'newest') query.set('sort', f.sort);
  const text = query.toString();
  return text ? `${path}?${text}` : path;
}
