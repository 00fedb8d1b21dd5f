'use client';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { RULER_SHAPE_LABEL } from '@/core/fields/lists';
import { RULER } from '@/core/fields/ruler';
import { usualValues } from '@/core/fields/stored';
import { safety } from '@/core/cautions/cautions';
import type { Machine, Ruler } from '@/data/types';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Empty } from '@/ui/kit/Empty';
import { formFields } from '@/ui/kit/form-fields';
import { RowActs } from './RowActs';
import { RecordDialog } from '@/ui/kit/RecordDialog';

const FORM = formFields(RULER);

/** Rulers, each checked against the machine's ruler foot. */
export function RulersScreen({ rulers, machines }: { rulers: Ruler[]; machines: Machine[] }) {
  const [editing, setEditing] = useState<Ruler | 'new' | null>(null);
  const withRulerFoot = machines.filter((m) => m.feet.includes('ruler'));
  const add = (
    <Button look="act" onClick={() => setEditing('new')}>
      Add a ruler
    </Button>
  );
  return (
    <section aria-label="Rulers" className="mt-4">
      <div className="flex items-center border-t-2 border-ink pt-2">
        <h2 className="flex-1 text-20">Rulers</h2>
        {rulers.length > 0 && add}
      </div>
      <p className="mt-2 max-w-[760px]">
        <CautionLine caution={safety('ruler-thickness')} />
      </p>
      {rulers.length === 0 ? (
        <Empty title="No ruler yet" act={add}>
          Give each ruler its thickness; it is checked against the foot of your machine.
        </Empty>
      ) : (
        <table className="mt-2 w-full max-w-[960px]">
          <HeadRow names={['Ruler', 'Shape', 'Thick', 'Sews', 'On your machine']} />
          <tbody>
            {rulers.map((r) => (
              <tr key={r.id} className="border-t">
                <td className="py-2 pr-3 font-semibold">{r.name}</td>
                <td className="pr-3">
                  {RULER_SHAPE_LABEL[r.shape]}
                  {r.radiusIn !== null && `, radius ${r.radiusIn} in`}
                </td>
                <td className="pr-3 whitespace-nowrap">{r.thicknessMm} mm</td>
                <td className="pr-3">
                  {r.radiusIn === null
                    ? 'along its edge'
                    : withRulerFoot[0]
                      ? `radius ${Number((r.radiusIn + withRulerFoot[0].footOffsetIn).toFixed(2))} in outside it`
                      : ''}
                </td>
                <td className="pr-3">
                  {withRulerFoot.length === 0 && (
                    <span className="text-ink2">no ruler foot on any machine</span>
                  )}
                  {withRulerFoot.map((m) => (
                    <span key={m.id} className="block">
                      {r.thicknessMm >= m.rulerFootMm ? (
                        <span className="text-verdigris">fits {m.name}</span>
                      ) : (
                        <span className="font-semibold text-madder">
                          too thin for {m.name}, which asks {m.rulerFootMm} mm
                        </span>
                      )}
                    </span>
                  ))}
                </td>
                <td className="text-right whitespace-nowrap">
                  <RowActs kind="ruler" id={r.id} name={r.name} onChange={() => setEditing(r)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {editing && (
        <RecordDialog
          title={editing === 'new' ? 'Add a ruler' : editing.name}
          about="Measure its thickness with a calliper; a thin ruler slips under the foot."
          onClose={() => setEditing(null)}
          specs={FORM}
          initial={editing === 'new' ? usualValues(RULER) : editing}
          fixed={editing === 'new' ? { version: 0 } : { id: editing.id, version: editing.version }}
          act={doors.keepRuler}
          onDone={() => setEditing(null)}
          submit="Keep this ruler"
        />
      )}
    </section>
  );
}
