import type { ZoneState } from '@/core/rack/rack';
import { techniques } from '@/core/tables/techniques';
import { readConditions } from '@/data/conditions';
import type { Condition } from '@/data/types';
import { readFaults } from '@/data/faults';
import { readQuilt } from '@/data/quilts';
import { readSetups } from '@/data/setups';
import { keptShelf, shelfWith } from './kept-shelf';
import { withTwins } from './twins';
import type { Sql } from '@/data/sql';
import { readConesOf } from '@/data/cones';
import type { ChosenSetup, Cone, Fault, Quilt, Zone } from '@/data/types';
import { readZones } from '@/data/zones';

export interface QuiltView {
  quilt: Quilt;
  zones: Zone[];
  setups: Map<string, ChosenSetup>;
  states: Map<string, ZoneState>;
  faults: Fault[];
  /** What was found on it when it arrived. */
  conditions: Condition[];
  shelf: Cone[];
}

export const zoneState = (
  zone: Pick<Zone, 'technique'>,
  setup: Pick<ChosenSetup, 'provenAt' | 'rounds'> | undefined,
): ZoneState =>
  techniques.get(zone.technique).leftOpen
    ? 'left open'
    : !setup
      ? 'to match'
      : setup.provenAt
        ? 'proven'
        : setup.rounds > 0
          ? 'testing'
          : 'matched';

/** Everything a quilt's pages share; null when there is no such quilt. Most ask only for the cones on its cards. */
export async function readQuiltView(
  sql: Sql,
  id: string,
  shelfOf: 'whole studio' | 'its cards' = 'whole studio',
): Promise<QuiltView | null> {
  const [quilt, zones, setupRows, faults, conditions, cones] = await Promise.all([
    readQuilt(sql, id),
    readZones(sql, id),
    readSetups(sql, id),
    readFaults(sql, id),
    readConditions(sql, id),
    shelfOf === 'its cards' ? readConesOf(sql, id) : keptShelf(sql),
  ]);
  if (!quilt) return null;
  const setups = withTwins(zones, new Map(setupRows.map((s) => [s.zoneId, s])));
  return {
    quilt,
    zones,
    setups,
    faults,
    conditions,
    shelf: Array.isArray(cones) ? cones : shelfWith(cones, setupRows),
    states: new Map(zones.map((z) => [z.id, zoneState(z, setups.get(z.id))])),
  };
}
