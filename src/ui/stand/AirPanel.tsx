'use client';
import { useState } from 'react';
import { airAdvice } from '@/core/care/air';
import { Big } from './Big';
import { StandPanel } from './StandPanel';

const STEP = 5;
const within = (n: number) => Math.min(100, Math.max(5, n));

/** The air in the room, noted with two taps: how humid, and whether there is static. */
export function AirPanel({
  onNote,
  onClose,
}: {
  onNote: (part: { humidityPct: number; staticFelt: boolean }) => void;
  onClose: () => void;
}) {
  const [pct, setPct] = useState(45);
  const advice = airAdvice(pct);
  return (
    <StandPanel title="The air in the room" onClose={onClose}>
      <div className="mt-4 flex flex-wrap items-center gap-2">
        <Big label="Drier" onClick={() => setPct(within(pct - STEP))} />
        <p className="min-w-[220px] text-center text-44 font-bold" aria-live="polite">
          {pct} <span className="text-24 font-normal">% humid</span>
        </p>
        <Big label="Damper" onClick={() => setPct(within(pct + STEP))} />
      </div>
      <p className="mt-3 min-h-16 text-24">{advice ?? 'Good for thread and machine: 40 to 60 %.'}</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Big look="act" label="Note it" onClick={() => onNote({ humidityPct: pct, staticFelt: false })} />
        <Big label="Note it: static" onClick={() => onNote({ humidityPct: pct, staticFelt: true })} />
      </div>
    </StandPanel>
  );
}
