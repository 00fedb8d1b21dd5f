import { v7 as uuidv7 } from 'uuid';
import type { Result } from '../result';

/** A key for one filling of a form. */
export const key = (): string => uuidv7();

/** What an action answered; a refusal fails the test with its words. */
export const value = <T>(r: Result<T>): T => {
  if (!r.ok) throw new Error(r.problems.map((p) => `${p.path}: ${p.message}`).join('; '));
  return r.value;
};

/** The fields an action refused. */
export const paths = (r: Result<unknown>): string[] => (r.ok ? [] : r.problems.map((p) => p.path));
