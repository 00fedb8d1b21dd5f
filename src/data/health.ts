import type { Sql } from './sql';

/** How a database is: which version, whether it takes writes, how far its standbys are behind, and when it was copied last. */
export interface DatabaseHealth {
  version: string;
  primary: boolean;
  /** Standbys that follow, and the slowest of them: seconds behind; null where there is none. */
  standbys: number;
  lagS: number | null;
  /** The last migration that was made. */
  schema: string;
  lastCopyAt: string | null;
  lastCopyAgeH: number | null;
}

export async function readDatabaseHealth(sql: Sql): Promise<DatabaseHealth> {
  const [row] = await sql<(Omit<DatabaseHealth, 'lastCopyAt'> & { lastCopyAt: Date | null })[]>`
    select current_setting('server_version') as version, not pg_is_in_recovery() as primary,
           (select count(*)::int from pg_stat_replication) as standbys,
           (select extract(epoch from max(replay_lag))::float8 from pg_stat_replication) as lag_s,
           (select max(name) from migration) as schema,
           (select max(at) from backup_made where problem = '') as last_copy_at,
           (select extract(epoch from now() - max(at))::float8 / 3600 from backup_made where problem = '') as last_copy_age_h`;
  return { ...row!, lastCopyAt: row!.lastCopyAt?.toISOString() ?? null };
}
