import type { FaultRecord, Tally } from '@/core/faults/rates';
import type { Sql } from './sql';

export interface SewnInPass {
  zoneId: string;
  pass: number;
  topId: string;
  bobbinId: string;
  needleNm: number;
  stitches: number;
  at?: Date;
}

/** Notes what a pass sewed in each zone; a pass logged again changes nothing. */
export async function insertStitches(sql: Sql, rows: readonly SewnInPass[]): Promise<void> {
  for (const r of rows)
    await sql`
      insert into stitches_sewn (zone_id, pass, top_id, bobbin_id, needle_nm, stitches, at)
      values (${r.zoneId}, ${r.pass}, ${r.topId}, ${r.bobbinId}, ${r.needleNm}, ${r.stitches}, ${r.at ?? new Date()})
      on conflict (zone_id, pass) do nothing`;
}

/** Takes back what was sewn in a pass with a top thread. */
export const deleteStitches = (sql: Sql, quiltId: string, pass: number, topId: string) => sql`
  delete from stitches_sewn s using zone z
  where z.id = s.zone_id and z.quilt_id = ${quiltId} and s.pass = ${pass} and s.top_id = ${topId}`;

/** Faults and stitches by top thread, from the tally that is kept as both are noted. */
export async function readFaultRecord(sql: Sql): Promise<FaultRecord> {
  const [tallies, together] = await Promise.all([
    sql<Tally[]>`
      select top_id as id, sum(faults)::int as faults, sum(stitches) as stitches from sewn_tally
      group by top_id having sum(stitches) > 0 order by top_id`,
    sql<(Tally & { of: string })[]>`
      select top_id || ' ' || needle_nm || ' ' || fabric_kind as id, top_id as of, sum(faults)::int as faults,
             sum(stitches) as stitches
      from sewn_tally group by top_id, needle_nm, fabric_kind having sum(stitches) > 0`,
  ]);
  return {
    tallies,
    together,
    all: tallies.reduce(
      (sum, t) => ({ faults: sum.faults + t.faults, stitches: sum.stitches + t.stitches }),
      { faults: 0, stitches: 0 },
    ),
  };
}
