import 'reflect-metadata';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { TURN_RULES, type TurnRule } from '@/core/fields/lists';
import { planOrder } from '@/core/order/order';
import { planPasses } from '@/core/passes/passes';
import { type BegunPlan, isSewn } from '@/core/plan/begun';
import { bareSteps, inOrderOf, planSteps } from '@/core/plan/steps';
import { stepId } from '@/core/plan/step-key';
import { rolledMm } from '@/core/plan/bands';
import { lockQuilt, readFramed, setOnFrame, updateOrder, updatePlan, updateZonesByHand } from '@/data/quilts';
import type { Quilt } from '@/data/types';
import type { Context } from './context';
import { addTo } from './log';
import { bobbinOf, frameOf, planOf, PRICES, pricesOf, readPlan } from './plan';
import { readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { EachId, EachOf, FormKey, Id, Maybe, Num, OneOf, QuiltId, Version, Whole, Words, Yes } from './rules';
import { MEANWHILE, save } from './save';

/** What a quilt is begun with, to be kept: its machine and frame as they are now, and the steps in order: what is sewn first, as it was. */
export function begin(
  { machine, preferences, request, plan }: ReturnType<typeof planOf>,
  now: Date,
  sewn: Pick<Quilt, 'sewn' | 'begun'> = { sewn: [], begun: null },
): BegunPlan {
  const bare = bareSteps(plan, request).steps;
  const sewnSteps = inOrderOf(bare, sewn.begun?.steps ?? []).filter((s) => isSewn(s, sewn.sewn));
  const left = plan.order.cells.filter((c) => !isSewn({ ...c, stabilise: c.stabilise ?? false }, sewn.sewn));
  const found = planOrder({
    ...plan.order,
    ...pricesOf(preferences),
    cells: left,
    rolling: preferences.rollingSchool,
    startPass: sewnSteps.at(-1)?.pass ?? 1,
    sewnPasses: sewn.sewn.map((s) => s.pass),
  });
  const steps = planSteps(plan, request, [...sewnSteps, ...found.order], PRICES);
  return {
    machineId: machine.id,
    machine: machine.name,
    frame: frameOf(machine),
    marginIn: preferences.marginIn,
    bobbinMm: bobbinOf(machine),
    at: now.toISOString(),
    steps: steps.map(({ pass, thread, stabilise, minutes }) => ({ pass, thread, stabilise, minutes })),
  };
}

export class FixPlan {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @OneOf(TURN_RULES, 'Turned where it saves passes, or never.') turnRule!: TurnRule;
}

/**
 * Fixes the passes of a quilt as they are planned now, with everything they rest on; the map and the Stand count by
 * them. Passes that are sewn stand: only the rest is planned on what the Workroom is now.
 */
export const fixPlan = (context: Context, input: unknown): Promise<Result<{ passes: number }>> =>
  save<FixPlan, { passes: number }>(context, 'fix-plan', FixPlan, input, async (tx, form) => {
    await lockQuilt(tx, form.quiltId);
    const view = await readQuiltView(tx, form.quiltId);
    if (!view) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    const { quilt } = view;
    const fresh = { ...view, quilt: { ...quilt, turnRule: form.turnRule, begun: null, depthsIn: null } };
    const now = await readPlan(tx, fresh);
    const sewnIn = quilt.depthsIn?.slice(0, lastPassSewn(quilt)) ?? [];
    if (sewnIn.length === 0) {
      if (!now.plan.passes) return refuse(now.plan.cautions[0]!.text, 'turnRule');
      const kept = await updatePlan(tx, quilt.id, form.version, {
        depthsIn: now.plan.passes.depthsIn,
        turned: now.plan.passes.turned,
        turnRule: form.turnRule,
        begun: begin(now, context.now),
      });
      return kept ? done({ passes: now.plan.passes.passes }) : conflict(MEANWHILE);
    }
    const [across, along] = quilt.turned ? [quilt.lengthIn, quilt.widthIn] : [quilt.widthIn, quilt.lengthIn];
    const { depthsIn } = planPasses({
      quilt: { widthIn: across, lengthIn: along },
      marginIn: now.preferences.marginIn,
      frame: frameOf(now.machine),
      rolledMm: rolledMm(quilt.battingKind, quilt.backingKind),
      turn: 'never',
      sewnIn,
    });
    const again = await readPlan(tx, { ...view, quilt: { ...quilt, depthsIn } });
    const kept = await updatePlan(tx, quilt.id, form.version, {
      depthsIn,
      turned: quilt.turned,
      turnRule: quilt.turnRule,
      begun: begin(again, context.now, quilt),
    });
    return kept ? done({ passes: depthsIn.length }) : conflict(MEANWHILE);
  });

/** The last pass in which anything is sewn; 0 before. */
const lastPassSewn = (quilt: Pick<Quilt, 'sewn'>) => Math.max(0, ...quilt.sewn.map((s) => s.pass));

class OrderedCell {
  @Whole(1, 200, 'The pass') pass!: number;
  @Words(200, 'A step has no thread.') thread!: string;
  @Maybe() @Yes() stabilise?: boolean;
}

export class SetOrder {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  /** Empty: back to the order worked out. */
  @IsArray({ message: 'The order could not be read.' })
  @ArrayMaxSize(600, { message: 'That is more steps than a quilt has.' })
  @EachOf(() => OrderedCell)
  order!: OrderedCell[];
}

/** Keeps the order of work as the quilter laid it. */
export const setOrder = (context: Context, input: unknown): Promise<Result<{ steps: number }>> =>
  save<SetOrder, { steps: number }>(context, 'set-order', SetOrder, input, async (tx, form) => {
    const order = form.order.map(({ pass, thread, stabilise }) => ({
      pass,
      thread,
      ...(stabilise === undefined ? {} : { stabilise }),
    }));
    const kept = await updateOrder(tx, form.quiltId, form.version, order.length > 0 ? order : null);
    return kept ? done({ steps: order.length }) : conflict(MEANWHILE);
  });

export class SetZoneOrder {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @Whole(1, 200, 'The pass') pass!: number;
  @Words(200, 'A step has no thread.') thread!: string;
  @Yes() stabilise!: boolean;
  /** Empty: back to the order worked out. */
  @IsArray({ message: 'The zones could not be read.' })
  @ArrayMaxSize(200, { message: 'That is more zones than a quilt has.' })
  @EachId('A zone is not known. Reload the page.')
  zones!: string[];
}

/** Keeps the order of zones inside a step as the quilter laid it. */
export const setZoneOrder = (context: Context, input: unknown): Promise<Result<{ zones: number }>> =>
  save<SetZoneOrder, { zones: number }>(context, 'set-zone-order', SetZoneOrder, input, async (tx, form) => {
    const kept = await updateZonesByHand(tx, form.quiltId, form.version, stepId(form), form.zones);
    return kept ? done({ zones: form.zones.length }) : conflict(MEANWHILE);
  });

/** The desk writes to the log under a device of its own. */
const DESK = '00000000-0000-7000-8000-00000000de5c';

export class LogStep {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Whole(1, 200, 'The pass') pass!: number;
  @Words(60, 'Say which thread it was sewn with.') thread!: string;
  @Yes() stabilise!: boolean;
  @Maybe() @Num(0.5, 2000, 'Minutes') minutes?: number | null;
}

/** A step is sewn: written to the log as the Stand writes it, with everything that follows from it. */
export const logStep = (context: Context, input: unknown): Promise<Result<{ left: number }>> =>
  save<LogStep, { left: number }>(context, 'log-step', LogStep, input, async (tx, form) => {
    await lockQuilt(tx, form.quiltId);
    const view = await readQuiltView(tx, form.quiltId);
    if (!view) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    const { quilt } = view;
    if (!quilt.passes) return refuse('Lock in the passes of this quilt first.', 'pass');
    if (form.pass > quilt.passes) return refuse(`This quilt has ${quilt.passes} passes.`, 'pass');
    const { pass, thread, stabilise, minutes } = form;
    if (isSewn({ pass, thread, stabilise }, quilt.sewn))
      return conflict('This step is logged already, perhaps from another window. Reload to see.');
    const added = await addTo(tx, DESK, {
      id: uuidv7(),
      quiltId: quilt.id,
      kind: 'step-done',
      at: context.now.toISOString(),
      pass,
      thread,
      stabilise,
      ...(minutes ? { minutes } : {}),
    });
    if (!added.ok) return refuse('The plan has no such step. Reload to see the steps that are left.', 'pass');
    const after = (await readQuiltView(tx, quilt.id))!;
    const { steps } = await readPlan(tx, after);
    return done({ left: steps.filter((s) => !isSewn(s, after.quilt.sewn)).length });
  });

export class PutOnFrame {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @OneOf(['on', 'off'], 'On the frame, or off.') where!: 'on' | 'off';
  /** The quilt that is taken off for it, once that was asked. */
  @Maybe() @Id('The quilt on the frame is not known. Reload the page.') insteadOf?: string | null;
}

/** A quilt goes on the frame of its machine, or comes off. Where another is on it, that is asked first. */
export const putOnFrame = (context: Context, input: unknown): Promise<Result<{ where: string }>> =>
  save<PutOnFrame, { where: string }>(
    context,
    'put-on-frame',
    PutOnFrame,
    input,
    async (tx, form) => {
      const other = form.where === 'on' ? await readFramed(tx, form.quiltId) : null;
      if (other && other.id !== form.insteadOf)
        return refuse(`${other.name} is on this frame. Take it off first?`, 'insteadOf');
      if (other) await setOnFrame(tx, other.id, false);
      return (await setOnFrame(tx, form.quiltId, form.where === 'on'))
        ? done({ where: form.where })
        : refuse('This quilt is not here to be sewn any more. Go back to the Rack.', 'quiltId');
    },
    { one_quilt_on_a_frame: ['insteadOf', 'Another quilt is on this frame. Reload to see which.'] },
  );
