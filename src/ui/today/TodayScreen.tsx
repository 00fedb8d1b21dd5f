'use client';
import { format, parseISO } from 'date-fns';
import { Printer } from 'lucide-react';
import { doors } from '@/actions/doors';
import type { TodayView } from '@/actions/today';
import { TODAY_LABEL, type TodayLine } from '@/core/today/day';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { TableWork } from './TableWork';

/** The day in at most ten lines, each with one act; and the work away from the frame. */
export function TodayScreen({ view, askedAt }: { view: TodayView; askedAt: number }) {
  const care = useActionForm(doors.doCare, ({ id }) =>
    toast('Noted in the service log.', {
      action: { label: 'Undo', onClick: () => void doors.takeBackCare({ key: newKey(), id, back: true }) },
    }),
  );
  return (
    <div className="mx-auto max-w-[1180px] px-6 pt-4 pb-10 max-sm:px-4 print:p-0">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-24">
          Today, {format(parseISO(view.day), 'EEEE d MMMM')}
          <span className="hidden text-16 font-normal print:inline"> {view.studio}</span>
        </h1>
        <a
          download
          href="/today/file"
          className="inline-flex min-h-11 items-center rounded border-[1.5px] border-rule px-4 font-semibold print:hidden"
        >
          Into a calendar
        </a>
        <Button look="quiet" className="print:hidden" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print
        </Button>
      </div>
      <Problems problems={care.problems} />
      {view.lines.length === 0 ? (
        <p className="mt-3 border-t-2 border-ink pt-3">
          Nothing waits today. Quilts that come in and what the machine asks for stand here.
        </p>
      ) : (
        <ol aria-label="To do today" className="mt-2 border-t-2 border-ink">
          {view.lines.map((l) => (
            <Line key={`${l.kind} ${l.title}`} line={l} pending={care.pending} onCare={(c) => care.send(c)} />
          ))}
        </ol>
      )}
      {view.more > 0 && <p className="mt-1 text-ink2">{view.more} more can wait for another day.</p>}
      <TableWork table={view.table} hours={view.tableHours} askedAt={askedAt} />
    </div>
  );
}

function Line({
  line: l,
  pending,
  onCare,
}: {
  line: TodayLine;
  pending: boolean;
  onCare: (care: NonNullable<TodayLine['care']>) => void;
}) {
  return (
    <li className="flex min-h-[60px] flex-wrap items-center gap-x-4 border-b py-1 max-sm:gap-x-2 max-sm:py-2">
      <span className="hidden size-4 shrink-0 border-[1.5px] border-ink print:block" />
      <span
        className={`w-28 shrink-0 text-13 font-semibold max-sm:w-auto max-sm:flex-1 ${l.kind === 'promise' ? 'text-madder' : 'text-ink2'}`}
      >
        {TODAY_LABEL[l.kind]}
      </span>
      <span className="min-w-[220px] flex-1 max-sm:order-last max-sm:w-full max-sm:flex-none">
        <b className="block text-[17px] leading-tight font-semibold">{l.title}</b>
        <span className="leading-tight text-ink2">{l.detail}</span>
      </span>
      <span className="w-20 text-right whitespace-nowrap text-ink2 max-sm:w-auto">
        {l.minutes === null ? '' : l.minutes < 60 ? `${l.minutes} min` : `${(l.minutes / 60).toFixed(1)} h`}
      </span>
      <span className="w-36 text-right max-sm:w-auto print:hidden">
        {l.care ? (
          <Button disabled={pending} aria-label={`${l.act}: ${l.title}`} onClick={() => onCare(l.care!)}>
            {l.act}
          </Button>
        ) : (
          <ButtonLink href={l.href} aria-label={`${l.act}: ${l.title}`}>
            {l.act}
          </ButtonLink>
        )}
      </span>
    </li>
  );
}
