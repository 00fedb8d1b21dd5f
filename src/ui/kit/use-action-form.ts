'use client';
import { v4 as uuidv4 } from 'uuid';
import { useCallback, useRef, useState, useTransition } from 'react';
import type { Problem, Result } from '@/actions/result';

/** A key for one filling of a form: the same until it is stored, so that sending twice stores once. Works in every page, served safely or not. */
export const newKey = (): string => uuidv4();

const OFFLINE: Problem = {
  path: '',
  message:
    'The studio’s computer did not answer. Nothing you typed is lost: check that the program runs, then send again.',
};

const OLD_PAGE: Problem = {
  path: '',
  message:
    'The program was renewed since this page was opened. Copy what you typed, reload the page, and send it again.',
};
const BROKEN: Problem = {
  path: '',
  message:
    'The program made a mistake and could not answer. Nothing you typed is lost; what went wrong is in its log on the Workroom.',
};

/** Why no answer came: nobody there, a page older than the program, or a mistake of the program's own. */
export function unanswered(error: unknown): Problem {
  const text = String(error);
  if (/Failed to find Server Action|older or newer deployment|UnrecognizedAction/i.test(text))
    return OLD_PAGE;
  // Browsers word a lost line each in their own way; all of them throw a TypeError.
  return error instanceof TypeError || /network|fetch|load failed/i.test(text) ? OFFLINE : BROKEN;
}

/** Sends a form to an action: problems by field, one key per filling, and the typed values left alone. */
export function useActionForm<T>(act: (input: unknown) => Promise<Result<T>>, onDone: (value: T) => void) {
  const key = useRef<string | null>(null);
  const [problems, setProblems] = useState<Problem[]>([]);
  const [pending, start] = useTransition();
  const send = useCallback(
    (input: object) =>
      start(async () => {
        key.current ??= newKey();
        try {
          const result = await act({ ...input, key: key.current });
          if (!result.ok) return setProblems(result.problems);
          key.current = null;
          setProblems([]);
          onDone(result.value);
        } catch (error) {
          setProblems([unanswered(error)]);
        }
      }),
    [act, onDone],
  );
  const problemAt = (path: string) =>
    problems.find((p) => p.path === path || p.path.startsWith(`${path}.`))?.message;
  return { send, pending, problems, problemAt, setProblems };
}
