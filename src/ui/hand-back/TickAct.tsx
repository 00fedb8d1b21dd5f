'use client';
import { format } from 'date-fns';
import { Check } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import type { HandBackAct } from '@/actions/hand-back';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';

/** One thing done on the way home: ticked with its time, and taken back by pressing again. */
export function TickAct({
  quiltId,
  version,
  act,
  label,
  at,
  first = false,
}: {
  quiltId: string;
  version: number;
  act: HandBackAct;
  label: string;
  at: Date | null;
  /** The one next act of the page. */
  first?: boolean;
}) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.markHandBack, () => router.refresh());
  return (
    <div>
      <Button
        look={first && !at ? 'act' : 'plain'}
        aria-pressed={at !== null}
        disabled={pending}
        onClick={() => send({ quiltId, version, act, done: at === null })}
      >
        {at && <Check size={18} aria-hidden />}
        {at ? `${label}, ${format(at, 'd MMM, HH:mm')}` : label}
      </Button>
      <Problems problems={problems} />
    </div>
  );
}
