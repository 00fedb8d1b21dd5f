import { CONE, type ConeFields } from '@/core/fields/cone';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Cone, ConeUse } from './types';

export const CONE_FIELDS = columnsOf(CONE);

const selectCone = (sql: Sql) => sql`
  select ${sql([...CONE_FIELDS, 'id', 'remainingM', 'remainingSource', 'remainingAt', 'archivedAt', 'version'] as string[])}
  from cone`;

const onACard = (sql: Sql) => sql`
  exists (select 1 from setup s where s.top_id = cone.id or s.bobbin_id = cone.id)`;

/** Every cone in use, and any put away that a standing card still names; by line and colour. */
export const readShelf = (sql: Sql): Promise<Cone[]> => sql<Cone[]>`
  ${selectCone(sql)} where archived_at is null or ${onACard(sql)} order by line, colour`;

/** The cones that the cards of one quilt name, put away or not. */
export const readConesOf = (sql: Sql, quiltId: string): Promise<Cone[]> => sql<Cone[]>`
  ${selectCone(sql)} where id in (
    select unnest(array[s.top_id, s.bobbin_id]) from zone z join setup s on s.zone_id = z.id
    where z.quilt_id = ${quiltId})
  order by line, colour`;

/** Holds a cone until the transaction ends, so that two at once follow each other. */
export const lockCone = (sql: Sql, id: string) => sql`select 1 from cone where id = ${id} for update`;

/** Every cone, put away or not. */
export const readAllCones = (sql: Sql): Promise<Cone[]> => sql<Cone[]>`
  ${selectCone(sql)} order by line, colour, id`;

export async function readCone(sql: Sql, id: string): Promise<Cone | null> {
  const [row] = await sql<Cone[]>`${selectCone(sql)} where id = ${id}`;
  return row ?? null;
}

export async function insertCone(
  sql: Sql,
  id: string,
  fields: ConeFields,
  remaining: { m: number; source: NonNullable<Cone['remainingSource']> } | null,
): Promise<void> {
  await sql`
    insert into cone ${sql({ ...fields, id }, 'id', ...CONE_FIELDS)}`;
  if (remaining) await setRemaining(sql, id, remaining.m, remaining.source, '');
}

export async function updateCone(
  sql: Sql,
  id: string,
  fields: ConeFields,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update cone set ${sql(fields, ...CONE_FIELDS)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** Puts a cone away, or takes it out again; never deletes it. */
export const setConeArchived = (sql: Sql, ids: readonly string[], away: boolean) => sql`
  update cone set archived_at = ${away ? new Date() : null}, version = version + 1
  where id = any(${ids as string[]}) and (archived_at is null) = ${away}`;

export const setTare = (sql: Sql, id: string, tareG: number) => sql`
  update cone set tare_g = ${tareG} where id = ${id}`;

/** The same change to many cones; what is not given stays. How many were changed. */
export async function editCones(
  sql: Sql,
  ids: readonly string[],
  to: { role?: string; place?: string; sheen?: string },
): Promise<number> {
  const rows = await sql`
    update cone set role = coalesce(${to.role ?? null}, role), place = coalesce(${to.place ?? null}, place),
      sheen = coalesce(${to.sheen ?? null}, sheen), version = version + 1
    where id = any(${ids as string[]})`;
  return rows.count;
}

/** What was counted on a cone, by the scale or by eye; the ledger keeps both the count and the change. */
export async function setRemaining(
  sql: Sql,
  id: string,
  m: number,
  source: 'weighed' | 'set' | 'logged',
  note: string,
): Promise<void> {
  await sql`
    insert into cone_use (id, cone_id, metres, why, left_m, note)
    select gen_random_uuid(), id, ${m} - coalesce(remaining_m, ${m}), ${source === 'logged' ? 'set' : source}, ${m}, ${note}
    from cone where id = ${id}`;
  await sql`
    update cone set remaining_m = ${m}, remaining_source = ${source}, remaining_at = now(), version = version + 1,
      counted_m = ${m}, counted_at = now(), counted_source = ${source}
    where id = ${id}`;
}

/** What came off a cone: why, when, and the entry of the log that says so, if one does. */
export interface Taken {
  coneId: string;
  metres: number;
  why: ConeUse['why'];
  note: string;
  entryId?: string | null;
  at?: Date;
}

/** Notes metres taken off a cone; what is left on it is reckoned anew from its last count, and never below nothing. */
export async function takeMetres(sql: Sql, t: Taken): Promise<void> {
  await sql`
    insert into cone_use (id, cone_id, metres, why, left_m, note, entry_id, at)
    select gen_random_uuid(), id, ${-t.metres}, ${t.why}, greatest(0, remaining_m - ${t.metres}), ${t.note},
           ${t.entryId ?? null}, ${t.at ?? sql`now()`}
    from cone where id = ${t.coneId}`;
  await recountCone(sql, t.coneId);
}

/** Takes out what an entry took off the cones: what was there before is there again. */
export async function untakeMetres(sql: Sql, entryId: string): Promise<void> {
  const rows = await sql<
    { coneId: string }[]
  >`delete from cone_use where entry_id = ${entryId} returning cone_id`;
  for (const id of new Set(rows.map((r) => r.coneId))) await recountCone(sql, id);
}

const recountCone = (sql: Sql, id: string) => sql`select recount_cone(${id})`;

/** The newest entries of a cone's ledger. */
export const readConeUses = (sql: Sql, coneId: string, limit = 20): Promise<ConeUse[]> => sql<ConeUse[]>`
  select id, metres, why, left_m, note, at from cone_use
  where cone_id = ${coneId} order by at desc, id limit ${limit}`;

/** Keeps what a cone's thread broke at; false when the cone was changed meanwhile. */
export async function setSnap(
  sql: Sql,
  id: string,
  snapGf: number,
  on: string,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update cone set snap_gf = ${snapGf}, snap_on = ${on}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}
