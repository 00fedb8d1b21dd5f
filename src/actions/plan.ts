import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { TURN_RULES, type TurnRule } from '@/core/fields/lists';
import type { HoursBelief } from '@/core/hours/factors';
import { wornBy } from '@/core/needle/life';
import { planOrder } from '@/core/order/order';
import { type BegunPlan, isSewn, movedOn, sewnShare } from '@/core/plan/begun';
import type { Step } from '@/core/hours/step';
import { type PlannedStep, planSteps, wholeSteps } from '@/core/plan/steps';
import {
  planWork,
  rolledMm,
  type PlannedZone,
  type WorkPlan,
  type WorkPlanRequest,
} from '@/core/plan/work-plan';
import { type FrameSize, planPasses } from '@/core/passes/passes';
import { wearFactor } from '@/core/sandwich/sandwich';
import { fibres } from '@/core/tables/fibres';
import { ACT_MIN } from '@/core/usage/sewing-time';
import { readTakenBy, takeMetres } from '@/data/cones';
import { deleteStitches, insertStitches, type SewnInPass } from '@/data/fault-record';
import { insertEntry, lockLog } from '@/data/log';
import { readMachine } from '@/data/machines';
import { addStitches, readFittedIn } from '@/data/needles';
import { readPreferences } from '@/data/preferences';
import { lockQuilt, markSewn, setOnFrame, updateOrder, updatePlan } from '@/data/quilts';
import type { Sql } from '@/data/sql';
import { deleteStep, insertStep } from '@/data/steps';
import type { ChosenSetup, Cone, Machine, Preferences, Quilt, Zone } from '@/data/types';
import type { Context } from './context';
import { readHours } from './hours';
import { type QuiltView, readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Maybe, Num, OneOf, QuiltId, Version, Whole, Words, Yes } from './rules';
import { MEANWHILE, save } from './save';
import { sandwichOf } from './zone-brief';

/** A roll of the quilt and a thread change, minutes. */
export const PRICES = { rollMin: ACT_MIN.advance, changeMin: ACT_MIN.threadChange };

/** A machine's frame as passes are planned on it. */
export const frameOf = (m: Machine): FrameSize => ({
  throatIn: m.throatIn,
  deadIn: m.deadIn,
  widthIn: m.frameIn,
  rollInThroat: m.rollInThroat,
  rollStartIn: m.rollStartIn,
});

export const bobbinOf = (m: Machine) => ({ od: m.bobbinOdMm, core: m.bobbinCoreMm, width: m.bobbinWidthMm });

interface PlanSources {
  quilt: Quilt;
  zones: readonly Zone[];
  setups: ReadonlyMap<string, ChosenSetup>;
  cones: ReadonlyMap<string, Cone>;
  machine: Machine;
  preferences: Preferences;
  belief: HoursBelief;
}

/** A stored quilt as the core plans it; one that was begun keeps the frame, bobbin and passes it was begun with. */
export function planRequest(sources: PlanSources): WorkPlanRequest {
  const { quilt, zones, setups, cones, machine, preferences, belief } = sources;
  const { begun, depthsIn, turned } = quilt;
  return {
    quilt,
    battingId: quilt.battingKind,
    battingMaxGapIn: quilt.battingMaxGapIn ?? undefined,
    gapShare: preferences.gapShare,
    backing: quilt.backingKind,
    frame: begun?.frame ?? frameOf(machine),
    marginIn: begun?.marginIn ?? preferences.marginIn,
    begun: begun && depthsIn ? { depthsIn, turned } : undefined,
    turn: quilt.turnRule,
    bobbinMm: begun?.bobbinMm ?? bobbinOf(machine),
    evenness: preferences.evenness,
    ditchSchool: preferences.ditchSchool,
    // Ends are buried for a show whatever the studio's way.
    ends: quilt.use === 'show' ? 'bury' : preferences.endsSchool,
    belief,
    zones: zones.map((z): PlannedZone => {
      const s = setups.get(z.id);
      const top = s && cones.get(s.topId);
      const bobbin = s && cones.get(s.bobbinId);
      return {
        id: z.id,
        letter: z.letter,
        geometry: z.geometry,
        technique: z.technique,
        spacingIn: z.spacingIn,
        lengthIn: z.lengthIn ?? undefined,
        sandwich: sandwichOf(z, quilt),
        setup: s && top && bobbin ? { top, bobbin, spi: s.spi, maxInPerS: s.maxInPerS } : null,
      };
    }),
  };
}

/** A quilt's plan, worked out from what is stored now, with its steps in the order of work. */
export async function readPlan(sql: Sql, view: QuiltView) {
  const [machine, preferences, belief] = await Promise.all([
    readMachine(sql, view.quilt.machineId),
    readPreferences(sql),
    readHours(sql),
  ]);
  return planOf(view, machine, preferences!, belief);
}

/** The same from what was read already. */
export function planOf(view: QuiltView, machine: Machine, preferences: Preferences, belief: HoursBelief) {
  const { quilt } = view;
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const request = planRequest({ ...view, cones, machine, preferences, belief });
  const plan = planWork(request);
  const order = quilt.orderByHand ?? quilt.begun?.steps ?? [];
  const steps = planSteps(plan, request, order, PRICES);
  const moved = quilt.begun
    ? movedOn(quilt.begun, {
        id: machine.id,
        name: machine.name,
        frame: frameOf(machine),
        marginIn: preferences.marginIn,
      })
    : [];
  return {
    plan,
    steps,
    moved,
    share: shareSewn(quilt, steps),
    belief,
    preferences,
    machine,
    request,
  };
}

/**
 * What is left of a quilt, as steps for its hours, and the share that is sewn. Only where steps are sewn already must it
 * be known how the work divides by pass.
 */
export function whatIsLeft(quilt: Quilt, request: WorkPlanRequest): { left: Step[]; share: number } {
  const begun = quilt.sewn.length > 0 && quilt.step !== 'hand-back';
  const plan = planWork({ ...request, brief: !begun });
  const order = quilt.orderByHand ?? quilt.begun?.steps ?? [];
  const share = shareSewn(quilt, begun ? planSteps(plan, request, order, PRICES) : []);
  return { left: wholeSteps(plan, PRICES.changeMin, 1 - share), share };
}

/** Share of a quilt that is sewn, 0–1, by the minutes of its steps. */
export const shareSewn = (
  quilt: Pick<Quilt, 'step' | 'sewn' | 'begun'>,
  steps?: readonly PlannedStep[],
): number =>
  quilt.step === 'hand-back'
    ? 1
    : sewnShare(steps && steps.length > 0 ? steps : (quilt.begun?.steps ?? []), quilt.sewn);

/** What a step sews in each of its zones. */
export const stitchesOf = (
  plan: WorkPlan,
  setups: ReadonlyMap<string, ChosenSetup>,
  step: PlannedStep,
): SewnInPass[] =>
  step.zones.flatMap(({ id, share }) => {
    const setup = setups.get(id);
    const stitches = (plan.zones.find((z) => z.id === id)?.stitches ?? 0) * share;
    if (!setup || stitches <= 0) return [];
    const { topId, bobbinId, needleNm } = setup;
    return [{ zoneId: id, pass: step.pass, topId, bobbinId, needleNm, stitches }];
  });

/** Stitches of a step, and how much they wear a needle: each counts by the cloth and thread it goes through. */
export function wearOf(
  request: WorkPlanRequest,
  cones: ReadonlyMap<string, Pick<Cone, 'fibre'>>,
  sewn: readonly SewnInPass[],
): { stitches: number; worn: number } {
  return sewn.reduce(
    (sum, s) => {
      const zone = request.zones.find((z) => z.id === s.zoneId)!;
      const factor = wearFactor(zone.sandwich) * fibres.get(cones.get(s.topId)!.fibre).needleWear;
      return { stitches: sum.stitches + s.stitches, worn: sum.worn + wornBy(s.stitches, factor) };
    },
    { stitches: 0, worn: 0 },
  );
}

/** What a quilt is begun with, to be kept: its machine and frame as they are now, and the steps in order. */
export function begin(
  { machine, preferences, request, plan }: ReturnType<typeof planOf>,
  now: Date,
): BegunPlan {
  const found = planOrder({ ...plan.order, ...PRICES, rolling: preferences.rollingSchool });
  const steps = planSteps(plan, request, found.order, PRICES);
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
      begun: begin(again, context.now),
    });
    return kept ? done({ passes: depthsIn.length }) : conflict(MEANWHILE);
  });

/** The last pass in which anything is sewn; 0 before. */
const lastPassSewn = (quilt: Pick<Quilt, 'sewn'>) => Math.max(0, ...quilt.sewn.map((s) => s.pass));

class OrderedCell {
  @Whole(1, 200, 'The pass') pass!: number;
  @Words(200, 'A step has no thread.') thread!: string;
}

export class SetOrder {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  /** Empty: back to the order worked out. */
  @IsArray({ message: 'The order could not be read.' })
  @ArrayMaxSize(600, { message: 'That is more steps than a quilt has.' })
  @ValidateNested({ each: true })
  @Type(() => OrderedCell)
  order!: OrderedCell[];
}

/** Keeps the order of work as the quilter laid it. */
export const setOrder = (context: Context, input: unknown): Promise<Result<{ steps: number }>> =>
  save<SetOrder, { steps: number }>(context, 'set-order', SetOrder, input, async (tx, form) => {
    const order = form.order.map(({ pass, thread }) => ({ pass, thread }));
    const kept = await updateOrder(tx, form.quiltId, form.version, order.length > 0 ? order : null);
    return kept ? done({ steps: order.length }) : conflict(MEANWHILE);
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

/** A step is sewn: its minutes teach the hours, its thread comes off the cones, its stitches wear the needle. */
export const logStep = (context: Context, input: unknown): Promise<Result<{ left: number }>> =>
  save<LogStep, { left: number }>(context, 'log-step', LogStep, input, async (tx, form) => {
    await lockQuilt(tx, form.quiltId);
    const view = await readQuiltView(tx, form.quiltId);
    if (!view) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    const { quilt } = view;
    if (!quilt.passes) return refuse('Fix the passes of this quilt first.', 'pass');
    if (form.pass > quilt.passes) return refuse(`This quilt has ${quilt.passes} passes.`, 'pass');
    const read = await readPlan(tx, view);
    const step = read.steps.find(
      (s) => s.pass === form.pass && s.thread === form.thread && s.stabilise === form.stabilise,
    );
    if (!step) return refuse('The plan has no such step. Reload to see the steps that are left.', 'pass');
    if (isSewn(step, quilt.sewn))
      return conflict('This step is logged already, perhaps from another window. Reload to see.');
    const id = uuidv7();
    const left = await noteStep(tx, view, read, step, form.minutes ?? null, context.now, id);
    const { pass, thread, stabilise } = step;
    await lockLog(tx);
    await insertEntry(tx, DESK, {
      id,
      quiltId: quilt.id,
      kind: 'step-done',
      at: context.now.toISOString(),
      pass,
      thread,
      stabilise,
      ...(form.minutes ? { minutes: form.minutes } : {}),
    });
    return done({ left });
  });

/** Writes what a sewn step changes; how many steps are left. */
export async function noteStep(
  tx: Sql,
  view: QuiltView,
  { plan, steps, request, machine }: ReturnType<typeof planOf>,
  step: PlannedStep,
  minutes: number | null,
  at: Date,
  id: string = uuidv7(),
): Promise<number> {
  const { quilt } = view;
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const sewn = stitchesOf(plan, view.setups, step);
  const { stitches, worn } = wearOf(request, cones, sewn);
  const fitted = await readFittedIn(tx, machine.id);
  await insertStep(tx, {
    id,
    quiltId: quilt.id,
    pass: step.pass,
    coneId: step.thread,
    stabilise: step.stabilise,
    minutes,
    parts: step.parts,
    stitches,
    needleFittedId: fitted?.id ?? null,
    worn,
    at,
  });
  await insertStitches(tx, sewn);
  if (fitted) await addStitches(tx, fitted.id, stitches, worn);
  for (const { id: zoneId, letter, share } of step.zones) {
    const z = plan.zones.find((x) => x.id === zoneId)!;
    await takeMetres(
      tx,
      step.thread,
      z.topM * share,
      'pass',
      `${quilt.name}, pass ${step.pass}, zone ${letter}`,
      id,
    );
  }
  const now = [...quilt.sewn, step];
  const left = steps.filter((s) => !isSewn(s, now)).length;
  const unmatched = request.zones.some((z) => !z.setup);
  await markSewn(tx, quilt.id, left === 0 && !unmatched);
  return left;
}

/** Takes a sewn step back: its thread, its stitches, its wear; false when it is not there. */
export async function takeStepBack(tx: Sql, quiltId: string, id: string): Promise<boolean> {
  const taken = await readTakenBy(tx, id);
  const step = await deleteStep(tx, id);
  if (!step) return false;
  for (const { coneId, metres } of taken) await takeMetres(tx, coneId, -metres, 'pass', 'taken back', id);
  if (step.coneId) await deleteStitches(tx, quiltId, step.pass, step.coneId);
  if (step.needleFittedId) await addStitches(tx, step.needleFittedId, -step.stitches, -step.worn);
  await markSewn(tx, quiltId, false);
  return true;
}

export class PutOnFrame {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @OneOf(['on', 'off'], 'On the frame, or off.') where!: 'on' | 'off';
}

/** A quilt goes on the frame of its machine, or comes off. */
export const putOnFrame = (context: Context, input: unknown): Promise<Result<{ where: string }>> =>
  save<PutOnFrame, { where: string }>(
    context,
    'put-on-frame',
    PutOnFrame,
    input,
    async (tx, form) => {
      await setOnFrame(tx, form.quiltId, form.where === 'on');
      return done({ where: form.where });
    },
    { one_quilt_on_a_frame: ['', 'Another quilt is on this frame. Take it off first.'] },
  );
