import type { FaultRecord } from '@/core/faults/rates';
import type { MatchRequest, MatchThread } from '@/core/match/request';
import { readBobbins } from '@/data/bobbins';
import { readFaultRecord } from '@/data/fault-record';
import { readDrawer } from '@/data/needles';
import type { Sql } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import type { BobbinStock, DrawerNeedle, Machine, Preferences, Zone } from '@/data/types';
import type { QuiltView } from './quilt-view';
import { quiltWork } from './quilt-work';
import { matchRequest } from './zone-brief';

/** What the studio brings to every match: the drawer, the schools, its own fault record, the bobbins wound. */
export interface MatchSources {
  drawer: DrawerNeedle[];
  preferences: Preferences;
  record: FaultRecord;
  bobbins: BobbinStock[];
}

export async function readMatchSources(sql: Sql): Promise<MatchSources> {
  const [drawer, preferences, record, bobbins] = await Promise.all([
    readDrawer(sql),
    readPreferences(sql),
    readFaultRecord(sql),
    readBobbins(sql),
  ]);
  return { drawer, preferences: preferences!, record, bobbins };
}

/**
 * Threads with their bobbins wound and ready; a thread the studio keeps bobbins of but has none left counts as
 * none, one it never wound for is not guessed at.
 */
export function withBobbins(
  threads: readonly MatchThread[],
  bobbins: readonly BobbinStock[],
): readonly MatchThread[] {
  const wound = new Map<string, number>();
  for (const b of bobbins) wound.set(b.coneId, (wound.get(b.coneId) ?? 0) + b.count);
  return threads.map((t) => (wound.has(t.id) ? { ...t, bobbinsWound: wound.get(t.id) } : t));
}

/**
 * Everything the core weighs for one zone of a quilt, with what stands in its other zones: threads already chosen
 * there, and the metres they will take.
 */
export function zoneRequest(
  view: QuiltView,
  zone: Zone,
  machine: Machine,
  sources: MatchSources,
): MatchRequest {
  const { quilt, zones, setups, shelf } = view;
  const base = matchRequest(zone, quilt, { machine, shelf, ...sources });
  const others = zones.filter((z) => z.id !== zone.id);
  const cones = new Map(shelf.map((c) => [c.id, c]));
  const claimed = quiltWork(quilt, others, setups, cones, machine).totalM;
  return {
    ...base,
    threads: withBobbins(base.threads, sources.bobbins),
    others: others.flatMap((z) => {
      const s = setups.get(z.id);
      return s ? [{ zone: z.letter, topId: s.topId }] : [];
    }),
    claimedM: Object.fromEntries(claimed),
    record: sources.record,
  };
}
