'use client';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';

/** What became of an offer: agreed, or withdrawn; the word is taken back by one press. */
export function OfferState({
  id,
  version,
  state,
}: {
  id: string;
  version: number;
  state: 'offered' | 'agreed';
}) {
  const { send, pending, problems } = useActionForm(doors.setOffer, ({ state: now }) =>
    toast(
      now === 'agreed'
        ? 'The client agreed.'
        : now === 'offered'
          ? 'It is offered again.'
          : 'It is withdrawn.',
      {
        ...(now === 'withdrawn'
          ? {
              action: {
                label: 'Undo',
                onClick: () =>
                  void doors.setOffer({ key: newKey(), id, version: version + 1, state: 'offered' }),
              },
            }
          : {}),
      },
    ),
  );
  return (
    <div className="mt-2 flex flex-wrap gap-3 print:hidden">
      {state === 'offered' ? (
        <Button look="act" disabled={pending} onClick={() => send({ id, version, state: 'agreed' })}>
          Client agreed
        </Button>
      ) : (
        <Button disabled={pending} onClick={() => send({ id, version, state: 'offered' })}>
          Not agreed yet
        </Button>
      )}
      <Button look="quiet" disabled={pending} onClick={() => send({ id, version, state: 'withdrawn' })}>
        Withdraw
      </Button>
      <Problems problems={problems} />
    </div>
  );
}
