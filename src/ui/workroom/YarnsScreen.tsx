'use client';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { couchingFoot } from '@/core/couching/couching';
import { readLengthMm } from '@/core/exchange/read-number';
import { usualValues } from '@/core/fields/stored';
import { YARN } from '@/core/fields/yarn';
import type { Machine, Yarn } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { formFields } from '@/ui/kit/form-fields';
import { HeadRow } from '@/ui/kit/HeadRow';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { RowActs } from './RowActs';

const FORM = formFields(YARN);

/** Yarn that is couched: how thick, how much is here, and whether a couching foot takes it. */
export function YarnsScreen({ yarns, machines }: { yarns: Yarn[]; machines: Machine[] }) {
  const [editing, setEditing] = useState<Yarn | 'new' | null>(null);
  const feet = machines.filter((m) => m.couchingHoleMm !== null);
  const add = (
    <Button look="act" onClick={() => setEditing('new')}>
      Add a yarn
    </Button>
  );
  return (
    <section aria-label="Yarn" className="mt-4">
      <div className="flex items-center border-t-2 border-ink pt-2">
        <h2 className="flex-1 text-20">Yarn</h2>
        {yarns.length > 0 && add}
      </div>
      {yarns.length === 0 ? (
        <Empty title="No yarn yet" act={add}>
          Wind it round a ruler, side by side and without pulling, and count the turns over an inch: that is
          its thickness.
        </Empty>
      ) : (
        <table className="mt-2 w-full max-w-[960px]">
          <HeadRow names={['Yarn', 'Thick', 'Here', 'Place', 'In your couching foot']} />
          <tbody>
            {yarns.map((y) => (
              <tr key={y.id} className="border-t">
                <td className="py-2 pr-3">
                  <span className="flex items-center gap-2.5 font-semibold">
                    <ThreadSwatch hex={y.hex} />
                    {y.name}
                  </span>
                </td>
                <td className="pr-3 whitespace-nowrap">
                  {Number(y.diameterMm.toFixed(2))} mm
                  <span className="block text-13 text-ink2">
                    {Math.round(25.4 / y.diameterMm)} turns per inch
                  </span>
                </td>
                <td className="pr-3">
                  {Number(y.skeins.toFixed(2))} {y.skeins === 1 ? 'skein' : 'skeins'}
                  {y.skeinM !== null && `, ${Math.round(y.skeins * y.skeinM)} m`}
                </td>
                <td className="pr-3">{y.place || 'not said'}</td>
                <td className="pr-3">
                  {feet.length === 0 && <span className="text-ink2">no couching foot’s hole is given</span>}
                  {feet.map((m) => (
                    <span key={m.id} className="block">
                      {couchingFoot(y.diameterMm, m.couchingHoleMm!) === 'couching' ? (
                        <span className="text-verdigris">runs through on {m.name}</span>
                      ) : (
                        <span className="font-semibold text-madder">
                          too thick for {m.name}, whose hole is {m.couchingHoleMm} mm
                        </span>
                      )}
                    </span>
                  ))}
                </td>
                <td className="text-right whitespace-nowrap">
                  <RowActs kind="yarn" id={y.id} name={y.name} onChange={() => setEditing(y)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {editing && (
        <RecordDialog
          title={editing === 'new' ? 'Add a yarn' : editing.name}
          about="Its thickness in mm, or wound side by side round a ruler: “10 turns” to the inch."
          onClose={() => setEditing(null)}
          specs={FORM}
          initial={editing === 'new' ? usualValues(YARN) : editing}
          fixed={editing === 'new' ? { version: 0 } : { id: editing.id, version: editing.version }}
          act={doors.keepYarn}
          onDone={() => setEditing(null)}
          submit="Keep this yarn"
          aside={(v) => <Measured text={String(v.diameterMm ?? '')} />}
        />
      )}
    </section>
  );
}

/** A thickness given in turns to the inch, as the millimetres it comes to. */
function Measured({ text }: { text: string }) {
  const mm = readLengthMm(text, '.', 'mm');
  if (mm === null || !/[a-z]/i.test(text)) return null;
  return (
    <p role="status" className="mt-2">
      {text.trim()} is {Number(mm.toFixed(2))} mm.
    </p>
  );
}
