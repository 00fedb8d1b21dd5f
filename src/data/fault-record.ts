import type { FaultRecord, Tally } from '@/core/faults/rates';
import type { Sql } from './sql';

export interface SewnInPass {
  zoneId: string;
  pass: number;
  topId: string;
  bobbinId: string;
  needleNm: number;
  stitches: number;
}

/** Notes what a pass sewed in each zone; a pass logged again changes nothing. */
export async function insertStitches(sql: Sql, rows: readonly SewnInPass[]): Promise<void> {
  for (const r of rows)
    await sql`
      insert into stitches_sewn (zone_id, pass, top_id, bobbin_id, needle_nm, stitches)
      values (${r.zoneId}, ${r.pass}, ${r.topId}, ${r.bobbinId}, ${r.needleNm}, ${r.stitches})
      on conflict (zone_id, pass) do nothing`;
}

/** Faults and stitches by top thread: a fault counts for the thread its zone was mostly sewn with. */
export async function readFaultRecord(sql: Sql): Promise<FaultRecord> {
  const tallies = await sql<Tally[]>`
    with sewn as (select top_id, sum(stitches) as stitches from stitches_sewn group by top_id),
    blamed as (
      select (select s.top_id from stitches_sewn s where s.zone_id = f.zone_id
              group by s.top_id order by sum(s.stitches) desc, s.top_id limit 1) as top_id,
             count(*)::int as faults
      from fault f where f.zone_id is not null group by 1)
    select sewn.top_id as id, coalesce(blamed.faults, 0)::int as faults, sewn.stitches
    from sewn left join blamed on blamed.top_id = sewn.top_id order by sewn.top_id`;
  return {
    tallies,
    all: tallies.reduce(
      (sum, t) => ({ faults: sum.faults + t.faults, stitches: sum.stitches + t.stitches }),
      { faults: 0, stitches: 0 },
    ),
  };
}
