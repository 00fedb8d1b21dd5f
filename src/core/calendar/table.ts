import { dayAfterHours, type WeekHours } from './promise';

/** What a quilt asks for at the table: hours before it goes on the frame and once it is off it, and days it dries then. */
export interface TableWork {
  beforeHours: number;
  afterHours: number;
  driesDays: number;
}
export const NO_TABLE_WORK: TableWork = { beforeHours: 0, afterHours: 0, driesDays: 0 };

/** Hours at the table on each day that the studio works. */
export const tableWeek = (dayHours: WeekHours, tableHours: number): WeekHours =>
  dayHours.map((h) => (h > 0 ? tableHours : 0));

/** From when to when work is done at the table; days are numbered as in the calendar. */
export interface AtTable {
  fromDay: number;
  readyDay: number;
}

/**
 * The days of the work before the frame, one quilt after the other as they go on: table and frame are two capacities, so
 * that this runs while another quilt is sewn. A studio that keeps no hours for its table is not held up by it.
 */
export function beforeFrame(works: readonly TableWork[], week: WeekHours, today: number): (AtTable | null)[] {
  let hours = 0;
  const isKept = week.some((h) => h > 0);
  return works.map(({ beforeHours }) => {
    if (beforeHours <= 0) return null;
    if (!isKept) return { fromDay: today, readyDay: today };
    const fromDay = dayAfterHours(today, hours + 1e-6, week);
    hours += beforeHours;
    return { fromDay, readyDay: Math.max(fromDay, dayAfterHours(today, hours, week)) };
  });
}

/** Days from the frame to the client: what is done at the table then, a day's hours at a time, and what dries. */
export function daysAfter({ afterHours, driesDays }: TableWork, week: WeekHours): number {
  const aDay = Math.max(...week);
  const worked = afterHours > 0 && aDay > 0 ? Math.max(0, Math.ceil(afterHours / aDay - 1e-9) - 1) : 0;
  return worked + driesDays;
}

/** A stretch of days at the table. */
export interface Stretch {
  when: 'before' | 'after';
  from: number;
  to: number;
  hours: number;
}

/** The days a quilt is worked on at the table, before the frame and after it, drying in it. */
export const stretchesOf = ({
  table,
  endDay,
  handDay,
}: {
  table: TableWork & { before: AtTable | null };
  endDay: number;
  handDay: number;
}): Stretch[] => [
  ...(table.before
    ? [
        {
          when: 'before' as const,
          from: table.before.fromDay,
          to: table.before.readyDay,
          hours: table.beforeHours,
        },
      ]
    : []),
  ...(table.afterHours > 0
    ? [{ when: 'after' as const, from: endDay, to: Math.max(endDay, handDay), hours: table.afterHours }]
    : []),
];
