'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';

/** Begins a talk at the counter: a new one, or one that begins like a quilt before. */
export function BeginTalk({ likeId, label = 'Begin' }: { likeId?: string; label?: string }) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.beginIntake, ({ id }) =>
    router.push(`/take-in/${id}`),
  );
  return (
    <>
      <Button
        look={likeId ? 'quiet' : 'act'}
        disabled={pending}
        onClick={() => send(likeId ? { likeId } : {})}
      >
        {label}
      </Button>
      <Problems problems={problems} />
    </>
  );
}
