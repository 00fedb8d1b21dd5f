'use client';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';

export interface WorkerState<Answer> {
  answer: Answer | null;
  /** What went wrong, in words; null while all is well. */
  problem: string | null;
}

/**
 * The answer of a worker that does one thing, asked again whenever the question changes; the last answer stays
 * until the next is there. `create` must be a stable function.
 */
export function useWorker<Request, Answer>(create: () => Worker, request: Request): WorkerState<Answer> {
  const [state, setState] = useState<WorkerState<Answer>>({ answer: null, problem: null });
  const text = JSON.stringify(request);
  useEffect(() => {
    const worker = create();
    let here = true;
    const ask = wrap<(r: Request) => Answer>(worker) as unknown as (r: Request) => Promise<Answer>;
    ask(JSON.parse(text) as Request).then(
      (answer) => {
        if (here) setState({ answer, problem: null });
        worker.terminate();
      },
      (error: Error) => {
        if (here) setState((now) => ({ ...now, problem: error.message }));
        worker.terminate();
      },
    );
    return () => {
      here = false;
      worker.terminate();
    };
  }, [create, text]);
  return state;
}
