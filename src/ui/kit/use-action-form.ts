'use client';
import { v4 as uuidv4 } from 'uuid';
import { useCallback, useRef, useState, useTransition } from 'react';
import type { Problem, Result } from '@/actions/result';
import { unanswered } from './unanswered';

export { unanswered } from './unanswered';

/** A key for one filling of a form: the same until it is stored, so that sending twice stores once. Works in every page, served safely or not. */
export const newKey = (): string => uuidv4();

const SHOWN_WRONG: Problem = {
  path: '',
  message: 'It is stored. Showing it went wrong in the program: reload the page to see it.',
};

/** Sends a form to an action: problems by field, one key per filling, and the typed values left alone. */
export function useActionForm<T>(act: (input: unknown) => Promise<Result<T>>, onDone: (value: T) => void) {
  const key = useRef<string | null>(null);
  const [problems, setProblems] = useState<Problem[]>([]);
  const [pending, start] = useTransition();
  const send = useCallback(
    (input: object) =>
      start(async () => {
        key.current ??= newKey();
        let result: Result<T>;
        try {
          result = await act({ ...input, key: key.current });
        } catch (error) {
          return setProblems([unanswered(error)]);
        }
        if (!result.ok) return setProblems(result.problems);
        key.current = null;
        setProblems([]);
        // What happens after an answer is not its delivery: a mistake there is told as one, and what was sent is stored.
        try {
          onDone(result.value);
        } catch (error) {
          reportError(error);
          setProblems([SHOWN_WRONG]);
        }
      }),
    [act, onDone],
  );
  const problemAt = (path: string) =>
    problems.find((p) => p.path === path || p.path.startsWith(`${path}.`))?.message;
  return { send, pending, problems, problemAt, setProblems };
}
