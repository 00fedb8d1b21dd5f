import { addWeeks, endOfWeek, format, startOfWeek } from 'date-fns';
import { dayNumber } from '@/core/calendar/days';
import { isSewn } from '@/core/plan/begun';
import { midHours, minutesKnown } from '@/core/hours/known';
import type { Known } from '@/core/source/known';
import { wholeSteps } from '@/core/plan/steps';
import { planWork } from '@/core/plan/work-plan';
import { readOpenFaults } from '@/data/faults';
import { readRack } from '@/data/quilts';
import { readOpenSetups } from '@/data/setups';
import type { Sql } from '@/data/sql';
import { readCardCones } from '@/data/cones';
import { readMachine } from '@/data/machines';
import { readPreferences } from '@/data/preferences';
import type { ChosenSetup, Cone, Fault, Quilt, Preferences, Zone } from '@/data/types';
import { readOpenZones, zonesByQuilt } from '@/data/zones';
import { readHours } from './hours';
import { PRICES, planRequest, shareSewn } from './plan';
import { type QuiltWork, quiltWork, spoolBands } from './quilt-work';
import { type ZoneState, zoneState } from './quilt-view';
import { coneName } from './zone-brief';

export interface RackQuilt {
  quilt: Quilt;
  zones: Zone[];
  states: ZoneState[];
  bands: { hex: string; share: number }[];
  fill: number;
  hoursLeft: Known;
  daysOver: number;
  status: string;
}

export interface Rail {
  title: string;
  dates: string;
  quilts: RackQuilt[];
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

export interface RackView {
  preferences: Preferences;
  rails: Rail[];
  onFrame: (RackQuilt & { faults: Fault[] }) | null;
  hand: HandLine[];
}

const MOST_LINES = 6;
const isoDay = (date: Date) => format(date, 'yyyy-MM-dd');
const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

/** How many steps a quilt was begun with; its passes where steps were not kept yet. */
export const stepsOf = (quilt: Pick<Quilt, 'begun' | 'passes'>): number =>
  quilt.begun?.steps.length || (quilt.passes ?? 1);

/** The step a quilt stands at, from 1. */
export const stepAt = (quilt: Pick<Quilt, 'begun' | 'sewn' | 'passes'>): number => {
  const steps = quilt.begun?.steps ?? [];
  const sewn = steps.length > 0 ? steps.filter((s) => isSewn(s, quilt.sewn)).length : quilt.sewn.length;
  return Math.min(sewn + 1, stepsOf(quilt));
};

/** Where a quilt stands, in a few words. */
export function statusOf(quilt: Quilt, states: readonly ZoneState[], daysWaiting: number): string {
  const open = states.filter((s) => s === 'to match').length;
  const untested = states.filter((s) => s !== 'proven').length;
  if (quilt.onFrameSince) return 'On the frame now';
  if (quilt.waitsFor) return quilt.waitsFor;
  switch (quilt.step) {
    case 'take-in':
      return daysWaiting === 0 ? 'Taken in today' : `Taken in ${plural(daysWaiting, 'day')} ago`;
    case 'match':
      return open === 0 ? 'All zones matched' : `Match: ${plural(open, 'zone')} open`;
    case 'test':
      return untested === 0 ? 'All zones proven' : `Test: ${plural(untested, 'zone')} to prove`;
    case 'quilt':
      return quilt.passes ? `Step ${stepAt(quilt)} of ${stepsOf(quilt)}` : 'Passes to be fixed';
    case 'hand-back':
      return 'Quilted, trim and inspect';
  }
}

/** Everything on the Rack, worked out for a day. Null when there is no studio. */
export async function readRackView(sql: Sql, today: Date): Promise<RackView | null> {
  const [preferences, quilts, zones, setups, shelf, openFaults, belief] = await Promise.all([
    readPreferences(sql),
    readRack(sql),
    readOpenZones(sql),
    readOpenSetups(sql),
    readCardCones(sql),
    readOpenFaults(sql),
    readHours(sql),
  ]);
  if (!preferences) return null;
  const cones = new Map(shelf.map((c) => [c.id, c]));
  const day = dayNumber(isoDay(today));
  const setupByZone = new Map(setups.map((s) => [s.zoneId, s]));
  const machineIds = [...new Set(quilts.map((q) => q.machineId))];
  const machines = new Map(
    await Promise.all(machineIds.map(async (id) => [id, await readMachine(sql, id)] as const)),
  );
  const zonesOf = zonesByQuilt(zones);
  const wanted = new Map<string, number>();
  const rack = quilts.map((quilt): RackQuilt => {
    const own = zonesOf.get(quilt.id) ?? [];
    const work = quiltWork(quilt, own, setupByZone, cones, machines.get(quilt.machineId)!);
    const fill = shareSewn(quilt);
    for (const [id, m] of work.totalM) wanted.set(id, (wanted.get(id) ?? 0) + m * (1 - fill));
    const machine = machines.get(quilt.machineId)!;
    const request = planRequest({
      quilt,
      zones: own,
      setups: setupByZone,
      cones,
      machine,
      preferences,
      belief,
    });
    const plan = planWork({ ...request, brief: true });
    const hoursLeft = midHours(minutesKnown(wholeSteps(plan, PRICES.changeMin, 1 - fill), belief));
    return describe(quilt, own, work, hoursLeft, fill, setupByZone, cones, day);
  });
  const framed = rack.find((r) => r.quilt.onFrameSince) ?? null;
  return {
    preferences,
    rails: railsOf(rack, preferences, today),
    onFrame: framed && { ...framed, faults: openFaults.filter((f) => f.quiltId === framed.quilt.id) },
    hand: needsYourHand(rack, setupByZone, shelf, wanted, openFaults),
  };
}

function describe(
  quilt: Quilt,
  zones: Zone[],
  work: QuiltWork,
  hoursLeft: Known,
  fill: number,
  setups: ReadonlyMap<string, ChosenSetup>,
  cones: ReadonlyMap<string, Cone>,
  day: number,
): RackQuilt {
  const states = zones.map((z) => zoneState(setups.get(z.id)));
  return {
    quilt,
    zones,
    states,
    bands: spoolBands(work, cones, zones),
    fill,
    hoursLeft,
    daysOver: Math.max(0, day - dayNumber(quilt.dueOn)),
    status: statusOf(quilt, states, day - dayNumber(quilt.takenInOn)),
  };
}

/** This week (with what is overdue), next week, and later. Weeks begin on Monday. */
export function railsOf(
  rack: readonly RackQuilt[],
  preferences: Pick<Preferences, 'dayHours'>,
  today: Date,
): Rail[] {
  const monday = startOfWeek(today, { weekStartsOn: 1 });
  const nextMonday = addWeeks(monday, 1);
  const laterMonday = addWeeks(monday, 2);
  const span = (from: Date) =>
    `${format(from, 'd MMM')} to ${format(endOfWeek(from, { weekStartsOn: 1 }), 'd MMM')}`;
  const weekHours = preferences.dayHours.reduce((a, b) => a + b, 0);
  // Days written yyyy-mm-dd stand in the order of their letters.
  const [next, later] = [isoDay(nextMonday), isoDay(laterMonday)];
  const due = (r: RackQuilt) => r.quilt.dueOn;
  const rail = (title: string, dates: string, quilts: RackQuilt[], hours: number | null): Rail => ({
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

/** At most six lines, each with one act: overdue first, then tests, faults, thread, open zones. */
export function needsYourHand(
  rack: readonly RackQuilt[],
  setups: ReadonlyMap<string, ChosenSetup>,
  shelf: readonly Cone[],
  wanted: ReadonlyMap<string, number>,
  faults: readonly Fault[],
): HandLine[] {
  const lines: HandLine[] = [];
  const at = (q: Quilt, page: string, zoneId?: string) =>
    `/quilts/${q.id}/${page}${zoneId ? `?zone=${zoneId}` : ''}`;
  for (const r of rack.filter((q) => q.daysOver > 0))
    lines.push({
      kind: 'flag',
      title: `${r.quilt.name} is ${plural(r.daysOver, 'day')} over`,
      detail: `${r.status}, about ${r.hoursLeft.value.toFixed(1)} h left`,
      act: 'Open',
      href: at(r.quilt, 'quilt'),
    });
  for (const r of rack)
    for (const z of r.zones.filter((zone) => zoneState(setups.get(zone.id)) === 'testing'))
      lines.push({
        kind: 'test',
        title: `Go on testing ${r.quilt.name}`,
        detail: `Zone ${z.letter}, ${z.name}: ${plural(setups.get(z.id)!.rounds, 'test')} sewn`,
        act: 'Test',
        href: at(r.quilt, 'test', z.id),
      });
  for (const r of rack) {
    const open = faults.filter((f) => f.quiltId === r.quilt.id);
    if (open.length > 0 && (r.quilt.step === 'hand-back' || r.quilt.onFrameSince))
      lines.push({
        kind: 'fault',
        title: `${plural(open.length, 'fault')} open on ${r.quilt.name}`,
        detail: `Newest: ${open.at(-1)!.note || 'no note'}`,
        act: 'See',
        href: at(r.quilt, 'quilt'),
      });
  }
  for (const cone of shelf) {
    const need = wanted.get(cone.id) ?? 0;
    if (cone.remainingM !== null && need > cone.remainingM)
      lines.push({
        kind: 'cone',
        title: `${coneName(cone)} is short`,
        detail: `${Math.round(cone.remainingM)} m left, ${Math.round(need)} m wanted by the quilts on the rack`,
        act: 'See why',
        href: quiltThatWants(rack, setups, cone.id),
      });
  }
  for (const r of rack.filter((q) => q.quilt.step !== 'take-in'))
    for (const z of r.zones.filter((zone) => !setups.has(zone.id)))
      lines.push({
        kind: 'zone',
        title: `Match ${z.name}`,
        detail: `${r.quilt.name}, zone ${z.letter} has no set-up yet`,
        act: 'Match',
        href: at(r.quilt, 'match', z.id),
      });
  return lines.slice(0, MOST_LINES);
}

function quiltThatWants(
  rack: readonly RackQuilt[],
  setups: ReadonlyMap<string, ChosenSetup>,
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
