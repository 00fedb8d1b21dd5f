'use client';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { safety } from '@/core/cautions/cautions';
import { MACHINE_KIND_LABEL } from '@/core/fields/lists';
import type { CareLine, MachineCare } from '@/actions/care';
import type { ServiceEntry } from '@/data/types';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Empty } from '@/ui/kit/Empty';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { ManualDialog } from './ManualDialog';
import { ServiceDialog } from './ServiceDialog';
import { ServiceLog } from './ServiceLog';

const WORD: Readonly<Record<CareLine['word'], string>> = {
  due: 'due',
  soon: 'soon',
  fine: 'not yet',
  none: 'none',
  unknown: 'not known',
};
const LOOK: Readonly<Record<CareLine['word'], string>> = {
  due: 'font-bold text-madder',
  soon: 'font-semibold text-weld-text',
  fine: 'text-verdigris',
  none: 'text-ink2',
  unknown: 'font-semibold text-weld-text',
};

/** What each machine asks for, how near it is, done in one tap; and what was done. */
export function CareScreen({
  machines,
  log,
  today,
}: {
  machines: MachineCare[];
  log: ServiceEntry[];
  today: string;
}) {
  const [open, setOpen] = useState<{ machineId: string; item: string; what: 'service' | 'manual' } | null>(
    null,
  );
  const act = useActionForm(doors.doCare, ({ id }) =>
    toast('Noted in the service log.', {
      action: {
        label: 'Undo',
        onClick: () => void doors.takeBackCare({ key: newKey(), id, back: true }),
      },
    }),
  );
  if (machines.length === 0)
    return (
      <Empty
        title="No machine yet"
        act={
          <ButtonLink look="act" href="/workroom/machine">
            Add a machine
          </ButtonLink>
        }
      >
        What is due is reckoned from what each machine sews.
      </Empty>
    );
  const of = open && machines.find((m) => m.machine.id === open.machineId);
  const line = of?.lines.find((l) => l.id === open!.item);
  return (
    <div className="mt-4">
      <p className="max-w-[900px]">
        Your machine’s manual comes first: set its own figures under “Manual”. What is here are usual ones.
      </p>
      <p className="mt-1">
        <CautionLine caution={safety('power-off-service', 'warn')} />
      </p>
      <Problems problems={act.problems} />
      {machines.map((m) => (
        <section key={m.machine.id} aria-label={`Care of ${m.machine.name}`} className="mt-5">
          <h2 className="border-t-2 border-ink pt-2 text-20">
            {m.machine.name}{' '}
            <span className="text-16 font-normal text-ink2">{MACHINE_KIND_LABEL[m.machine.kind]}</span>
          </h2>
          <div className="overflow-x-auto">
            <table className="stacks mt-1 w-full text-left">
              <HeadRow names={['What', 'Now', 'Since it was done', 'Last', 'Due about']} />
              <tbody>
                {[...m.lines]
                  .sort((a, b) => b.u - a.u)
                  .map((l) => (
                    <Row
                      key={l.id}
                      line={l}
                      pending={act.pending}
                      onDone={() => act.send({ machineId: m.machine.id, item: l.id })}
                      onMore={(what) => setOpen({ machineId: m.machine.id, item: l.id, what })}
                    />
                  ))}
              </tbody>
            </table>
          </div>
        </section>
      ))}
      <ServiceLog log={log} machines={machines.map((m) => m.machine)} />
      {line && open!.what === 'service' && (
        <ServiceDialog machine={of!.machine} item={line} today={today} onClose={() => setOpen(null)} />
      )}
      {line && open!.what === 'manual' && (
        <ManualDialog machine={of!.machine} item={line} onClose={() => setOpen(null)} />
      )}
    </div>
  );
}

function Row({
  line: l,
  pending,
  onDone,
  onMore,
}: {
  line: CareLine;
  pending: boolean;
  onDone: () => void;
  onMore: (what: 'service' | 'manual') => void;
}) {
  return (
    <tr className="border-b align-top">
      <th scope="row" className="py-2 pr-4 font-normal">
        <b className="font-semibold">{l.label}</b>
        <span className="block max-w-[340px] text-13 text-ink2">
          {l.act} {l.technician ? '' : `About ${l.minutes} min.`}
        </span>
      </th>
      <td className={`py-2 pr-4 ${LOOK[l.word]}`}>
        {WORD[l.word]}
        {l.ask && <span className="block text-13 font-semibold">ask the technician for a day</span>}
      </td>
      <td className="py-2 pr-4">
        {l.words}
        {(l.word === 'due' || l.word === 'soon' || l.word === 'fine') && <Meter u={l.u} label={l.label} />}
      </td>
      <td className="py-2 pr-4 whitespace-nowrap">{l.lastAt ? format(l.lastAt, 'd MMM yyyy') : ''}</td>
      <td className="py-2 pr-4 whitespace-nowrap">
        {l.dueOn && l.word !== 'due' ? format(parseISO(l.dueOn), 'd MMM yyyy') : ''}
      </td>
      <td className="py-1">
        <span className="flex gap-2">
          {!l.technician && l.id !== 'needle' && (
            <Button disabled={pending} onClick={onDone} aria-label={`${l.label}: done now`}>
              Done
            </Button>
          )}
          {l.id !== 'needle' && (
            <Button look="quiet" onClick={() => onMore('service')} aria-label={`${l.label}: note a service`}>
              Service
            </Button>
          )}
          <Button
            look="quiet"
            onClick={() => onMore('manual')}
            aria-label={`${l.label}: what the manual says`}
          >
            Manual
          </Button>
        </span>
      </td>
    </tr>
  );
}

/** How much of what may go by has gone by. */
function Meter({ u, label }: { u: number; label: string }) {
  const look = u >= 1 ? 'bg-madder' : u >= 0.8 ? 'bg-weld' : 'bg-verdigris';
  return (
    <div
      role="meter"
      aria-label={`${label}, how near`}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.min(100, Math.round(u * 100))}
      className="mt-1 h-2 w-40 border border-ink bg-cloth"
    >
      <div className={`h-full ${look}`} style={{ width: `${Math.min(100, u * 100)}%` }} />
    </div>
  );
}
