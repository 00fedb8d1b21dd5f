import type { MarkOutcome } from '@/core/marking/marking';
import type { Sql } from './sql';

/** What a scrap said of a marking tool on a fabric. */
export interface MarkerTest {
  id: string;
  fabricId: string;
  marker: string;
  outcome: MarkOutcome;
  at: Date;
}

/** Tests on scraps of these fabrics, oldest first. */
export const readMarkerTests = (sql: Sql, fabricIds: readonly string[]): Promise<MarkerTest[]> =>
  fabricIds.length === 0
    ? Promise.resolve([])
    : sql<MarkerTest[]>`
        select id, fabric_id, marker, outcome, at from marker_test
        where fabric_id in ${sql([...new Set(fabricIds)])} order by at, id`;

export const insertMarkerTest = (sql: Sql, t: Omit<MarkerTest, 'at'>) => sql`
  insert into marker_test ${sql(t, 'id', 'fabricId', 'marker', 'outcome')}`;
