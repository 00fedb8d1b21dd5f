import { dayNumber, isoDay } from '@/core/calendar/days';
import { midHours, minutesKnown } from '@/core/hours/known';
import { spoolBands } from '@/core/rack/bands';
import { type HandLine, needsYourHand, type Racked, type Rail, railsOf, statusOf } from '@/core/rack/rack';
import type { Known } from '@/core/source/known';
import type { QuiltThread } from '@/core/usage/quilt-thread';
import { readCardCones } from '@/data/cones';
import { readOpenFaults } from '@/data/faults';
import { readMachine } from '@/data/machines';
import { readPreferences } from '@/data/preferences';
import { readRack } from '@/data/quilts';
import { readOpenSetups } from '@/data/setups';
import type { Sql } from '@/data/sql';
import type { ChosenSetup, Cone, Fault, Preferences, Quilt, Zone } from '@/data/types';
import { readOpenZones, zonesByQuilt } from '@/data/zones';
import { readHours } from './hours';
import { planRequest, whatIsLeft } from './plan';
import { quiltWork } from './quilt-work';
import { zoneState } from './quilt-view';

export interface RackQuilt extends Racked<Quilt, Zone> {
  bands: { hex: string; share: number }[];
}

export interface RackView {
  preferences: Preferences;
  rails: Rail<RackQuilt>[];
  onFrame: (RackQuilt & { faults: Fault[] }) | null;
  hand: HandLine[];
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
    const { left, share: fill } = whatIsLeft(quilt, request);
    for (const [id, m] of work.totalM) wanted.set(id, (wanted.get(id) ?? 0) + m * (1 - fill));
    const hoursLeft = midHours(minutesKnown(left, belief));
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
  work: QuiltThread,
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
    bands: spoolBands(work.topM, cones, zones),
    fill,
    hoursLeft,
    daysOver: Math.max(0, day - dayNumber(quilt.dueOn)),
    status: statusOf(quilt, states, day - dayNumber(quilt.takenInOn)),
  };
}
