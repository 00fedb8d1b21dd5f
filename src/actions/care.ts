import 'reflect-metadata';
import { format } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import {
  askNow,
  type CareCounts,
  type CareDue,
  dueInDays,
  dueOf,
  dueWords,
  lintFactor,
  lintOf,
  type Reading,
  stitchesByCounter,
} from '@/core/care/due';
import { CARE, CARE_BY, type CareItem, type CareLimits, TOUCHED, type Touched } from '@/core/care/items';
import { dateOfDay, dayNumber } from '@/core/calendar/days';
import { fibres } from '@/core/tables/fibres';
import {
  type CareDone,
  insertCare,
  insertCounter,
  putCareLimit,
  readCareCounts,
  readCareDone,
  readCareLimits,
  readCounters,
  readDailyUse,
  readLastCounter,
  readSheds,
  readStitchesSince,
  setCareTakenBack,
} from '@/data/care';
import { readMachines } from '@/data/machines';
import { readFitted } from '@/data/needles';
import type { Sql } from '@/data/sql';
import type { FittedNeedle, Machine } from '@/data/types';
import type { Context } from './context';
import { done, refuse, type Result } from './result';
import { EachText, FormKey, Id, Maybe, Num, OneOf, Text, Whole, Yes } from './rules';
import { save } from './save';
import { ArrayMaxSize, IsArray, IsIn } from 'class-validator';

/** One thing a machine asks for, as it stands today. */
export interface CareLine {
  id: string;
  label: string;
  act: string;
  minutes: number;
  technician: boolean;
  /** 1: due. */
  u: number;
  word: CareDue['word'] | 'unknown';
  /** What has gone by of what may. */
  words: string;
  lastAt: Date | null;
  /** The day it will be due as the machine is used; null where that cannot be told. */
  dueOn: string | null;
  /** Time to ask a technician for a day. */
  ask: boolean;
  /** How much nearer an hour sewn and a bobbin bring it. */
  perHour: number;
  perBobbin: number;
  manual: { sealed: boolean; limits: CareLimits } | null;
}

export interface MachineCare {
  machine: Pick<Machine, 'id' | 'name' | 'kind'>;
  lines: CareLine[];
  /** Hours since lint was out and since oil, where either was ever noted. */
  hoursSinceCleaning: number | null;
  hoursSinceOiling: number | null;
}

/** An hour sewn that no log tells of is about so many stitches (judgement). */
const STITCHES_AN_HOUR = 30_000;
const NONE: CareCounts = { hours: 0, bobbins: 0, days: 0, stitches: 0 };

/** What every machine of the studio asks for today; one alone where it is named. */
export async function readCare(sql: Sql, now: Date, only?: string): Promise<MachineCare[]> {
  const [all, counted, limits, fitted, sheds, daily, readings] = await Promise.all([
    readMachines(sql),
    readCareCounts(sql, now),
    readCareLimits(sql),
    readFitted(sql),
    readSheds(sql),
    readDailyUse(sql, now),
    readCounters(sql),
  ]);
  const machines = all.filter((m) => only === undefined || m.id === only);
  return Promise.all(
    machines.map(async (machine): Promise<MachineCare> => {
      const own = <T extends { machineId: string }>(rows: readonly T[]) =>
        rows.filter((r) => r.machineId === machine.id);
      const on = own(sheds)[0];
      const lint = lintOf(
        Math.max(0, ...(on?.fibres ?? []).map((f) => fibres.find(f)?.lint ?? 0)),
        on?.kinds ?? [],
        on?.hair ?? false,
      );
      const use = own(daily)[0];
      const otherDay = machine.otherHoursWeek / 7;
      const perDay: CareCounts = {
        hours: (use?.hours ?? 0) + otherDay,
        stitches: (use?.stitches ?? 0) + otherDay * STITCHES_AN_HOUR,
        bobbins: (use?.hours ?? 0) / HOURS_A_BOBBIN,
        days: 1,
      };
      const since = (item: string) => own(counted).find((c) => c.item === item);
      const lines = await Promise.all(
        CARE.rows.map(async (item) => {
          const last = since(item.id);
          const counts = last ? await countsOf(sql, machine, last, own(readings)) : NONE;
          const row = own(limits).find((l) => l.item === item.id);
          return lineOf(item, {
            now,
            last: item.id === 'needle' ? (own(fitted)[0]?.fittedAt ?? null) : (last?.at ?? null),
            counts,
            perDay,
            lint,
            fitted: own(fitted)[0] ?? null,
            manual: row ? { sealed: row.sealed, limits: row.limits } : null,
          });
        }),
      );
      return {
        machine: { id: machine.id, name: machine.name, kind: machine.kind },
        lines,
        hoursSinceCleaning: since('lint-hook')?.hours ?? null,
        hoursSinceOiling: since('oil-race')?.hours ?? null,
      };
    }),
  );
}

/** A bobbin lasts about so long at the needle, hours (judgement; only to tell when it will be due). */
const HOURS_A_BOBBIN = 0.75;

/** What has gone by: the log, other sewing, and the machine's own counter where it was read. */
async function countsOf(
  sql: Sql,
  machine: Machine,
  last: CareCounts & { at: Date },
  readings: readonly Reading[],
): Promise<CareCounts> {
  const other = (machine.otherHoursWeek / 7) * last.days;
  const counts = {
    days: last.days,
    bobbins: last.bobbins,
    hours: last.hours + other,
    stitches: last.stitches + other * STITCHES_AN_HOUR,
  };
  if (readings.length === 0) return counts;
  const latest = readings.at(-1)!.at;
  const from = latest > last.at ? latest : last.at;
  const logged = await readStitchesSince(sql, machine.id, from);
  const read = stitchesByCounter(readings, last.at, () => logged);
  return read === null ? counts : { ...counts, stitches: Math.max(0, read) };
}

function lineOf(
  item: CareItem,
  s: {
    now: Date;
    last: Date | null;
    counts: CareCounts;
    perDay: CareCounts;
    lint: number;
    fitted: FittedNeedle | null;
    manual: CareLine['manual'];
  },
): CareLine {
  const today = format(s.now, 'yyyy-MM-dd');
  const due = dueOf(item, s.counts, {
    manual: s.manual ?? undefined,
    lint: s.lint,
    needleShare: s.fitted ? s.fitted.worn / s.fitted.life : null,
    newDay: s.last === null || format(s.last, 'yyyy-MM-dd') !== today,
  });
  const known = s.last !== null || (item.daily && due.word !== 'none');
  const inDays = known ? dueInDays(due, s.counts, s.perDay) : null;
  const linty = lintFactor(item, s.lint);
  return {
    id: item.id,
    label: item.label,
    act: item.act,
    minutes: item.minutes,
    technician: item.technician,
    u: known ? due.u : 0,
    word: due.word === 'none' ? 'none' : known ? due.word : 'unknown',
    words: known || due.word === 'none' ? dueWords(due, s.counts) : 'never noted here',
    lastAt: s.last,
    dueOn: inDays === null ? null : dateOfDay(dayNumber(today) + Math.floor(inDays)),
    ask: askNow(due, inDays),
    perHour: due.limits.hours ? linty / due.limits.hours : 0,
    perBobbin: due.limits.bobbins ? linty / due.limits.bobbins : 0,
    manual: s.manual,
  };
}

/** The care of one machine, as the fault bench and the Stand ask for it. */
export const readCareOf = async (sql: Sql, machineId: string, now: Date): Promise<MachineCare | null> =>
  (await readCare(sql, now, machineId))[0] ?? null;

/** What was done to the machines, the newest first. */
export const readServiceLog = (sql: Sql) => readCareDone(sql);

const ITEM = () => OneOf(CARE.ids, 'Pick what was done.');

export class DoCare {
  @FormKey() key!: string;
  @Id('Pick the machine.') machineId!: string;
  @ITEM() item!: string;
  /** Left out: now. */
  @Maybe() @Text(40) at?: string | null;
  @Maybe() @Text(120) technician?: string | null;
  @Maybe() @Text(2000) found?: string | null;
  @Maybe() @Text(1000) parts?: string | null;
  @Maybe()
  @IsArray({ message: 'Say what was touched.' })
  @ArrayMaxSize(TOUCHED.length, { message: 'Say what was touched.' })
  @EachText(20)
  @IsIn(TOUCHED, { each: true, message: 'Timing, hook, bobbin case or tension unit.' })
  touched?: Touched[] | null;
  @Maybe() @Num(1, 2000, 'Grams before') gaugeBeforeGf?: number | null;
  @Maybe() @Num(1, 2000, 'Grams after') gaugeAfterGf?: number | null;
  @Maybe() @Whole(0, 10_000_000_000, 'The counter, in stitches,') counterStitches?: number | null;
}

/** Notes that something was done to a machine; a reading of its counter goes with it. */
export const doCare = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<DoCare, { id: string }>(
    context,
    'do-care',
    DoCare,
    input,
    async (tx, form) => {
      const at = form.at ? new Date(form.at) : context.now;
      if (!Number.isFinite(at.getTime()) || at > context.now)
        return refuse('Give the day it was done, today or before.', 'at');
      if (
        form.counterStitches != null &&
        form.counterStitches < ((await readLastCounter(tx, form.machineId)) ?? 0)
      )
        return refuse('The counter stood higher before. Read it again.', 'counterStitches');
      const id = uuidv7();
      const row: CareDone = {
        id,
        machineId: form.machineId,
        item: form.item,
        at,
        technician: form.technician ?? '',
        found: form.found ?? '',
        parts: form.parts ?? '',
        touched: form.touched ?? [],
        gaugeBeforeGf: form.gaugeBeforeGf ?? null,
        gaugeAfterGf: form.gaugeAfterGf ?? null,
        counterStitches: form.counterStitches ?? null,
      };
      await insertCare(tx, row);
      if (row.counterStitches !== null)
        await insertCounter(tx, uuidv7(), form.machineId, row.counterStitches, at);
      return done({ id });
    },
    { care_done_machine_id_fkey: ['machineId', 'Pick the machine.'] },
  );

export class TakeBackCare {
  @FormKey() key!: string;
  @Id('This is not in the service log any more. Reload the page.') id!: string;
  @Yes() back!: boolean;
}

/** Takes back that something was done, or lets it stand again. What was told at the Stand is taken back there. */
export const takeBackCare = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<TakeBackCare, { id: string }>(
    context,
    'take-back-care',
    TakeBackCare,
    input,
    async (tx, { id, back }) =>
      (await setCareTakenBack(tx, id, back))
        ? done({ id })
        : refuse('What was noted at the machine is undone there, in its list.', 'id'),
  );

export class KeepManual {
  @FormKey() key!: string;
  @Id('Pick the machine.') machineId!: string;
  @ITEM() item!: string;
  /** The manual says there is nothing to do. */
  @Yes() sealed!: boolean;
  @Maybe() @Num(0.1, 100_000, 'Hours') hours?: number | null;
  @Maybe() @Num(1, 10_000, 'Bobbins') bobbins?: number | null;
  @Maybe() @Num(1, 10_000, 'Days') days?: number | null;
  @Maybe() @Num(1000, 1e9, 'Stitches') stitches?: number | null;
}

/** Keeps what the machine's manual says of an item; it comes before our figures. */
export const keepManual = (context: Context, input: unknown): Promise<Result<{ item: string }>> =>
  save<KeepManual, { item: string }>(
    context,
    'keep-manual',
    KeepManual,
    input,
    async (tx, form) => {
      const limits = Object.fromEntries(
        CARE_BY.flatMap((by) => (form[by] == null ? [] : [[by, form[by]]])),
      ) as CareLimits;
      await putCareLimit(tx, { machineId: form.machineId, item: form.item, sealed: form.sealed, limits });
      return done({ item: form.item });
    },
    { care_limit_machine_id_fkey: ['machineId', 'Pick the machine.'] },
  );
