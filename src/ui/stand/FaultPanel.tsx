'use client';
import { useState } from 'react';
import type { LogEntry } from '@/core/log/entry';
import { SignPicture } from '@/ui/faults/SignPicture';
import { Big } from './Big';
import { type DrawnMap, QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { StandPanel } from './StandPanel';

export interface Sign {
  id: string;
  label: string;
}

/** A fault in two taps: what, and where; everything else can wait. */
export function FaultPanel({
  signs,
  more,
  map,
  onClose,
  onFault,
}: {
  signs: readonly Sign[];
  more: readonly Sign[];
  map: DrawnMap;
  onClose: () => void;
  onFault: (part: Partial<LogEntry>) => void;
}) {
  const [sign, setSign] = useState<Sign | null>(null);
  const [all, setAll] = useState(false);
  if (!sign)
    return (
      <StandPanel title="What is it?" onClose={onClose}>
        <div className="mt-3 grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-4">
          {[...signs, ...(all ? more : [])].map((s) => (
            <button
              key={s.id}
              type="button"
              onClick={() => setSign(s)}
              className="flex min-h-[88px] flex-col overflow-hidden rounded border-[1.5px] border-rule bg-cloth text-left text-20 leading-tight font-semibold"
            >
              <SignPicture id={s.id} className="block h-[62px] w-full" />
              <span className="px-2 py-1.5">{s.label}</span>
            </button>
          ))}
          {!all && <Big label="Something else" look="quiet" onClick={() => setAll(true)} />}
        </div>
      </StandPanel>
    );
  return (
    <StandPanel title={`${sign.label}: where?`} onClose={() => setSign(null)}>
      <div className="mt-3 flex flex-wrap items-start gap-4">
        {/* The map is pressed where it happened; the button beside it is the same for the keyboard. */}
        <div
          className="max-w-full cursor-crosshair"
          role="presentation"
          onClick={(e) => {
            const svg = (e.target as Element).closest('svg');
            const m = svg?.getScreenCTM()?.inverse();
            if (!svg || !m) return;
            const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
            onFault({ symptoms: [sign.id], xIn: Math.round(p.x * 10) / 10, yIn: Math.round(p.y * 10) / 10 });
          }}
        >
          <QuiltMap {...map} />
        </div>
        <Big look="act" label="Somewhere in this step" onClick={() => onFault({ symptoms: [sign.id] })} />
      </div>
    </StandPanel>
  );
}
