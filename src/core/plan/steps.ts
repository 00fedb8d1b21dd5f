import { ACTS, type HoursBelief, SETTING } from '../hours/factors';
import { type Part, type Step } from '../hours/step';
import { midMinutes } from '../hours/sum';
import type { Prices } from '../order/cells';
import { techniques } from '../tables/techniques';
import { ACT_MIN } from '../usage/sewing-time';
import { tableAdvice } from '../machine/table';
import { isSewn, type SewnStep } from './begun';
import { type InsideZone, insideOrder } from './inside';
import { insideZones } from './inside-zones';
import { stepId, type StepKey } from './step-key';
import { type PlannedZone, SLIVER, type WorkPlan, type WorkPlanRequest } from './planned';
import { stabilises } from './work-plan';

/** A zone's share in a step. */
export interface StepZone {
  id: string;
  letter: string;
  share: number;
}

/** Minutes of a step, itemised: at the hands, at stops and starts, and what is done at the frame for it. */
export interface StepItems {
  sewing: number;
  stops: number;
  setting: number;
  advance: number;
  baste: number;
  thread: number;
  bobbins: number;
  foot: number;
}
export const ITEM_LABEL: Record<keyof StepItems, string> = {
  sewing: 'sewing',
  stops: 'starts, stops and ruler moves',
  setting: 'setting out, marking, moving on',
  advance: 'advancing',
  baste: 'basting the sides',
  thread: 'changing thread',
  bobbins: 'changing bobbins',
  foot: 'changing the foot',
};

/** One step at the frame before its place in the order is known: one pass with one thread. */
export interface BareStep extends StepKey {
  /** In the order they are sewn. */
  zones: readonly StepZone[];
  /** Work of each zone, in the same order. */
  work: readonly Part[];
  /** How many bobbins it empties. */
  bobbins: number;
  footChanges: number;
}

/** One step at the frame: what it is predicted to take, acts included, as the studio’s log has it. */
export interface PlannedStep extends BareStep, Step {
  /** The middle, minutes: the one number every screen and sheet shows. */
  minutes: number;
  items: StepItems;
}

/** What the order of a step says of the order inside it, for a page on which it can be laid otherwise. */
export interface StepInside {
  key: string;
  zones: readonly (InsideZone & { letter: string })[];
}

const partOf = (work: Part, share: number): Part => ({
  ...work,
  handsMin: work.handsMin * share,
  actsMin: work.actsMin * share,
  setMin: (work.setMin ?? 0) * share,
});

/** The steps of a plan, each with its zones in the order inside it; in no order yet. */
export function bareSteps(
  plan: WorkPlan,
  request: Pick<
    WorkPlanRequest,
    'zones' | 'ditchSchool' | 'zonesByHand' | 'quilt' | 'footSchool' | 'battingId' | 'table'
  >,
): { steps: BareStep[]; inside: StepInside[] } {
  const cells = new Map<string, StepKey & { zones: number[] }>();
  request.zones.forEach((zone, i) => {
    if (!zone.setup || techniques.get(zone.technique).leftOpen) return;
    const stabilise = stabilises(techniques.get(zone.technique), request.ditchSchool);
    plan.zones[i]!.shares.forEach((share, p) => {
      if (share < SLIVER) return;
      const key = { pass: p + 1, thread: zone.setup!.top.id, stabilise };
      const cell = cells.get(stepId(key)) ?? { ...key, zones: [] };
      cell.zones.push(i);
      cells.set(stepId(key), cell);
    });
  });
  const inside: StepInside[] = [];
  const steps = [...cells.values()].map(({ zones, ...key }): BareStep => {
    const at = key.pass - 1;
    const facts = insideZones(plan, request, zones, at);
    const order = insideOrder(facts, request.zonesByHand?.[stepId(key)]);
    const laid = order.zones.map((id) => zones.find((i) => request.zones[i]!.id === id)!);
    const letterOf = (id: string) => request.zones.find((z) => z.id === id)!.letter;
    inside.push({
      key: stepId(key),
      zones: order.zones.map((id) => ({ ...facts.find((f) => f.id === id)!, letter: letterOf(id) })),
    });
    return {
      ...key,
      zones: laid.map((i) => ({
        id: request.zones[i]!.id,
        letter: request.zones[i]!.letter,
        share: plan.zones[i]!.shares[at]!,
      })),
      work: laid.map((i) => partOf(plan.zones[i]!.work, plan.zones[i]!.shares[at]!)),
      bobbins: laid.reduce(
        (n, i) => n + bobbinsOf(plan, request.zones[i]!, i) * plan.zones[i]!.shares[at]!,
        0,
      ),
      footChanges: order.footChanges,
    };
  });
  return { steps, inside };
}

const bobbinsOf = (plan: WorkPlan, zone: PlannedZone, i: number): number => {
  const capacity = plan.threads.find((t) => t.id === zone.setup?.bobbin.id)?.capacityM;
  return capacity ? plan.zones[i]!.bobbinM / capacity : 0;
};

/** What the order alone brings a step: rolling on or back, basting where its pass is first come to, another thread. Minutes. */
export type OrderActs = Pick<StepItems, 'advance' | 'baste' | 'thread'>;

/**
 * The acts an order brings each of its steps: an advance for every pass rolled on or back, the sides basted when a pass is
 * first come to, a change where the thread is another. One function, so that order, Stand, calendar, card and sheets say
 * the same minutes.
 */
export function orderActs(
  steps: readonly Pick<StepKey, 'pass' | 'thread'>[],
  {
    rollMin,
    changeMin,
    basteMin = ACT_MIN.basteSides,
  }: Pick<Prices, 'rollMin' | 'changeMin'> & { basteMin?: number },
): OrderActs[] {
  const basted = new Set<number>();
  let pass = 1;
  let thread = steps[0]?.thread;
  return steps.map((s) => {
    const acts = {
      advance: Math.abs(s.pass - pass) * rollMin,
      baste: basted.has(s.pass) ? 0 : basteMin,
      thread: s.thread === thread ? 0 : changeMin,
    };
    basted.add(s.pass);
    [pass, thread] = [s.pass, s.thread];
    return acts;
  });
}

/** Steps with their acts at the frame, in the order given. */
export function withActs(
  steps: readonly BareStep[],
  prices: Pick<Prices, 'rollMin' | 'changeMin'>,
  belief: HoursBelief,
  basteMin: number = ACT_MIN.basteSides,
): PlannedStep[] {
  const brought = orderActs(steps, { ...prices, basteMin });
  return steps.map((s, k) => {
    const items: StepItems = {
      sewing: s.work.reduce((sum, p) => sum + p.handsMin, 0),
      stops: s.work.reduce((sum, p) => sum + p.actsMin, 0),
      setting: s.work.reduce((sum, p) => sum + (p.setMin ?? 0), 0),
      ...brought[k]!,
      bobbins: s.bobbins * ACT_MIN.bobbin,
      foot: s.footChanges * ACT_MIN.footChange,
    };
    const acts = frameActsMin({ items });
    const parts = s.work.map((p, i) => (i === 0 ? { ...p, actsMin: p.actsMin + acts } : p));
    return { ...s, parts, items, minutes: midMinutes({ parts }, belief) };
  });
}

/** The items of some steps added up, as the log has them: together they are the minutes of the steps. */
export function itemsOf(steps: readonly PlannedStep[], { fit }: HoursBelief): StepItems {
  const acts = Math.exp(fit.mean(ACTS));
  const sum = (of: (i: StepItems) => number) => steps.reduce((total, s) => total + of(s.items), 0) * acts;
  return {
    sewing: steps.reduce(
      (total, s) =>
        total +
        midMinutes({ parts: s.work.map((p) => ({ ...p, actsMin: 0, setMin: 0 })) }, { fit } as HoursBelief),
      0,
    ),
    stops: sum((i) => i.stops),
    setting: (sum((i) => i.setting) / acts) * Math.exp(fit.mean(SETTING)),
    advance: sum((i) => i.advance),
    baste: sum((i) => i.baste),
    thread: sum((i) => i.thread),
    bobbins: sum((i) => i.bobbins),
    foot: sum((i) => i.foot),
  };
}

/** Acts of a step at the frame that belong to no zone, minutes as predicted. */
export const frameActsMin = ({ items: i }: Pick<PlannedStep, 'items'>): number =>
  i.advance + i.baste + i.thread + i.bobbins + i.foot;

type Place = { pass: number; thread: string; stabilise?: boolean };

/** Steps in the order of work given; those without a place in it follow as they are planned. */
export function inOrderOf<T extends StepKey>(steps: readonly T[], order: readonly Place[]): T[] {
  const left = [...steps].sort((a, b) => a.pass - b.pass || Number(b.stabilise) - Number(a.stabilise));
  const out: T[] = [];
  for (const o of order) {
    const at = left.findIndex(
      (s) =>
        s.pass === o.pass &&
        s.thread === o.thread &&
        (o.stabilise === undefined || s.stabilise === o.stabilise),
    );
    if (at >= 0) out.push(...left.splice(at, 1));
  }
  return [...out, ...left];
}

/** The steps of a plan in the order of work given, each with what it takes. */
export const planSteps = (
  plan: WorkPlan,
  request: Parameters<typeof bareSteps>[1] & Pick<WorkPlanRequest, 'belief' | 'basteMin'>,
  order: readonly Place[],
  prices: Pick<Prices, 'rollMin' | 'changeMin'>,
): PlannedStep[] =>
  withActs(inOrderOf(bareSteps(plan, request).steps, order), prices, request.belief, request.basteMin);

/** What a quilt asks of the frame as a whole. */
const acts = (actsMin: number): Step => ({ parts: [{ technique: '', handsMin: 0, actsMin }] });

/** Loading on a frame; on a table basting, the quickest way but a fusible batting. */
function loadMin({
  table,
  quilt,
  battingId,
  backing,
}: Pick<WorkPlanRequest, 'table' | 'quilt' | 'battingId' | 'backing'>): number {
  if (!table) return ACT_MIN.load;
  const ways = tableAdvice(table, { ...quilt, battingId, backing }).bastings.filter(
    (b) => b.id !== 'fusible',
  );
  return Math.min(...ways.map((b) => b.minutes));
}

/**
 * Everything that is left of a quilt, as steps for its hours: the steps not sewn, zones that have no card yet in each of
 * their passes, loading while it is not loaded, taking off. What a page says is left is the sum of these.
 */
export function leftSteps(
  plan: WorkPlan,
  request: Pick<WorkPlanRequest, 'zones' | 'basteMin' | 'table' | 'quilt' | 'battingId' | 'backing'>,
  steps: readonly PlannedStep[],
  quilt: { step: string; sewn: readonly SewnStep[]; onFrameSince: string | null },
): Step[] {
  if (quilt.step === 'hand-back') return [];
  const passes = new Set(steps.map((s) => s.pass));
  const unmatched: Step[] = [];
  const bands = Math.max(1, plan.passes?.passes ?? 1);
  for (let at = 0; at < bands; at++) {
    const parts = request.zones.flatMap((z, i) => {
      const share = plan.zones[i]!.shares[at] ?? 0;
      return z.setup || share < SLIVER || techniques.get(z.technique).leftOpen
        ? []
        : [partOf(plan.zones[i]!.work, share)];
    });
    if (parts.length === 0) continue;
    const frame = passes.has(at + 1)
      ? 0
      : (request.basteMin ?? ACT_MIN.basteSides) + (at > 0 ? ACT_MIN.advance : 0);
    unmatched.push({ parts: parts.map((p, i) => (i === 0 ? { ...p, actsMin: p.actsMin + frame } : p)) });
  }
  const loaded = quilt.onFrameSince !== null || quilt.sewn.length > 0;
  return [
    ...steps.filter((s) => !isSewn(s, quilt.sewn)),
    ...unmatched,
    ...(loaded ? [] : [acts(loadMin(request))]),
    ...(request.table ? [] : [acts(ACT_MIN.takeOff)]),
  ];
}
