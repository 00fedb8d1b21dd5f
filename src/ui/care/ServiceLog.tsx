'use client';
import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { CARE, TOUCHED_LABEL } from '@/core/care/items';
import type { ServiceEntry } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { PhotoButton } from '@/ui/kit/PhotoButton';
import { Problems } from '@/ui/kit/Problems';
import { sendPhotograph } from '@/ui/kit/send-photograph';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

/** What was done to the machines, with what was found and its pictures. */
export function ServiceLog({
  log,
  machines,
}: {
  log: ServiceEntry[];
  machines: readonly { id: string; name: string }[];
}) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const back = useActionForm(doors.takeBackCare, () => toast('Taken out of the service log.'));
  const nameOf = (id: string) => machines.find((m) => m.id === id)?.name ?? 'a machine put away';
  return (
    <section aria-label="Service log" className="mt-8">
      <h2 className="border-t-2 border-ink pt-2 text-20">Service log</h2>
      <Problems problems={back.problems} />
      {problem && (
        <p role="alert" className="font-medium text-madder">
          {problem}
        </p>
      )}
      {log.length === 0 && (
        <p className="mt-2 text-ink2">Nothing noted yet: press “Done” when something was.</p>
      )}
      <ul>
        {log.map((d) => (
          <li key={d.id} className="flex flex-wrap items-start gap-x-5 gap-y-1 border-b py-2">
            <span className="w-28 whitespace-nowrap text-ink2">{format(d.at, 'd MMM yyyy')}</span>
            <span className="min-w-[240px] flex-1">
              <b className="font-semibold">{CARE.find(d.item)?.label ?? d.item}</b>, {nameOf(d.machineId)}
              {d.technician && `, by ${d.technician}`}
              {d.who && <span className="text-ink2">, noted by {d.who}</span>}
              {details(d).map((t) => (
                <span key={t} className="block">
                  {t}
                </span>
              ))}
            </span>
            {d.photographs.map((id) => (
              // eslint-disable-next-line @next/next/no-img-element -- as it was taken
              <img
                key={id}
                src={`/photographs/${id}`}
                alt="The machine at this service"
                className="h-16 border"
              />
            ))}
            <PhotoButton
              name={`Picture of the service of ${format(d.at, 'd MMM')}`}
              onFile={(file) =>
                void sendPhotograph(d.id, file, 'service').then((r) => {
                  setProblem(r.ok ? null : r.problems[0]!.message);
                  router.refresh();
                })
              }
            >
              Picture
            </PhotoButton>
            <Button look="quiet" disabled={back.pending} onClick={() => back.send({ id: d.id, back: true })}>
              Undo
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

const details = (d: ServiceEntry): string[] =>
  [
    d.found && `Found: ${d.found}`,
    d.parts && `Parts: ${d.parts}`,
    d.touched.length > 0 && `Touched ${d.touched.map((t) => TOUCHED_LABEL[t]).join(', ')}: sew tests again.`,
    d.gaugeBeforeGf !== null &&
      `Bobbin tension ${Math.round(d.gaugeBeforeGf)} g${d.gaugeAfterGf === null ? '' : `, then ${Math.round(d.gaugeAfterGf)} g`}`,
    d.counterStitches !== null && `Counter: ${d.counterStitches.toLocaleString('en')} stitches`,
  ].filter((t): t is string => !!t);
