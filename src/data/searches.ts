import type { FinishedSearch } from '@/core/learning/likelihood';
import type { Combination } from '@/core/learning/tension';
import { airBefore } from './air';
import type { Sql } from './sql';

/** A search that ended balanced, with what it was sewn with and where. */
export interface StoredSearch extends FinishedSearch, Combination {
  setupId: string;
  provenAt: Date;
  rounds: number;
  leftOut: 'dropped' | 'kept' | null;
  quiltId: string;
  quilt: string;
  zoneId: string;
  letter: string;
}

/** The finished searches, oldest first; the newest so many. A test that confirmed several zones counts where it was sewn. */
export const readSearches = (sql: Sql, most = 2000): Promise<StoredSearch[]> => sql<StoredSearch[]>`
  select * from (
    select p.setup_id, p.proven_at, p.ln_ratio_mean, p.ln_ratio_sd, p.left_out, coalesce(p.prior_ratio, s.ratio) as ratio,
      coalesce(p.prior_sd, s.ratio_sd) as ratio_sd, s.ratio_model,
      s.top_id, s.bobbin_id, s.needle_nm, q.machine_id, q.batting_id, q.id as quilt_id, q.name as quilt, z.id as zone_id,
      a.humidity_pct, z.letter, (select count(*)::int from test_round r where r.setup_id = s.id) as rounds
    from proof p join test_round own on own.id = p.round_id and own.sewn_with is null
    join setup s on s.id = p.setup_id join zone z on z.id = s.zone_id join quilt q on q.id = z.quilt_id
    left join lateral (${airBefore(sql, sql`q.machine_id`, sql`p.proven_at`)}) a on true
    order by p.proven_at desc limit ${most}) newest
  order by proven_at, setup_id`;

/** Leaves a search out of what is learned, puts it back for good, or lets the fit judge it; false when it is not there. */
export async function setSearchLeftOut(
  sql: Sql,
  setupId: string,
  leftOut: 'dropped' | 'kept' | null,
): Promise<boolean> {
  const rows =
    await sql`update proof set left_out = ${leftOut} where setup_id = ${setupId} returning setup_id`;
  return rows.length === 1;
}
