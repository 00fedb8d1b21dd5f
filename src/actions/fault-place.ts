import type { LogEntry } from '@/core/log/entry';
import { foldLog, standingSettings, stepOf } from '@/core/log/fold';
import { NOTHING_LOGGED } from '@/core/hours/factors';
import { contains } from '@/core/geometry/polygon';
import { stepId } from '@/core/plan/step-key';
import { readEntries } from '@/data/log';
import type { Sql } from '@/data/sql';
import type { Fault } from '@/data/types';
import { faultSetup, type SewnWith } from './fault-setup';
import { readPlan } from './plan';
import type { QuiltView } from './quilt-view';

/** Where a fault is, and what was on the machine: what it is counted by. */
export interface FaultPlace {
  zoneId: string | null;
  known: Fault['known'];
  on: { topId: string | null; bobbinId: string | null; needleNm: number | null };
}

/**
 * Where a fault of the log is and what stood on the machine: the zone it was noted in, the one under the place pressed, or
 * the one in hand in its step. In a step of several zones and no zone told, whatever is the same in all of them is known all
 * the same: its thread, its needle, its settings.
 */
export async function placeOfFault(tx: Sql, view: QuiltView, e: LogEntry): Promise<FaultPlace> {
  const [x, y] = [e.xIn, e.yIn];
  const under =
    x !== undefined && y !== undefined ? view.zones.find((z) => contains(z.geometry, [x, y])) : undefined;
  const key = stepOf(e);
  const [read, log] = await Promise.all([readPlan(tx, view, NOTHING_LOGGED), readEntries(tx, view.quilt.id)]);
  const step = key ? read.steps.find((s) => stepId(s) === key) : undefined;
  const folded = foldLog(log);
  const inStep = step?.zones.map((z) => z.id) ?? [];
  const zoneId = e.zoneId ?? under?.id ?? (inStep.length === 1 ? inStep[0]! : null);
  const zones = zoneId ? [zoneId] : inStep;
  const sewn = zones.flatMap((id): SewnWith[] => {
    const setup = view.setups.get(id);
    if (!setup) return [];
    const own = standingSettings(
      folded.settings.get(id),
      setup.chosenAt.getTime(),
      setup.provenAt?.getTime() ?? null,
    );
    return [{ zoneId: id, settings: own, needleNm: folded.needle?.nm ?? null }];
  });
  const setups = await Promise.all(sewn.map((w) => faultSetup(tx, view, w.zoneId, w, e.stitches ?? 0)));
  return {
    zoneId,
    known: inCommon(setups),
    on: {
      topId: same(sewn.map((w) => w.settings.topId ?? view.setups.get(w.zoneId)!.topId)),
      bobbinId: same(sewn.map((w) => w.settings.bobbinId ?? view.setups.get(w.zoneId)!.bobbinId)),
      needleNm: same(sewn.map((w) => w.needleNm ?? view.setups.get(w.zoneId)!.needleNm)),
    },
  };
}

const same = <T>(values: readonly T[]): T | null =>
  values.length > 0 && values.every((v) => v === values[0]) ? values[0]! : null;

/** The facts that several set-ups share. */
function inCommon(setups: readonly Fault['known'][]): Fault['known'] {
  const [first, ...rest] = setups;
  return Object.fromEntries(
    Object.entries(first ?? {}).filter(([name, value]) =>
      rest.every((s) => JSON.stringify(s[name]) === JSON.stringify(value)),
    ),
  );
}
