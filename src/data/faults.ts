import type { Sql } from './sql';
import type { FaultState } from '@/core/fields/lists';
import type { Fault } from './types';

const selectFault = (sql: Sql) => sql`
  select f.id, f.quilt_id, f.zone_id, z.letter as zone_letter, f.n, f.x_in, f.y_in, f.pass, f.direction, f.note,
         f.status, f.severity, f.known, f.photograph_id, f.word, f.noticed_at, f.version, who(f.by_person) as who,
         array(select symptom from fault_symptom s where s.fault_id = f.id order by symptom) as symptoms
  from fault f left join zone z on z.id = f.zone_id`;

/** A quilt's faults, in the order they were noted. */
export const readFaults = (sql: Sql, quiltId: string): Promise<Fault[]> => sql<Fault[]>`
  ${selectFault(sql)} where f.quilt_id = ${quiltId} order by f.n`;

/** Open faults of every quilt not yet handed back. */
export const readOpenFaults = (sql: Sql): Promise<Fault[]> => sql<Fault[]>`
  ${selectFault(sql)} join quilt q on q.id = f.quilt_id and q.handed_back_on is null and q.withdrawn_on is null
  where f.status = 'open' order by f.noticed_at`;

export type NewFault = Pick<
  Fault,
  'id' | 'quiltId' | 'zoneId' | 'xIn' | 'yIn' | 'pass' | 'direction' | 'note' | 'symptoms'
> &
  Partial<Pick<Fault, 'status' | 'noticedAt' | 'severity' | 'known' | 'word' | 'photographId'>> & {
    /** What was on the machine, where it is known; what is not said comes from the zone’s card. */
    on?: { topId: string | null; bobbinId: string | null; needleNm: number | null };
  };

/** Stores a fault with the quilt's next number. The quilt's row is locked, so numbers never collide. */
export async function insertFault(sql: Sql, f: NewFault): Promise<number> {
  await sql`select 1 from quilt where id = ${f.quiltId} for update`;
  const [row] = await sql<{ n: number }[]>`
    insert into fault (id, quilt_id, zone_id, n, x_in, y_in, pass, direction, note, status, noticed_at, severity, known, word,
                       top_id, bobbin_id, needle_nm, photograph_id)
    select ${f.id}, ${f.quiltId}, ${f.zoneId}, coalesce(max(n), 0) + 1, ${f.xIn}, ${f.yIn}, ${f.pass},
           ${f.direction}, ${f.note}, ${f.status ?? 'open'}, ${f.noticedAt ?? new Date()}, ${f.severity ?? null},
           ${sql.json(f.known ?? {})}, ${f.word ?? ''}, ${f.on?.topId ?? null}, ${f.on?.bobbinId ?? null},
           ${f.on?.needleNm ?? null}, ${f.photographId ?? null}
    from fault where quilt_id = ${f.quiltId} returning n`;
  await sql`insert into fault_symptom (fault_id, symptom) select ${f.id}, unnest(${f.symptoms}::text[])`;
  return row!.n;
}

/** Sets a fault's state when its version is still the one seen; false when it has changed meanwhile. */
export async function updateFaultStatus(
  sql: Sql,
  id: string,
  version: number,
  status: FaultState,
  word = '',
): Promise<boolean> {
  const rows = await sql`
    update fault set status = ${status}, word = ${status === 'left' ? word : ''}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** What is told of a fault after it was noted; false when it has changed meanwhile. */
export async function updateFault(
  sql: Sql,
  id: string,
  version: number,
  f: Pick<
    Fault,
    'zoneId' | 'xIn' | 'yIn' | 'pass' | 'direction' | 'note' | 'severity' | 'photographId' | 'status'
  >,
): Promise<boolean> {
  const rows = await sql`
    update fault set zone_id = ${f.zoneId}, x_in = ${f.xIn}, y_in = ${f.yIn}, pass = ${f.pass}, direction = ${f.direction},
      note = ${f.note}, severity = ${f.severity}, photograph_id = ${f.photographId}, status = ${f.status},
      version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** How often each sign was noted among the studio's newest faults. */
export async function readNotedLately(sql: Sql, newest = 400): Promise<Map<string, number>> {
  const rows = await sql<{ symptom: string; n: number }[]>`
    select symptom, count(*)::int as n from fault_symptom
    where fault_id in (select id from fault order by noticed_at desc limit ${newest}) group by symptom`;
  return new Map(rows.map((r) => [r.symptom, r.n]));
}

/** Takes a fault out again, when noting it was taken back. */
export async function deleteFault(sql: Sql, id: string): Promise<void> {
  await sql`delete from fault_evidence where fault_id = ${id}`;
  await sql`delete from fault_symptom where fault_id = ${id}`;
  await sql`delete from fault where id = ${id}`;
}

/** Sets a fault's state whatever it was; false when there is no such fault. */
export async function setFaultState(sql: Sql, id: string, status: FaultState): Promise<boolean> {
  const rows =
    await sql`update fault set status = ${status}, version = version + 1 where id = ${id} returning id`;
  return rows.length === 1;
}

/**
 * Marks a fault mended because entries say so; how it stood before is kept, for when they are taken back. An entry
 * that was heard once is not heard again: what the desk said after it stands.
 */
export const mendByLog = (sql: Sql, id: string, entries: readonly string[]) => sql`
  update fault set status = 'mended', word = '', version = version + 1,
    before_mended = coalesce(before_mended, jsonb_build_object('status', status, 'word', word))
                    || jsonb_build_object('by', ${sql.json(entries as string[])})
  where id = ${id} and not coalesce(before_mended -> 'by', '[]') @> ${sql.json(entries as string[])}`;

/** No entry says any more that these faults were mended: they stand as they did before, unless the desk has said otherwise since. */
export const unmendByLog = (sql: Sql, quiltId: string, stillMended: readonly string[]) => sql`
  update fault set
    status = case when status = 'mended' then before_mended ->> 'status' else status end,
    word = case when status = 'mended' then before_mended ->> 'word' else word end,
    before_mended = null, version = version + 1
  where quilt_id = ${quiltId} and before_mended is not null and id <> all (${stillMended as string[]}::uuid[])`;

/** The faults of a quilt that entries noted: those that are there, and those that were taken back. */
export const readFaultsByLog = (sql: Sql, quiltId: string): Promise<{ id: string; there: boolean }[]> => sql`
  select f.id, true as there from fault f join log_entry e on e.id = f.id where f.quilt_id = ${quiltId}
  union all
  select b.entry_id, false from fault_taken_back b join log_entry e on e.id = b.entry_id where e.quilt_id = ${quiltId}`;

/** Takes a fault out because its entry does not stand; all that was told of it is kept, for when it does again. */
export async function setFaultAside(sql: Sql, id: string): Promise<void> {
  await sql`
    insert into fault_taken_back (entry_id, fault, symptoms, evidence)
    select f.id, to_jsonb(f), array(select symptom from fault_symptom s where s.fault_id = f.id order by symptom),
           (select to_jsonb(v) from fault_evidence v where v.fault_id = f.id)
    from fault f where f.id = ${id}`;
  await deleteFault(sql, id);
}

/** Puts a fault that was taken out back as it was, with all that was told of it; under its own number, or the next one. */
export async function bringFaultBack(sql: Sql, id: string): Promise<void> {
  await sql`
    insert into fault select (jsonb_populate_record(null::fault, b.fault || jsonb_build_object('n', case
      when exists (select from fault f where f.quilt_id = (b.fault ->> 'quilt_id')::uuid and f.n = (b.fault ->> 'n')::int)
      then (select max(f.n) + 1 from fault f where f.quilt_id = (b.fault ->> 'quilt_id')::uuid)
      else (b.fault ->> 'n')::int end))).*
    from fault_taken_back b where b.entry_id = ${id}`;
  await sql`
    insert into fault_symptom (fault_id, symptom)
    select b.entry_id, unnest(b.symptoms) from fault_taken_back b where b.entry_id = ${id}`;
  await sql`
    insert into fault_evidence select (jsonb_populate_record(null::fault_evidence, b.evidence)).*
    from fault_taken_back b where b.entry_id = ${id} and b.evidence is not null`;
  await sql`delete from fault_taken_back where entry_id = ${id}`;
}

export async function readFault(sql: Sql, id: string): Promise<Fault | null> {
  const [row] = await sql<Fault[]>`${selectFault(sql)} where f.id = ${id}`;
  return row ?? null;
}

/** What was seen, said anew. */
export async function replaceSymptoms(sql: Sql, id: string, seen: readonly string[]): Promise<void> {
  await sql`delete from fault_symptom where fault_id = ${id}`;
  await sql`insert into fault_symptom (fault_id, symptom) select ${id}, unnest(${seen as string[]}::text[])`;
}
