import type { HoursBelief } from '../hours/factors';
import type { Step } from '../hours/step';
import { logNormalOfTally, type MinutesTally, NO_MINUTES, shownRange, withSteps } from '../hours/sum';
import { shownChance } from '../statistics/chance';
import { type LogNormal, logNormalCdf, logNormalQuantile, type Range } from '../statistics/log-normal';
import { normalCdf } from '../statistics/normal';

/** A quilt that is to be sewn: when it may begin, what is left of it, until when it is promised. Days are whole numbers. */
export interface Job {
  id: string;
  machineId: string;
  /** First day it may go on the frame. */
  fromDay: number;
  /** The steps that are left. */
  steps: readonly Step[];
  dueDay: number;
  /** Days between the frame and the client: what is done at the table then, and what dries; 0 where nothing is said. */
  afterDays?: number;
}

export interface Scheduled extends Omit<Job, 'steps'> {
  /** Middle and 80 % range of hours at the frame that are left. */
  hours: Range;
  startDay: number;
  /** Day it is done by, in the middle case and 8 times in 10. */
  endDay: number;
  sureDay: number;
  /** Day it is ready to be handed over, in the middle case. */
  handDay: number;
  /** Chance that it is ready by the day promised, 1 % to 99 %. */
  chance: number;
  overdue: boolean;
}

/** Hours at the frame by weekday, Monday first. */
export type WeekHours = readonly number[];

/** Spread of the hours really kept in a week, as a share of the week's hours, until it is learned (judgement). */
export const WEEK_SD = 0.25;
const MOST_DAYS = 3000;
const weekday = (day: number) => ((day % 7) + 7) % 7;

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

/** Variance of the hours really kept between two days: weeks vary independently, days of one week together. */
export function hoursVariance(fromDay: number, toDay: number, week: WeekHours): number {
  let variance = 0;
  let thisWeek = 0;
  for (let day = fromDay; day <= Math.min(toDay, fromDay + MOST_DAYS); day++) {
    thisWeek += week[weekday(day)] ?? 0;
    if (weekday(day) === 6 || day === toDay) {
      variance += (WEEK_SD * thisWeek) ** 2;
      thisWeek = 0;
    }
  }
  return variance;
}

const SLICES = 64;

/** Chance that a log-normal amount of work is done in normally distributed hours. */
function chanceDone(work: LogNormal | null, hours: number, variance: number): number {
  if (!work) return 1;
  if (hours <= 0) return 0;
  if (variance === 0) return logNormalCdf(work, hours);
  let sum = 0;
  for (let i = 0; i < SLICES; i++)
    sum += normalCdf((hours - logNormalQuantile(work, (i + 0.5) / SLICES)) / Math.sqrt(variance));
  return sum / SLICES;
}

/** Hours of work left when minutes are a log-normal. */
const inHours = (minutes: LogNormal | null): LogNormal | null =>
  minutes && { ...minutes, mu: minutes.mu - Math.log(60) };

/** The first day by which the work is done at least so surely. */
function dayForChance(
  work: LogNormal | null,
  fromDay: number,
  firstDay: number,
  week: WeekHours,
  wanted: number,
): number {
  let [low, high] = [firstDay, firstDay + 7];
  const chance = (day: number) =>
    chanceDone(work, hoursBetween(fromDay, day, week), hoursVariance(fromDay, day, week));
  while (chance(high) < wanted && high < fromDay + MOST_DAYS)
    [low, high] = [high, high + 2 * (high - fromDay + 1)];
  while (low < high) {
    const mid = Math.floor((low + high) / 2);
    if (chance(mid) >= wanted) high = mid;
    else low = mid + 1;
  }
  return Math.min(low, fromDay + MOST_DAYS);
}

/** A day of a promise is given with this chance, and so many days' grace (judgement). */
export const OFFER_CHANCE = 0.9;
export const GRACE_DAYS = 2;
/** An agreed promise is not moved below this by another quilt. */
export const KEPT_CHANCE = 0.8;

/** What may be promised of a quilt that is not taken in yet. */
export interface DayOffer {
  /** Hours at the frame it takes. */
  hours: Range;
  /** First day that is kept 9 times in 10 when it waits its turn, grace in it. */
  day: number;
  /** Chance of the day that was asked for, in its turn. */
  chance: number;
  /** Put first of those that wait: its chance of the day asked for, and which promises that moves. */
  rush: { chance: number; moves: { id: string; before: number; after: number }[]; allowed: boolean };
}

/**
 * The day that may be promised, from the calendar as it stands: in its turn behind those that wait on the same machine,
 * or put before all that are not on the frame yet. A rush is not allowed when it takes an agreed promise from 0.8 or more
 * to below it. Days as in `schedule`; jobs in their order, `onFrame` of them first.
 */
export function offerDay(
  jobs: readonly Job[],
  job: Job,
  onFrame: ReadonlySet<string>,
  week: WeekHours,
  today: number,
  belief: HoursBelief,
): DayOffer {
  const before = schedule(jobs, week, today, belief);
  const chanceBy = (dueDay: number) => schedule([...jobs, { ...job, dueDay }], week, today, belief).at(-1)!;
  const turn = chanceBy(job.dueDay);
  let [low, high] = [turn.handDay, turn.sureDay + (job.afterDays ?? 0) + 1];
  while (chanceBy(high).chance < OFFER_CHANCE && high < turn.handDay + MOST_DAYS)
    [low, high] = [high, 2 * high - low + 1];
  while (low < high) {
    const mid = Math.floor((low + high) / 2);
    if (chanceBy(mid).chance >= OFFER_CHANCE) high = mid;
    else low = mid + 1;
  }
  const first = [...jobs.filter((j) => onFrame.has(j.id)), job, ...jobs.filter((j) => !onFrame.has(j.id))];
  const rushed = schedule(first, week, today, belief);
  const moves = before.flatMap((b) => {
    const after = rushed.find((r) => r.id === b.id)!.chance;
    return b.chance - after >= 0.01 ? [{ id: b.id, before: b.chance, after }] : [];
  });
  return {
    hours: turn.hours,
    day: low + GRACE_DAYS,
    chance: turn.chance,
    rush: {
      chance: rushed.find((r) => r.id === job.id)!.chance,
      moves,
      allowed: moves.every((m) => m.before < KEPT_CHANCE || m.after >= KEPT_CHANCE),
    },
  };
}

/**
 * Jobs laid one after another on each machine, in the order given: each begins when the one before is done and not
 * before its own day. What the jobs of a queue have in common (the quilter's hand) is added once, as a covariance, and
 * the hours really kept in a week have their own spread; no chance is surer than 99 %.
 */
export function schedule(
  jobs: readonly Job[],
  week: WeekHours,
  today: number,
  belief: HoursBelief,
): Scheduled[] {
  const queues = new Map<string, { day: number; base: number; queued: MinutesTally }>();
  return jobs.map(({ steps, ...job }) => {
    const free = queues.get(job.machineId);
    const begins = Math.max(job.fromDay, today);
    // A gap before the job starts the queue's clock anew.
    const q = free && free.day >= begins ? free : { day: begins, base: begins, queued: NO_MINUTES };
    const { base } = q;
    const before = inHours(logNormalOfTally(q.queued, belief));
    const through = withSteps(q.queued, steps, belief);
    const work = inHours(logNormalOfTally(through, belief));
    const own = shownRange(withSteps(NO_MINUTES, steps, belief), belief);
    const middle = work ? Math.exp(work.mu) : 0;
    const endDay = dayAfterHours(base, middle, week);
    const { afterDays = 0 } = job;
    const offDay = job.dueDay - afterDays;
    const hours = hoursBetween(base, offDay, week);
    const chance = offDay < base ? 0 : chanceDone(work, hours, hoursVariance(base, offDay, week));
    const startDay = before ? dayAfterHours(base, Math.exp(before.mu) + 1e-6, week) : base;
    queues.set(job.machineId, { day: endDay, base, queued: through });
    return {
      ...job,
      hours: { low: own.low / 60, mid: own.mid / 60, high: own.high / 60 },
      startDay,
      endDay,
      handDay: endDay + afterDays,
      sureDay: Math.max(endDay, dayForChance(work, base, endDay, week, 0.8)),
      chance: shownChance(chance),
      overdue: job.dueDay < today,
    };
  });
}
