'use client';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { BATTING, FABRIC } from '@/core/fields/cloth';
import { usualValues } from '@/core/fields/stored';
import { battings as battingKinds } from '@/core/tables/battings';
import { fabrics as fabricKinds } from '@/core/tables/fabrics';
import { lengthText } from '@/core/units/length-text';
import type { Preferences, StudioBatting, StudioFabric } from '@/data/types';
import { RowActs } from './RowActs';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Button } from '@/ui/kit/Button';
import { formFields } from '@/ui/kit/form-fields';
import { RecordDialog } from '@/ui/kit/RecordDialog';

const FABRIC_FORM = formFields(FABRIC);
const BATTING_FORM = formFields(BATTING);

/** Fabrics and battings: the studio's own, and the kinds that ship. */
export function ClothsScreen({
  fabrics,
  battings,
  units,
}: {
  fabrics: StudioFabric[];
  battings: StudioBatting[];
  units: Preferences['units'];
}) {
  const [fabric, setFabric] = useState<StudioFabric | 'new' | null>(null);
  const [batting, setBatting] = useState<StudioBatting | 'new' | null>(null);
  return (
    <div className="mt-4 grid gap-x-10 gap-y-8 lg:grid-cols-2">
      <section aria-label="Battings">
        <div className="flex items-center border-t-2 border-ink pt-2">
          <h2 className="flex-1 text-20">Battings</h2>
          <Button look="act" onClick={() => setBatting('new')}>
            Add a batting
          </Button>
        </div>
        <table className="mt-1 w-full">
          <HeadRow names={['Batting', 'Loft', 'Widest gap']} />
          <tbody>
            {battings.map((b) => {
              const kind = battingKinds.get(b.kind);
              return (
                <tr key={b.id} className="border-t">
                  <td className="py-2 pr-3">
                    <b className="font-semibold">{b.name}</b>
                    <br />
                    <span className="text-13 text-ink2">
                      {b.shipped
                        ? 'shipped, generic'
                        : [kind.label, b.ratingText].filter(Boolean).join(' · ')}
                    </span>
                  </td>
                  <td className="pr-3 whitespace-nowrap">{b.loftMm ?? kind.loftMm} mm</td>
                  <td className="pr-3 whitespace-nowrap">{lengthText(b.maxGapIn ?? kind.maxGapIn, units)}</td>
                  <td className="text-right whitespace-nowrap">
                    {!b.shipped && (
                      <RowActs kind="batting" id={b.id} name={b.name} onChange={() => setBatting(b)} />
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      <section aria-label="Fabrics">
        <div className="flex items-center border-t-2 border-ink pt-2">
          <h2 className="flex-1 text-20">Fabrics</h2>
          <Button look="act" onClick={() => setFabric('new')}>
            Add a fabric
          </Button>
        </div>
        <table className="mt-1 w-full">
          <HeadRow names={['Fabric', 'Thick', 'Stretch', 'Keeps holes']} />
          <tbody>
            {fabrics.map((f) => {
              const kind = fabricKinds.get(f.kind);
              return (
                <tr key={f.id} className="border-t">
                  <td className="py-2 pr-3">
                    <span className="flex items-center gap-2.5">
                      <span
                        aria-hidden
                        className="size-6 shrink-0 border"
                        style={{ background: f.hex ?? 'transparent' }}
                      />
                      <span>
                        <b className="font-semibold">{f.name}</b>
                        <br />
                        <span className="text-13 text-ink2">
                          {f.shipped ? 'shipped, generic' : kind.label}
                        </span>
                      </span>
                    </span>
                  </td>
                  <td className="pr-3 whitespace-nowrap">{kind.thicknessMm} mm</td>
                  <td className="pr-3">{kind.stretch} of 3</td>
                  <td className="pr-3">{kind.keepsHoles} of 3</td>
                  <td className="text-right whitespace-nowrap">
                    {!f.shipped && (
                      <RowActs kind="fabric" id={f.id} name={f.name} onChange={() => setFabric(f)} />
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      {fabric && (
        <RecordDialog
          title={fabric === 'new' ? 'Add a fabric' : fabric.name}
          about="Its kind gives thickness, firmness and how it keeps holes; “unknown” is a proper choice and the cautious one."
          onClose={() => setFabric(null)}
          specs={FABRIC_FORM}
          initial={fabric === 'new' ? usualValues(FABRIC) : fabric}
          fixed={fabric === 'new' ? { version: 0 } : { id: fabric.id, version: fabric.version }}
          act={doors.keepFabric}
          onDone={() => setFabric(null)}
          submit="Keep this fabric"
        />
      )}
      {batting && (
        <RecordDialog
          title={batting === 'new' ? 'Add a batting' : batting.name}
          about="Copy the rating as it is printed, and give the widest gap it allows; unknown counts as the strictest."
          onClose={() => setBatting(null)}
          specs={BATTING_FORM}
          initial={batting === 'new' ? usualValues(BATTING) : batting}
          fixed={batting === 'new' ? { version: 0 } : { id: batting.id, version: batting.version }}
          act={doors.keepBatting}
          onDone={() => setBatting(null)}
          submit="Keep this batting"
        />
      )}
    </div>
  );
}
