'use client';
import { useState } from 'react';
import { safety } from '@/core/cautions/cautions';
import type { Roll } from '@/core/stand/advance';
import type { Squareness } from '@/core/stand/squareness';
import { numberOf } from '@/ui/kit/number-of';
import { Big } from './Big';
import { StandPanel } from './StandPanel';

const CHECKS = [
  'Rail raised, quilt rolled on',
  'Three layers smoothed, none taut',
  'Rail lowered, gap as before',
  'Sides basted, clamps on',
  'Back checked',
] as const;

/** Rolling on to the next pass: five things in order, and the width while the tape is at hand. */
export function AdvancePanel({
  roll,
  square,
  widths,
  onClose,
  onDone,
}: {
  /** From which pass to which; nothing where there is no other. */
  roll: Roll | null;
  square: Squareness | null;
  widths: readonly { pass: number; widthIn: number }[];
  onClose: () => void;
  onDone: (pass: number, widthIn: number | null) => void;
}) {
  const [checked, setChecked] = useState<readonly number[]>([]);
  const [width, setWidth] = useState('');
  const n = numberOf(width);
  const bad = width.trim() !== '' && !(typeof n === 'number' && n >= 1 && n <= 400);
  return (
    <StandPanel
      title={roll ? `${roll.back ? 'Roll back' : 'Advance'} to pass ${roll.to}` : 'There is no other pass'}
      onClose={onClose}
    >
      <p className="mt-2 text-20">{safety('pinch').text}</p>
      {roll?.rail && (
        <p className="mt-1 text-24 font-semibold text-weld-text">
          {roll.rail === 'raise'
            ? 'The roll has grown: set the rail higher before this pass.'
            : 'The roll is thinner again: set the rail lower before this pass.'}
        </p>
      )}
      <ul className="mt-3 grid gap-2 lg:grid-cols-2">
        {CHECKS.map((c, i) => (
          <li key={c}>
            <button
              type="button"
              aria-pressed={checked.includes(i)}
              onClick={() =>
                setChecked(checked.includes(i) ? checked.filter((x) => x !== i) : [...checked, i])
              }
              className="flex min-h-[88px] w-full items-center gap-4 rounded border-2 border-rule bg-cloth px-4 text-left text-24 aria-pressed:border-verdigris"
            >
              <span aria-hidden className="grid size-10 shrink-0 place-items-center border-2 text-28">
                {checked.includes(i) ? '✓' : ''}
              </span>
              {c}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap items-end gap-4">
        <label className="grid text-20">
          Width at its start, in
          <input
            inputMode="decimal"
            value={width}
            onChange={(e) => setWidth(e.target.value)}
            aria-invalid={bad || undefined}
            className="min-h-[88px] w-48 rounded border-2 border-rule bg-cloth px-4 text-44 aria-invalid:border-madder"
          />
        </label>
        <Trend widths={widths} />
        <Big
          look="act"
          label={roll ? `Pass ${roll.to} lies on the frame` : 'Back'}
          disabled={bad}
          onClick={() => (roll ? onDone(roll.to, typeof n === 'number' ? n : null) : onClose())}
        />
      </div>
      {bad && (
        <p role="alert" className="mt-1 text-20 text-madder">
          A width in inches, such as 64.5.
        </p>
      )}
      {square && (
        <p className={`mt-2 text-24 ${square.real ? 'font-semibold text-weld' : ''}`}>{square.words}</p>
      )}
    </StandPanel>
  );
}

/** The widths measured so far, drawn: each a dot, an inch of difference fills the height. */
function Trend({ widths }: { widths: readonly { pass: number; widthIn: number }[] }) {
  if (widths.length < 2) return null;
  const all = widths.map((w) => w.widthIn);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const span = Math.max(1, high - low);
  const last = Math.max(...widths.map((w) => w.pass));
  const x = (p: number) => 14 + ((p - 1) / Math.max(1, last - 1)) * 232;
  const y = (w: number) => 74 - ((w - low) / span) * 60;
  return (
    <svg
      width="260"
      height="88"
      role="img"
      aria-label={`Widths: ${widths.map((w) => `pass ${w.pass} ${w.widthIn} in`).join(', ')}`}
    >
      <polyline
        points={widths.map((w) => `${x(w.pass)},${y(w.widthIn)}`).join(' ')}
        fill="none"
        stroke="var(--verdigris)"
        strokeWidth="3"
      />
      {widths.map((w, i) => (
        <circle key={i} cx={x(w.pass)} cy={y(w.widthIn)} r="6" fill="var(--verdigris)" />
      ))}
    </svg>
  );
}
