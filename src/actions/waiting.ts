import type { HoursBelief } from '@/core/hours/factors';
import { midMinutes } from '@/core/hours/sum';
import type { Step } from '@/core/hours/step';
import type { PlannedStep } from '@/core/plan/steps';
import type { QuiltThread } from '@/core/usage/quilt-thread';
import { readMark } from '@/data/log-mark';
import { readMachines } from '@/data/machines';
import { readPreferences } from '@/data/preferences';
import { readMarkOf, readMarks, readQuilts } from '@/data/quilts';
import { readSetupsOf } from '@/data/setups';
import type { Sql } from '@/data/sql';
import type { ChosenSetup, Cone, Machine, Preferences, Quilt, Zone } from '@/data/types';
import { readZonesOf, zonesByQuilt } from '@/data/zones';
import { readHours } from './hours';
import { keepLast } from './keep-last';
import { type KeptShelf, keptShelf } from './kept-shelf';
import { planOf, shareSewn } from './plan';
import { quiltWork } from './quilt-work';
import { type QuiltTask, readTasks } from './tasks';
import { withTwins } from './twins';

/** A quilt not yet handed back, with what is worked out of it. */
export interface Waiting {
  quilt: Quilt;
  zones: Zone[];
  setups: ReadonlyMap<string, ChosenSetup>;
  steps: PlannedStep[];
  /** What is left of it, as steps for its hours. */
  left: Step[];
  /** Share that is sewn, 0–1. */
  share: number;
  /** Metres its cards ask of each cone. */
  work: QuiltThread;
}

export interface WaitingRoom {
  waiting: Waiting[];
  preferences: Preferences;
  machines: Machine[];
  shelf: KeptShelf;
  cones: ReadonlyMap<string, Cone>;
  belief: HoursBelief;
  /** What is done before and after the frame, by quilt. */
  tasks: ReadonlyMap<string, readonly QuiltTask[]>;
}

/** A quilt's plan is kept under its mark and the Workroom's; what hangs on the hours learned is reckoned from it each time. */
interface Kept {
  marks: string;
  value: Waiting;
}
/** Quilts kept in mind at most: far more than ever wait. */
const MOST_KEPT = 3000;
/** One for the whole process: pages are bundled apart. */
const holder = globalThis as { tidySpoolWaiting?: ReturnType<typeof keepLast<Kept>> };
const kept = (holder.tidySpoolWaiting ??= keepLast<Kept>(MOST_KEPT));

/**
 * Every quilt that waits, soonest first, each planned only when something it rests on has changed since. Null when there
 * is no studio yet.
 */
export async function readWaiting(sql: Sql): Promise<WaitingRoom | null> {
  const [room, rows, workroom] = await Promise.all([
    readRoom(sql),
    readMarks(sql),
    readMark(sql, 'workroom'),
  ]);
  if (!room) return null;
  const { belief } = room;
  const marks = new Map(rows.map((r) => [r.id, `${r.mark} ${workroom}`]));
  const stale = rows.filter((r) => kept.get(r.id)?.marks !== marks.get(r.id)).map((r) => r.id);
  if (stale.length > 0) {
    for (const w of await planAnew(sql, stale, room))
      kept.put(w.quilt.id, { marks: marks.get(w.quilt.id)!, value: w });
  }
  const waiting = rows.flatMap((r) => kept.get(r.id)?.value ?? []);
  const tasks = await readTasks(
    sql,
    waiting.map((w) => w.quilt),
  );
  return { ...room, waiting: waiting.map((w) => asLearned(w, belief)), tasks };
}

type Room = Omit<WaitingRoom, 'waiting' | 'tasks'>;

/** What every plan rests on besides its quilt. */
async function readRoom(sql: Sql): Promise<Room | null> {
  const [preferences, machines, shelf, belief] = await Promise.all([
    readPreferences(sql),
    readMachines(sql),
    keptShelf(sql),
    readHours(sql),
  ]);
  if (!preferences) return null;
  return { preferences, machines, shelf, belief, cones: new Map(shelf.all.map((c) => [c.id, c])) };
}

/** The steps of one quilt that waits, from its kept plan; none of one that is gone home. */
export async function readSteps(sql: Sql, quiltId: string): Promise<readonly PlannedStep[]> {
  const [row, workroom] = await Promise.all([readMarkOf(sql, quiltId), readMark(sql, 'workroom')]);
  if (!row) return [];
  const marks = `${row.mark} ${workroom}`;
  const had = kept.get(quiltId);
  if (had?.marks === marks) return had.value.steps;
  const room = await readRoom(sql);
  const [value] = room ? await planAnew(sql, [quiltId], room) : [];
  if (!value) return [];
  kept.put(quiltId, { marks, value });
  return value.steps;
}

async function planAnew(
  sql: Sql,
  ids: readonly string[],
  { preferences, machines, shelf, cones, belief }: Room,
): Promise<Waiting[]> {
  const [quilts, zones, setups] = await Promise.all([
    readQuilts(sql, ids),
    readZonesOf(sql, ids),
    readSetupsOf(sql, ids),
  ]);
  const byQuilt = zonesByQuilt(zones);
  const byZone = new Map(setups.map((s) => [s.zoneId, s]));
  return quilts.flatMap((quilt): Waiting[] => {
    const machine = machines.find((m) => m.id === quilt.machineId);
    if (!machine) return [];
    const own = byQuilt.get(quilt.id) ?? [];
    const cards = new Map(own.flatMap((z) => (byZone.has(z.id) ? [[z.id, byZone.get(z.id)!] as const] : [])));
    const view = { quilt, zones: own, setups: withTwins(own, cards), shelf: shelf.all };
    const { steps, left, share } = planOf(view, machine, preferences, belief);
    const work = quiltWork(quilt, own, cards, cones, machine);
    return [{ quilt, zones: own, setups: cards, steps, left, share, work }];
  });
}

/** The minutes and the share as the log has them now. */
function asLearned(w: Waiting, belief: HoursBelief): Waiting {
  const steps = w.steps.map((s) => ({ ...s, minutes: midMinutes(s, belief) }));
  return { ...w, steps, share: shareSewn(w.quilt, steps) };
}
