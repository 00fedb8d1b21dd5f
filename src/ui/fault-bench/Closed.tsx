'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import type { Fault, FaultRecordOf } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { type Named, nameOf } from './shown';

/** A closed fault: what it was, and the way to open it again or leave it out of what is learned. */
export function Closed({
  fault,
  evidence,
  causes,
}: {
  fault: Fault;
  evidence: FaultRecordOf;
  causes: readonly Named[];
}) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.reopenFault, () => router.refresh());
  const act = (what: 'open' | 'leave out' | 'take in') =>
    send({ faultId: fault.id, version: evidence.version, act: what });
  const cause = evidence.cause ? nameOf(causes, evidence.cause) : evidence.ownCause;
  return (
    <section aria-label="What it was" className="mt-2 border-t-2 border-ink pt-2">
      <p className="text-20 font-semibold">{cause}</p>
      <p className="mt-1">
        {evidence.remedy && `${evidence.remedy}. `}
        {evidence.helped === true
          ? 'A pass was sewn on without it. '
          : evidence.helped === false
            ? 'Not yet sewn on without it. '
            : ''}
        {evidence.minutesLost !== null && `It took ${evidence.minutesLost} minutes.`}
      </p>
      <p className="mt-1 text-ink2">
        {evidence.leftOut
          ? 'Left out of what this studio’s causes are learned from.'
          : 'This studio’s causes are learned from it.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button disabled={pending} onClick={() => act('open')}>
          It is back: open it again
        </Button>
        <Button
          look="quiet"
          disabled={pending}
          onClick={() => act(evidence.leftOut ? 'take in' : 'leave out')}
        >
          {evidence.leftOut ? 'Learn from it again' : 'Leave it out'}
        </Button>
      </div>
      <Problems problems={problems} />
    </section>
  );
}
