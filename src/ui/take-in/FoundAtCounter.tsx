'use client';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { CONDITION_KINDS } from '@/core/tables/conditions';
import { Button } from '@/ui/kit/Button';
import type { Values } from '@/ui/kit/field-spec';
import { PhotoButton } from '@/ui/kit/PhotoButton';
import { sendPhotograph } from '@/ui/kit/send-photograph';
import { ConditionFields, conditionSent, newCondition } from './ConditionFields';

/** Something found at the counter, as it is being said. */
export interface ConditionSaid {
  said: Values;
  photographId: string | null;
}

/** As the intake sends it. */
export const foundSent = (c: ConditionSaid) => ({
  ...conditionSent(c.said),
  xIn: null,
  yIn: null,
  photographId: c.photographId,
});

/** What is wrong with a quilt before anyone has sewn on it, each with its photograph. */
export function FoundAtCounter({
  intakeId,
  list,
  change,
  problemAt,
}: {
  intakeId: string;
  list: readonly ConditionSaid[];
  change: (list: ConditionSaid[]) => void;
  problemAt: (path: string) => string | undefined;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const put = (i: number, part: Partial<ConditionSaid>) =>
    change(list.map((c, k) => (k === i ? { ...c, ...part } : c)));
  return (
    <fieldset className="mt-5">
      <legend className="text-[17px] font-semibold">Found on it</legend>
      <ul>
        {list.map((c, i) => (
          <li key={i} className="border-b py-2">
            <ConditionFields
              value={c.said}
              onChange={(said) => put(i, { said })}
              problemAt={(name) => problemAt(`conditions.${i}.${name}`)}
            />
            <div className="mt-2 flex flex-wrap items-center gap-3">
              <PhotoButton
                name={`Photograph of ${CONDITION_KINDS.find(String(c.said.kind))?.label ?? 'it'}`}
                capture="environment"
                onFile={(file) =>
                  void sendPhotograph(intakeId, file, 'condition').then((r) => {
                    setProblem(r.ok ? null : r.problems[0]!.message);
                    if (r.ok) put(i, { photographId: r.value.id });
                  })
                }
              >
                {c.photographId ? 'Another photograph' : 'Photograph'}
              </PhotoButton>
              {c.photographId && (
                // eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database
                <img
                  src={`/photographs/${c.photographId}`}
                  alt={`Photograph of thing ${i + 1}`}
                  className="h-[64px] border"
                />
              )}
              <Button look="quiet" onClick={() => change(list.filter((_, k) => k !== i))}>
                Remove
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="font-medium text-madder">
          {problem}
        </p>
      )}
      <Button
        className="mt-2"
        onClick={() => change([...list, { said: newCondition(), photographId: null }])}
      >
        <Plus size={18} aria-hidden /> Something found on it
      </Button>
    </fieldset>
  );
}
