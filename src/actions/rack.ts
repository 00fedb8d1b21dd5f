import { dateOfDay, dayNumber, isoDay } from '@/core/calendar/days';
import { midHours, minutesKnown } from '@/core/hours/known';
import { passesDone } from '@/core/plan/begun';
import { spoolBands } from '@/core/rack/bands';
import {
  type HandLine,
  needsYourHand,
  type PromiseOf,
  progressOf,
  type Racked,
  type Rail,
  railsOf,
  statusOf,
} from '@/core/rack/rack';
import type { Known } from '@/core/source/known';
import { readOpenFaults } from '@/data/faults';
import type { Sql } from '@/data/sql';
import type { Cone, Fault, Preferences, Quilt, Zone } from '@/data/types';
import { laid } from './calendar';
import { readWaiting, type Waiting, type WaitingRoom } from './waiting';
import { zoneState } from './quilt-view';

export interface RackQuilt extends Racked<Quilt, Zone> {
  bands: { hex: string; share: number }[];
  /** Passes in which nothing is left to sew. */
  passesSewn: number[];
}

export interface RackView {
  preferences: Preferences;
  rails: Rail<RackQuilt>[];
  onFrame: (RackQuilt & { faults: Fault[] }) | null;
  hand: HandLine[];
}

/** Everything on the Rack, worked out for a day. Null when there is no studio. */
export async function readRackView(
  sql: Sql,
  today: Date,
  known?: WaitingRoom | null,
): Promise<RackView | null> {
  const [room, openFaults] = await Promise.all([known ?? readWaiting(sql), readOpenFaults(sql)]);
  if (!room) return null;
  const { preferences, cones, belief } = room;
  const day = dayNumber(isoDay(today));
  const wanted = new Map<string, number>();
  const setups = new Map(room.waiting.flatMap((w) => [...w.setups]));
  const named = new Set([...setups.values()].flatMap((s) => [s.topId, s.bobbinId]));
  const rack = room.waiting.map((w): RackQuilt => {
    for (const [id, m] of w.work.totalM) wanted.set(id, (wanted.get(id) ?? 0) + m * (1 - w.share));
    const hoursLeft = midHours(minutesKnown(w.left, belief));
    return describe(w, hoursLeft, cones, day);
  });
  const framed = rack.find((r) => r.quilt.onFrameSince) ?? null;
  const shelf = room.shelf.all.filter((c) => named.has(c.id));
  return {
    preferences,
    rails: railsOf(rack, preferences, today),
    onFrame: framed && { ...framed, faults: openFaults.filter((f) => f.quiltId === framed.quilt.id) },
    hand: needsYourHand(rack, setups, shelf, wanted, openFaults, promisesOf(room, day)),
  };
}

/** Every promise with its chance, from the calendar; the least sure first. */
const promisesOf = (room: WaitingRoom, today: number): PromiseOf[] =>
  laid(room, today)
    .map(({ id, quilt, chance, sureDay }) => ({
      id,
      name: quilt.name,
      dueOn: quilt.dueOn,
      chance,
      sureOn: dateOfDay(sureDay),
    }))
    .sort((a, b) => a.chance - b.chance);

function describe(
  { quilt, zones, work, share, setups, steps }: Waiting,
  hoursLeft: Known,
  cones: ReadonlyMap<string, Cone>,
  day: number,
): RackQuilt {
  const progress = progressOf(quilt, steps);
  const states = zones.map((z) => zoneState(z, setups.get(z.id)));
  return {
    quilt,
    zones,
    states,
    bands: spoolBands(work.topM, cones, zones),
    fill: share,
    progress,
    passesSewn: passesDone(steps, quilt.sewn),
    hoursLeft,
    daysOver: Math.max(0, day - dayNumber(quilt.dueOn)),
    status: statusOf(quilt, states, day - dayNumber(quilt.takenInOn), progress),
  };
}
