'use client';
import { format } from 'date-fns';
import Link from 'next/link';
import { useState, useTransition } from 'react';
import { HeadRow } from '@/ui/kit/HeadRow';
import { toast } from '@/ui/kit/toast';
import { setFaultStatusAction } from '@/actions/server';
import { symptoms } from '@/core/tables/symptoms';
import type { Fault } from '@/data/types';
import type { FaultState } from '@/core/fields/lists';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { newKey } from '@/ui/kit/use-action-form';
import { DIRECTION_LABEL } from '@/ui/test-strip/words';

const STATUS_WORD: Record<FaultState, string> = { open: 'open', mended: 'mended', left: 'left as it is' };

/** A quilt's faults in the order they were noted, open ones first to hand. */
export function FaultTable({ faults }: { faults: readonly Fault[] }) {
  const [pending, start] = useTransition();
  const [busy, setBusy] = useState<string | null>(null);
  if (faults.length === 0)
    return (
      <Empty title="No fault noted">
        Note a fault where it happens, with F: it is then mended before the quilt goes home, and known the
        next time.
      </Empty>
    );
  const set = (fault: Fault, status: FaultState, version: number, undo: boolean) =>
    start(async () => {
      setBusy(fault.id);
      const result = await setFaultStatusAction({ key: newKey(), faultId: fault.id, version, status }).catch(
        () => null,
      );
      setBusy(null);
      if (!result?.ok)
        return void toast(result?.problems[0]?.message ?? 'The studio’s computer did not answer. Try again.');
      toast(
        `Fault ${fault.n} is ${STATUS_WORD[status]}.`,
        undo
          ? {
              action: { label: 'Undo', onClick: () => set(fault, fault.status, result.value.version, false) },
            }
          : undefined,
      );
    });
  return (
    <table className="w-full border-t-2 border-ink">
      <HeadRow names={['No.', 'Seen', 'Where', 'Note', 'State']} />
      <tbody>
        {faults.map((f) => (
          <tr key={f.id} className="border-t align-top">
            <td className="py-2.5 pr-3 font-bold">{f.n}</td>
            <td className="py-2.5 pr-3 font-semibold">
              <Link className="text-indigo hover:underline" href={`/quilts/${f.quiltId}/faults/${f.id}`}>
                {f.symptoms.map((id) => symptoms.find(id)?.label ?? id).join(', ')}
              </Link>
            </td>
            <td className="py-2.5 pr-3 text-ink2">
              {[
                f.zoneLetter && `zone ${f.zoneLetter}`,
                f.pass && `pass ${f.pass}`,
                f.direction && DIRECTION_LABEL[f.direction].toLowerCase(),
                f.xIn !== null && `${f.xIn}, ${f.yIn} in`,
              ]
                .filter(Boolean)
                .join(' · ')}
              <br />
              {format(f.noticedAt, 'd MMM, HH:mm')}
            </td>
            <td className="max-w-[300px] py-2.5 pr-3">{f.note}</td>
            <td
              className={`py-2.5 pr-3 font-medium whitespace-nowrap ${f.status === 'open' ? 'text-madder' : 'text-verdigris'}`}
            >
              {STATUS_WORD[f.status]}
            </td>
            <td className="py-1 text-right">
              {f.status === 'open' ? (
                <span className="inline-flex gap-2">
                  <Button
                    className="!px-3 !text-15"
                    disabled={pending && busy === f.id}
                    onClick={() => set(f, 'mended', f.version, true)}
                  >
                    Mended
                  </Button>
                  <Button
                    look="quiet"
                    className="!px-3 !text-15"
                    disabled={pending && busy === f.id}
                    onClick={() => set(f, 'left', f.version, true)}
                  >
                    Leave
                  </Button>
                </span>
              ) : (
                <Button
                  look="quiet"
                  className="!px-3 !text-15"
                  disabled={pending && busy === f.id}
                  onClick={() => set(f, 'open', f.version, true)}
                >
                  Open again
                </Button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
