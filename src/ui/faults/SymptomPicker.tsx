'use client';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { type Symptom, symptoms } from '@/core/tables/symptoms';

const GROUPS: readonly (readonly [Symptom['where'], string])[] = [
  ['top', 'On the top'],
  ['back', 'On the back'],
  ['both', 'On both faces'],
  ['machine', 'At the machine'],
];

/** What can be seen, by where it is seen; a few letters narrow the list, and what is picked stays. */
export function SymptomPicker({
  value,
  onChange,
  invalid,
}: {
  value: readonly string[];
  onChange: (ids: string[]) => void;
  invalid: boolean;
}) {
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const fits = (s: Symptom) =>
    !wanted || value.includes(s.id) || `${s.label} ${s.description}`.toLowerCase().includes(wanted);
  const toggle = (id: string) =>
    onChange(value.includes(id) ? value.filter((v) => v !== id) : [...value, id]);
  const any = symptoms.rows.some(fits);
  return (
    <fieldset aria-describedby={invalid ? 'symptoms-error' : undefined}>
      <legend className="mb-1 text-13 font-medium text-ink2">What you saw</legend>
      <input
        aria-label="Find a sign"
        placeholder="Find: loops, skip, break …"
        value={find}
        onChange={(e) => setFind(e.target.value)}
        className="mb-2 min-h-11 w-full rounded border border-rule bg-cloth px-3 text-16"
      />
      <div className="h-[300px] overflow-auto border" tabIndex={0} role="group" aria-label="Signs">
        {!any && (
          <p className="p-3 text-ink2">
            Nothing in the list reads like that. Pick the nearest, and say the rest in the note.
          </p>
        )}
        {GROUPS.map(([where, title]) => {
          const rows = symptoms.rows.filter((s) => s.where === where && fits(s));
          if (rows.length === 0) return null;
          return (
            <div key={where}>
              <h3 className="sticky top-0 bg-sunk px-3 py-1 text-15">{title}</h3>
              {rows.map((s) => {
                const on = value.includes(s.id);
                return (
                  <label
                    key={s.id}
                    title={s.description}
                    className={`flex min-h-11 cursor-pointer items-center gap-3 border-t px-3 first:border-t-0 has-focus-visible:outline-3 has-focus-visible:-outline-offset-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo ${on ? 'bg-indigo-tint font-semibold' : ''}`}
                  >
                    <input type="checkbox" checked={on} onChange={() => toggle(s.id)} className="sr-only" />
                    <span
                      aria-hidden
                      className={`grid size-5 shrink-0 place-items-center rounded border ${on ? 'border-indigo bg-indigo text-on-act' : 'border-rule'}`}
                    >
                      {on && <Check size={15} />}
                    </span>
                    {s.label}
                  </label>
                );
              })}
            </div>
          );
        })}
      </div>
    </fieldset>
  );
}
