import { format } from 'date-fns';
import ical from 'ical-generator';
import { dateOfDay, dayNumber } from '@/core/calendar/days';
import type { CareDue } from '@/core/care/due';
import { CARE } from '@/core/care/items';
import { midHours, minutesKnown } from '@/core/hours/known';
import { isSewn } from '@/core/plan/begun';
import { dayOf, TODAY_LABEL, type TodayLine } from '@/core/today/day';
import { readConditionsWaiting } from '@/data/conditions';
import type { Sql } from '@/data/sql';
import type { Machine, Preferences } from '@/data/types';
import { laid } from './calendar';
import { type MachineCare, readCare } from './care';
import { readRackView } from './rack';
import { readShopping } from './shopping';
import type { QuiltTask } from './tasks';
import { readWaiting, type Waiting, type WaitingRoom } from './waiting';

export interface TodayView {
  day: string;
  studio: string;
  lines: TodayLine[];
  /** Left for another day. */
  more: number;
  /** Work away from the frame, by quilt, the one that goes on first; what is done today too. */
  table: {
    quilt: { id: string; name: string; client: string };
    loads: string | null;
    tasks: readonly QuiltTask[];
  }[];
  /** Hours at the table that wait for what goes on the frame within a week, and that a week has. */
  tableHours: { waiting: number; aWeek: number };
}

const hoursText = (h: number) => (h < 1 ? `${Math.round(h * 60)} min` : `${h.toFixed(1)} h`);
/** A quilt's yes is asked for so long before its day on the frame. */
const ASK_AHEAD_DAYS = 7;
const WITHIN_A_WEEK = 7;

/** Everything a day at the studio asks for, in order; null when there is no studio. */
export async function readToday(sql: Sql, now: Date): Promise<TodayView | null> {
  const room = await readWaiting(sql);
  if (!room) return null;
  const [rack, shopping, care, untold] = await Promise.all([
    readRackView(sql, now, room),
    readShopping(sql, now, room),
    readCare(sql, now),
    readConditionsWaiting(sql),
  ]);
  if (!rack) return null;
  const day = format(now, 'yyyy-MM-dd');
  const today = dayNumber(day);
  const { tasks } = room;
  const starts = startsOf(room, today);
  const lines: TodayLine[] = [
    ...rack.hand
      .filter((l) => l.kind === 'flag')
      .map((l) => line('promise', l.title, l.detail, { act: l.act, href: l.href })),
    ...careLines(care),
    ...loadLines(room, starts, today),
    ...sewLines(room, now),
    ...writeLines(room, starts, today, untold),
    ...shoppingLines(shopping ?? []),
    ...handOver(room),
    ...tableLines(room, tasks, starts, today),
    ...technician(care),
  ];
  const table = tableOf(room, tasks, starts);
  const soon = table.filter((t) => t.loads !== null && dayNumber(t.loads) - today <= WITHIN_A_WEEK);
  const minutes = soon
    .flatMap((t) => t.tasks)
    .filter((t) => t.state === 'open' || t.state === 'running')
    .reduce((s, t) => s + Math.max(0, t.minutes.mid - t.spentMin), 0);
  return {
    day,
    studio: room.preferences.name,
    ...dayOf(lines),
    table,
    tableHours: { waiting: minutes / 60, aWeek: room.preferences.tableHours * workDays(room.preferences) },
  };
}

const workDays = (p: Preferences) => p.dayHours.filter((h) => h > 0).length || 5;

const line = (
  kind: TodayLine['kind'],
  title: string,
  detail: string,
  rest: Pick<TodayLine, 'act' | 'href'> & Partial<TodayLine>,
): TodayLine => ({ kind, title, detail, minutes: null, ...rest });

/** The day each quilt goes on the frame, as the calendar has it. */
const startsOf = (room: WaitingRoom, today: number): Map<string, number> =>
  new Map(laid(room, today).map((l) => [l.id, l.startDay]));

/** What is due on the machines as the day begins, the most due of each first: what takes a minute with its own press. */
function careLines(care: readonly MachineCare[]): TodayLine[] {
  const byMachine = care.map(({ machine, lines }) =>
    lines
      .filter((l) => l.word === 'due' && !l.technician)
      .sort((a, b) => b.u - a.u)
      .slice(0, MOST_CARE)
      .map((l) => careLine(machine, l)),
  );
  return Array.from({ length: MOST_CARE }, (_, k) =>
    byMachine.flatMap((lines) => lines.slice(k, k + 1)),
  ).flat();
}

const careLine = (machine: MachineCare['machine'], l: MachineCare['lines'][number]): TodayLine =>
  line('care', `${l.label}: ${machine.name}`, `${CARE.get(l.id).act} ${dueText(l)}`, {
    minutes: l.minutes,
    act: l.id === 'needle' ? 'Open' : 'Done',
    href: l.id === 'needle' ? '/workroom/needles' : '/workroom/care',
    ...(l.id !== 'needle' && { care: { machineId: machine.id, item: l.id } }),
  });
const MOST_CARE = 3;
const dueText = (l: { words: string; word: CareDue['word'] | 'unknown' }) =>
  l.words === 'once a day' ? 'Once a day.' : `${l.words}.`;

function loadLines(
  { waiting, machines }: WaitingRoom,
  starts: ReadonlyMap<string, number>,
  today: number,
): TodayLine[] {
  const busy = new Set(waiting.filter((w) => w.quilt.onFrameSince).map((w) => w.quilt.machineId));
  return machines
    .filter((m) => !busy.has(m.id))
    .flatMap((m) => {
      const next = waiting
        .filter(
          (w) =>
            w.quilt.machineId === m.id &&
            w.quilt.step !== 'hand-back' &&
            w.quilt.step !== 'take-in' &&
            (starts.get(w.quilt.id) ?? Infinity) <= today,
        )
        .sort((a, b) => starts.get(a.quilt.id)! - starts.get(b.quilt.id)!)[0];
      return next ? [loadLine(next, m)] : [];
    });
}

const loadLine = ({ quilt }: Waiting, machine: Machine): TodayLine =>
  machine.kind === 'table'
    ? line('load', `Baste ${quilt.name}`, `For ${machine.name}: ${quilt.batting} between top and backing.`, {
        act: 'How',
        href: `/quilts/${quilt.id}/quilt`,
      })
    : line(
        'load',
        `Load ${quilt.name}`,
        `The frame of ${machine.name} is free; ${quilt.backing}, ${quilt.batting}.`,
        {
          minutes: Math.round(12 + 0.03 * quilt.lengthIn + 0.05 * quilt.widthIn),
          act: 'Loading sheet',
          href: `/quilts/${quilt.id}/sheets/loading`,
        },
      );

function sewLines({ waiting, belief, preferences }: WaitingRoom, now: Date): TodayLine[] {
  const hours = preferences.dayHours[(now.getDay() + 6) % 7] ?? 0;
  return waiting
    .filter((w) => w.quilt.onFrameSince && w.quilt.step !== 'hand-back')
    .map((w) => {
      const left = midHours(minutesKnown(w.left, belief)).value;
      const next = w.steps.findIndex((s) => !isSewn(s, w.quilt.sewn));
      const place = next < 0 ? 'its zones are to be matched' : `step ${next + 1} of ${w.steps.length}`;
      return line(
        'sew',
        `Sew ${w.quilt.name}`,
        `${place}; about ${hoursText(left)} left, ${hoursText(hours)} at the machine today.`,
        {
          minutes: Math.round(60 * Math.min(hours, left)),
          act: next < 0 ? 'Match' : 'Stand',
          href: `/quilts/${w.quilt.id}/${next < 0 ? 'match' : 'stand'}`,
        },
      );
    });
}

/** Letters that wait: a yes to be asked for before the frame, something found that was never told, and what is ready. */
function writeLines(
  { waiting }: WaitingRoom,
  starts: ReadonlyMap<string, number>,
  today: number,
  untold: ReadonlyMap<string, number>,
): TodayLine[] {
  const at = (id: string) => `/quilts/${id}/letters`;
  return waiting.flatMap(({ quilt }): TodayLine[] => {
    const found = untold.get(quilt.id) ?? 0;
    const start = starts.get(quilt.id);
    const isBegun = quilt.onFrameSince !== null || quilt.sewn.length > 0;
    const soon = start !== undefined && start - today <= ASK_AHEAD_DAYS && !isBegun;
    return [
      ...(found > 0
        ? [
            line(
              'write',
              `Tell ${quilt.client} what was found on ${quilt.name}`,
              `${found} ${found === 1 ? 'thing' : 'things'} not told yet.`,
              {
                act: 'Write',
                href: at(quilt.id),
              },
            ),
          ]
        : []),
      ...(soon && quilt.approval === 'not-asked' && quilt.step !== 'hand-back'
        ? [
            line(
              'write',
              `Ask ${quilt.client} for a yes to ${quilt.name}`,
              `It goes on the frame about ${format(new Date(`${dateOfDay(start)}T12:00:00`), 'EEE d MMM')}.`,
              {
                act: 'Write',
                href: at(quilt.id),
              },
            ),
          ]
        : []),
    ];
  });
}

function shoppingLines(list: NonNullable<Awaited<ReturnType<typeof readShopping>>>): TodayLine[] {
  return list
    .filter((l) => l.state === 'get' && l.urgent && l.act !== 'cut')
    .map((l) =>
      line(
        l.act === 'wind' ? 'wind' : 'buy',
        `${l.act === 'wind' ? 'Wind' : 'Buy'} ${l.what}`,
        [l.amount, l.why].filter(Boolean).join(': '),
        {
          act: 'List',
          href: '/shopping',
        },
      ),
    );
}

const handOver = ({ waiting }: WaitingRoom): TodayLine[] =>
  waiting
    .filter((w) => w.quilt.step === 'hand-back')
    .map(({ quilt }) =>
      line(
        'hand-over',
        `Hand back ${quilt.name}`,
        `${quilt.client}, promised for ${format(new Date(`${quilt.dueOn}T12:00:00`), 'EEE d MMM')}.`,
        {
          act: 'Hand back',
          href: `/quilts/${quilt.id}/hand-back`,
        },
      ),
    );

/** Those tasks of a quilt that can be done now: before the frame until it is on it, after it once it is quilted. */
const tasksNow = ({ quilt }: Waiting, tasks: readonly QuiltTask[]): readonly QuiltTask[] =>
  tasks.filter((t) =>
    t.when === 'before' ? !quilt.onFrameSince && quilt.sewn.length === 0 : quilt.step === 'hand-back',
  );

function tableLines(
  room: WaitingRoom,
  tasks: ReadonlyMap<string, readonly QuiltTask[]>,
  starts: ReadonlyMap<string, number>,
  today: number,
): TodayLine[] {
  return byStart(room.waiting, starts).flatMap((w) => {
    const open = tasksNow(w, tasks.get(w.quilt.id) ?? []).filter(
      (t) => t.state === 'open' || t.state === 'running',
    );
    const start = starts.get(w.quilt.id);
    if (open.length === 0 || (start !== undefined && start - today > WITHIN_A_WEEK)) return [];
    const minutes = Math.round(open.reduce((s, t) => s + t.minutes.mid, 0));
    return [
      line('table', `${w.quilt.name}: ${open.map((t) => t.label).join(', ')}`, w.quilt.client, {
        minutes,
        act: 'Clock',
        href: `/today#${w.quilt.id}`,
      }),
    ];
  });
}

const byStart = (waiting: readonly Waiting[], starts: ReadonlyMap<string, number>) =>
  [...waiting].sort((a, b) => (starts.get(a.quilt.id) ?? 0) - (starts.get(b.quilt.id) ?? 0));

const MOST_AT_TABLE = 12;

function tableOf(
  { waiting }: WaitingRoom,
  tasks: ReadonlyMap<string, readonly QuiltTask[]>,
  starts: ReadonlyMap<string, number>,
): TodayView['table'] {
  return byStart(waiting, starts)
    .flatMap((w) => {
      const own = tasksNow(w, tasks.get(w.quilt.id) ?? []);
      const start = starts.get(w.quilt.id);
      if (own.length === 0) return [];
      const { id, name, client } = w.quilt;
      return [
        {
          quilt: { id, name, client },
          loads: start === undefined || w.quilt.step === 'hand-back' ? null : dateOfDay(start),
          tasks: own,
        },
      ];
    })
    .slice(0, MOST_AT_TABLE);
}

const technician = (care: readonly MachineCare[]): TodayLine[] =>
  care.flatMap(({ machine, lines }) =>
    lines
      .filter((l) => l.ask)
      .map((l) =>
        line(
          'technician',
          `Ask a technician for a day: ${machine.name}`,
          `${l.label}, due about ${l.dueOn ?? 'now'}.`,
          {
            act: 'See',
            href: '/workroom/care',
          },
        ),
      ),
  );

/** The day as iCalendar: each line an entry of the day. */
export function todayIcs(view: TodayView): string {
  const cal = ical({
    name: `${view.studio}: today`,
    prodId: { company: 'Tidy Spool', product: 'today', language: 'EN' },
  });
  const start = new Date(`${view.day}T00:00:00Z`);
  view.lines.forEach((l, i) =>
    cal.createEvent({
      id: `${view.day}-${i}-${l.kind}@tidy-spool`,
      start,
      end: new Date(start.getTime() + 86_400_000),
      allDay: true,
      timezone: 'UTC',
      summary: `${TODAY_LABEL[l.kind]}: ${l.title}`,
      description: l.minutes === null ? l.detail : `${l.detail} About ${l.minutes} min.`,
    }),
  );
  return cal.toString();
}
