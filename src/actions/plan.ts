import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { planWork, type PlannedZone, type WorkPlan, type WorkPlanRequest } from '@/core/plan/work-plan';
import {
  learnSpeed,
  minutesRange,
  PRIOR_SPEED,
  type Range,
  type SpeedFactor,
  speedForQuilt,
} from '@/core/usage/hours';
import { ACT_MIN } from '@/core/usage/sewing-time';
import { takeMetres } from '@/data/cones';
import { insertStitches, type SewnInPass } from '@/data/fault-record';
import { readMachine } from '@/data/machines';
import { insertPassLog, readAllPassLogs } from '@/data/passes';
import type { Sql } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import type { ChosenSetup, Cone, Machine, Quilt, Preferences, Zone } from '@/data/types';
import type { Context } from './context';
import { readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Num, OneOf, QuiltId, Version, Whole, Words } from './rules';
import { MEANWHILE, save } from './save';
import { sandwichOf } from './zone-brief';

/** A roll of the quilt and a thread change, minutes. */
export const PRICES = { rollMin: ACT_MIN.advance, changeMin: ACT_MIN.threadChange };

interface PlanSources {
  quilt: Quilt;
  zones: readonly Zone[];
  setups: ReadonlyMap<string, ChosenSetup>;
  cones: ReadonlyMap<string, Cone>;
  machine: Machine;
  preferences: Preferences;
  speed: SpeedFactor;
}

/** A stored quilt as the core plans it. */
export function planRequest({
  quilt,
  zones,
  setups,
  cones,
  machine,
  preferences,
  speed,
}: PlanSources): WorkPlanRequest {
  return {
    quilt,
    battingId: quilt.battingKind,
    battingMaxGapIn: quilt.battingMaxGapIn ?? undefined,
    backing: quilt.backingKind,
    frame: {
      throatIn: machine.throatIn,
      deadIn: machine.deadIn,
      widthIn: machine.frameIn,
      rollInThroat: machine.rollInThroat,
      rollStartIn: machine.rollStartIn,
    },
    marginIn: preferences.marginIn,
    turn: quilt.turnRule,
    bobbinMm: { od: machine.bobbinOdMm, core: machine.bobbinCoreMm, width: machine.bobbinWidthMm },
    evenness: preferences.evenness,
    ditchSchool: preferences.ditchSchool,
    // Ends are buried for a show whatever the studio's way.
    ends: quilt.use === 'show' ? 'bury' : preferences.endsSchool,
    speed,
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

/** Hours a whole quilt takes, middle and range, with rolls and changes as the usual way would have them. */
export function wholeMinutes(plan: WorkPlan, speed: SpeedFactor): Range {
  const passes = plan.passes?.passes ?? 1;
  const changes = Math.max(0, plan.order.threads.length - 1);
  const overhead = (passes - 1) * PRICES.rollMin + changes * PRICES.changeMin;
  return minutesRange(plan.minutes.sewing, plan.minutes.acts + overhead, speedForQuilt(speed, passes));
}

/** The speed learned from every pass this studio has logged. */
export const readSpeed = async (sql: Sql): Promise<SpeedFactor> => learnSpeed(await readAllPassLogs(sql));

/** A quilt's plan, worked out from what is stored now. */
export async function readPlan(sql: Sql, view: NonNullable<Awaited<ReturnType<typeof readQuiltView>>>) {
  const [machine, preferences, speed] = await Promise.all([
    readMachine(sql, view.quilt.machineId),
    readPreferences(sql),
    readSpeed(sql),
  ]);
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const request = planRequest({ ...view, cones, machine, preferences: preferences!, speed });
  return { plan: planWork(request), speed, preferences: preferences!, machine, request };
}

/** Minutes one pass would take by the model alone, before anything is learned. */
const predictedMinutes = (plan: WorkPlan, pass: number): number =>
  plan.order.cells.filter((c) => c.pass === pass).reduce((sum, c) => sum + c.minutes, 0);

/** What a pass sews in each zone that has a set-up. */
export const stitchesOf = (
  plan: WorkPlan,
  setups: ReadonlyMap<string, ChosenSetup>,
  pass: number,
): SewnInPass[] =>
  plan.zones.flatMap((z) => {
    const setup = setups.get(z.id);
    const stitches = z.stitches * (z.shares[pass - 1] ?? 0);
    if (!setup || stitches <= 0) return [];
    const { topId, bobbinId, needleNm } = setup;
    return [{ zoneId: z.id, pass, topId, bobbinId, needleNm, stitches }];
  });

export class FixPlan {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @OneOf(['auto', 'never'], 'Turned where it saves passes, or never.') turnRule!: 'auto' | 'never';
}

/** Fixes the passes of a quilt as they are planned now; the map and the Stand count by them. */
export const fixPlan = (context: Context, input: unknown): Promise<Result<{ passes: number }>> =>
  save<FixPlan, { passes: number }>(context, 'fix-plan', FixPlan, input, async (tx, form) => {
    const view = await readQuiltView(tx, form.quiltId);
    if (!view) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    const { plan } = await readPlan(tx, { ...view, quilt: { ...view.quilt, turnRule: form.turnRule } });
    if (!plan.passes) return refuse(plan.cautions[0]!.text, 'turnRule');
    if (view.quilt.passesSewn > plan.passes.passes)
      return refuse(
        `${view.quilt.passesSewn} passes are sewn already; this plan has only ${plan.passes.passes}.`,
        'turnRule',
      );
    const rows = await tx`
      update quilt set passes = ${plan.passes.passes}, depths_in = ${plan.passes.depthsIn}, turned = ${plan.passes.turned},
        turn_rule = ${form.turnRule}, order_by_hand = null, version = version + 1
      where id = ${form.quiltId} and version = ${form.version} returning id`;
    return rows.length === 1 ? done({ passes: plan.passes.passes }) : conflict(MEANWHILE);
  });

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
    const rows = await tx`
      update quilt set order_by_hand = ${order.length > 0 ? tx.json(order as never) : null}, version = version + 1
      where id = ${form.quiltId} and version = ${form.version} returning id`;
    return rows.length === 1 ? done({ steps: order.length }) : conflict(MEANWHILE);
  });

export class LogPass {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Whole(1, 200, 'The pass') pass!: number;
  @Num(0.5, 2000, 'Minutes') minutes!: number;
}

/** A pass is sewn: its minutes teach the hours, and its thread comes off the cones. */
export const logPass = (context: Context, input: unknown): Promise<Result<{ passesSewn: number }>> =>
  save<LogPass, { passesSewn: number }>(context, 'log-pass', LogPass, input, async (tx, form) => {
    const view = await readQuiltView(tx, form.quiltId);
    if (!view) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    const { quilt } = view;
    if (!quilt.passes) return refuse('Fix the passes of this quilt first.', 'pass');
    if (form.pass > quilt.passes) return refuse(`This quilt has ${quilt.passes} passes.`, 'pass');
    if (form.pass !== quilt.passesSewn + 1)
      return conflict(
        `Pass ${quilt.passesSewn + 1} is next. Another window may have logged this one: reload to see.`,
      );
    const { request } = await readPlan(tx, view);
    const plan = planWork({ ...request, speed: PRIOR_SPEED });
    const predicted = Math.max(0.1, predictedMinutes(plan, form.pass));
    await insertPassLog(tx, {
      id: uuidv7(),
      quiltId: quilt.id,
      pass: form.pass,
      minutes: form.minutes,
      predictedMin: predicted,
    });
    await insertStitches(tx, stitchesOf(plan, view.setups, form.pass));
    for (const [i, z] of request.zones.entries()) {
      const share = plan.zones[i]!.shares[form.pass - 1] ?? 0;
      if (z.setup && share > 0)
        await takeMetres(
          tx,
          z.setup.top.id,
          plan.zones[i]!.topM * share,
          'pass',
          `${quilt.name}, pass ${form.pass}, zone ${z.letter}`,
        );
    }
    await tx`
      update quilt set passes_sewn = ${form.pass}, step = case when ${form.pass} = passes then 'hand-back' else 'quilt' end,
        on_frame_since = case when ${form.pass} = passes then null else on_frame_since end, version = version + 1
      where id = ${quilt.id}`;
    return done({ passesSewn: form.pass });
  });

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
      await tx`
        update quilt set on_frame_since = ${form.where === 'on' ? tx`current_date` : null}, waits_for = '', version = version + 1,
          step = case when ${form.where}::text = 'on' and step <> 'hand-back' then 'quilt' else step end
        where id = ${form.quiltId}`;
      return done({ where: form.where });
    },
    { one_quilt_on_a_frame: ['', 'Another quilt is on this frame. Take it off first.'] },
  );
