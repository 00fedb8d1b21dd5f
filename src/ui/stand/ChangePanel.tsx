'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { LogEntry, Setting } from '@/core/log/entry';
import { placeOn, type Scales } from '@/core/machine/scales';
import { FOOT_LABEL, type FootId } from '@/core/tables/techniques';
import { gramsText } from '@/core/units/force';
import { AddPhotograph } from '@/ui/test-strip/AddPhotograph';
import { Big } from './Big';
import type { Set } from './setting';
import type { ShownThread } from './stand-facts';
import { StandPanel } from './StandPanel';

/** What the hand sets in small steps: by which step, and within what. */
const STEPS = {
  topGf: {
    label: 'Top tension, g',
    by: (v: number) => Math.max(1, v * 0.04),
    range: [20, 400],
    scale: 'top-dial',
  },
  bobbinGf: { label: 'Bobbin tension, g', by: () => 0.5, range: [8, 80], scale: 'bobbin-turns' },
  handInPerS: { label: 'Sewing speed, in/s', by: () => 0.1, range: [0.2, 6], scale: null },
  spi: { label: 'Stitches per inch', by: () => 1, range: [3, 20], scale: null },
} as const;
type Stepped = keyof typeof STEPS;
/** A value is written down when it has stood so long: five taps are one change. */
const SETTLED_MS = 1200;

/**
 * What is set otherwise than the card says: each a tap, written down with the value before and after, for the zones that
 * share this setting. A note and a photograph besides.
 */
export function ChangePanel({
  quiltId,
  set,
  letters,
  feet,
  threads,
  scales,
  onChange,
  onNote,
  onClose,
}: {
  quiltId: string;
  set: Set;
  /** Letters of the zones it is changed for. */
  letters: readonly string[];
  feet: readonly FootId[];
  threads: readonly ShownThread[];
  scales: Scales;
  onChange: (kind: LogEntry['kind'], setting: Setting, from: string | number, to: string | number) => void;
  onNote: (part: Partial<LogEntry>) => void;
  onClose: () => void;
}) {
  const [note, setNote] = useState('');
  const [picking, setPicking] = useState<'topId' | 'bobbinId' | null>(null);
  if (picking) {
    const fits = threads.filter((t) => t.role === 'both' || (picking === 'topId') === (t.role === 'top'));
    return (
      <StandPanel
        title={picking === 'topId' ? 'Which top thread is on?' : 'Which thread is on the bobbin?'}
        onClose={() => setPicking(null)}
      >
        <div className="mt-3 grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
          {fits.map((t) => (
            <button
              key={t.id}
              type="button"
              aria-pressed={t.id === set[picking]}
              onClick={() => {
                if (t.id !== set[picking]) onChange('thread-changed', picking, set[picking], t.id);
                setPicking(null);
              }}
              className="flex min-h-[88px] items-center gap-3 rounded border-2 border-rule bg-cloth px-4 text-left text-20 font-semibold aria-pressed:border-indigo"
            >
              <i
                aria-hidden
                className="size-8 shrink-0 border"
                style={{ background: t.hex ?? 'transparent' }}
              />
              {t.name}
              {t.id === set[picking] && <span className="font-normal text-ink2">on now</span>}
            </button>
          ))}
        </div>
      </StandPanel>
    );
  }
  const name = (id: string) => threads.find((t) => t.id === id)?.name ?? 'a thread put away';
  return (
    <StandPanel
      title={`Change the setting of ${letters.length > 1 ? 'zones' : 'zone'} ${letters.join(', ')}`}
      onClose={onClose}
    >
      <p className="mt-1 text-16 text-ink2">
        Each change is written down with the value before and after, and said on the card.
      </p>
      <div className="mt-2 grid gap-x-6 gap-y-2 lg:grid-cols-2">
        {(Object.keys(STEPS) as Stepped[]).map((what) => (
          <Stepper
            key={what}
            what={what}
            value={set[what]}
            place={STEPS[what].scale === null ? null : (v) => placeOn(scales, STEPS[what].scale!, v)}
            onSettled={(from, to) => onChange('setting-changed', what, from, to)}
          />
        ))}
      </div>
      <div role="group" aria-label="Foot" className="mt-3 flex flex-wrap gap-2">
        {feet.map((f) => (
          <button
            key={f}
            type="button"
            aria-pressed={f === set.foot}
            onClick={() => f !== set.foot && onChange('setting-changed', 'foot', set.foot, f)}
            className="min-h-[88px] flex-1 rounded border-2 border-rule bg-cloth px-4 text-20 font-semibold aria-pressed:border-indigo aria-pressed:text-indigo"
          >
            {FOOT_LABEL[f]}
          </button>
        ))}
      </div>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        <Big label={`Top thread: ${name(set.topId)}`} onClick={() => setPicking('topId')} />
        <Big label={`Bobbin thread: ${name(set.bobbinId)}`} onClick={() => setPicking('bobbinId')} />
      </div>
      <form
        className="mt-3 flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (note.trim() === '') return;
          onNote({ note: note.trim() });
          setNote('');
        }}
      >
        <label className="grid min-w-0 flex-1 text-16">
          Note
          <input
            value={note}
            maxLength={2000}
            onChange={(e) => setNote(e.target.value)}
            className="min-h-[64px] rounded border-2 border-rule bg-cloth px-4 text-20"
          />
        </label>
        <button
          type="submit"
          className="min-h-[64px] rounded border-2 border-rule px-6 text-20 font-semibold"
        >
          Save the note
        </button>
        <AddPhotograph
          ofId={quiltId}
          moment="test"
          label="Photograph"
          onKept={(photographId) => onNote({ photographId, note: 'photograph' })}
        />
      </form>
    </StandPanel>
  );
}

function Stepper({
  what,
  value,
  place,
  onSettled,
}: {
  what: Stepped;
  value: number;
  place: ((value: number) => string | null) | null;
  onSettled: (from: number, to: number) => void;
}) {
  const { label, by, range } = STEPS[what];
  const [draft, setDraft] = useState<number | null>(null);
  const shown = draft ?? value;
  const latest = useRef({ value, draft, onSettled });
  useEffect(() => {
    latest.current = { value, draft, onSettled };
  });
  const settle = useCallback(() => {
    const { value: from, draft: to, onSettled: told } = latest.current;
    if (to !== null && text(what, to) !== text(what, from)) told(round(what, from), round(what, to));
    setDraft(null);
  }, [what]);
  useEffect(() => {
    if (draft === null) return;
    const timer = setTimeout(settle, SETTLED_MS);
    return () => clearTimeout(timer);
  }, [draft, settle]);
  // Left before it settled, it is written down all the same.
  useEffect(() => settle, [settle]);
  const step = (sign: 1 | -1) =>
    setDraft(Math.min(range[1], Math.max(range[0], round(what, shown + sign * by(shown)))));
  return (
    <div className="flex items-center gap-2">
      <Big label="−" name={`${label}: less`} onClick={() => step(-1)} />
      <p className="min-w-0 flex-1 text-center">
        <span className="block text-16 text-ink2">{label}</span>
        <b className="text-32 leading-none">{text(what, shown)}</b>
        {place && <span className="block text-16 text-ink2">{place(shown)}</span>}
      </p>
      <Big label="+" name={`${label}: more`} onClick={() => step(1)} />
    </div>
  );
}

const round = (what: Stepped, v: number): number =>
  what === 'handInPerS'
    ? Math.round(v * 10) / 10
    : what === 'spi'
      ? Math.round(v * 2) / 2
      : Number(gramsText(v));
const text = (what: Stepped, v: number): string =>
  what === 'handInPerS' ? v.toFixed(1) : what === 'spi' ? String(round('spi', v)) : gramsText(v);
