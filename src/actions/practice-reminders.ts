import { addDays, format } from 'date-fns';
import ical, { ICalAlarmType, ICalEventRepeatingFreq, ICalWeekday } from 'ical-generator';

const WEEKDAYS = [
  ICalWeekday.SU,
  ICalWeekday.MO,
  ICalWeekday.TU,
  ICalWeekday.WE,
  ICalWeekday.TH,
  ICalWeekday.FR,
  ICalWeekday.SA,
] as const;

/** What a reminder is asked with. */
export interface RemindersAsked {
  minutes: 10 | 20 | 30;
  /** 0 Sunday to 6 Saturday; at least one. */
  days: readonly number[];
  /** Hour and minute of the day, as the wall clock shows them. */
  at: readonly [number, number];
}

/** What an address asks for; null where it asks for nothing that can be laid in a calendar. */
export function remindersAsked(query: URLSearchParams): RemindersAsked | null {
  const minutes = Number(query.get('minutes'));
  const days = (query.get('days') ?? '').split(',').map(Number);
  const at = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(query.get('at') ?? '');
  if ((minutes !== 10 && minutes !== 20 && minutes !== 30) || !at) return null;
  if (days.length === 0 || days.some((d) => !Number.isInteger(d) || d < 0 || d > 6)) return null;
  return { minutes, days: [...new Set(days)], at: [Number(at[1]), Number(at[2])] };
}

/** Practice every week on the days asked, from the first of them on, with a call five minutes before; times float with the wall clock. */
export function practiceIcs({ minutes, days, at: [h, m] }: RemindersAsked, now: Date): string {
  const first = Array.from({ length: 7 }, (_, i) => addDays(now, i + 1)).find((d) =>
    days.includes(d.getDay()),
  )!;
  const start = new Date(first.getFullYear(), first.getMonth(), first.getDate(), h, m);
  const cal = ical({
    name: 'Practice',
    prodId: { company: 'Tidy Spool', product: 'practice', language: 'EN' },
  });
  const event = cal.createEvent({
    id: `practice-${days.join('')}-${format(start, 'HHmm')}@tidy-spool`,
    start,
    end: new Date(start.getTime() + minutes * 60_000),
    floating: true,
    summary: `Practice, ${minutes} minutes`,
    description: 'Drills drawn by hand; warm up with the line. Stop at pain or tingling.',
    repeating: { freq: ICalEventRepeatingFreq.WEEKLY, byDay: days.map((d) => WEEKDAYS[d]!) },
  });
  event.createAlarm({ type: ICalAlarmType.display, trigger: 300, description: 'Practice' });
  return cal.toString();
}
