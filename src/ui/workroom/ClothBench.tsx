'use client';
import { useState } from 'react';
import { toast } from 'sonner';
import { keepBattingAction, keepFabricAction, putAwayAction } from '@/app/server-actions';
import { battings as battingKinds } from '@/core/tables/battings';
import { fabrics as fabricKinds } from '@/core/tables/fabrics';
import { lengthText } from '@/core/units/length-text';
import type { Studio, StudioBatting, StudioFabric } from '@/data/types';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Button } from '@/ui/kit/Button';
import { type FieldSpec, RecordDialog } from '@/ui/kit/RecordDialog';
import { useActionForm } from '@/ui/kit/use-action-form';

const kindsOf = (rows: readonly { id: string; label: string }[]) =>
  rows.map((r) => ({ value: r.id, label: r.label }));
const FABRIC_FIELDS: readonly FieldSpec[] = [
  { name: 'name', label: 'Name', kind: 'text', wide: true },
  { name: 'kind', label: 'Most like', kind: 'choice', options: kindsOf(fabricKinds.rows) },
  { name: 'hex', label: 'Colour', kind: 'hex' },
  { name: 'notes', label: 'Notes', kind: 'long' },
];
const BATTING_FIELDS: readonly FieldSpec[] = [
  { name: 'name', label: 'Name', kind: 'text', wide: true },
  { name: 'kind', label: 'Kind', kind: 'choice', options: kindsOf(battingKinds.rows), wide: true },
  { name: 'ratingText', label: 'Rating, as printed', kind: 'text' },
  { name: 'maxGapIn', label: 'Widest gap', kind: 'inches', hint: '6 in or 15 cm; empty: its kind’s' },
  { name: 'loftMm', label: 'Loft', kind: 'mm', hint: '3 mm or 0.12 in; empty: its kind’s' },
  { name: 'shrinkPct', label: 'Shrinkage', kind: 'number', hint: '%' },
  { name: 'notes', label: 'Notes', kind: 'long' },
];

/** Fabrics and battings: the studio's own, and the kinds that ship. */
export function ClothBench({
  fabrics,
  battings,
  units,
}: {
  fabrics: StudioFabric[];
  battings: StudioBatting[];
  units: Studio['units'];
}) {
  const [fabric, setFabric] = useState<StudioFabric | 'new' | null>(null);
  const [batting, setBatting] = useState<StudioBatting | 'new' | null>(null);
  const away = useActionForm(putAwayAction, () => toast('Put away. Quilts that use it keep it.'));
  const put = (what: 'fabric' | 'batting', id: string) => away.send({ id, what, away: true });
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
                      <Acts
                        name={b.name}
                        onChange={() => setBatting(b)}
                        onAway={() => put('batting', b.id)}
                      />
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
                      <Acts name={f.name} onChange={() => setFabric(f)} onAway={() => put('fabric', f.id)} />
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
          specs={FABRIC_FIELDS}
          initial={fabric === 'new' ? { kind: 'quilting-cotton' } : fabric}
          fixed={fabric === 'new' ? { version: 0 } : { id: fabric.id, version: fabric.version }}
          act={keepFabricAction}
          onDone={() => setFabric(null)}
          submit="Keep this fabric"
        />
      )}
      {batting && (
        <RecordDialog
          title={batting === 'new' ? 'Add a batting' : batting.name}
          about="Copy the rating as it is printed, and give the widest gap it allows; unknown counts as the strictest."
          onClose={() => setBatting(null)}
          specs={BATTING_FIELDS}
          initial={batting === 'new' ? { kind: 'unknown' } : batting}
          fixed={batting === 'new' ? { version: 0 } : { id: batting.id, version: batting.version }}
          act={keepBattingAction}
          onDone={() => setBatting(null)}
          submit="Keep this batting"
        />
      )}
    </div>
  );
}

function Acts({ name, onChange, onAway }: { name: string; onChange: () => void; onAway: () => void }) {
  const look = 'min-h-11 px-2 text-indigo hover:underline';
  return (
    <>
      <button type="button" className={look} onClick={onChange} aria-label={`Change ${name}`}>
        Change
      </button>
      <button type="button" className={look} onClick={onAway} aria-label={`Put ${name} away`}>
        Put away
      </button>
    </>
  );
}
