'use client';
import { useId, useMemo, useState } from 'react';
import { CONDITION } from '@/core/fields/quilt';
import { conditionAsks, CONDITION_KINDS, conditionMinutes, conditionNames } from '@/core/tables/conditions';
import { findByWord } from '@/core/words/find-by-word';
import { type FieldSpec, fromForm, type Values } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { SpecInput } from '@/ui/kit/SpecInput';

export const CONDITION_SPECS: readonly FieldSpec[] = formFields(CONDITION);
const OTHERS = CONDITION_SPECS.filter((s) => s.name !== 'kind');

/** A condition as it is being said; the kind is empty until one is picked. */
export const newCondition = (): Values => ({
  kind: '',
  side: 'top',
  place: '',
  sizeIn: '',
  note: '',
  state: 'found',
});

/** As the action takes it. */
export const conditionSent = (said: Values): Record<string, unknown> => fromForm(CONDITION_SPECS, said);

const ASKS = {
  agree: 'The client must agree before work begins.',
  tell: 'Tell the client.',
  none: '',
} as const;

/** What one condition means, and what it takes. */
export function ConditionMeaning({ kind, sizeIn }: { kind: string; sizeIn: number | null }) {
  const k = CONDITION_KINDS.find(kind);
  if (!k) return null;
  const minutes = conditionMinutes(k, sizeIn);
  return (
    <p className="text-ink2">
      {k.means} {ASKS[conditionAsks(k, sizeIn)]}
      {minutes >= 1 && ` About ${Math.round(minutes)} min, for the offer.`}
    </p>
  );
}

/** One thing found on a quilt: what it is by any of its names, where, how large, and what the client said. */
export function ConditionFields({
  value,
  onChange,
  problemAt,
}: {
  value: Values;
  onChange: (value: Values) => void;
  problemAt: (name: string) => string | undefined;
}) {
  const [typed, setTyped] = useState('');
  const id = useId();
  const found = useMemo(() => findByWord(typed, CONDITION_KINDS.rows, conditionNames), [typed]);
  const size = fromForm(CONDITION_SPECS, { ...newCondition(), ...value }).sizeIn;
  const set = (name: string, v: Values[string]) => onChange({ ...value, [name]: v });
  return (
    <div>
      {value.kind === '' ? (
        <div>
          <label htmlFor={id} className="mb-1 block text-13 font-medium text-ink2">
            What is it? Type its name, or pick
          </label>
          <input
            id={id}
            data-first
            value={typed}
            placeholder="stain, rip, wavy border …"
            onChange={(e) => setTyped(e.target.value)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter') return;
              e.preventDefault();
              if (found[0]) set('kind', found[0].id);
            }}
            className="min-h-11 w-full rounded border border-rule bg-cloth px-3 text-16"
          />
          <div className="mt-1.5 flex flex-wrap gap-1.5">
            {found.map((k) => (
              <button
                key={k.id}
                type="button"
                title={k.also.join(', ')}
                className="min-h-11 rounded border border-rule px-3 hover:bg-sunk"
                onClick={() => set('kind', k.id)}
              >
                {k.label}
              </button>
            ))}
          </div>
          {found.length === 0 && (
            <p className="text-ink2">
              No flaw goes by that name. Pick the nearest and say the rest in the note.
            </p>
          )}
          {problemAt('kind') && (
            <p role="alert" className="font-medium text-madder">
              {problemAt('kind')}
            </p>
          )}
        </div>
      ) : (
        <>
          <div className="flex items-center gap-3">
            <b className="text-[17px] font-semibold">{CONDITION_KINDS.find(String(value.kind))?.label}</b>
            <button
              type="button"
              className="min-h-11 text-indigo hover:underline"
              onClick={() => set('kind', '')}
            >
              Change
            </button>
          </div>
          <ConditionMeaning kind={String(value.kind)} sizeIn={typeof size === 'number' ? size : null} />
          <div className="mt-2 grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-3">
            {OTHERS.map((s) => (
              <SpecInput
                key={s.name}
                spec={s}
                id={`${id}-${s.name}`}
                value={value[s.name] ?? ''}
                onChange={(v) => set(s.name, v)}
                error={problemAt(s.name)}
              />
            ))}
          </div>
        </>
      )}
    </div>
  );
}
