import type { Part, Step } from '../hours/step';
import { type OrderRequest } from '../order/cells';
import { techniques } from '../tables/techniques';
import { stepId, type StepKey } from './step-key';
import { type PlannedZone, SLIVER, stabilises, type WorkPlan, type WorkPlanRequest } from './work-plan';

/** One step at the frame: one pass with one thread, the zones in it and what it is predicted to take. */
export interface PlannedStep extends StepKey, Step {
  zones: { id: string; letter: string; share: number }[];
  /** Minutes the model alone predicts. */
  minutes: number;
}

/** A zone's work in one pass. */
const partOf = (work: Part, share: number): Part => ({
  ...work,
  handsMin: work.handsMin * share,
  actsMin: work.actsMin * share,
});

/**
 * The steps of a plan in the order of work given (cells without a place in it follow as they are planned). Acts at the
 * frame are laid on the step that causes them: advance and basting on the first step of a pass, a thread change on
 * the step it comes before.
 */
export function planSteps(
  plan: WorkPlan,
  request: Pick<WorkPlanRequest, 'zones' | 'ditchSchool'>,
  order: readonly { pass: number; thread: string; stabilise?: boolean }[],
  prices: Pick<OrderRequest, 'changeMin'>,
): PlannedStep[] {
  const cells = new Map<string, PlannedStep>();
  request.zones.forEach((z, i) => addZone(cells, z, plan.zones[i]!, request.ditchSchool));
  const seen = new Set<number>();
  let thread: string | null = null;
  return inOrder([...cells.values()], order).map((s) => {
    const acts =
      (seen.has(s.pass) ? 0 : plan.acts.perPass) +
      (thread !== null && thread !== s.thread ? prices.changeMin : 0);
    seen.add(s.pass);
    thread = s.thread;
    const parts = s.parts.map((p, i) => (i === 0 ? { ...p, actsMin: p.actsMin + acts } : p));
    return { ...s, parts, minutes: s.minutes + acts };
  });
}

function addZone(
  cells: Map<string, PlannedStep>,
  zone: PlannedZone,
  planned: WorkPlan['zones'][number],
  school: WorkPlanRequest['ditchSchool'],
) {
  if (!zone.setup) return;
  const stabilise = stabilises(techniques.get(zone.technique), school);
  planned.shares.forEach((share, p) => {
    if (share < SLIVER) return;
    const key = { pass: p + 1, thread: zone.setup!.top.id, stabilise };
    const part = partOf(planned.work, share);
    const so = cells.get(stepId(key)) ?? { ...key, zones: [], parts: [], minutes: 0 };
    cells.set(stepId(key), {
      ...so,
      zones: [...so.zones, { id: zone.id, letter: zone.letter, share }],
      parts: [...so.parts, part],
      minutes: so.minutes + part.handsMin + part.actsMin,
    });
  });
}

function inOrder(
  steps: readonly PlannedStep[],
  order: readonly { pass: number; thread: string; stabilise?: boolean }[],
): PlannedStep[] {
  const left = [...steps].sort((a, b) => a.pass - b.pass || Number(b.stabilise) - Number(a.stabilise));
  const out: PlannedStep[] = [];
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

/** Minutes a plan predicts for everything at the frame, acts included. */
export function predictedWhole(plan: WorkPlan): number {
  const passes = plan.passes?.passes ?? 1;
  const zones = plan.zones.reduce((sum, z) => sum + z.work.handsMin + z.work.actsMin, 0);
  return zones + plan.acts.once + plan.acts.perPass * passes;
}

/**
 * A whole quilt, or what is left of it (0–1), as steps for its hours: as many as it has passes and threads, since the
 * scatter of single steps averages out over them. `changeMin`: minutes of a thread change.
 */
export function wholeSteps(plan: WorkPlan, changeMin: number, left = 1): Step[] {
  const passes = plan.passes?.passes ?? 1;
  const changes = Math.max(0, plan.order.threads.length - 1);
  const acts = plan.acts.once + plan.acts.perPass * passes + changes * changeMin;
  const parts: Part[] = [
    ...plan.zones.map((z) => z.work),
    { technique: plan.zones[0]?.work.technique ?? '', handsMin: 0, actsMin: acts },
  ];
  const n = Math.max(1, Math.round(passes * Math.max(1, plan.order.threads.length) * left));
  const step: Step = { parts: parts.map((p) => partOf(p, left / n)) };
  return left > 0 ? Array<Step>(n).fill(step) : [];
}
