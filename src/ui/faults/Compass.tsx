'use client';
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from 'lucide-react';
import type { FaultWay } from '@/core/fields/lists';
import { FAULT_WAY_LABEL } from '@/ui/test-strip/words';

const WAYS = [
  ['away', ArrowUp, 'col-start-2 row-start-1'],
  ['left', ArrowLeft, 'col-start-1 row-start-2'],
  ['right', ArrowRight, 'col-start-3 row-start-2'],
  ['toward', ArrowDown, 'col-start-2 row-start-3'],
] as const;
const PLACES = ['curve', 'point', 'start', 'seam'] as const;

/** The way the hand went, pressed on a compass as it lies before the quilter, or the place along the line. */
export function Compass({
  value,
  onChange,
  error,
}: {
  value: FaultWay | null;
  onChange: (way: FaultWay | null) => void;
  error?: string;
}) {
  const press = (way: FaultWay) => onChange(value === way ? null : way);
  const look = (way: FaultWay) =>
    value === way ? 'border-indigo bg-indigo font-semibold text-on-act' : 'border-rule bg-cloth';
  return (
    <div role="group" aria-label="Direction">
      <p className="mb-1 text-13 font-medium text-ink2">Only this way, or only here; leave it if neither</p>
      <div className="flex flex-wrap items-center gap-4">
        <div className="grid grid-cols-[44px_44px_44px] grid-rows-[44px_44px_44px] gap-1">
          {WAYS.map(([way, Arrow, at]) => (
            <button
              key={way}
              type="button"
              aria-label={FAULT_WAY_LABEL[way]}
              aria-pressed={value === way}
              onClick={() => press(way)}
              className={`grid place-items-center rounded border ${at} ${look(way)}`}
            >
              <Arrow size={22} aria-hidden />
            </button>
          ))}
          <span className="col-start-2 row-start-2 self-center text-center text-13 text-ink2" aria-hidden>
            hand
          </span>
        </div>
        <div className="grid grid-cols-2 gap-1">
          {PLACES.map((way) => (
            <button
              key={way}
              type="button"
              aria-pressed={value === way}
              onClick={() => press(way)}
              className={`min-h-11 rounded border px-3 ${look(way)}`}
            >
              {FAULT_WAY_LABEL[way]}
            </button>
          ))}
        </div>
      </div>
      {error && (
        <p role="alert" className="mt-1 font-medium text-madder">
          {error}
        </p>
      )}
    </div>
  );
}
