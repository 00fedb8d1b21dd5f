'use client';
import { predicted } from '@/core/source/known';
import { useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { bobbinCapacityM } from '@/core/usage/usage';
import type { BobbinStock, Cone, Machine } from '@/data/types';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { Stepper } from '@/ui/kit/Stepper';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { Sourced } from '@/ui/kit/Sourced';
import { useActionForm } from '@/ui/kit/use-action-form';
import { BobbinGauge } from './BobbinGauge';

const KINDS = [
  { value: 'wound', label: 'wound here, off the cone' },
  { value: 'prewound', label: 'bought prewound' },
];

/** Bobbins on the tray, and winding more. */
export function BobbinsScreen({
  bobbins,
  cones,
  machines,
}: {
  bobbins: BobbinStock[];
  cones: Cone[];
  machines: Machine[];
}) {
  const [winding, setWinding] = useState(false);
  const count = useActionForm(doors.countBobbins, () => {});
  const m = machines[0];
  const ready = m && cones.length > 0;
  const wind = ready ? (
    <Button look="act" onClick={() => setWinding(true)}>
      Wind bobbins
    </Button>
  ) : (
    <ButtonLink look="act" href={m ? '/shelf' : '/workroom/machine'}>
      {m ? 'Add a bobbin thread' : 'Add a machine'}
    </ButtonLink>
  );
  return (
    <section aria-label="Bobbins" className="mt-4">
      <div className="flex items-center border-t-2 border-ink pt-2">
        <h2 className="flex-1 text-20">On the tray</h2>
        {bobbins.length > 0 && wind}
      </div>
      {bobbins.length === 0 ? (
        <Empty title="No bobbin is wound" act={wind}>
          What is wound comes off its cone, so that you know what is left and whether a quilt’s bobbins are
          ready.
        </Empty>
      ) : (
        <ul>
          {bobbins.map((b) => (
            <li key={b.id} className="flex min-h-[64px] flex-wrap items-center gap-4 border-b py-1.5">
              {m && (
                <BobbinGauge
                  od={m.bobbinOdMm}
                  core={m.bobbinCoreMm}
                  hex={b.hex}
                  share={Math.min(1, b.metresEach / capacity(m, b, b.kind))}
                />
              )}
              <ThreadSwatch hex={b.hex} />
              <span className="min-w-[200px] flex-1">
                <b className="font-semibold">{b.line}</b> {b.colour}
                <br />
                <span className="text-ink2">{b.kind === 'wound' ? 'wound here' : 'prewound'}</span>
              </span>
              <span>
                <Sourced of={predicted(b.metresEach)}>{Math.round(b.metresEach)} m</Sourced> each
              </span>
              <Stepper
                label={`${b.line} ${b.colour} bobbins`}
                value={b.count}
                busy={count.pending}
                onChange={(n) => count.send({ id: b.id, version: b.version, count: n })}
              />
            </li>
          ))}
        </ul>
      )}
      {winding && m && (
        <RecordDialog
          title="Wind bobbins"
          about="Metres are worked out from the bobbin’s size and the thread; correct them if you know better."
          onClose={() => setWinding(false)}
          specs={[
            {
              name: 'coneId',
              label: 'Thread',
              kind: 'choice',
              wide: true,
              options: cones.map((c) => ({
                value: c.id,
                label: `${c.line} ${c.colour}${c.remainingM === null ? '' : `, ${Math.round(c.remainingM)} m left`}`,
              })),
            },
            { name: 'kind', label: 'How', kind: 'choice', options: KINDS },
            {
              name: 'machineId',
              label: 'For',
              kind: 'choice',
              options: machines.map((x) => ({ value: x.id, label: x.name })),
            },
            { name: 'count', label: 'How many', kind: 'number' },
            { name: 'metresEach', label: 'Metres each', kind: 'number', hint: 'empty: as worked out' },
          ]}
          initial={{ coneId: cones[0]!.id, kind: 'wound', machineId: m.id, count: 4 }}
          act={doors.windBobbins}
          onDone={({ metres }) => {
            toast(`${Math.round(metres)} m of bobbins are on the tray.`);
            setWinding(false);
          }}
          submit="They are wound"
          aside={(v) => {
            const cone = cones.find((c) => c.id === v.coneId);
            const machine = machines.find((x) => x.id === v.machineId);
            return (
              cone &&
              machine && (
                <p className="mt-3">
                  One holds about{' '}
                  <Sourced of={predicted(null)}>
                    {Math.round(capacity(machine, cone, v.kind === 'prewound' ? 'prewound' : 'wound'))} m
                  </Sourced>{' '}
                  of this thread.
                </p>
              )
            );
          }}
        />
      )}
    </section>
  );
}

const capacity = (m: Machine, thread: { tex: number; fibre: string }, kind: BobbinStock['kind']) =>
  bobbinCapacityM(
    { od: m.bobbinOdMm, core: m.bobbinCoreMm, width: m.bobbinWidthMm },
    thread,
    kind === 'prewound',
  );
