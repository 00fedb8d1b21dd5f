import { Z80 } from '../usage/hours';

/** A quilt that is to be sewn: when it may begin, how long it takes, until when it is promised. Days are whole numbers. */
export interface Job {
  id: string;
  machineId: string;
  /** First day it may go on the frame. */
  fromDay: number;
  /** Middle and 80 % range of hours at the frame that are left. */
  hours: { low: number; mid: number; high: number };
  dueDay: number;
}

export interface Scheduled extends Job {
  startDay: number;
  /** Day it is done by, in the middle case and four times in five. */
  endDay: number;
  sureDay: number;
  /** Chance that it is done by the day promised, 0–1. */
  chance: number;
  overdue: boolean;
}

/** Hours at the frame by weekday, Monday first. */
export type WeekHours = readonly number[];

const MOST_DAYS = 3000;
const weekday = (day: number) => ((day % 7) + 7) % 7;

/** Standard normal distribution function (Abramowitz and Stegun 7.1.26). */
function phi(x: number): number {
  const t = 1 / (1 + 0.3275911 * (Math.abs(x) / Math.SQRT2));
  const poly =
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const erf = 1 - poly * Math.exp(-(x * x) / 2);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** The day by whose end so many hours have passed at the frame, counted from the start of a day. Days are numbered so that 0 is a Monday. */
export function dayAfterHours(fromDay: number, hours: number, week: WeekHours): number {
  let left = hours;
  for (let day = fromDay; day < fromDay + MOST_DAYS; day++) {
    left -= week[weekday(day)] ?? 0;
    if (left <= 1e-9) return day;
  }
  return fromDay + MOST_DAYS;
}

/** Hours at the frame from the start of one day to the end of another. */
export function hoursBetween(fromDay: number, toDay: number, week: WeekHours): number {
  let sum = 0;
  for (let day = fromDay; day <= Math.min(toDay, fromDay + MOST_DAYS); day++) sum += week[weekday(day)] ?? 0;
  return sum;
}

/**
 * Jobs laid one after another on each machine, in the order given: each begins when the one before is done and not
 * before its own day. The hours of the queue add up, and so do their variances; the chance is that of a normal sum.
 */
export function schedule(jobs: readonly Job[], week: WeekHours, today: number): Scheduled[] {
  const queues = new Map<string, { day: number; base: number; mid: number; variance: number }>();
  return jobs.map((job) => {
    const free = queues.get(job.machineId);
    const begins = Math.max(job.fromDay, today);
    // A gap before the job starts the queue's clock anew.
    const q = free && free.day >= begins ? free : { day: begins, base: begins, mid: 0, variance: 0 };
    const sd = (job.hours.high - job.hours.low) / (2 * Z80);
    const mid = q.mid + job.hours.mid;
    const variance = q.variance + sd ** 2;
    const { base } = q;
    const endDay = dayAfterHours(base, mid, week);
    const sureDay = dayAfterHours(base, mid + 0.8416 * Math.sqrt(variance), week);
    const available = hoursBetween(base, job.dueDay, week);
    const chance =
      job.dueDay < base
        ? 0
        : variance === 0
          ? Number(available >= mid)
          : phi((available - mid) / Math.sqrt(variance));
    const startDay = q.mid === 0 ? base : dayAfterHours(base, q.mid + 1e-6, week);
    queues.set(job.machineId, { day: endDay, base, mid, variance });
    return { ...job, startDay, endDay, sureDay, chance, overdue: job.dueDay < today };
  });
}
