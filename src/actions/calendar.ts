import 'reflect-metadata';
import { format } from 'date-fns';
import ical from 'ical-generator';
import Papa from 'papaparse';
import { dateOfDay, dayNumber } from '@/core/calendar/days';
import { type Job, schedule, type Scheduled } from '@/core/calendar/promise';
import {
  type AtTable,
  beforeFrame,
  daysAfter,
  stretchesOf,
  type TableWork,
  tableWeek,
} from '@/core/calendar/table';
import { updateDays } from '@/data/quilts';
import type { Sql } from '@/data/sql';
import type { Machine, Quilt, Preferences } from '@/data/types';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { Day, FormKey, Maybe, QuiltId, Version } from './rules';
import { MEANWHILE, save } from './save';
import type { QuiltTask } from './tasks';
import { readWaiting, type WaitingRoom } from './waiting';

export interface CalendarJob extends Scheduled {
  quilt: Pick<Quilt, 'id' | 'name' | 'client' | 'dueOn' | 'version' | 'step'> & { startsOn: string | null };
  onFrame: boolean;
  /** What is done of it at the table, and when. */
  table: TableWork & { before: AtTable | null };
}

export interface CalendarView {
  machines: Machine[];
  jobs: CalendarJob[];
  preferences: Preferences;
  today: number;
}

/** Quilts drawn on the calendar at most; the soonest. */
const MOST_JOBS = 120;

/** Every quilt still to be sewn, laid on its machine's frame one after another. */
export async function readCalendar(sql: Sql, now: Date): Promise<CalendarView | null> {
  const room = await readWaiting(sql);
  if (!room) return null;
  const { preferences, machines } = room;
  const today = dayNumber(format(now, 'yyyy-MM-dd'));
  return {
    preferences,
    machines,
    today,
    jobs: laid(room, today).map(({ quilt, ...s }) => ({
      ...s,
      quilt: {
        id: quilt.id,
        name: quilt.name,
        client: quilt.client,
        dueOn: quilt.dueOn,
        version: quilt.version,
        step: quilt.step,
        startsOn: quilt.startsOn,
      },
      onFrame: quilt.onFrameSince !== null,
    })),
  };
}

/** A quilt that waits as a job of the calendar. */
export interface WaitingJob extends Job {
  quilt: Quilt;
  table: CalendarJob['table'];
}

/** Every quilt that waits as the calendar lays it: its days, its chance, its work at the table. */
export function laid(room: WaitingRoom, today: number): (Scheduled & Pick<WaitingJob, 'quilt' | 'table'>)[] {
  const jobs = jobsOf(room, today);
  return schedule(jobs, room.preferences.dayHours, today, room.belief).map((s, i) => ({
    ...s,
    quilt: jobs[i]!.quilt,
    table: jobs[i]!.table,
  }));
}

/**
 * What waits to be sewn, in the order it goes on the frame; the soonest. None goes on before its work at the table is
 * done, and what is done there afterwards is taken from the time to its promise.
 */
export function jobsOf({ waiting, preferences, tasks }: WaitingRoom, today: number): WaitingJob[] {
  const week = tableWeek(preferences.dayHours, preferences.tableHours);
  const jobs = waiting
    .filter((w) => w.quilt.step !== 'hand-back')
    .slice(0, MOST_JOBS)
    .map(({ quilt, left }): WaitingJob => {
      const work = tableWork(quilt, tasks.get(quilt.id) ?? []);
      return {
        id: quilt.id,
        machineId: quilt.machineId,
        fromDay: quilt.startsOn ? dayNumber(quilt.startsOn) : today,
        steps: left,
        dueDay: dayNumber(quilt.dueOn),
        afterDays: daysAfter(work, week),
        quilt,
        table: { ...work, before: null },
      };
    });
  // What is on the frame is finished first; then by the day they were laid on, then by promise.
  jobs.sort(
    (a, b) =>
      Number(b.quilt.onFrameSince !== null) - Number(a.quilt.onFrameSince !== null) ||
      Math.max(a.fromDay, today) - Math.max(b.fromDay, today) ||
      a.dueDay - b.dueDay,
  );
  const before = beforeFrame(
    jobs.map((j) => j.table),
    week,
    today,
  );
  return jobs.map((j, i) => ({
    ...j,
    fromDay: Math.max(j.fromDay, before[i]?.readyDay ?? j.fromDay),
    table: { ...j.table, before: before[i]! },
  }));
}

/** What is left to be done of a quilt at the table. */
function tableWork(quilt: Quilt, tasks: readonly QuiltTask[]): TableWork {
  const isBegun = quilt.onFrameSince !== null || quilt.sewn.length > 0;
  const open = tasks.filter((t) => t.state === 'open' || t.state === 'running');
  const hours = (when: QuiltTask['when']) =>
    open
      .filter((t) => t.when === when)
      .reduce((sum, t) => sum + Math.max(0, t.minutes.mid - t.spentMin) / 60, 0);
  return {
    beforeHours: isBegun ? 0 : hours('before'),
    afterHours: hours('after'),
    driesDays: Math.max(0, ...open.map((t) => t.driesDays)),
  };
}

export class SetDays {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  /** Nothing: as soon as the frame is free. */
  @Maybe() @Day('Give a day.') startsOn?: string | null;
  @Maybe() @Day('Give a day.') dueOn?: string | null;
}

/** Moves the day a quilt may go on the frame, or the day it is promised for. */
export const setDays = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<SetDays, { id: string }>(
    context,
    'lay-on',
    SetDays,
    input,
    async (tx, form) => {
      if (form.dueOn && form.dueOn < format(context.now, 'yyyy-MM-dd'))
        return refuse('That day is past. Promise a day to come.', 'dueOn');
      const kept = await updateDays(tx, form.quiltId, form.version, {
        startsOn: form.startsOn ?? null,
        dueOn: form.dueOn ?? null,
      });
      return kept ? done({ id: form.quiltId }) : conflict(MEANWHILE);
    },
    { quilt_check: ['dueOn', 'It cannot be promised for a day before it came.'] },
  );

/** The calendar as iCalendar: days at the frame, and the promises. */
export function calendarIcs(view: CalendarView): string {
  const cal = ical({
    name: `${view.preferences.name}: the frame`,
    prodId: { company: 'Tidy Spool', product: 'frame calendar', language: 'EN' },
  });
  const machine = (id: string) => view.machines.find((m) => m.id === id)?.name ?? '';
  const day = (n: number) => new Date(`${dateOfDay(n)}T00:00:00Z`);
  for (const j of view.jobs) {
    cal.createEvent({
      id: `${j.id}-frame@tidy-spool`,
      start: day(j.startDay),
      end: day(j.endDay + 1),
      allDay: true,
      timezone: 'UTC',
      summary: `${j.quilt.name} on ${machine(j.machineId)}`,
      description: `${j.quilt.client}. About ${j.hours.mid.toFixed(1)} h at the frame; done by ${dateOfDay(j.sureDay)} 8 times in 10.`,
    });
    for (const t of stretchesOf(j))
      cal.createEvent({
        id: `${j.id}-${t.when}@tidy-spool`,
        start: day(t.from),
        end: day(t.to + 1),
        allDay: true,
        timezone: 'UTC',
        summary: `${j.quilt.name} at the table, ${t.when} the frame`,
        description: `${j.quilt.client}. About ${t.hours.toFixed(1)} h.`,
      });
    cal.createEvent({
      id: `${j.id}-due@tidy-spool`,
      start: day(j.dueDay),
      end: day(j.dueDay + 1),
      allDay: true,
      timezone: 'UTC',
      summary: `${j.quilt.name} promised to ${j.quilt.client}`,
    });
  }
  return cal.toString();
}

export const calendarCsv = (view: CalendarView): string =>
  Papa.unparse(
    view.jobs.map((j) => ({
      Quilt: j.quilt.name,
      Client: j.quilt.client,
      Machine: view.machines.find((m) => m.id === j.machineId)?.name ?? '',
      'Hours left': j.hours.mid.toFixed(1),
      'On the frame from': dateOfDay(j.startDay),
      Until: dateOfDay(j.endDay),
      '8 in 10 by': dateOfDay(j.sureDay),
      'Hours at the table before': j.table.beforeHours.toFixed(1),
      'Hours at the table after': j.table.afterHours.toFixed(1),
      'Ready to hand over': dateOfDay(j.handDay),
      Promised: j.quilt.dueOn,
      'Chance %': Math.round(j.chance * 100),
    })),
    { escapeFormulae: true, newline: '\r\n' },
  );
