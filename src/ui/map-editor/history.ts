/** A drawing with what came before and after it. */
export interface History<T> {
  past: readonly T[];
  now: T;
  future: readonly T[];
}

const MOST_STEPS = 200;

export const begin = <T>(now: T): History<T> => ({ past: [], now, future: [] });
export const step = <T>(h: History<T>, next: T): History<T> => ({
  past: [...h.past, h.now].slice(-MOST_STEPS),
  now: next,
  future: [],
});
export const undo = <T>(h: History<T>): History<T> =>
  h.past.length === 0 ? h : { past: h.past.slice(0, -1), now: h.past.at(-1)!, future: [h.now, ...h.future] };
export const redo = <T>(h: History<T>): History<T> =>
  h.future.length === 0 ? h : { past: [...h.past, h.now], now: h.future[0]!, future: h.future.slice(1) };
