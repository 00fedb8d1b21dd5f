import 'reflect-metadata';
import { beforeFrame, daysAfter, type TableWork, tableWeek } from '@/core/calendar/table';
import { type Task, TASKS } from '@/core/tables/tasks';
import { IsArray } from 'class-validator';
import { format } from 'date-fns';
import { dateOfDay, dayNumber } from '@/core/calendar/days';
import { offerDay } from '@/core/calendar/promise';
import { QUILT, type QuiltFields } from '@/core/fields/quilt';
import { stored } from '@/core/fields/stored';
import { ZONE } from '@/core/fields/zone';
import { CoreError } from '@/core/notes';
import { eighth } from '@/core/plan/measure';
import { firstWork } from '@/core/motifs/first-work';
import { PLAN_LABEL, type PlanKind, planZones } from '@/core/plan/plan-kinds';
import type { Range } from '@/core/statistics/log-normal';
import { CONDITION_KINDS, conditionMinutes } from '@/core/tables/conditions';
import { readBattings, readFabrics } from '@/data/cloths';
import { readRulers } from '@/data/rulers';
import type { Quilt, Zone } from '@/data/types';
import { jobsOf } from './calendar';
import { taskSize } from './tasks';
import type { Context } from './context';
import { planOf } from './plan';
import { motifStudio, readPastMotifs } from './motifs';
import { done, refuse, type Result } from './result';
import { asForm, Fields, Id, Maybe, Num, OneOf, Whole } from './rules';
import { check } from './validate';
import { readWaiting } from './waiting';

const ASKED = QUILT.filter((f) =>
  ['use', 'widthsIn', 'lengthsIn', 'dueOn', 'battingId', 'backingId'].includes(f.id),
);

/** What is said at the counter that a day can be promised by. */
@Fields(ASKED)
export class AskDay {
  @Id('Pick the machine.') machineId!: string;
  @OneOf(Object.keys(PLAN_LABEL), 'Pick how it is laid out.') plan!: PlanKind;
  @Maybe() @Num(0.25, 60, 'The border, in inches,') borderIn?: number | null;
  @Maybe() @Whole(1, 40, 'Blocks across') columns?: number | null;
  @Maybe() @Whole(1, 40, 'Blocks down') rows?: number | null;
  @Maybe() @Num(0, 20, 'The sashing, in inches,') sashIn?: number | null;
  /** Kinds of what was found on it, with their sizes. */
  @IsArray({ message: 'What was found could not be read.' })
  found!: { kind: string; sizeIn: number | null }[];
}
type Room = NonNullable<Awaited<ReturnType<typeof readWaiting>>>;
type AskForm = AskDay &
  Pick<QuiltFields, 'use' | 'dueOn' | 'battingId' | 'backingId' | 'widthsIn' | 'lengthsIn'>;

/** What may be promised, in days and chances. */
export interface AskedDay {
  hours: Range;
  /** Minutes to set right what was found, before it goes on the frame. */
  mendMinutes: number;
  /** The day kept 9 times in 10. */
  day: string;
  asked: { day: string; chance: number };
  rush: { chance: number; moves: { name: string; before: number; after: number }[]; allowed: boolean };
}

/** Stands for whatever the top is made of: what it is changes the set-up, hardly the day. */
const PLAIN: Zone['fabrics'][number] = {
  fabricId: '',
  kind: 'quilting-cotton',
  name: '',
  hex: null,
  share: 1,
  role: 'ground',
  sewnOver: true,
  busyness: null,
};

/** The quilt as it would be taken in, for its plan: nothing of it is stored. */
function toBe(form: AskForm, today: string, kinds: { batting: string; backing: string }): Quilt {
  return {
    ...(form as unknown as Quilt),
    id: 'to-be',
    widthIn: eighth(form.widthsIn),
    lengthIn: eighth(form.lengthsIn),
    battingKind: kinds.batting,
    backingKind: kinds.backing,
    battingMaxGapIn: null,
    takenInOn: today,
    step: 'match',
    passes: null,
    begun: null,
    sewn: [],
    onFrameSince: null,
    turnRule: 'auto',
    turned: false,
    depthsIn: null,
    orderByHand: null,
    zonesByHand: {},
  };
}

/** The zones it would be taken in with, each with what suits it. Throws what the core refuses, at its field. */
function zonesToBe(
  form: AskForm,
  quilt: Quilt,
  studio: Pick<Parameters<typeof firstWork>[1], 'machine' | 'preferences' | 'past'>,
): Zone[] {
  const { widthIn, lengthIn } = quilt;
  const laid = planZones({
    kind: form.plan,
    widthIn,
    lengthIn,
    borderIn: form.borderIn ?? undefined,
    columns: form.columns ?? undefined,
    rows: form.rows ?? undefined,
    sashIn: form.sashIn ?? undefined,
  });
  const { use, battingKind: battingId, backingKind: backing } = quilt;
  const work = firstWork(laid, {
    quilt: { widthIn, lengthIn, use, battingId, backing },
    top: [{ fabric: PLAIN.kind }],
    features: [],
    visibility: 'texture',
    ...studio,
  });
  return laid.map((z, i) => ({
    ...stored(ZONE, { ...z, ...work[i]!, visibility: 'texture' }),
    geometry: z.geometry,
    id: `zone-${i}`,
    quiltId: quilt.id,
    letter: String.fromCharCode(65 + i),
    yarn: null,
    pattern: null,
    fabrics: [PLAIN],
    features: [],
    version: 1,
  }));
}

const mendMinutes = (found: AskDay['found']): number =>
  found.reduce((sum, f) => {
    const kind = CONDITION_KINDS.find(f.kind);
    return kind ? sum + conditionMinutes(kind, f.sizeIn) : sum;
  }, 0);

/** The day that may be promised for a bundle on the counter, from the calendar as it stands now. */
export async function askDay(context: Context, input: unknown): Promise<Result<AskedDay>> {
  const checked = await check(asForm<AskForm>(AskDay), input);
  if (!checked.ok) return checked;
  const form = checked.value;
  const { sql, now } = context;
  const [room, battings, fabrics, rulers, past] = await Promise.all([
    readWaiting(sql),
    readBattings(sql),
    readFabrics(sql),
    readRulers(sql),
    readPastMotifs(sql),
  ]);
  const machine = room?.machines.find((m) => m.id === form.machineId);
  if (!room || !machine) return refuse('Pick the machine.', 'machineId');
  const quilt = toBe(form, format(now, 'yyyy-MM-dd'), {
    batting: battings.find((b) => b.id === form.battingId)?.kind ?? 'unknown',
    backing: fabrics.find((f) => f.id === form.backingId)?.kind ?? 'unknown',
  });
  try {
    const zones = zonesToBe(form, quilt, { ...motifStudio(machine, rulers, room.preferences), past });
    return done(dayFor(form, quilt, zones, machine, room));
  } catch (error) {
    if (error instanceof CoreError) return refuse(error.message, error.path);
    throw error;
  }
}

/** What a studio usually does of a quilt at its table, before anything was agreed. */
function usualWork(quilt: Quilt): TableWork {
  const size = taskSize(quilt);
  const hours = (when: Task['when']) =>
    TASKS.rows.filter((t) => t.usual && t.when === when).reduce((sum, t) => sum + t.minutes(size) / 60, 0);
  return { beforeHours: hours('before'), afterHours: hours('after'), driesDays: 0 };
}

/** The day of a quilt that is not there yet, among those that wait. */
function dayFor(
  form: AskForm,
  quilt: Quilt,
  zones: Zone[],
  machine: Room['machines'][number],
  room: Room,
): AskedDay {
  const { preferences, belief } = room;
  const { left } = planOf({ quilt, zones, setups: new Map(), shelf: [] }, machine, preferences, belief);
  const today = dayNumber(quilt.takenInOn);
  const jobs = jobsOf(room, today);
  const onFrame = new Set(jobs.filter((j) => j.quilt.onFrameSince !== null).map((j) => j.id));
  const week = tableWeek(preferences.dayHours, preferences.tableHours);
  const work = usualWork(quilt);
  const before = beforeFrame([...jobs.map((j) => j.table), work], week, today).at(-1);
  const job = {
    id: quilt.id,
    machineId: machine.id,
    fromDay: before?.readyDay ?? today,
    steps: left,
    dueDay: dayNumber(form.dueOn),
    afterDays: daysAfter(work, week),
  };
  const offer = offerDay(jobs, job, onFrame, preferences.dayHours, today, belief);
  const nameOf = new Map(jobs.map((j) => [j.id, j.quilt.name]));
  return {
    hours: offer.hours,
    mendMinutes: mendMinutes(form.found),
    day: dateOfDay(offer.day),
    asked: { day: form.dueOn, chance: offer.chance },
    rush: {
      ...offer.rush,
      moves: offer.rush.moves.map((m) => ({
        name: nameOf.get(m.id) ?? '',
        before: m.before,
        after: m.after,
      })),
    },
  };
}
