import { AroundTasks } from '@/ui/today/AroundTasks';
import { MarkingPart } from '@/ui/plan/MarkingPart';
import { ask } from '@/actions/queries';
import { coneName } from '@/actions/zone-brief';
import { pricesOf } from '@/actions/plan';
import { minutesKnown } from '@/core/hours/known';
import { isSewn, passesDone } from '@/core/plan/begun';
import { stepId } from '@/core/plan/step-key';
import { insideProblem } from '@/core/plan/inside';
import { smallSteps } from '@/core/plan/small-steps';
import { ITEM_LABEL, itemsOf, orderActs } from '@/core/plan/steps';
import { ACTS } from '@/core/hours/factors';
import { lengthText } from '@/core/units/length-text';
import { rolledMm } from '@/core/plan/bands';
import { rollPassByPass } from '@/core/stand/roll';
import { fewerThreads } from '@/core/plan/fewer-threads';
import { FOOT_LABEL, techniques } from '@/core/tables/techniques';
import { ACT_MIN } from '@/core/usage/sewing-time';
import { PassTable, ReachFrames } from '@/ui/plan/PassTable';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { FaultTable } from '@/ui/faults/FaultTable';
import { ZoneWorkTable } from '@/ui/plan/ZoneWorkTable';
import { DensityTable } from '@/ui/plan/DensityTable';
import { OrderList } from '@/ui/plan/OrderList';
import { FitDayPart, type FitPageZone } from '@/ui/plan/FitDayPart';
import { motifsRequest } from '@/actions/motifs';
import type { QuiltView } from '@/actions/quilt-view';
import { midMinutes } from '@/core/hours/sum';
import type { Machine } from '@/data/types';
import { tableAdvice } from '@/core/machine/table';
import { TablePart } from '@/ui/plan/TablePart';
import { RoutePart } from '@/ui/plan/RoutePart';
import { routedZones } from '@/ui/plan/routed-zones';
import { ThreadTable } from '@/ui/plan/ThreadTable';

/** What every part of the plan is drawn from. */
interface PartFacts {
  view: QuiltView;
  machine: Machine;
  read: Awaited<ReturnType<typeof ask.readPlan>>;
}

/** The order of work, step by step, and what is left, item by item. */
function StepsPart({ view, read }: PartFacts) {
  const { quilt } = view;
  const { steps, belief, left } = read;
  const unsewn = steps.filter((s) => !isSewn(s, quilt.sewn));
  const items = itemsOf(unsewn, belief);
  const itemsSum = Object.values(items).reduce((sum, m) => sum + m, 0);
  const minutes = minutesKnown(left, belief);
  return (
    <div className="mt-3">
      <Order view={view} read={read} />
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
  );
}

/** Each step as the list shows it: what it takes by itself, without what the step before it brings about. */
function shownSteps({ view, read }: Pick<PartFacts, 'view' | 'read'>) {
  const { steps, inside, belief, preferences, request } = read;
  const acts = orderActs(steps, { ...pricesOf(preferences), basteMin: request.basteMin });
  const factor = Math.exp(belief.fit.mean(ACTS));
  const name = (id: string) => view.zones.find((z) => z.id === id)!.name;
  return steps.map((s, i) => ({
    pass: s.pass,
    thread: s.thread,
    stabilise: s.stabilise,
    ownMin: s.minutes - factor * (acts[i]!.advance + acts[i]!.baste + acts[i]!.thread),
    zones: inside
      .find((x) => x.key === stepId(s))!
      .zones.map((z) => ({ id: z.id, letter: z.letter, name: name(z.id), foot: FOOT_LABEL[z.foot] })),
  }));
}

function Order({ view, read }: Pick<PartFacts, 'view' | 'read'>) {
  const { quilt } = view;
  const { plan, steps, inside, belief, preferences, request } = read;
  const problems = inside.flatMap((i) => {
    const said = insideProblem(i.zones, (id) => i.zones.find((z) => z.id === id)!.letter);
    return said ? [[i.key, said]] : [];
  });
  return (
    <OrderList
      key={quilt.version}
      quiltId={quilt.id}
      version={quilt.version}
      request={{ ...plan.order, ...pricesOf(preferences), rolling: preferences.rollingSchool }}
      basteMin={request.basteMin ?? ACT_MIN.basteSides}
      actsFactor={Math.exp(belief.fit.mean(ACTS))}
      steps={shownSteps({ view, read })}
      byHand={quilt.orderByHand !== null}
      begun={quilt.begun !== null}
      threads={threadsOf(view, read)}
      sewn={steps.filter((s) => isSewn(s, quilt.sewn)).map(stepId)}
      small={smallSteps(steps, plan, pricesOf(preferences)).filter((s) => !isSewn(steps[s.at]!, quilt.sewn))}
      insideProblems={Object.fromEntries(problems)}
    />
  );
}

/** What the roll does pass by pass, and how far the needle reaches. */
function PassesPart({ view, read }: PartFacts) {
  const { quilt, zones } = view;
  const {
    steps,
    plan: { passes },
  } = read;
  if (read.request.table) {
    const { table, quilt: size, battingId, backing } = read.request;
    return <TablePart advice={tableAdvice(table, { ...size, battingId, backing })} name={quilt.name} />;
  }
  if (!passes) return null;
  const work = new Map(zones.map((z) => [z.id, techniques.find(z.technique)]));
  const reaches = passes.depthsIn.map((depthIn, i) => ({
    pass: i + 1,
    depthIn,
    besideRuler: steps.some((s) => s.pass === i + 1 && s.zones.some((z) => work.get(z.id)?.besideRuler)),
  }));
  return (
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
  );
}

/** The way round the lines of each zone. */
function WayRoundPart({ view: { quilt, zones }, read: { plan } }: PartFacts) {
  const { passes } = plan;
  return (
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
  );
}

/** Hours, thread and softness of each zone. */
function ZonesPart({ view: { quilt, zones }, read }: PartFacts) {
  const { plan, belief, preferences } = read;
  return (
    <>
      <ZoneWorkTable plan={plan} zones={zones} belief={belief} />
      <p className="mt-2 text-13 text-ink2">
        {belief.steps > 0
          ? `Hours are learned from ${belief.steps} logged steps: your hands take ${Math.round(100 * Math.exp(belief.fit.mean('hand')))} % of the usual time.`
          : 'Hours rest on usual speeds until steps are logged.'}{' '}
        The quilt with its margins: {lengthText(quilt.widthIn + 2 * read.request.marginIn, preferences.units)}{' '}
        by {lengthText(quilt.lengthIn + 2 * read.request.marginIn, preferences.units)}.
      </p>
    </>
  );
}

async function ThreadPart({ view, read: { plan, steps, share } }: PartFacts) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const tray = await ask.readBobbins();
  return (
    <ThreadTable
      plan={plan}
      cones={cones}
      tray={tray}
      left={1 - share}
      passesSewn={passesDone(steps, view.quilt.sewn)}
    />
  );
}

const DensityPart = ({ view, read: { plan, preferences } }: PartFacts) => (
  <div className="mt-3">
    <DensityTable plan={plan} zones={view.zones} units={preferences.units} />
  </div>
);

const FaultsPart = ({ view }: PartFacts) => (
  <div className="mt-3">
    <FaultTable faults={view.faults} />
  </div>
);

/** The parts of a plan, in the order of their tabs. */
export const PARTS: readonly {
  id: string;
  label: string;
  Body: (facts: PartFacts) => React.ReactNode | Promise<React.ReactNode>;
}[] = [
  { id: 'steps', label: 'Order of work', Body: StepsPart },
  { id: 'passes', label: 'Roll and reach', Body: PassesPart },
  { id: 'route', label: 'Way round', Body: WayRoundPart },
  { id: 'marking', label: 'Marking', Body: Marked },
  { id: 'day', label: 'Fit the day', Body: FitDay },
  { id: 'thread', label: 'Thread and bobbins', Body: ThreadPart },
  { id: 'zones', label: 'Zone by zone', Body: ZonesPart },
  { id: 'around', label: 'Before and after', Body: AroundPart },
  { id: 'density', label: 'Density', Body: DensityPart },
  { id: 'faults', label: 'Faults', Body: FaultsPart },
];

/** The parts as they are called for this machine: on a table nothing rolls. */
export const partsFor = (onTable: boolean) =>
  onTable ? PARTS.map((p) => (p.id === 'passes' ? { ...p, label: 'On the table' } : p)) : PARTS;

/** The quilt's top threads by id, as they are named. */
export function threadsOf(view: QuiltView, { plan }: PartFacts['read']) {
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  return Object.fromEntries(
    plan.order.threads.map((id) => [id, { name: coneName(cones.get(id)!), hex: cones.get(id)!.hex }]),
  );
}

/** What is done before the frame and after it, with its minutes and its clocks. */
async function AroundPart({ view }: PartFacts) {
  const now = new Date();
  const { quilt } = view;
  const tasks = (await ask.readTasks([quilt])).get(quilt.id) ?? [];
  return <AroundTasks tasks={tasks} quiltId={quilt.id} askedAt={now.getTime()} />;
}

/** With what its zones are marked. */
async function Marked({ view, read: { plan, preferences } }: PartFacts) {
  const { zones, frameOn } = await ask.readMarking(view, plan, preferences, new Date());
  return <MarkingPart zones={view.zones} markings={zones} frameOn={frameOn} />;
}

/** What would have to change so that the quilt fits a day. */
async function FitDay({ view, machine, read }: PartFacts) {
  const [rulers, past, hand] = await Promise.all([ask.readRulers(), ask.readPastMotifs(), ask.readHand()]);
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
      motifs={motifsRequest(view, machine, rulers, preferences, past, hand)}
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
