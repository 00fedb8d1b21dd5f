'use client';
import { useRouter } from 'next/navigation';
import { beginIntakeAction } from '@/actions/server';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';

export function BeginTalk() {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(beginIntakeAction, ({ id }) =>
    router.push(`/take-in/${id}`),
  );
  return (
    <>
      <Button look="act" disabled={pending} onClick={() => send({})}>
        Begin
      </Button>
      <Problems problems={problems} />
    </>
  );
}
