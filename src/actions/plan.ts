import { bareSteps, inOrderOf, leftSteps, type PlannedStep, withActs } from '@/core/plan/steps';
import { movedOn, sewnShare } from '@/core/plan/begun';
import { planWork } from '@/core/plan/work-plan';
import type { PlannedZone, WorkPlanRequest } from '@/core/plan/planned';
import type { TableMachine } from '@/core/machine/table';
import type { FrameSize } from '@/core/passes/passes';
import type { HoursBelief } from '@/core/hours/factors';
import type { OrderRequest } from '@/core/order/cells';
import { orderOf, type WorkOrder } from '@/core/order/order';
import { techniques } from '@/core/tables/techniques';
import { ACT_MIN } from '@/core/usage/sewing-time';
import { readMachine } from '@/data/machines';
import { readPreferences } from '@/data/preferences';
import type { Sql } from '@/data/sql';
import type { ChosenSetup, Cone, Machine, Preferences, Quilt, Zone } from '@/data/types';
import { readHours } from './hours';
import { keepLast } from './keep-last';
import type { QuiltView } from './quilt-view';
import { sandwichOf } from './zone-brief';

/** A roll of the quilt and a thread change, minutes. */
export const PRICES = { rollMin: ACT_MIN.advance, changeMin: ACT_MIN.threadChange };

/** The same with what a change is worth to this studio besides its minutes. */
export const pricesOf = ({ changeTroubleMin }: Pick<Preferences, 'changeTroubleMin'>) => ({
  ...PRICES,
  changeTroubleMin,
});

/** The near rail and the middle take another minute a pass (judgement). */
const basteMin = ({ bastingSchool }: Pick<Preferences, 'bastingSchool'>) =>
  ACT_MIN.basteSides + (bastingSchool === 'edges' ? 0 : 1);

/** The speed the hands should keep by a card; cards of old say only what the needle can follow. */
export const handSpeedOf = (s: Pick<ChosenSetup, 'handInPerS' | 'maxInPerS'>, technique: string): number =>
  Math.min(s.handInPerS ?? techniques.get(technique).handInPerS, s.maxInPerS);

const MOST_ORDERS = 600;
const orders = keepLast<WorkOrder['order']>(MOST_ORDERS);

/** The order of a quilt that is not begun; the same question is not worked out again. */
function keptOrder(request: OrderRequest): WorkOrder['order'] {
  const key = JSON.stringify(request);
  return orders.get(key) ?? orders.put(key, orderOf(request));
}

/** A machine's frame as passes are planned on it. */
export const frameOf = (m: Machine): FrameSize => ({
  throatIn: m.throatIn,
  deadIn: m.deadIn,
  widthIn: m.frameIn,
  rollInThroat: m.rollInThroat,
  rollStartIn: m.rollStartIn,
});

/** What a quilt is moved under, where the machine stands on a table. */
export const tableOf = (m: Machine): TableMachine | undefined =>
  m.kind === 'table'
    ? { throatIn: m.throatIn, heightIn: m.throatHeightIn, regulated: m.regulated, dragN: m.dragN }
    : undefined;

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
    ends: preferences.endsSchool,
    use: quilt.use,
    machineEnds: { stops: machine.needleStops, ownTieOff: machine.ownTieOff },
    belief,
    footSchool: preferences.footSchool,
    basteMin: machine.kind === 'table' ? 0 : basteMin(preferences),
    table: tableOf(machine),
    zonesByHand: quilt.zonesByHand,
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
        patternStarts: z.pattern?.starts,
        sandwich: sandwichOf(z, quilt),
        features: z.features,
        busyness: Math.max(0, ...z.fabrics.map((f) => f.busyness ?? 0)),
        setup:
          s && top && bobbin
            ? {
                top,
                bobbin,
                spi: s.spi,
                maxInPerS: s.maxInPerS,
                handInPerS: handSpeedOf(s, z.technique),
                foot: s.foot,
                needleNm: s.needleNm,
              }
            : null,
      };
    }),
  };
}

/** What of a quilt it is planned from. */
export type PlanView = Pick<QuiltView, 'quilt' | 'zones' | 'setups'> & { shelf: readonly Cone[] };

/**
 * A quilt's plan, worked out from what is stored now, with its steps in the order of work. What follows from the log asks
 * for the steps alone and gives a belief: the hours need not be fitted for it.
 */
export async function readPlan(sql: Sql, view: PlanView, known?: HoursBelief) {
  const [machine, preferences, belief] = await Promise.all([
    readMachine(sql, view.quilt.machineId),
    readPreferences(sql),
    known ?? readHours(sql),
  ]);
  return planOf(view, machine, preferences!, belief);
}

/** The same from what was read already. */
export function planOf(view: PlanView, machine: Machine, preferences: Preferences, belief: HoursBelief) {
  const { quilt } = view;
  const cones = new Map(view.shelf.map((c) => [c.id, c]));
  const request = planRequest({ ...view, cones, machine, preferences, belief });
  const plan = planWork(request);
  const order =
    quilt.orderByHand ??
    quilt.begun?.steps ??
    keptOrder({ ...plan.order, ...pricesOf(preferences), rolling: preferences.rollingSchool });
  const { steps: bare, inside } = bareSteps(plan, request);
  const steps = withActs(inOrderOf(bare, order), PRICES, belief, request.basteMin);
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
    inside,
    moved,
    left: leftSteps(plan, request, steps, quilt),
    share: shareSewn(quilt, steps),
    belief,
    preferences,
    machine,
    request,
  };
}

/** Share of a quilt that is sewn, 0–1, by the minutes of its steps. */
export const shareSewn = (
  quilt: Pick<Quilt, 'step' | 'sewn' | 'begun'>,
  steps?: readonly PlannedStep[],
): number =>
  quilt.step === 'hand-back'
    ? 1
    : sewnShare(steps && steps.length > 0 ? steps : (quilt.begun?.steps ?? []), quilt.sewn);
