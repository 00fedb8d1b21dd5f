'use client';
import { useRef } from 'react';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import type { FewerThread } from '@/core/plan/fewer-threads';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { harmWords } from './harm-words';

/** A thread the quilt could do without, by name, and the cards of its zones as they stand. */
export interface FewerThreadShown extends FewerThread {
  drop: string;
  into: string;
  cards: readonly { zoneId: string; topId: string; bobbinId: string; version: number }[];
}

/** One thread fewer: its zones are sewn with one that is on the quilt already; what stood can be chosen again. */
export function FewerThreads({ quiltId, fewer }: { quiltId: string; fewer: readonly FewerThreadShown[] }) {
  const router = useRouter();
  const last = useRef<FewerThreadShown | null>(null);
  const cardsOf = ({ cards }: FewerThreadShown, to: (card: FewerThreadShown['cards'][number]) => object) => ({
    quiltId,
    cards: cards.map((card) => ({ zoneId: card.zoneId, ...to(card) })),
  });
  const { send, pending, problems } = useActionForm(doors.chooseWhole, () => {
    const f = last.current!;
    const back = cardsOf(f, ({ topId, bobbinId, version }) => ({
      topId,
      bobbinId,
      seenVersion: version + 1,
    }));
    toast(`${f.drop} is not needed any more.`, {
      action: {
        label: 'Undo',
        onClick: () =>
          void doors.chooseWhole({ key: newKey(), ...back }).then((r) => {
            if (!r.ok) toast(r.problems[0]!.message);
            router.refresh();
          }),
      },
    });
    router.refresh();
  });
  const act = (f: FewerThreadShown) => {
    last.current = f;
    send(cardsOf(f, ({ version }) => ({ topId: f.intoId, bobbinId: f.bobbinId, seenVersion: version })));
  };
  return (
    <section aria-label="One thread fewer" className="mt-4">
      <h3 className="border-b-2 border-ink pb-1 text-[17px]">One thread fewer</h3>
      <Problems problems={problems} />
      <ul>
        {fewer.slice(0, 3).map((f) => (
          <li key={f.dropId} className="flex flex-wrap items-center gap-x-4 border-b py-1">
            <span className="min-w-0 flex-1">
              <b>{f.into}</b> instead of {f.drop}
              <span className="block text-13 text-ink2">
                saves {Math.round(f.gainMin)} min of changes and rolls · {harmWords(f.harm)}: {f.why}
              </span>
            </span>
            <Button look="quiet" disabled={pending} onClick={() => !pending && act(f)}>
              Do it
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
