import { format, parseISO } from 'date-fns';
import { readFabrics } from '@/data/cloths';
import { readMachines } from '@/data/machines';
import { db } from '@/data/sql';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { LazyMachineChoice } from '@/ui/take-in/LazyMachineChoice';
import { ZoneTable } from '@/ui/take-in/ZoneTable';
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

/** What was agreed on the counter: the bundle, its layers, and the wish for each zone. */
export default async function TakeInPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, zones } = view;
  const [fabrics, machines] = await Promise.all([readFabrics(db()), readMachines(db())]);
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
      {machines.length > 1 ? (
        <div className="mt-3 max-w-[320px]">
          <LazyMachineChoice quiltId={quilt.id} machineId={quilt.machineId} machines={machines} />
        </div>
      ) : (
        <p className="mt-3">Sewn on {machine.name}.</p>
      )}
      <h3 className="mt-5 mb-1 text-20">Zones and wishes</h3>
      <ZoneTable zones={zones} fabrics={fabrics} />
    </QuiltFrame>
  );
}
