import type { FaultEpisode } from '@/core/faults/diagnose';
import type { Sql } from './sql';
import type { FaultRecordOf } from './types';

export async function readEvidence(sql: Sql, faultId: string): Promise<FaultRecordOf> {
  const [row] = await sql<FaultRecordOf[]>`
    select absent, facts, done, cause, own_cause, remedy, helped, minutes_lost, closed_at, left_out, version
    from fault_evidence where fault_id = ${faultId}`;
  return (
    row ?? {
      absent: [],
      facts: {},
      done: [],
      cause: null,
      ownCause: '',
      remedy: '',
      helped: null,
      minutesLost: null,
      closedAt: null,
      leftOut: false,
      version: 0,
    }
  );
}

/** Keeps what is answered when it is still as it was seen; false when someone else was first. */
export async function writeEvidence(
  sql: Sql,
  faultId: string,
  seenVersion: number,
  e: Omit<FaultRecordOf, 'version'>,
): Promise<boolean> {
  const rows = await sql`
    insert into fault_evidence (fault_id, absent, facts, done, cause, own_cause, remedy, helped, minutes_lost, closed_at, left_out)
    select ${faultId}, ${e.absent}, ${sql.json(e.facts)}, ${sql.json(e.done)}, ${e.cause}, ${e.ownCause}, ${e.remedy},
           ${e.helped}, ${e.minutesLost}, ${e.closedAt}, ${e.leftOut}
    where ${seenVersion}::int = 0 or exists (select from fault_evidence where fault_id = ${faultId})
    on conflict (fault_id) do update set absent = excluded.absent, facts = excluded.facts, done = excluded.done,
      cause = excluded.cause, own_cause = excluded.own_cause, remedy = excluded.remedy, helped = excluded.helped,
      minutes_lost = excluded.minutes_lost, closed_at = excluded.closed_at, left_out = excluded.left_out,
      version = fault_evidence.version + 1
    where fault_evidence.version = ${seenVersion} returning version`;
  return rows.length === 1;
}

/** The confirmed episodes the studio's causes are learned from, oldest first; the newest so many. */
export const readEpisodes = (sql: Sql, most = 2000): Promise<FaultEpisode[]> => sql<FaultEpisode[]>`
  select * from (
    select e.cause, e.absent, e.facts, e.done, e.closed_at,
           array(select symptom from fault_symptom s where s.fault_id = e.fault_id order by symptom) as seen
    from fault_evidence e
    where e.closed_at is not null and e.cause is not null and not e.left_out
    order by e.closed_at desc limit ${most}) newest order by closed_at`;

/** What helped with these signs before, and how often. */
export const readRemedies = (
  sql: Sql,
  seen: readonly string[],
): Promise<{ remedy: string; tried: number; helped: number }[]> => sql`
  select e.remedy, count(*)::int as tried, count(*) filter (where e.helped)::int as helped
  from fault_evidence e
  where e.closed_at is not null and e.remedy <> ''
    and exists (select from fault_symptom s where s.fault_id = e.fault_id and s.symptom = any(${seen as string[]}))
  group by e.remedy order by helped desc, tried desc limit 6`;
