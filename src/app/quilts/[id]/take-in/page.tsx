import { format, parseISO } from 'date-fns';
import { areaOf } from '@/core/geometry/polygon';
import { techniques } from '@/core/tables/techniques';
import { features } from '@/core/tables/features';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Take in' };

const USE_WORD = {
  bed: 'for a bed',
  baby: 'for a baby',
  wall: 'for a wall',
  show: 'for a show',
  garment: 'a garment',
  other: 'other use',
} as const;
const WISH_WORD = { sink: 'to sink', texture: 'texture', show: 'to show' } as const;

/** What was agreed on the counter: the bundle, its layers, and the wish for each zone. */
export default async function TakeInPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, zones } = view;
  const facts: readonly (readonly [string, string])[] = [
    ['Client', quilt.client],
    ['Use', USE_WORD[quilt.use]],
    [
      'Size',
      `${quilt.widthIn} × ${quilt.lengthIn} in · ${Math.round(quilt.widthIn * 2.54)} × ${Math.round(quilt.lengthIn * 2.54)} cm`,
    ],
    ['Taken in', format(parseISO(quilt.takenInOn), 'EEE d MMM yyyy')],
    ['Promised', format(parseISO(quilt.dueOn), 'EEE d MMM yyyy')],
    ['Batting', quilt.batting],
    ['Backing', quilt.backing],
    ['Machine', machine.name],
  ];
  return (
    <QuiltFrame view={view} machine={machine} step="take-in" zoneId={zone?.id} page="take-in">
      <h2 className="text-24">What came over the counter</h2>
      <dl className="mt-2 grid border-t-2 border-ink sm:grid-cols-2">
        {facts.map(([k, v]) => (
          <div key={k} className="flex gap-4 border-b py-2">
            <dt className="w-24 shrink-0 text-ink2">{k}</dt>
            <dd className="font-semibold">{v}</dd>
          </div>
        ))}
      </dl>
      <h3 className="mt-5 mb-1 text-20">Zones and wishes</h3>
      <table className="w-full">
        <thead>
          <tr className="text-left text-13 text-ink2">
            {['Zone', 'Cloth', 'Technique', 'Apart', 'Area', 'Wish', 'Mind'].map((h) => (
              <th key={h} className="py-1.5 pr-3 font-medium">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {zones.map((z) => (
            <tr key={z.id} className="border-t align-top">
              <td className="py-2 pr-3 font-semibold">
                {z.letter} {z.name}
              </td>
              <td className="py-2 pr-3">{z.fabrics.map((f) => f.name).join(', ')}</td>
              <td className="py-2 pr-3">{techniques.get(z.technique).label}</td>
              <td className="py-2 pr-3 whitespace-nowrap">{z.spacingIn} in</td>
              <td className="py-2 pr-3 whitespace-nowrap">{Math.round(areaOf(z.geometry))} in²</td>
              <td className="py-2 pr-3 whitespace-nowrap">{WISH_WORD[z.visibility]}</td>
              <td className="py-2 text-ink2">{z.features.map((f) => features.get(f).label).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </QuiltFrame>
  );
}
