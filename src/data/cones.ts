import { CONE } from '@/core/fields/cone';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Cone, ConeUse } from './types';

export type ConeFields = Omit<
  Cone,
  'id' | 'remainingM' | 'remainingSource' | 'remainingAt' | 'archivedAt' | 'version'
>;
export const CONE_FIELDS = columnsOf<ConeFields>(CONE);

const selectCone = (sql: Sql) => sql`
  select ${sql([...CONE_FIELDS, 'id', 'remainingM', 'remainingSource', 'remainingAt', 'archivedAt', 'version'] as string[])}
  from cone`;

const onACard = (sql: Sql) => sql`
  exists (select 1 from setup s where s.top_id = cone.id or s.bobbin_id = cone.id)`;

/** Every cone in use, and any put away that a standing card still names; by line and colour. */
export const readShelf = (sql: Sql): Promise<Cone[]> => sql<Cone[]>`
  ${selectCone(sql)} where archived_at is null or ${onACard(sql)} order by line, colour`;

/** The cones that setting cards of quilts not yet handed back name, put away or not; by line and colour. */
export const readCardCones = (sql: Sql): Promise<Cone[]> => sql<Cone[]>`
  ${selectCone(sql)} where id in (
    select unnest(array[s.top_id, s.bobbin_id]) from quilt q join zone z on z.quilt_id = q.id
    join setup s on s.zone_id = z.id where q.handed_back_on is null)
  order by line, colour`;

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
    update cone set remaining_m = ${m}, remaining_source = ${source}, remaining_at = now(), version = version + 1
    where id = ${id}`;
}

/** Takes metres off a cone (or gives them back, below 0); what remains never falls below nothing. */
export async function takeMetres(
  sql: Sql,
  id: string,
  metres: number,
  why: ConeUse['why'],
  note: string,
  stepId: string | null = null,
): Promise<void> {
  await sql`
    insert into cone_use (id, cone_id, metres, why, left_m, note, step_id)
    select gen_random_uuid(), id, ${-metres}, ${why}, greatest(0, remaining_m - ${metres}), ${note}, ${stepId}
    from cone where id = ${id}`;
  await sql`
    update cone set remaining_m = greatest(0, remaining_m - ${metres}), remaining_at = now(),
      remaining_source = case when remaining_m is null then null else 'logged' end, version = version + 1
    where id = ${id}`;
}

/** The newest entries of a cone's ledger. */
export const readConeUses = (sql: Sql, coneId: string, limit = 20): Promise<ConeUse[]> => sql<ConeUse[]>`
  select id, metres, why, left_m, note, at from cone_use
  where cone_id = ${coneId} order by at desc, id limit ${limit}`;

/** What a step took off the cones, by cone; metres above 0. */
export const readTakenBy = (sql: Sql, stepId: string): Promise<{ coneId: string; metres: number }[]> => sql`
  select cone_id, -sum(metres) as metres from cone_use where step_id = ${stepId} group by cone_id
  having sum(metres) < 0`;
