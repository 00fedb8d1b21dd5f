import type { Way } from '@/core/audition/way';
import type { XY } from '@/core/geometry/polygon';
import { asJson, type Sql } from './sql';

/** The two ways kept for zones of a quilt, by zone. */
export const readAuditions = async (sql: Sql, quiltId: string): Promise<Map<string, [Way, Way]>> => {
  const rows = await sql<{ zoneId: string; sides: [Way, Way] }[]>`
    select a.zone_id, a.sides from audition a join zone z on z.id = a.zone_id
    where z.quilt_id = ${quiltId} and z.retired_at is null order by z.letter`;
  return new Map(rows.map((r) => [r.zoneId, r.sides]));
};

/** Keeps two ways for a zone; false when the zone is not on the quilt. */
export async function putAudition(
  sql: Sql,
  quiltId: string,
  zoneId: string,
  sides: readonly Way[],
): Promise<boolean> {
  const rows = await sql`
    insert into audition (zone_id, sides)
    select id, ${asJson(sql, sides)} from zone where id = ${zoneId} and quilt_id = ${quiltId} and retired_at is null
    on conflict (zone_id) do update set sides = excluded.sides, kept_at = now() returning zone_id`;
  return rows.length === 1;
}

/** Lets go of the two ways kept for a zone; false when the zone is not on the quilt. */
export async function dropAudition(sql: Sql, quiltId: string, zoneId: string): Promise<boolean> {
  await sql`delete from audition a using zone z where a.zone_id = ${zoneId} and z.id = a.zone_id and z.quilt_id = ${quiltId}`;
  const rows =
    await sql`select 1 from zone where id = ${zoneId} and quilt_id = ${quiltId} and retired_at is null`;
  return rows.length === 1;
}

/** Photographs of a quilt that show it whole or could, the newest first, with where its corners lie in them. */
export const readPlacedPhotographs = (
  sql: Sql,
  quiltId: string,
): Promise<{ id: string; corners: XY[] | null }[]> => sql`
  select id, corners from photograph where quilt_id = ${quiltId} and removed_at is null and moment = 'take-in'
  order by (corners is null), taken_at desc limit 12`;

/** Says where the quilt's corners lie in a photograph; false when it is none of this quilt's. */
export async function setCorners(
  sql: Sql,
  quiltId: string,
  id: string,
  corners: readonly XY[] | null,
): Promise<boolean> {
  const rows = await sql`
    update photograph set corners = ${corners === null ? null : asJson(sql, corners)}
    where id = ${id} and quilt_id = ${quiltId} and removed_at is null returning id`;
  return rows.length === 1;
}
