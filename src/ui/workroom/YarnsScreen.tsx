'use client';
import { doors } from '@/actions/doors';
import { couchingFoot } from '@/core/couching/couching';
import { readLengthMm } from '@/core/exchange/read-number';
import { YARN } from '@/core/fields/yarn';
import type { Machine, Yarn } from '@/data/types';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { KeptThings } from './KeptThings';

/** Yarn that is couched: how thick, how much is here, and whether a couching foot takes it. */
export function YarnsScreen({ yarns, machines }: { yarns: Yarn[]; machines: Machine[] }) {
  const withHole = machines.filter((m) => m.couchingHoleMm !== null);
  return (
    <KeptThings
      things={yarns}
      of={{
        kind: 'yarn',
        title: 'Yarn',
        one: 'yarn',
        fields: YARN,
        about: 'Its thickness in mm, or wound side by side round a ruler: “10 turns” to the inch.',
        none: 'Wind it round a ruler, side by side and without pulling, and count the turns over an inch: that is its thickness.',
        columns: ['Yarn', 'Thick', 'Here', 'Place', 'In your couching foot'],
        cells: (y) => <YarnCells yarn={y} machines={withHole} />,
        keep: doors.keepYarn,
        aside: (v) => <Measured text={String(v.diameterMm ?? '')} />,
      }}
    />
  );
}

function YarnCells({ yarn: y, machines }: { yarn: Yarn; machines: Machine[] }) {
  return (
    <>
      <td className="py-2 pr-3">
        <span className="flex items-center gap-2.5 font-semibold">
          <ThreadSwatch hex={y.hex} />
          {y.name}
        </span>
      </td>
      <td className="pr-3 whitespace-nowrap">
        {Number(y.diameterMm.toFixed(2))} mm
        <span className="block text-13 text-ink2">{Math.round(25.4 / y.diameterMm)} turns per inch</span>
      </td>
      <td className="pr-3">
        {Number(y.skeins.toFixed(2))} {y.skeins === 1 ? 'skein' : 'skeins'}
        {y.skeinM !== null && `, ${Math.round(y.skeins * y.skeinM)}\u00a0m`}
      </td>
      <td className="pr-3">{y.place || 'not said'}</td>
      <td className="pr-3">
        {machines.length === 0 && <span className="text-ink2">no couching foot’s hole is given</span>}
        {machines.map((m) => (
          <span key={m.id} className="block">
            {couchingFoot(y.diameterMm, m.couchingHoleMm!) === 'couching' ? (
              <span className="text-verdigris">runs through on {m.name}</span>
            ) : (
              <span className="font-semibold text-madder">
                too thick for {m.name}, whose hole is {m.couchingHoleMm}&nbsp;mm
              </span>
            )}
          </span>
        ))}
      </td>
    </>
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
