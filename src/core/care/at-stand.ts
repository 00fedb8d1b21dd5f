import { happenedMs, type LogEntry } from '../log/entry';
import { type CareDue, remindAt } from './due';
import { CARE, type CareItem, type Stop } from './items';

/** An item as the studio's computer told it when the page was asked for. */
export interface CareKnown {
  id: string;
  /** 1: due. */
  u: number;
  word: CareDue['word'] | 'unknown';
  /** How much nearer an hour sewn and a bobbin bring it. */
  perHour: number;
  perBobbin: number;
}

/** Till the next stop of its kind about so much is sewn (judgement). */
const AHEAD: Readonly<Record<Stop, { hours: number; bobbins: number }>> = {
  'day-start': { hours: 4, bobbins: 5 },
  'bobbin-out': { hours: 0.75, bobbins: 1 },
  'pass-end': { hours: 0.75, bobbins: 0 },
  'empty-frame': { hours: 8, bobbins: 10 },
};

/** The natural stop a person stands at, from what she did last; null in the middle of work. @param dayStart milliseconds of this morning. */
export function stopNow(entries: readonly LogEntry[], running: boolean, dayStart: number): Stop | null {
  if (running) return null;
  const work = entries.filter((e) => WORK.includes(e.kind));
  const last = work.at(-1);
  if (!last || happenedMs(last) < dayStart) return 'day-start';
  return last.kind === 'bobbin-changed' ? 'bobbin-out' : last.kind === 'step-done' ? 'pass-end' : null;
}
const WORK: readonly LogEntry['kind'][] = [
  'step-begun',
  'step-paused',
  'step-resumed',
  'step-done',
  'bobbin-changed',
];

/**
 * What the machine asks for at this stop, by what was known when the page was asked for and what was sewn and done since.
 * The needle is told of by its own notice. @param entries what stands, in the order it happened. @param askedAt milliseconds.
 */
export function careAtStand(
  known: readonly CareKnown[],
  entries: readonly LogEntry[],
  now: { running: boolean; askedAt: number; dayStart: number },
): CareItem[] {
  const stop = stopNow(entries, now.running, now.dayStart);
  if (!stop) return [];
  const since = entries.filter((e) => happenedMs(e) > now.askedAt);
  const hours = since.reduce((s, e) => s + (e.kind === 'step-done' ? (e.minutes ?? 0) / 60 : 0), 0);
  const bobbins = since.filter((e) => e.kind === 'bobbin-changed').length;
  const doneSince = new Set(since.flatMap((e) => (e.kind === 'care-done' && e.care ? [String(e.care)] : [])));
  const rate = new Map(known.map((k) => [k.id, k]));
  const growth = (id: string, h: number, b: number) =>
    Math.max(rate.get(id)!.perHour * h, rate.get(id)!.perBobbin * b);
  const dues = known.flatMap((k): CareDue[] => {
    const item = CARE.find(k.id);
    if (!item || item.id === 'needle' || k.word === 'unknown' || doneSince.has(k.id)) return [];
    return [{ item, u: k.u + growth(k.id, hours, bobbins), by: null, word: k.word, limits: {} }];
  });
  const { hours: h, bobbins: b } = AHEAD[stop];
  return remindAt(stop, dues, (d) => growth(d.item.id, h, b)).map((d) => d.item);
}
