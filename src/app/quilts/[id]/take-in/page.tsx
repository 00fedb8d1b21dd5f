import { format, parseISO } from 'date-fns';
import { measure } from '@/core/plan/measure';
import { readPhotographs } from '@/data/intakes';
import { readFabrics } from '@/data/cloths';
import { readMachines } from '@/data/machines';
import { readYarns } from '@/data/yarns';
import { db } from '@/data/sql';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { ButtonLink } from '@/ui/kit/Button';
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
  const [yarns, fabrics, machines, photographs] = await Promise.all([
    readYarns(db()),
    readFabrics(db()),
    readMachines(db()),
    readPhotographs(db(), { quiltId: quilt.id }),
  ]);
  const facts: readonly (readonly [string, string])[] = [
    ['Client', quilt.client],
    ['Use', USE_WORD[quilt.use]],
    [
      'Size',
      `${quilt.widthIn} × ${quilt.lengthIn} in · ${Math.round(quilt.widthIn * 2.54)} × ${Math.round(quilt.lengthIn * 2.54)} cm`,
    ],
    ['Taken in', format(parseISO(quilt.takenInOn), 'EEE d MMM yyyy')],
    ['Promised', format(parseISO(quilt.dueOn), 'EEE d MMM yyyy')],
    ...(['widthsIn', 'lengthsIn'] as const).flatMap((k) =>
      quilt[k]
        ? [
            [
              k === 'widthsIn' ? 'Widths' : 'Lengths',
              `${quilt[k].join(', ')} in: ${measure(quilt[k], k === 'widthsIn' ? 'width' : 'length').text}`,
            ] as const,
          ]
        : [],
    ),
    ...(
      [
        ['Wishes', quilt.wishes],
        ['To watch', quilt.watch],
        ['Washing', quilt.care],
      ] as const
    ).filter(([, v]) => v),
    ['Batting', quilt.batting],
    ['Backing', quilt.backing],
  ];
  return (
    <QuiltFrame view={view} machine={machine} step="take-in" zoneId={zone?.id} page="take-in">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-24">What came over the counter</h2>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/slip`}>
          Print the slip
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/prepare`}>
          Backing and binding
        </ButtonLink>
        <ButtonLink look="act" href={`/quilts/${quilt.id}/map`}>
          Draw the map
        </ButtonLink>
      </div>
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
      {photographs.length > 0 && (
        <ul className="mt-3 flex flex-wrap gap-3">
          {photographs.map((p, i) => (
            <li key={p.id}>
              {/* eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database */}
              <img
                src={`/photographs/${p.id}`}
                alt={`Photograph ${i + 1} of ${quilt.name}`}
                className="h-[120px] border"
              />
            </li>
          ))}
        </ul>
      )}
      <h3 className="mt-5 mb-1 text-20">Zones and wishes</h3>
      <ZoneTable zones={zones} fabrics={fabrics} yarns={yarns} />
    </QuiltFrame>
  );
}
