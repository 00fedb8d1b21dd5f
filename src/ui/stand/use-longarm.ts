'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { StepWork } from '@/actions/link';
import { NO_RUN, type RunSummary, withFrames } from '@/core/link/summary';
import type { Frame } from '@/core/stand-in/longarm';
import type { LongarmOrder, LongarmTold } from '@/workers/run-longarm';

export interface LongarmState {
  running: boolean;
  summary: RunSummary;
  /** The path so far, thinned to what a screen shows. */
  path: readonly (readonly [number, number])[];
  spm: number;
  inPerS: number;
  limitInPerS: number;
  problem: string | null;
}
export const STOPPED: LongarmState = {
  running: false,
  summary: NO_RUN,
  path: [],
  spm: 0,
  inPerS: 0,
  limitInPerS: 3,
  problem: null,
};
const MOST_POINTS = 3000;
const NEAR_IN = 0.25;

const AWAY = 'The studio’s computer does not answer: start the machine again in a moment.';
interface StepKey {
  pass: number;
  thread: string;
  stabilise: boolean;
}

/** What is to be sewn in a step; null where nobody can say now. */
async function workOf(quiltId: string, { pass, thread, stabilise }: StepKey): Promise<StepWork | null> {
  const query = new URLSearchParams({
    quilt: quiltId,
    pass: String(pass),
    thread,
    stabilise: String(stabilise),
  });
  const answer = await fetch(`/link?${query}`).catch(() => null);
  return answer?.ok ? ((await answer.json()) as StepWork) : null;
}

/** The stand-in longarm, sewing a step of a quilt in a worker of its own. */
export function useLongarm(quiltId: string) {
  const [state, setState] = useState(STOPPED);
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setState((s) => ({ ...s, running: false, spm: 0, inPerS: 0 }));
  }, []);
  const start = useCallback(
    async (step: StepKey, speed: number, faults: LongarmOrder['faults'], raw: boolean) => {
      worker.current?.terminate();
      const work = await workOf(quiltId, step);
      if (!work) return setState({ ...STOPPED, problem: AWAY });
      const order: LongarmOrder = {
        head: {
          run: uuidv7(),
          quiltId,
          ...step,
          machine: 'stand-in longarm',
          limitInPerS: work.limitInPerS,
          raw,
        },
        work,
        speed,
        faults,
        seed: Math.floor(performance.now()),
      };
      setState({ ...STOPPED, running: true, limitInPerS: work.limitInPerS });
      const w = new Worker(new URL('../../workers/longarm.worker.ts', import.meta.url), { type: 'module' });
      worker.current = w;
      w.onmessage = (m: MessageEvent<LongarmTold>) => {
        const told = m.data;
        if ('frames' in told) setState((s) => withBatch(s, told.frames));
        else {
          w.terminate();
          setState((s) => ({ ...s, running: false, problem: 'failed' in told ? told.failed : null }));
        }
      };
      w.postMessage(order);
    },
    [quiltId],
  );
  return { state, start, stop };
}

/** The state with more readings: whatever the run’s length, no more points than a screen shows. */
export function withBatch(s: LongarmState, frames: readonly Frame[]): LongarmState {
  const path = [...s.path];
  for (const f of frames) {
    const last = path.at(-1);
    if (!last || Math.hypot(f.x - last[0], f.y - last[1]) > NEAR_IN) path.push([f.x, f.y]);
  }
  const newest = frames.at(-1)!;
  return {
    ...s,
    path: path.slice(-MOST_POINTS),
    summary: withFrames(s.summary, frames, s.limitInPerS),
    spm: newest.rate,
    inPerS: newest.v,
  };
}
