import type { Sql } from './sql';
import type { FaultState } from '@/core/fields/lists';
import type { Fault } from './types';

const selectFault = (sql: Sql) => sql`
  select f.id, f.quilt_id, f.zone_id, z.letter as zone_letter, f.n, f.x_in, f.y_in, f.pass, f.direction, f.note,
         f.status, f.noticed_at, f.version,
         array(select symptom from fault_symptom s where s.fault_id = f.id order by symptom) as symptoms
  from fault f left join zone z on z.id = f.zone_id`;

/** A quilt's faults, in the order they were noted. */
export const readFaults = (sql: Sql, quiltId: string): Promise<Fault[]> => sql<Fault[]>`
  ${selectFault(sql)} where f.quilt_id = ${quiltId} order by f.n`;

/** Open faults of every quilt not yet handed back. */
export const readOpenFaults = (sql: Sql): Promise<Fault[]> => sql<Fault[]>`
  ${selectFault(sql)} join quilt q on q.id = f.quilt_id and q.handed_back_on is null
  where f.status = 'open' order by f.noticed_at`;

export type NewFault = Omit<Fault, 'n' | 'zoneLetter' | 'version' | 'status' | 'noticedAt'> & {
  status?: FaultState;
  noticedAt?: Date;
};

/** Stores a fault with the quilt's next number. The quilt's row is locked, so numbers never collide. */
export async function insertFault(sql: Sql, f: NewFault): Promise<number> {
  await sql`select 1 from quilt where id = ${f.quiltId} for update`;
  const [row] = await sql<{ n: number }[]>`
    insert into fault (id, quilt_id, zone_id, n, x_in, y_in, pass, direction, note, status, noticed_at)
    select ${f.id}, ${f.quiltId}, ${f.zoneId}, coalesce(max(n), 0) + 1, ${f.xIn}, ${f.yIn}, ${f.pass},
           ${f.direction}, ${f.note}, ${f.status ?? 'open'}, ${f.noticedAt ?? new Date()}
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
): Promise<boolean> {
  const rows = await sql`
    update fault set status = ${status}, version = version + 1 where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
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

export async function readFault(sql: Sql, id: string): Promise<Fault | null> {
  const [row] = await sql<Fault[]>`${selectFault(sql)} where f.id = ${id}`;
  return row ?? null;
}

/** What was seen, said anew. */
export async function replaceSymptoms(sql: Sql, id: string, seen: readonly string[]): Promise<void> {
  await sql`delete from fault_symptom where fault_id = ${id}`;
  await sql`insert into fault_symptom (fault_id, symptom) select ${id}, unnest(${seen as string[]}::text[])`;
}
