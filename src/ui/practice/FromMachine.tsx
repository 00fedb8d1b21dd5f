'use client';
import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { PathPoint } from '@/core/machine/regulator';
import type { Drill } from '@/core/practice/drills';
import { pathSent } from '@/core/practice/sent';
import { LIFT_IN } from '@/core/stand-in/longarm';
import type { Mode } from '@/core/stitch/machine';
import type { Machine, SentDrill } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import type { LongarmOrder, LongarmTold } from '@/workers/run-longarm';

/** The stand-in follows the line by points so far apart, inches. */
const STEP_IN = 0.05;
const HANDS_IN_PER_S = 1.6;

/** A line with points close enough together to be followed. */
const followed = (line: Drill['line']): [number, number][] =>
  line.flatMap(([x, y], i) => {
    const [px, py] = line[i - 1] ?? [x, y];
    const n = Math.max(1, Math.ceil(Math.hypot(x - px, y - py) / Math.min(STEP_IN, LIFT_IN)));
    return Array.from({ length: n }, (_, k): [number, number] => [
      px + ((x - px) * (k + 1)) / n,
      py + ((y - py) * (k + 1)) / n,
    ]);
  });

/** The stand-in machine, sewing a drill and sending what it reads as a machine would. */
function useStandIn(onDone: () => void) {
  const [state, setState] = useState<{ running: boolean; problem: string | null }>({
    running: false,
    problem: null,
  });
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  const start = (work: LongarmOrder['work']) => {
    worker.current?.terminate();
    const w = new Worker(new URL('../../workers/longarm.worker.ts', import.meta.url), { type: 'module' });
    worker.current = w;
    w.onmessage = ({ data }: MessageEvent<LongarmTold>) => {
      if ('frames' in data) return;
      w.terminate();
      setState({ running: false, problem: 'failed' in data ? data.failed : null });
      onDone();
    };
    setState({ running: true, problem: null });
    w.postMessage({
      head: { run: uuidv7(), drill: true, machine: 'stand-in longarm' },
      work,
      speed: 20,
      faults: [],
      seed: Math.floor(performance.now()),
    } satisfies LongarmOrder);
  };
  return { ...state, start };
}

/** Drills as the machine sent them over its link, each taken with a press; or the stand-in sews one. */
export function FromMachine({
  drill,
  machine,
  mode,
  spi,
  sent,
  onTaken,
}: {
  drill: Drill;
  machine: Machine;
  mode: Mode;
  spi: number;
  sent: readonly SentDrill[];
  onTaken: (path: PathPoint[]) => void;
}) {
  const router = useRouter();
  const [empty, setEmpty] = useState(false);
  const standIn = useStandIn(() => router.refresh());
  const { maxSpm, idleMinSpm, idleMaxSpm } = machine;
  return (
    <section aria-label="From the machine" className="min-w-[240px] flex-1">
      <Button
        disabled={standIn.running}
        onClick={() =>
          standIn.start({
            points: followed(drill.line),
            machine: { maxSpm, idleMinSpm, idleMaxSpm },
            mode,
            spi,
            idleSpm: idleMinSpm,
            handInPerS: HANDS_IN_PER_S,
            limitInPerS: HANDS_IN_PER_S * 2,
          })
        }
      >
        {standIn.running ? 'The stand-in is sewing it…' : 'Let the stand-in machine sew it'}
      </Button>
      {sent.length > 0 && (
        <ul className="mt-2">
          {sent.map((s) => (
            <li key={s.id} className="flex items-center gap-3 border-t py-1">
              <span className="flex-1">
                {s.machine || 'The machine'}, {format(s.beganAt, 'HH:mm')},{' '}
                {Math.round((s.frames.at(-1)!.t - s.frames[0]!.t) / 1000)} s
              </span>
              <Button
                look="quiet"
                aria-label={`Judge it: what came at ${format(s.beganAt, 'HH:mm')}`}
                onClick={() => {
                  const path = pathSent(s.frames, drill);
                  setEmpty(path.length < 10);
                  if (path.length >= 10) onTaken(path);
                }}
              >
                Judge it
              </Button>
            </li>
          ))}
        </ul>
      )}
      {(standIn.problem || empty) && (
        <p role="alert" className="mt-1 font-medium text-weld-text">
          {standIn.problem ?? 'Nothing was sewn in what the machine sent: the hands hardly moved.'}
        </p>
      )}
      <p className="mt-1 text-13 text-ink2">
        A machine with a link sends it by itself; it begins where the drill begins. Nobody’s quilt is loaded
        meanwhile.
      </p>
    </section>
  );
}
