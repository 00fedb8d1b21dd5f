import { addWeeks, endOfWeek, format, parseISO, startOfWeek } from 'date-fns';
import { isoDay } from '../calendar/days';
import type { Step } from '../fields/lists';
import { isSewn, type SewnStep } from '../plan/begun';
import type { StepKey } from '../plan/step-key';
import type { Known } from '../source/known';
import { inTen } from '../statistics/chance';

/** How far a zone's set-up has come. */
export type ZoneState = 'to match' | 'matched' | 'testing' | 'proven' | 'left open';

/** Whether nothing of a zone's set-up is left to do: it was tested, or nothing is sewn in it. */
export const isSettled = (s: ZoneState): boolean => s === 'proven' || s === 'left open';

/** A quilt as the Rack sees it. */
export interface RackedQuilt {
  id: string;
  name: string;
  dueOn: string;
  step: Step;
  passes: number | null;
  sewn: readonly SewnStep[];
  onFrameSince: string | null;
  waitsFor: string;
}
interface RackedZone {
  id: string;
  letter: string;
  name: string;
}

/** A quilt on its rail: what is known of it, what is left, and where it stands. */
export interface Racked<Q extends RackedQuilt = RackedQuilt, Z extends RackedZone = RackedZone> {
  quilt: Q;
  zones: Z[];
  states: ZoneState[];
  fill: number;
  progress: Progress;
  hoursLeft: Known;
  daysOver: number;
  status: string;
}

export interface Rail<R extends Racked = Racked> {
  title: string;
  dates: string;
  quilts: R[];
  hoursLeft: Known;
  /** Hours at the frame that week; null for 'later'. */
  hoursAtFrame: number | null;
}

export interface HandLine {
  kind: 'flag' | 'test' | 'cone' | 'fault' | 'zone';
  title: string;
  detail: string;
  act: string;
  href: string;
}

/** A promise as the calendar sees it: its chance, and the day it would be kept eight times in ten. */
export interface PromiseOf {
  id: string;
  name: string;
  dueOn: string;
  chance: number;
  sureOn: string;
}

/** A promise under this chance needs a hand. */
const IN_DANGER = 0.8;
const MOST_LINES = 6;
const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

/** How many steps a quilt has, as it is planned now, and how many of them are sewn. */
export interface Progress {
  all: number;
  sewn: number;
}

/** Of a quilt that is sewn, whatever its steps would be today, all are. */
export function progressOf(quilt: Pick<RackedQuilt, 'step' | 'sewn'>, steps: readonly StepKey[]): Progress {
  if (quilt.step === 'hand-back') {
    const all = Math.max(steps.length, quilt.sewn.length);
    return { all, sewn: all };
  }
  return { all: steps.length, sewn: steps.filter((s) => isSewn(s, quilt.sewn)).length };
}

/** Where a quilt stands, in a few words. */
export function statusOf(
  quilt: RackedQuilt,
  states: readonly ZoneState[],
  daysWaiting: number,
  { all, sewn }: Progress,
): string {
  const open = states.filter((s) => s === 'to match').length;
  const untested = states.filter((s) => !isSettled(s)).length;
  if (quilt.onFrameSince) return 'On the frame now';
  if (quilt.waitsFor) return quilt.waitsFor;
  switch (quilt.step) {
    case 'take-in':
      return daysWaiting === 0 ? 'Taken in today' : `Taken in ${plural(daysWaiting, 'day')} ago`;
    case 'match':
      return open === 0 ? 'All zones matched' : `Match: ${plural(open, 'zone')} open`;
    case 'test':
      return untested === 0 ? 'All zones tested' : `Test: ${plural(untested, 'zone')} to go`;
    case 'quilt':
      if (!quilt.passes) return 'Passes to lock in';
      return all === 0 ? 'Zones to match' : `Step ${Math.min(sewn + 1, all)} of ${all}`;
    case 'hand-back':
      return 'Quilted, trim and inspect';
  }
}

/** This week (with what is overdue), next week, and later. Weeks begin on Monday. */
export function railsOf<R extends Racked>(
  rack: readonly R[],
  preferences: { dayHours: readonly number[] },
  today: Date,
): Rail<R>[] {
  const monday = startOfWeek(today, { weekStartsOn: 1 });
  const nextMonday = addWeeks(monday, 1);
  const laterMonday = addWeeks(monday, 2);
  const span = (from: Date) =>
    `${format(from, 'd MMM')} to ${format(endOfWeek(from, { weekStartsOn: 1 }), 'd MMM')}`;
  const weekHours = preferences.dayHours.reduce((a, b) => a + b, 0);
  // Days written yyyy-mm-dd stand in the order of their letters.
  const [next, later] = [isoDay(nextMonday), isoDay(laterMonday)];
  const due = (r: R) => r.quilt.dueOn;
  const rail = (title: string, dates: string, quilts: R[], hours: number | null): Rail<R> => ({
    title,
    dates,
    quilts,
    hoursLeft: {
      value: quilts.reduce((sum, q) => sum + q.hoursLeft.value, 0),
      source: quilts[0]?.hoursLeft.source ?? 'predicted',
    },
    hoursAtFrame: hours,
  });
  return [
    rail(
      'This week',
      span(monday),
      rack.filter((r) => due(r) < next),
      weekHours,
    ),
    rail(
      'Next week',
      span(nextMonday),
      rack.filter((r) => due(r) >= next && due(r) < later),
      weekHours,
    ),
    rail(
      'Later',
      `from ${format(laterMonday, 'd MMM')}`,
      rack.filter((r) => due(r) >= later),
      null,
    ),
  ];
}

/** At most six lines, each with one act: overdue first, then promises in danger, tests, faults, thread, open zones. */
export function needsYourHand(
  rack: readonly Racked[],
  setups: ReadonlyMap<string, { topId: string; bobbinId: string; rounds: number }>,
  shelf: readonly { id: string; line: string; colour: string; remainingM: number | null }[],
  wanted: ReadonlyMap<string, number>,
  faults: readonly { quiltId: string; note: string }[],
  promises: readonly PromiseOf[] = [],
): HandLine[] {
  return [
    ...overdue(rack),
    ...inDanger(rack, promises),
    ...testing(rack, setups),
    ...openFaults(rack, faults),
    ...shortCones(rack, setups, shelf, wanted),
    ...toMatch(rack),
  ].slice(0, MOST_LINES);
}

const at = (q: RackedQuilt, page: string, zoneId?: string) =>
  `/quilts/${q.id}/${page}${zoneId ? `?zone=${zoneId}` : ''}`;

const overdue = (rack: readonly Racked[]): HandLine[] =>
  rack
    .filter((q) => q.daysOver > 0)
    .map((r) => ({
      kind: 'flag',
      title: `${r.quilt.name} is ${plural(r.daysOver, 'day')} over`,
      detail: `${r.status}, about ${r.hoursLeft.value.toFixed(1)} h left`,
      act: 'Open',
      href: at(r.quilt, 'quilt'),
    }));

function inDanger(rack: readonly Racked[], promises: readonly PromiseOf[]): HandLine[] {
  const over = new Set(rack.filter((q) => q.daysOver > 0).map((r) => r.quilt.id));
  return promises
    .filter((p) => p.chance < IN_DANGER && !over.has(p.id))
    .map((p) => ({
      kind: 'flag',
      title: `${p.name}: promise in danger`,
      detail: `Promised for ${format(parseISO(p.dueOn), 'EEE d MMM')}: ${inTen(p.chance)}. By ${format(parseISO(p.sureOn), 'EEE d MMM')}: 8 in 10`,
      act: 'See',
      href: '/calendar',
    }));
}

const testing = (rack: readonly Racked[], setups: ReadonlyMap<string, { rounds: number }>): HandLine[] =>
  rack.flatMap((r) =>
    r.zones
      .filter((_, i) => r.states[i] === 'testing')
      .map((z): HandLine => ({
        kind: 'test',
        title: `Go on testing ${r.quilt.name}`,
        detail: `Zone ${z.letter}, ${z.name}: ${plural(setups.get(z.id)!.rounds, 'test')} sewn`,
        act: 'Test',
        href: at(r.quilt, 'test', z.id),
      })),
  );

const openFaults = (
  rack: readonly Racked[],
  faults: readonly { quiltId: string; note: string }[],
): HandLine[] =>
  rack.flatMap((r): HandLine[] => {
    const open = faults.filter((f) => f.quiltId === r.quilt.id);
    if (open.length === 0 || !(r.quilt.step === 'hand-back' || r.quilt.onFrameSince)) return [];
    return [
      {
        kind: 'fault',
        title: `${plural(open.length, 'fault')} open on ${r.quilt.name}`,
        detail: `Newest: ${open.at(-1)!.note || 'no note'}`,
        act: 'See',
        href: at(r.quilt, 'quilt'),
      },
    ];
  });

const shortCones = (
  rack: readonly Racked[],
  setups: ReadonlyMap<string, { topId: string; bobbinId: string }>,
  shelf: readonly { id: string; line: string; colour: string; remainingM: number | null }[],
  wanted: ReadonlyMap<string, number>,
): HandLine[] =>
  shelf.flatMap((cone): HandLine[] => {
    const need = wanted.get(cone.id) ?? 0;
    if (cone.remainingM === null || need <= cone.remainingM) return [];
    return [
      {
        kind: 'cone',
        title: `${cone.line} ${cone.colour} is short`,
        detail: `${Math.round(cone.remainingM)} m left, ${Math.round(need)} m wanted by the quilts on the rack`,
        act: 'See why',
        href: quiltThatWants(rack, setups, cone.id),
      },
    ];
  });

const toMatch = (rack: readonly Racked[]): HandLine[] =>
  rack
    .filter((q) => q.quilt.step !== 'take-in')
    .flatMap((r) =>
      r.zones
        .filter((_, i) => r.states[i] === 'to match')
        .map((z): HandLine => ({
          kind: 'zone',
          title: `Match ${z.name}`,
          detail: `${r.quilt.name}, zone ${z.letter} has no set-up yet`,
          act: 'Match',
          href: at(r.quilt, 'match', z.id),
        })),
    );

function quiltThatWants(
  rack: readonly Racked[],
  setups: ReadonlyMap<string, { topId: string; bobbinId: string }>,
  coneId: string,
): string {
  for (const r of rack)
    for (const z of r.zones) {
      const s = setups.get(z.id);
      if (r.fill < 1 && s && (s.topId === coneId || s.bobbinId === coneId))
        return `/quilts/${r.quilt.id}/match?zone=${z.id}`;
    }
  return '/';
}
