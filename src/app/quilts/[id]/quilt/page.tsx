import { ask } from '@/actions/queries';
import { coneName } from '@/actions/zone-brief';
import { pricesOf } from '@/actions/plan';
import { minutesKnown, midHours } from '@/core/hours/known';
import { isSewn, passesDone } from '@/core/plan/begun';
import { stepId } from '@/core/plan/step-key';
import { insideProblem } from '@/core/plan/inside';
import { smallSteps } from '@/core/plan/small-steps';
import { ITEM_LABEL, itemsOf, orderActs } from '@/core/plan/steps';
import { ACTS } from '@/core/hours/factors';
import { predicted, proven } from '@/core/source/known';
import { lengthText } from '@/core/units/length-text';
import { rolledMm } from '@/core/plan/work-plan';
import { rollPassByPass } from '@/core/stand/roll';
import { fewerThreads } from '@/core/plan/fewer-threads';
import { FOOT_LABEL, techniques } from '@/core/tables/techniques';
import { ACT_MIN } from '@/core/usage/sewing-time';
import { PassTable, ReachFrames } from '@/ui/plan/PassTable';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { FaultTable } from '@/ui/faults/FaultTable';
import { ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Parts } from '@/ui/kit/Parts';
import { Sourced } from '@/ui/kit/Sourced';
import { ZoneWorkTable } from '@/ui/plan/ZoneWorkTable';
import { DensityTable } from '@/ui/plan/DensityTable';
import { OrderList } from '@/ui/plan/OrderList';
import { FitDayPart, type FitPageZone } from '@/ui/plan/FitDayPart';
import { motifsRequest } from '@/actions/motifs';
import type { QuiltView } from '@/actions/quilt-view';
import { midMinutes } from '@/core/hours/sum';
import type { Machine } from '@/data/types';
import { MarkingPart } from '@/ui/plan/MarkingPart';
import { RoutePart } from '@/ui/plan/RoutePart';
import { routedZones } from '@/ui/plan/routed-zones';
import { StepForm } from '@/ui/plan/StepForm';
import { ThreadTable } from '@/ui/plan/ThreadTable';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Quilt' };

const PARTS = [
  { id: 'steps', label: 'Order of work' },
  { id: 'passes', label: 'Roll and reach' },
  { id: 'route', label: 'Way round' },
  { id: 'marking', label: 'Marking' },
  { id: 'day', label: 'Fit the day' },
  { id: 'thread', label: 'Thread and bobbins' },
  { id: 'zones', label: 'Zone by zone' },
  { id: 'density', label: 'Density' },
  { id: 'faults', label: 'Faults' },
] as const;

export default async function QuiltingPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { part: asked } = await props.searchParams;
  const part = PARTS.find((p) => p.id === asked)?.id ?? 'steps';
  const { quilt, zones, shelf, faults } = view;
  const [read, tray, framed] = await Promise.all([
    ask.readPlan(view),
    part === 'thread' ? ask.readBobbins() : [],
    ask.readFramed(quilt.id),
  ]);
  const { plan, steps, inside, left: leftOver, belief, preferences, share, moved, request } = read;
  const cones = new Map(shelf.map((c) => [c.id, c]));
  const left = 1 - share;
  const minutes = minutesKnown(leftOver, belief);
  const inHours = (n: number) => (n / 60).toFixed(1);
  const unsewn = steps.filter((s) => !isSewn(s, quilt.sewn));
  const items = itemsOf(unsewn, belief);
  const itemsSum = Object.values(items).reduce((sum, m) => sum + m, 0);
  const acts = orderActs(steps, { ...pricesOf(preferences), basteMin: request.basteMin });
  const broughtBy = new Map(
    steps.map((s, i) => [stepId(s), acts[i]!.advance + acts[i]!.baste + acts[i]!.thread]),
  );
  const open = faults.filter((f) => f.status === 'open').length;
  const unmatched = zones.filter((z) => view.states.get(z.id) === 'to match').length;
  const { passes } = plan;
  const sewn = steps.filter((s) => isSewn(s, quilt.sewn));
  const next = steps.find((s) => !isSewn(s, quilt.sewn));
  const done = passesDone(steps, quilt.sewn);
  const threads = Object.fromEntries(
    plan.order.threads.map((id) => [id, { name: coneName(cones.get(id)!), hex: cones.get(id)!.hex }]),
  );
  const reaches = (passes?.depthsIn ?? []).map((depthIn, i) => ({
    pass: i + 1,
    depthIn,
    besideRuler: steps.some(
      (s) =>
        s.pass === i + 1 &&
        s.zones.some((z) => techniques.find(zones.find((x) => x.id === z.id)?.technique ?? '')?.besideRuler),
    ),
  }));
  const hrefOf = (id: string) => `/quilts/${quilt.id}/quilt?${zone ? `zone=${zone.id}&` : ''}part=${id}`;
  return (
    <QuiltFrame
      view={view}
      machine={machine}
      step="quilt"
      zoneId={zone?.id}
      page="quilt"
      passBands={passes && { depthsIn: passes.depthsIn, turned: passes.turned }}
      density={plan.density}
      plannedSteps={steps}
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
        {quilt.passes !== null && quilt.step !== 'hand-back' && (
          <ButtonLink look="act" href={`/quilts/${quilt.id}/stand`}>
            To the Stand
          </ButtonLink>
        )}
      </div>
      <dl className="mt-2 grid grid-cols-2 divide-x border-t-2 border-b border-t-ink md:grid-cols-4">
        <Fact
          label="Passes"
          value={
            passes ? (
              <Sourced of={quilt.passes ? proven(quilt.passes, 'locked in') : predicted(passes.passes)}>
                {passes.passes}
              </Sourced>
            ) : (
              'none'
            )
          }
          beside={
            passes
              ? `loaded ${passes.turned ? 'sideways' : 'upright'}${passes.alternative ? `, ${passes.turned ? 'upright' : 'sideways'} ${passes.alternative.passes}` : ''}`
              : ''
          }
        />
        <Fact
          label="Steps sewn"
          value={`${sewn.length}`}
          beside={`of ${steps.length}, ${done.length} finished ${done.length === 1 ? 'pass' : 'passes'}`}
        />
        <Fact
          label="Hours left"
          value={<Sourced of={minutes}>{midHours(minutes).value.toFixed(1)}</Sourced>}
          beside={`80 % range: ${inHours(minutes.value.low)} to ${inHours(minutes.value.high)} h`}
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
          {unmatched} {unmatched === 1 ? 'zone has' : 'zones have'} no set-up yet:{' '}
          {unmatched === 1 ? 'it has' : 'they have'} no steps and no thread in these sums.
        </p>
      )}
      <div className="mt-3">
        <StepForm
          quiltId={quilt.id}
          version={quilt.version}
          turnRule={quilt.turnRule}
          planned={passes?.passes ?? null}
          fixed={quilt.passes}
          begun={quilt.sewn.length > 0}
          moved={moved}
          next={
            next
              ? {
                  pass: next.pass,
                  thread: next.thread,
                  stabilise: next.stabilise,
                  words: `pass ${next.pass}, ${threads[next.thread]?.name ?? ''}, ${next.zones.length === 1 ? 'zone' : 'zones'} ${next.zones.map((z) => z.letter).join(', ')}`,
                  minutes: next.minutes,
                }
              : null
          }
          onFrame={quilt.onFrameSince !== null}
          framed={framed}
          quilted={quilt.step === 'hand-back'}
          home={quilt.handedBackOn !== null}
        />
      </div>
      <Parts label="Parts of the plan" parts={PARTS} now={part} hrefOf={hrefOf} />
      {part === 'steps' && (
        <div className="mt-3">
          <OrderList
            key={quilt.version}
            quiltId={quilt.id}
            version={quilt.version}
            request={{ ...plan.order, ...pricesOf(preferences), rolling: preferences.rollingSchool }}
            basteMin={request.basteMin ?? ACT_MIN.basteSides}
            actsFactor={Math.exp(belief.fit.mean(ACTS))}
            steps={steps.map((s) => ({
              pass: s.pass,
              thread: s.thread,
              stabilise: s.stabilise,
              ownMin: s.minutes - Math.exp(belief.fit.mean(ACTS)) * broughtBy.get(stepId(s))!,
              zones: inside
                .find((i) => i.key === stepId(s))!
                .zones.map((z) => ({
                  id: z.id,
                  letter: z.letter,
                  name: zones.find((x) => x.id === z.id)!.name,
                  foot: FOOT_LABEL[z.foot],
                })),
            }))}
            byHand={quilt.orderByHand !== null}
            begun={quilt.begun !== null}
            threads={threads}
            sewn={sewn.map(stepId)}
            small={smallSteps(steps, plan, pricesOf(preferences)).filter(
              (s) => !isSewn(steps[s.at]!, quilt.sewn),
            )}
            insideProblems={Object.fromEntries(
              inside.flatMap((i) => {
                const said = insideProblem(i.zones, (id) => i.zones.find((z) => z.id === id)!.letter);
                return said ? [[i.key, said]] : [];
              }),
            )}
          />
          <Items
            rows={[
              ...(Object.entries(items) as [keyof typeof items, number][]).map(
                ([k, min]) => [ITEM_LABEL[k], min] as const,
              ),
              ['loading and taking off, zones without a card', minutes.value.mid - itemsSum] as const,
            ]}
            total={minutes.value.mid}
          />
        </div>
      )}
      {part === 'passes' && passes && (
        <div className="mt-3 grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_360px]">
          <div>
            <PassTable
              passes={reaches}
              rolls={rollPassByPass(
                read.request.frame.rollStartIn,
                rolledMm(quilt.battingKind, quilt.backingKind),
                passes.depthsIn,
              )}
            />
          </div>
          <QuiltMap
            widthIn={quilt.widthIn}
            lengthIn={quilt.lengthIn}
            zones={zones}
            width={360}
            maxHeight={420}
            bands={{ depthsIn: passes.depthsIn, turned: passes.turned }}
            idPrefix="reach"
          >
            <ReachFrames
              passes={reaches}
              turned={passes.turned}
              widthIn={quilt.widthIn}
              lengthIn={quilt.lengthIn}
            />
          </QuiltMap>
        </div>
      )}
      {part === 'route' && (
        <RoutePart
          quilt={{ name: quilt.name, widthIn: quilt.widthIn, lengthIn: quilt.lengthIn }}
          zones={routedZones(zones, plan)}
          map={{
            widthIn: quilt.widthIn,
            lengthIn: quilt.lengthIn,
            zones,
            width: 480,
            maxHeight: 600,
            bands: passes && { depthsIn: passes.depthsIn, turned: passes.turned },
            idPrefix: 'route',
          }}
        />
      )}
      {part === 'marking' && <Marking view={view} plan={plan} preferences={preferences} />}
      {part === 'day' && <FitDay view={view} machine={machine} read={read} />}
      {part === 'thread' && (
        <ThreadTable plan={plan} cones={cones} tray={tray} left={left} passesSewn={done} />
      )}
      {part === 'zones' && (
        <>
          <ZoneWorkTable plan={plan} zones={zones} belief={belief} />
          <p className="mt-2 text-13 text-ink2">
            {belief.steps > 0
              ? `Hours are learned from ${belief.steps} logged steps: your hands take ${Math.round(100 * Math.exp(belief.fit.mean('hand')))} % of the usual time.`
              : 'Hours rest on usual speeds until steps are logged.'}{' '}
            The quilt with its margins:{' '}
            {lengthText(quilt.widthIn + 2 * read.request.marginIn, preferences.units)} by{' '}
            {lengthText(quilt.lengthIn + 2 * read.request.marginIn, preferences.units)}.
          </p>
        </>
      )}
      {part === 'density' && (
        <div className="mt-3">
          <DensityTable plan={plan} zones={zones} units={preferences.units} />
        </div>
      )}
      {part === 'faults' && (
        <div className="mt-3">
          <FaultTable faults={faults} />
        </div>
      )}
    </QuiltFrame>
  );
}

/** With what its zones are marked. */
async function Marking({
  view,
  plan,
  preferences,
}: {
  view: QuiltView;
} & Pick<Awaited<ReturnType<typeof ask.readPlan>>, 'plan' | 'preferences'>) {
  const { zones, frameOn } = await ask.readMarking(view, plan, preferences, new Date());
  return <MarkingPart zones={view.zones} markings={zones} frameOn={frameOn} />;
}

/** What would have to change so that the quilt fits a day. */
async function FitDay({
  view,
  machine,
  read,
}: {
  view: QuiltView;
  machine: Machine;
  read: Awaited<ReturnType<typeof ask.readPlan>>;
}) {
  const [rulers, past] = await Promise.all([ask.readRulers(), ask.readPastMotifs()]);
  const { plan, belief, left, preferences } = read;
  const begun = new Set(
    read.steps.filter((s) => isSewn(s, view.quilt.sewn)).flatMap((s) => s.zones.map((z) => z.id)),
  );
  const zones = view.zones.map((z): FitPageZone => {
    const planned = plan.zones.find((p) => p.id === z.id)!;
    const fixed = begun.has(z.id);
    return {
      id: z.id,
      letter: z.letter,
      name: z.name,
      version: z.version,
      technique: z.technique,
      spacingIn: z.spacingIn,
      minutes: fixed ? 0 : midMinutes({ parts: [planned.work] }, belief),
      fixed,
    };
  });
  const all = minutesKnown(left, belief).value.mid;
  return (
    <FitDayPart
      key={zones.map((z) => z.version).join()}
      quiltId={view.quilt.id}
      motifs={motifsRequest(view, machine, rulers, preferences, past)}
      zones={zones}
      fixedMin={Math.max(0, all - zones.reduce((s, z) => s + z.minutes, 0))}
      fewer={fewerOf(view, read)}
    />
  );
}

/** Threads the quilt could do without, with the cards that would be chosen anew. */
function fewerOf(view: QuiltView, { plan, preferences }: Awaited<ReturnType<typeof ask.readPlan>>) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const begun = new Set(view.quilt.sewn.map((s) => s.thread));
  const zones = view.zones.flatMap((z) => {
    const s = view.setups.get(z.id);
    const state = view.states.get(z.id);
    const planned = plan.zones.find((p) => p.id === z.id);
    const fixed = state === 'proven' || state === 'testing' || begun.has(s?.topId ?? '');
    return s && planned
      ? [{ id: z.id, areaIn2: planned.areaIn2, topId: s.topId, bobbinId: s.bobbinId, fixed }]
      : [];
  });
  const order = { ...plan.order, ...pricesOf(preferences), rolling: preferences.rollingSchool };
  return fewerThreads(order, zones, new Map([...cones].map(([id, { hex, tex }]) => [id, { hex, tex }]))).map(
    (f) => ({
      ...f,
      drop: coneName(cones.get(f.dropId)!),
      into: coneName(cones.get(f.intoId)!),
      cards: f.zones.map((zoneId) => {
        const { topId, bobbinId, version } = view.setups.get(zoneId)!;
        return { zoneId, topId, bobbinId, version };
      }),
    }),
  );
}

/** What the hours left are made of. */
function Items({ rows, total }: { rows: readonly (readonly [string, number])[]; total: number }) {
  return (
    <details className="mt-3">
      <summary className="min-h-11 cursor-pointer py-2 font-medium">
        What is left, item by item: {(total / 60).toFixed(1)} h
      </summary>
      <dl className="grid max-w-[480px] grid-cols-[1fr_auto] gap-x-6">
        {rows
          .filter(([, min]) => min >= 0.5)
          .map(([name, min]) => (
            <div key={name} className="contents">
              <dt className="border-b py-1">{name}</dt>
              <dd className="border-b py-1 text-right font-semibold tabular-nums">{Math.round(min)} min</dd>
            </div>
          ))}
      </dl>
    </details>
  );
}

function Fact({ label, value, beside }: { label: string; value: React.ReactNode; beside: string }) {
  return (
    <div className="px-4 py-2 first:pl-0">
      <dt className="text-13 text-ink2">{label}</dt>
      <dd className="mt-1 text-28 leading-none font-bold">{value}</dd>
      <dd className="mt-1 text-13 text-ink2">{beside}</dd>
    </div>
  );
}
