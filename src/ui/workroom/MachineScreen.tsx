'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import { bobbinCapacityM } from '@/core/usage/usage';
import { MODE_LABEL } from '@/core/stitch/machine';
import { MACHINE } from '@/core/fields/machine';
import { usualValues } from '@/core/fields/stored';
import { FOOT_LABEL } from '@/core/tables/techniques';
import type { Machine, StoredCalibration } from '@/data/types';
import type { CalibrationKind } from '@/core/fields/lists';
import { Explained } from '@/ui/kit/Explained';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { carriageAdvice } from '@/core/machine/table';
import { formFields } from '@/ui/kit/form-fields';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { CALIBRATION } from './calibration-words';

const CalibrationDialog = dynamic(() =>
  patiently(() => import('./CalibrationDialog')).then((m) => m.CalibrationDialog),
);

const FORM = formFields(MACHINE);

/** The machines, what they can do, and what was measured on them. */
export function MachineScreen({
  machines,
  calibrations,
}: {
  machines: Machine[];
  calibrations: StoredCalibration[];
}) {
  const [editing, setEditing] = useState<Machine | 'new' | null>(null);
  const [calibrating, setCalibrating] = useState<{ machine: Machine; kind: CalibrationKind } | null>(null);
  const add = (
    <Button look="act" onClick={() => setEditing('new')}>
      Add a machine
    </Button>
  );
  return (
    <>
      {machines.length === 0 ? (
        <Empty title="No machine yet" act={add}>
          Say what your machine and frame can do, as its manual and a tape measure give it; stitch length,
          speed and passes are worked out from that.
        </Empty>
      ) : (
        <>
          {machines.map((m) => (
            <section key={m.id} aria-label={m.name} className="mt-4 border-t-2 border-ink pt-2">
              <div className="flex flex-wrap items-center gap-3">
                <h2 className="flex-1 text-20">{m.name}</h2>
                <Button onClick={() => setEditing(m)}>Change</Button>
              </div>
              <dl className="mt-2 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
                {facts(m).map(([k, v]) => (
                  <div key={k} className="flex gap-3 border-b py-1.5">
                    <dt className="w-32 shrink-0 text-ink2">
                      <Explained word={k} />
                    </dt>
                    <dd>{v}</dd>
                  </div>
                ))}
              </dl>
              {m.dragN !== null && m.kind === 'frame' && carriageAdvice(m.dragN) && (
                <p className="mt-2 font-medium text-weld-text">{carriageAdvice(m.dragN)}</p>
              )}
              <h3 className="mt-4 text-[17px]">Calibrations</h3>
              <ul>
                {(Object.keys(CALIBRATION) as CalibrationKind[]).map((kind) => {
                  const stored = calibrations.find((c) => c.machineId === m.id && c.kind === kind);
                  return (
                    <li key={kind} className="flex min-h-[52px] items-center gap-4 border-b">
                      <span className="flex-1">
                        <b id={`${m.id}-${kind}`} className="font-semibold">
                          {CALIBRATION[kind].title}
                        </b>{' '}
                        <span className="text-ink2">
                          {stored
                            ? `${stored.points.length} measurements`
                            : `not measured; ${CALIBRATION[kind].without}`}
                        </span>
                      </span>
                      <Button
                        aria-describedby={`${m.id}-${kind}`}
                        onClick={() => setCalibrating({ machine: m, kind })}
                      >
                        {stored ? 'Measure again' : 'Measure'}
                      </Button>
                    </li>
                  );
                })}
              </ul>
            </section>
          ))}
          <div className="mt-5">{add}</div>
        </>
      )}
      {editing && (
        <RecordDialog
          title={editing === 'new' ? 'Add a machine' : editing.name}
          about="The machine’s own manual comes first; measure what it does not say."
          wide
          onClose={() => setEditing(null)}
          specs={FORM}
          initial={editing === 'new' ? usualValues(MACHINE) : editing}
          fixed={editing === 'new' ? { version: 0 } : { id: editing.id, version: editing.version }}
          act={doors.keepMachine}
          onDone={() => {
            toast('The machine is kept.');
            setEditing(null);
          }}
          submit="Keep this machine"
        />
      )}
      {calibrating && (
        <CalibrationDialog
          machine={calibrating.machine}
          kind={calibrating.kind}
          stored={calibrations.find(
            (c) => c.machineId === calibrating.machine.id && c.kind === calibrating.kind,
          )}
          onClose={() => setCalibrating(null)}
        />
      )}
    </>
  );
}

const facts = (m: Machine): readonly (readonly [string, string])[] => [
  ['Rate', `up to ${m.maxSpm} a minute, idle ${m.idleMinSpm} to ${m.idleMaxSpm}`],
  ['Stitches', `${m.minSpi} to ${m.maxSpi} per inch`],
  ['Modes', m.modes.map((x) => MODE_LABEL[x].toLowerCase()).join(', ')],
  ['Feet', m.feet.map((f) => FOOT_LABEL[f].replace(' foot', '').toLowerCase()).join(', ')],
  ['Ruler foot', `rulers of ${m.rulerFootMm} mm, edge ${m.footOffsetIn} in from the needle`],
  ['Throat', `${m.throatIn} in, ${m.deadIn} in of it dead`],
  ['Frame', `${m.frameIn} in wide, roll ${m.rollInThroat ? 'inside' : 'outside'} the throat`],
  [
    'Bobbin',
    `${m.bobbinOdMm} × ${m.bobbinWidthMm} mm, about ${Math.round(
      bobbinCapacityM(
        { od: m.bobbinOdMm, core: m.bobbinCoreMm, width: m.bobbinWidthMm },
        { tex: 18, fibre: 'polyester-filament' },
      ),
    )} m of tex 18`,
  ],
  ['Shank', m.shank || 'not said'],
];
