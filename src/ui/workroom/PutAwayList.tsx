'use client';
import { formatDistance } from 'date-fns';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import type { AwayKind } from '@/core/fields/lists';

/** What is put away, each with the way back. */
export function PutAwayList({
  away,
  askedAt,
}: {
  away: readonly { what: AwayKind; id: string; name: string; at: Date }[];
  /** When the page was asked for: what is told of time is told as of then, here and on the server. */
  askedAt: number;
}) {
  const back = useActionForm(doors.putAway, () => toast('It is out again.'));
  if (away.length === 0) return null;
  return (
    <details className="mt-8 border-t-2 border-ink pt-2">
      <summary className="min-h-11 cursor-pointer text-20 font-semibold">Put away ({away.length})</summary>
      <ul className="max-w-[720px]">
        {away.map((x) => (
          <li key={x.id} className="flex min-h-12 items-center gap-4 border-b">
            <span className="flex-1">
              {x.name}{' '}
              <span className="text-ink2">
                · {x.what}, {formatDistance(x.at, askedAt)} ago
              </span>
            </span>
            <Button
              look="quiet"
              disabled={back.pending}
              aria-label={`Bring back ${x.name}`}
              onClick={() => back.send({ id: x.id, what: x.what, away: false })}
            >
              Bring back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
