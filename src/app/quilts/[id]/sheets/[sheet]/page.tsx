import { format, parseISO } from 'date-fns';
import { notFound } from 'next/navigation';
import { readPlan, PRICES } from '@/actions/plan';
import { coneName } from '@/actions/zone-brief';
import { planOrder } from '@/core/order/order';
import { MODE_LABEL } from '@/core/stitch/machine';
import { POINT_LABEL, usSize } from '@/core/tables/needles';
import { FOOT_LABEL, techniques } from '@/core/tables/techniques';
import { lengthText } from '@/core/units/length-text';
import { db } from '@/data/sql';
import { Sheet } from '@/ui/print/Sheet';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { readQuiltPage } from '../../quilt-page';

export const metadata = { title: 'Sheet' };

type Loaded = Awaited<ReturnType<typeof readQuiltPage>> & Awaited<ReturnType<typeof readPlan>>;

const SHEETS: Readonly<Record<string, { title: string; body: (x: Loaded) => React.ReactNode }>> = {
  loading: { title: 'Loading sheet', body: loading },
  order: { title: 'Order of work', body: order },
  cards: { title: 'Setting cards', body: cards },
};

export default async function SheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string; sheet: string }>;
  searchParams: Promise<{ zone?: string }>;
}) {
  const sheet = SHEETS[(await params).sheet];
  if (!sheet) notFound();
  const page = await readQuiltPage({ params, searchParams });
  const loaded = { ...page, ...(await readPlan(db(), page.view)) };
  const { quilt } = page.view;
  return (
    <Sheet title={`${sheet.title}: ${quilt.name}, ${quilt.client}`} back={`/quilts/${quilt.id}/sheets`}>
      {sheet.body(loaded)}
    </Sheet>
  );
}

function Rows({ rows }: { rows: readonly (readonly [string, string])[] }) {
  return (
    <dl>
      {rows.map(([k, v]) => (
        <div key={k} className="flex gap-4 border-b py-1">
          <dt className="w-36 shrink-0">{k}</dt>
          <dd className="font-semibold">{v}</dd>
        </div>
      ))}
    </dl>
  );
}

function loading({ view, machine, plan, studio }: Loaded) {
  const { quilt, zones } = view;
  const size = (w: number, l: number) => `${lengthText(w, studio.units)} by ${lengthText(l, studio.units)}`;
  const { passes } = plan;
  return (
    <div className="grid grid-cols-[1fr_300px] gap-6">
      <div>
        <Rows
          rows={[
            ['Machine', machine.name],
            ['Top', size(quilt.widthIn, quilt.lengthIn)],
            [
              'Batting',
              `${quilt.batting}, cut ${size(quilt.widthIn + 2 * studio.marginIn, quilt.lengthIn + 2 * studio.marginIn)}`,
            ],
            [
              'Backing',
              `${quilt.backing}, cut ${size(quilt.widthIn + 2 * studio.marginIn + studio.testMarginIn, quilt.lengthIn + 2 * studio.marginIn)}`,
            ],
            ['Test margin', `${lengthText(studio.testMarginIn, studio.units)} on the right`],
            [
              'Goes on',
              passes
                ? passes.turned
                  ? 'turned by 90°, its left side to the leader'
                  : 'its top edge to the leader'
                : 'cannot be planned',
            ],
            ['Promised', format(parseISO(quilt.dueOn), 'EEE d MMM yyyy')],
            ['To watch', quilt.watch || 'nothing said'],
          ]}
        />
        <ol className="mt-4 list-decimal space-y-1 pl-5">
          <li>Backing to the leaders, wrong side up, square; taut, not drum tight.</li>
          <li>Batting, then the top; baste across the top edge with the carriage locked.</li>
          <li>
            {studio.bastingSchool === 'edges'
              ? 'Baste the sides at each pass.'
              : 'Baste the sides at each pass, the near rail and the middle.'}
          </li>
          <li>
            Rollers so high that the quilt neither lifts nor presses on the bed. Fingers clear of rollers and
            ratchets; two people for a heavy roller.
          </li>
        </ol>
        {passes && (
          <table className="mt-4">
            <tbody>
              {passes.depthsIn.map((d, i) => (
                <tr key={i} className="border-b">
                  <td className="py-1 pr-6">Pass {i + 1}</td>
                  <td className="pr-6 font-semibold">{lengthText(d, studio.units)}</td>
                  <td className="w-40">sewn ☐ back seen ☐</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <QuiltMap
        idPrefix="print"
        widthIn={quilt.widthIn}
        lengthIn={quilt.lengthIn}
        zones={zones}
        width={290}
        maxHeight={420}
        passes={quilt.passes}
        bands={passes && { depthsIn: passes.depthsIn, turned: passes.turned }}
      />
    </div>
  );
}

function order({ view, plan }: Loaded) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const found = planOrder({ ...plan.order, ...PRICES });
  const steps = view.quilt.orderByHand ?? found.order;
  return (
    <table className="w-full">
      <thead>
        <tr className="text-left">
          {['', 'Pass', 'Top thread', 'Zones', 'Done'].map((h) => (
            <th key={h} className="border-b-2 border-[#000] py-1 pr-4">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {steps.map((s, i) => (
          <tr key={i} className="border-b">
            <td className="py-1.5 pr-4">{i + 1}</td>
            <td className="pr-4 text-20 font-bold">{s.pass}</td>
            <td className="pr-4 font-semibold">
              {cones.has(s.thread) ? coneName(cones.get(s.thread)!) : ''}
              {i > 0 && steps[i - 1]!.thread !== s.thread && ' (change)'}
            </td>
            <td className="pr-4">
              {view.zones
                .filter(
                  (z, k) =>
                    view.setups.get(z.id)?.topId === s.thread &&
                    (plan.zones[k]!.shares[s.pass - 1] ?? 0) > 0.005,
                )
                .map((z) => `${z.letter} ${z.name}`)
                .join(', ')}
            </td>
            <td className="text-20">☐</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function cards({ view, machine }: Loaded) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const done = view.zones.filter((z) => view.setups.has(z.id));
  if (done.length === 0) return <p>No zone has a set-up yet.</p>;
  return (
    <div className="grid grid-cols-2 gap-3">
      {done.map((z) => {
        const s = view.setups.get(z.id)!;
        const [top, bobbin] = [cones.get(s.topId), cones.get(s.bobbinId)];
        return (
          <article
            key={z.id}
            className="break-inside-avoid overflow-hidden border-2 border-[#000] p-3 print:h-[62mm] print:p-2"
          >
            <h2 className="text-24">
              {z.letter} · {z.name}
            </h2>
            <p>
              {techniques.get(z.technique).label}, {z.spacingIn} in apart
            </p>
            <p className="mt-2 text-20 font-bold">{top ? coneName(top) : 'top thread gone'}</p>
            <p className="text-16">under it {bobbin ? coneName(bobbin) : 'bobbin thread gone'}</p>
            <p className="mt-2 text-20 font-bold">
              Nm {s.needleNm} / {usSize(s.needleNm)}{' '}
              <span className="text-15 font-normal">
                {POINT_LABEL[s.needlePoint]}
                {s.needleEye === 'large' ? ', large eye' : ''}
              </span>
            </p>
            <p className="text-15">{machine.shank}</p>
            <p className="mt-2 text-32 leading-tight font-bold">
              {s.spi} <small className="text-15">per inch</small> · {Math.round(s.provenTopGf ?? s.topGf)} /{' '}
              {Math.round(s.provenBobbinGf ?? s.bobbinGf)} <small className="text-15">gf</small>
            </p>
            <p className="text-15">{s.provenAt ? 'proven by a test stitch' : 'to be tested first'}</p>
            <p className="mt-1 text-16">
              {FOOT_LABEL[s.foot]} · {MODE_LABEL[s.mode]} · under {s.maxInPerS.toFixed(1)} in/s
            </p>
          </article>
        );
      })}
    </div>
  );
}
