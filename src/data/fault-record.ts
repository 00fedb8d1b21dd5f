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
  /** The sewn step it belongs to; nothing for what came in without one. */
  stepId?: string | null;
}

/** Notes what a step sewed in each zone; noted again it changes nothing. */
export async function insertStitches(sql: Sql, rows: readonly SewnInPass[]): Promise<void> {
  for (const r of rows)
    await sql`
      insert into stitches_sewn (zone_id, pass, top_id, bobbin_id, needle_nm, stitches, at, step_id)
      values (${r.zoneId}, ${r.pass}, ${r.topId}, ${r.bobbinId}, ${r.needleNm}, ${r.stitches}, ${r.at ?? new Date()},
              ${r.stepId ?? null})
      on conflict (zone_id, pass, step_id) do nothing`;
}

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
