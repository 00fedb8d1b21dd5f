'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useState } from 'react';
import { LIFT_IN, type LinkEvent } from '@/core/stand-in/longarm';
import { type DrawnMap, PathLayer, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { Taps } from '@/ui/kit/Taps';
import { Big } from './Big';
import type { ShownStep } from './stand-facts';
import { Recording } from './Recording';
import { StandPanel } from './StandPanel';
import type { useLongarm } from './use-longarm';

const StitchChart = dynamic(() => patiently(() => import('./StitchChart')).then((m) => m.StitchChart), {
  ssr: false,
});
const SPEEDS = [1, 5, 20].map((n) => ({ value: String(n), label: `${n} times` }));
const WRONG = [
  { value: '', label: 'nothing' },
  { value: 'thread-break', label: 'the thread breaks' },
  { value: 'bobbin-out', label: 'the bobbin runs out' },
];
const KEEP = [
  { value: '', label: 'what it comes to' },
  { value: 'raw', label: 'every reading too' },
];
const AFTER_STITCHES = 150;

/** The machine over its link: the stand-in started with one tap, its path on the map, how long its stitches came out. */
export function MachinePanel({
  quiltId,
  step,
  longarm,
  map,
  onStart,
  onClose,
}: {
  quiltId: string;
  step: ShownStep | null;
  longarm: ReturnType<typeof useLongarm>;
  map: DrawnMap;
  onStart: () => void;
  onClose: () => void;
}) {
  const [speed, setSpeed] = useState('5');
  const [wrong, setWrong] = useState('');
  const [raw, setRaw] = useState('');
  const { state, start, stop } = longarm;
  const { summary } = state;
  return (
    <StandPanel title="Machine" onClose={onClose}>
      <p className="mt-2 text-20">
        A machine that speaks writes its readings here by itself (see docs/link.md). None at hand? The
        stand-in sews this step under hands like yours.
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-4 text-20">
        {state.running ? (
          <Big look="act" label="Stop the stand-in" onClick={stop} />
        ) : (
          <Big
            look="act"
            label="Start the stand-in"
            disabled={!step}
            onClick={() => {
              if (!step) return;
              onStart();
              void start(
                { pass: step.pass, thread: step.thread, stabilise: step.stabilise },
                Number(speed),
                wrong ? [{ atStitch: AFTER_STITCHES, event: wrong as LinkEvent }] : [],
                raw === 'raw',
              );
            }}
          />
        )}
        <Taps label="Speed" options={SPEEDS} value={speed} onChange={setSpeed} />
        <Taps label="What goes wrong" options={WRONG} value={wrong} onChange={setWrong} />
        <Taps label="Keep" options={KEEP} value={raw} onChange={setRaw} />
        <Recording quiltId={quiltId} />
      </div>
      {state.problem && (
        <p role="alert" className="mt-2 text-24 text-madder">
          {state.problem}
        </p>
      )}
      <div className="mt-4 flex flex-wrap items-start gap-6">
        <div className="relative">
          <QuiltMap {...map}>
            <PathLayer path={state.path} liftIn={LIFT_IN} />
          </QuiltMap>
        </div>
        <div>
          <dl className="grid grid-cols-2 gap-x-8 gap-y-3">
            {(
              [
                ['Stitches', String(summary.stitches)],
                ['Sewn', `${(summary.lengthIn / 36).toFixed(1)} yd`],
                ['Needle, a minute', String(state.spm)],
                ['Hands, in/s', state.inPerS.toFixed(1)],
                [
                  'Above the limit',
                  `${summary.stitches > 0 ? Math.round((100 * summary.above) / summary.stitches) : 0} %`,
                ],
                [
                  'To the inch',
                  summary.lengthIn > 0 ? (summary.stitches / summary.lengthIn).toFixed(1) : 'none yet',
                ],
              ] as const
            ).map(([k, v]) => (
              <div key={k}>
                <dt className="text-16 text-ink2">{k}</dt>
                <dd className="text-28 leading-none font-bold">{v}</dd>
              </div>
            ))}
          </dl>
          <div className="mt-3">
            <StitchChart histogram={summary.histogram} />
          </div>
        </div>
      </div>
    </StandPanel>
  );
}
