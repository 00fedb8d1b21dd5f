'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import { QUICK_CURES } from '@/core/tension/cures';
import type { CureKind } from '@/core/fields/lists';
import type { Cure } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';

const OUTCOMES = [
  ['better', 'It helped'],
  ['same', 'No change'],
  ['worse', 'Worse'],
] as const;
const CAME = { better: 'helped', same: 'changed nothing', worse: 'made it worse' } as const;

export interface CureCount {
  kind: CureKind;
  tried: number;
  better: number;
}

/** Directions differ: what to try before looking for the cause, each with what came of it. */
export function CureList({
  setupId,
  tried,
  counts,
}: {
  setupId: string;
  tried: readonly Cure[];
  counts: readonly CureCount[];
}) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.tryCure, () => router.refresh());
  return (
    <section aria-label="Quick cures" className="mt-2 border-t pt-2">
      <h3 className="text-[17px]">Directions differ: try these first, one at a time</h3>
      <ol className="mt-1 grid gap-x-6 min-[1000px]:grid-cols-2">
        {QUICK_CURES.map((c) => {
          const last = tried.findLast((t) => t.kind === c.kind);
          const count = counts.find((x) => x.kind === c.kind);
          return (
            <li key={c.kind} className="border-b py-2">
              <b>{c.label}</b>
              {count && (
                <span className="text-ink2">
                  {' '}
                  · helped {count.better} of {count.tried} times here
                </span>
              )}
              <p>{c.act}</p>
              {last ? (
                <p className="font-medium text-verdigris">Tried: it {CAME[last.outcome]}.</p>
              ) : (
                <div
                  className="mt-1 flex flex-wrap gap-2"
                  role="group"
                  aria-label={`What ${c.label.toLowerCase()} did`}
                >
                  {OUTCOMES.map(([outcome, words]) => (
                    <Button
                      key={outcome}
                      look="quiet"
                      disabled={pending}
                      onClick={() => send({ setupId, kind: c.kind, outcome })}
                    >
                      {words}
                    </Button>
                  ))}
                </div>
              )}
            </li>
          );
        })}
      </ol>
      <Problems problems={problems} />
    </section>
  );
}
