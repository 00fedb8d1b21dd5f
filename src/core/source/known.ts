import type { Source } from '../fields/lists';

/**
 * A number knows where it comes from: predicted by the models, learned from the studio's own log, or proven by a
 * measurement or a test stitch. Made where it is computed; no screen decides it. `basis` says in words what it rests on.
 */
export interface Known<T = number> {
  value: T;
  source: Source;
  basis?: string;
}

/** A value worked out by a model, with what it rests on. */
export const predicted = <T>(value: T, basis?: string): Known<T> => ({ value, source: 'predicted', basis });
/** A value tested by stitching here, with what it rests on. */
export const proven = <T>(value: T, basis?: string): Known<T> => ({ value, source: 'proven', basis });
/** A value taken from this studio's own log, with what it rests on. */
export const learned = <T>(value: T, basis?: string): Known<T> => ({ value, source: 'learned', basis });

/** Learned when it rests on any observations of the studio's own, else predicted. */
export const learnedFrom = <T>(value: T, observations: number, noun: string): Known<T> =>
  observations > 0
    ? learned(value, `${observations} ${noun}${observations === 1 ? '' : noun.endsWith('ch') ? 'es' : 's'}`)
    : predicted(value);

/** The same source under another value, worked out from it. */
export const derived = <T, U>(from: Known<T>, make: (value: T) => U): Known<U> => ({
  ...from,
  value: make(from.value),
});
