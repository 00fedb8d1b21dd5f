'use client';
import type { AwayKind } from '@/core/fields/lists';
import { doors } from '@/actions/doors';
import { newKey, unanswered } from '@/ui/kit/use-action-form';
import { toast } from '@/ui/kit/toast';

/** Puts something away, or takes it out again, and says what came of it. */
async function put(what: AwayKind, id: string, away: boolean, said: () => void): Promise<void> {
  try {
    const r = await doors.putAway({ key: newKey(), id, what, away });
    if (r.ok) said();
    else toast(r.problems[0]!.message);
  } catch (error) {
    toast(unanswered(error).message);
  }
}

/** Puts something away; once it is, there is a way back at once. */
export const putAway = (what: AwayKind, id: string, name: string): void =>
  void put(what, id, true, () =>
    toast(`${name} is put away. Quilts that use it keep it.`, {
      action: {
        label: 'Undo',
        onClick: () => void put(what, id, false, () => toast('It is out again.')),
      },
    }),
  );
