import { coneName } from '@/actions/zone-brief';
import { readPlan, PRICES, wholeMinutes } from '@/actions/plan';
import { sewnShare } from '@/actions/quilt-work';
import { lengthText } from '@/core/units/length-text';
import { readBobbins } from '@/data/bobbins';
import { db } from '@/data/sql';
import { FaultTable } from '@/ui/faults/FaultTable';
import { ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { ZoneWorkTable } from '@/ui/plan/ZoneWorkTable';
import { DensityTable } from '@/ui/plan/DensityTable';
import { OrderList } from '@/ui/plan/OrderList';
import { PassForm } from '@/ui/plan/PassForm';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Quilt' };

export default async function QuiltingPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, zones, shelf, faults } = view;
  const [{ plan, speed, preferences }, tray] = await Promise.all([readPlan(db(), view), readBobbins(db())]);
  const cones = new Map(shelf.map((c) => [c.id, c]));
  const left = 1 - sewnShare(quilt);
  const hours = wholeMinutes(plan, speed);
  const inHours = (minutes: number) => ((minutes * left) / 60).toFixed(1);
  const open = faults.filter((f) => f.status === 'open').length;
  const unmatched = zones.filter((z) => !view.setups.has(z.id)).length;
  const { passes } = plan;
  const expected = plan.order.cells
    .filter((c) => c.pass === quilt.passesSewn + 1)
    .reduce((sum, c) => sum + c.minutes, 0);
  const threads = Object.fromEntries(
    plan.order.threads.map((id) => [id, { name: coneName(cones.get(id)!), hex: cones.get(id)!.hex }]),
  );
  const wound = (id: string) => tray.filter((b) => b.coneId === id).reduce((sum, b) => sum + b.count, 0);
  const passBands = passes && { depthsIn: passes.depthsIn, turned: passes.turned };
  return (
    <QuiltFrame
      view={view}
      machine={machine}
      step="quilt"
      zoneId={zone?.id}
      page="quilt"
      passBands={passBands}
      density={plan.density}
    >
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-24">Plan of {quilt.name}</h2>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/map`}>
          Draw the map
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/prepare`}>
          Backing and binding
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/sheets`}>
          Sheets
        </ButtonLink>
      </div>
      <dl className="mt-2 grid grid-cols-2 divide-x border-t-2 border-b border-t-ink md:grid-cols-4">
        <Fact
          label="Passes"
          value={
            passes ? (
              <Sourced kind={quilt.passes ? 'proven' : 'predicted'}>{quilt.passes ?? passes.passes}</Sourced>
            ) : (
              'none'
            )
          }
          beside={
            passes
              ? `${passes.turned ? 'turned' : 'not turned'}${passes.alternative ? `, the other way ${passes.alternative.passes}` : ''}`
              : ''
          }
        />
        <Fact label="Sewn" value={`${quilt.passesSewn}`} beside={`of ${quilt.passes ?? '?'}`} />
        <Fact
          label="Hours left"
          value={<Sourced kind={speed.passes > 0 ? 'learned' : 'predicted'}>{inHours(hours.mid)}</Sourced>}
          beside={`${inHours(hours.low)} to ${inHours(hours.high)} four times in five`}
        />
        <Fact label="Open faults" value={open} beside="" />
      </dl>
      {plan.cautions.map((c) => (
        <p key={c.code} className="mt-2">
          <CautionLine caution={c} />
        </p>
      ))}
      {unmatched > 0 && (
        <p className="mt-2 text-weld-text">
          {unmatched} {unmatched === 1 ? 'zone has' : 'zones have'} no set-up yet: their thread is not in
          these sums.
        </p>
      )}
      <div className="mt-3">
        <PassForm
          quiltId={quilt.id}
          version={quilt.version}
          turnRule={quilt.turnRule}
          planned={passes?.passes ?? null}
          fixed={quilt.passes}
          sewn={quilt.passesSewn}
          onFrame={quilt.onFrameSince !== null}
          expected={expected}
        />
      </div>
      <h3 className="mt-6 mb-1 text-20">Density</h3>
      <DensityTable plan={plan} zones={zones} units={preferences.units} />
      <h3 className="mt-6 mb-1 text-20">Order of work</h3>
      <OrderList
        key={quilt.version}
        quiltId={quilt.id}
        version={quilt.version}
        request={{ ...plan.order, ...PRICES }}
        byHand={quilt.orderByHand}
        threads={threads}
        done={quilt.passesSewn}
      />
      <h3 className="mt-6 mb-1 text-20">Thread and bobbins</h3>
      {plan.threads.length === 0 ? (
        <p className="text-ink2">Match its zones, and what they take of each cone stands here.</p>
      ) : (
        <table className="w-full">
          <thead>
            <tr className="text-left text-13 text-ink2">
              {['Cone', 'On top', 'In bobbins', 'On the cone', 'Bobbins', 'Run out at'].map((h) => (
                <th key={h} className="py-1.5 pr-3 font-medium">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {plan.threads.map((t) => {
              const cone = cones.get(t.id)!;
              const wanted = (t.topM + t.bobbinM) * left;
              const short = cone.remainingM !== null && cone.remainingM < wanted;
              const runs = plan.runOuts.filter((o) => o.coneId === t.id && o.pass > quilt.passesSewn);
              return (
                <tr key={t.id} className="border-t align-top">
                  <td className="flex items-center gap-2.5 py-1.5 pr-3">
                    <ThreadSwatch hex={cone.hex} width={24} height={24} /> {coneName(cone)}
                  </td>
                  <td className="py-1.5 pr-3">
                    {t.topM > 0 && <Sourced kind="predicted">{Math.round(t.topM)} m</Sourced>}
                  </td>
                  <td className="py-1.5 pr-3">
                    {t.bobbinM > 0 && <Sourced kind="predicted">{Math.round(t.bobbinM)} m</Sourced>}
                  </td>
                  <td className={`py-1.5 pr-3 ${short ? 'font-semibold text-madder' : ''}`}>
                    {cone.remainingM === null ? 'not counted' : `${Math.round(cone.remainingM)} m`}
                    {short && `, buy ${Math.ceil((wanted - cone.remainingM!) / 10) * 10} m`}
                  </td>
                  <td className="py-1.5 pr-3">
                    {t.bobbins > 0 && bobbinsText(t.bobbins, wound(t.id), t.capacityM)}
                  </td>
                  <td className="py-1.5 text-ink2">
                    {runs.slice(0, 3).map((o) => (
                      <span key={o.n} className="block">
                        pass {o.pass}, {Math.round(o.share * 100)} % ±{' '}
                        {Math.round(Math.min(1, o.spread) * 100)}
                      </span>
                    ))}
                    {runs.length > 3 && `and ${runs.length - 3} more`}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <ZoneWorkTable plan={plan} zones={zones} learned={speed.passes > 0} />
      <p className="mt-2 text-13 text-ink2">
        {speed.passes > 0
          ? `Hours are learned from ${speed.passes} logged passes: you sew at ${Math.round(100 * Math.exp(-speed.mean))} % of the usual speed.`
          : 'Hours rest on usual speeds until passes are logged.'}{' '}
        The quilt with its margins: {lengthText(quilt.widthIn + 2 * preferences.marginIn, preferences.units)}{' '}
        by {lengthText(quilt.lengthIn + 2 * preferences.marginIn, preferences.units)}.
      </p>
      <h3 className="mt-6 mb-2 text-20">Faults noted</h3>
      <FaultTable faults={faults} />
    </QuiltFrame>
  );
}

const bobbinsText = (needed: number, wound: number, capacityM: number) =>
  wound >= needed
    ? `${needed}, all on the tray`
    : `wind ${needed - wound} of ${Math.round(capacityM)} m${wound > 0 ? `, ${wound} on the tray` : ''}`;

function Fact({ label, value, beside }: { label: string; value: React.ReactNode; beside: string }) {
  return (
    <div className="px-4 py-2 first:pl-0">
      <dt className="text-13 text-ink2">{label}</dt>
      <dd className="mt-1 text-28 leading-none font-bold">{value}</dd>
      <dd className="mt-1 text-13 text-ink2">{beside}</dd>
    </div>
  );
}
