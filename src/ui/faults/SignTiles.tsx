'use client';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { signNames, signs } from '@/core/tables/symptoms';
import { findByWord } from '@/core/words/find-by-word';
import { SignPicture } from './SignPicture';

const FIRST = 12;
const WHERE = { top: 'on the top', back: 'on the back', both: 'on both faces', machine: 'at the machine' };

/** What can be seen, drawn: the likeliest here first, the others by a few letters; what is picked stays. */
export function SignTiles({
  order,
  value,
  onChange,
  error,
}: {
  /** Every sign, the likeliest first. */
  order: readonly string[];
  value: readonly string[];
  onChange: (ids: string[]) => void;
  error?: string;
}) {
  const [find, setFind] = useState('');
  const [all, setAll] = useState(false);
  const wanted = find.trim().toLowerCase();
  const rows = order.flatMap((id) => signs.find(id) ?? []);
  const named = findByWord(wanted, rows, signNames);
  const told = rows.filter((s) => !named.includes(s) && s.description.toLowerCase().includes(wanted));
  const fits = wanted ? [...named, ...told] : rows;
  const shown = wanted || all ? fits : fits.slice(0, FIRST);
  const picked = rows.filter((s) => value.includes(s.id) && !shown.includes(s));
  const toggle = (id: string) =>
    onChange(value.includes(id) ? value.filter((v) => v !== id) : [...value, id]);
  return (
    <fieldset aria-describedby={error ? 'symptoms-error' : undefined}>
      <legend className="mb-1 text-13 font-medium text-ink2">What you saw; more than one if so</legend>
      <input
        data-first
        aria-label="Search by name"
        placeholder="Search: loops, birdnest, tear …"
        value={find}
        onChange={(e) => setFind(e.target.value)}
        className="mb-2 min-h-11 w-full rounded border border-rule bg-cloth px-3 text-16"
      />
      {fits.length === 0 && wanted && (
        <p className="p-3 text-ink2">
          Nothing in the list reads like that. Pick the nearest, and say the rest in the note.
        </p>
      )}
      <div className="grid grid-cols-3 gap-2 sm:grid-cols-4">
        {[...picked, ...shown].map((s) => {
          const on = value.includes(s.id);
          return (
            <button
              key={s.id}
              type="button"
              aria-pressed={on}
              title={`${s.description} Seen ${WHERE[s.where]}.`}
              onClick={() => toggle(s.id)}
              className={`relative flex flex-col overflow-hidden rounded border text-left text-[14px] leading-tight ${on ? 'border-indigo font-semibold outline-2 outline-indigo outline-solid' : 'border-rule'}`}
            >
              <SignPicture id={s.id} className="block h-[50px] w-full" />
              <span className="min-h-[38px] px-1.5 py-1">{s.label}</span>
              {on && (
                <span className="absolute top-0 right-0 grid size-6 place-items-center bg-indigo text-on-act">
                  <Check size={16} aria-hidden />
                </span>
              )}
            </button>
          );
        })}
      </div>
      {!wanted && !all && rows.length > FIRST && (
        <button
          type="button"
          className="mt-1.5 min-h-11 text-indigo hover:underline"
          onClick={() => setAll(true)}
        >
          All {rows.length} signs
        </button>
      )}
      {error && (
        <p id="symptoms-error" role="alert" className="mt-1 font-medium text-madder">
          {error}
        </p>
      )}
    </fieldset>
  );
}
