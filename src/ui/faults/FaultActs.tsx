'use client';
import { useState, useTransition } from 'react';
import { doors } from '@/actions/doors';
import { FAULT_STATE_WORD, type FaultState } from '@/core/fields/lists';
import type { Fault } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { toast } from '@/ui/kit/toast';
import { newKey, unanswered } from '@/ui/kit/use-action-form';

/** What is done of one fault: mended, accepted with a word, or open again; each can be undone. */
export function FaultActs({ fault }: { fault: Fault }) {
  const [pending, start] = useTransition();
  const [word, setWord] = useState<string | null>(null);
  const set = (status: FaultState, version: number, said: string, undo: boolean) =>
    start(async () => {
      const result = await doors
        .setFaultStatus({
          key: newKey(),
          faultId: fault.id,
          version,
          status,
          word: said,
        })
        .catch((error: unknown) => ({ ok: false as const, problems: [unanswered(error)] }));
      if (!result.ok) return void toast(result.problems[0]!.message);
      setWord(null);
      toast(
        `Fault ${fault.n} is ${FAULT_STATE_WORD[status]}.`,
        undo
          ? {
              action: {
                label: 'Undo',
                onClick: () => set(fault.status, result.value.version, fault.word, false),
              },
            }
          : undefined,
      );
    });
  const small = '!px-3 !text-15';
  if (fault.status !== 'open')
    return (
      <Button
        look="quiet"
        className={small}
        disabled={pending}
        onClick={() => set('open', fault.version, '', true)}
      >
        Open again
      </Button>
    );
  if (word !== null)
    return (
      <form
        className="inline-flex flex-wrap justify-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          set('left', fault.version, word, true);
        }}
      >
        <input
          autoFocus
          aria-label={`Why fault ${fault.n} may stay`}
          placeholder="why it may stay as it is"
          value={word}
          maxLength={300}
          onChange={(e) => setWord(e.target.value)}
          className="min-h-11 w-56 rounded border border-rule bg-cloth px-3 text-16"
        />
        <Button type="submit" className={small} disabled={pending || word.trim() === ''}>
          Accept
        </Button>
        <Button look="quiet" className={small} onClick={() => setWord(null)}>
          Not yet
        </Button>
      </form>
    );
  return (
    <span className="inline-flex gap-2">
      <Button className={small} disabled={pending} onClick={() => set('mended', fault.version, '', true)}>
        Mended
      </Button>
      <Button look="quiet" className={small} disabled={pending} onClick={() => setWord('')}>
        Accept as it is
      </Button>
    </span>
  );
}
