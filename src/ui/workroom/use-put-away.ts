'use client';
import { putAwayAction } from '@/actions/server';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { toast } from '@/ui/kit/toast';

export type AwayKind = 'fabric' | 'batting' | 'ruler';

/** Puts something away, with a way back at once. */
export function usePutAway() {
  const back = (what: AwayKind, id: string) =>
    void putAwayAction({ key: newKey(), id, what, away: false }).then((r) =>
      toast(r.ok ? 'It is out again.' : r.problems[0]!.message),
    );
  const away = useActionForm(putAwayAction, () => {});
  return (what: AwayKind, id: string, name: string) => {
    away.send({ id, what, away: true });
    toast(`${name} is put away. Quilts that use it keep it.`, {
      action: { label: 'Undo', onClick: () => back(what, id) },
    });
  };
}
