/** What is wrong with one field, in the user's words; path is dotted, '' for the whole form. */
export interface Problem {
  path: string;
  message: string;
}

/** What every action answers. */
export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[]; conflict?: boolean };

export const done = <T>(value: T): Result<T> => ({ ok: true, value });
export const refuse = (message: string, path = ''): Result<never> => ({
  ok: false,
  problems: [{ path, message }],
});
/** Someone else changed it first: nothing was stored. */
export const conflict = (message: string): Result<never> => ({
  ok: false,
  conflict: true,
  problems: [{ path: '', message }],
});
