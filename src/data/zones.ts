import { stored } from '@/core/fields/stored';
import { ZONE, ZONE_FABRIC, type ZoneFabricFields, type ZoneFields } from '@/core/fields/zone';
import { columnsOf } from './columns';
import { asJson, type Sql } from './sql';
import type { MultiPolygon } from '@/core/geometry/polygon';
import type { Zone } from './types';

const selectZones = (sql: Sql) => sql`
  select ${FIELDS.filter((f) => f !== 'yarnId').map((f) => sql`z.${sql(f)}, `)} z.id, z.quilt_id, z.letter, z.geometry, z.pattern, z.version,
         (select jsonb_build_object('id', y.id, 'name', y.name, 'diameterMm', y.diameter_mm, 'hex', y.hex, 'skeinM', y.skein_m,
                                     'skeins', y.skeins)
          from yarn y where y.id = z.yarn_id) as yarn,
         (select coalesce(jsonb_agg(jsonb_build_object('fabricId', f.id, 'kind', f.kind, 'name', f.name, 'hex', zf.hex,
                                                       'share', zf.share, 'role', zf.role, 'sewnOver', zf.sewn_over,
                                                       'busyness', coalesce(zf.busyness, f.busyness)) order by zf.position), '[]')
          from zone_fabric zf join fabric f on f.id = zf.fabric_id where zf.zone_id = z.id) as fabrics,
         array(select feature from zone_feature where zone_id = z.id order by feature) as features
  from zone z`;

export const readZones = (sql: Sql, quiltId: string): Promise<Zone[]> => sql<Zone[]>`
  ${selectZones(sql)} where z.quilt_id = ${quiltId} and z.retired_at is null order by length(z.letter), z.letter`;

/** The zones of several quilts. */
export const readZonesOf = (sql: Sql, quiltIds: readonly string[]): Promise<Zone[]> => sql<Zone[]>`
  ${selectZones(sql)} where z.quilt_id = any(${quiltIds as string[]}) and z.retired_at is null
  order by z.quilt_id, length(z.letter), z.letter`;

const FIELDS = columnsOf(ZONE);
const CLOTH_FIELDS = columnsOf(ZONE_FABRIC);

/** What is done in a zone, on which fabrics. What is not said of it is nothing. */
export type ZoneWork = Pick<ZoneFields, 'name' | 'technique' | 'spacingIn' | 'visibility'> &
  Partial<ZoneFields> & { fabrics: readonly ZoneFabricFields[]; features: readonly string[] };

export async function insertZone(
  sql: Sql,
  z: ZoneWork & { id: string; quiltId: string; letter: string; geometry: MultiPolygon },
): Promise<void> {
  const { id, quiltId, letter } = z;
  await sql`
    insert into zone ${sql({ ...stored(ZONE, z), id, quiltId, letter, geometry: asJson(sql, z.geometry) })}`;
  await setZoneCloth(sql, z.id, z);
}

/**
 * A new zone begun from another: whatever a zone has, its fabrics and features with it, but for what is given. Taken from
 * the row itself, so that a field added later is never forgotten.
 */
export async function copyZone(
  sql: Sql,
  from: string,
  z: {
    id: string;
    letter: string;
    name: string;
    geometry: MultiPolygon;
    lengthIn: number | null;
    /** Another quilt than the one it is taken from. */
    quiltId?: string;
  },
): Promise<void> {
  const { id, letter, name, geometry, lengthIn, quiltId } = z;
  await sql`
    insert into zone select (jsonb_populate_record(null::zone, to_jsonb(o) || jsonb_build_object(
      'id', ${id}::uuid, 'letter', ${letter}::text, 'name', ${name}::text, 'geometry', ${asJson(sql, geometry)}::jsonb,
      'length_in', ${lengthIn}::float8, 'retired_at', null, 'version', 1, 'quilt_id', coalesce(${quiltId ?? null}::uuid, o.quilt_id)))).*
    from zone o where o.id = ${from}`;
  await sql`
    insert into zone_fabric select (jsonb_populate_record(null::zone_fabric, to_jsonb(o) || jsonb_build_object('zone_id', ${id}::uuid))).*
    from zone_fabric o where o.zone_id = ${from}`;
  await sql`insert into zone_feature (zone_id, feature) select ${id}, feature from zone_feature where zone_id = ${from}`;
}

/** Holds a zone until the transaction ends, so that two at once follow each other. */
export const lockZone = (sql: Sql, id: string) => sql`select 1 from zone where id = ${id} for update`;

/** Changes what is done in a zone when it is still as it was seen; false when changed meanwhile. */
export async function updateZone(sql: Sql, id: string, z: ZoneWork, version: number): Promise<boolean> {
  // What it is in its quilt is said elsewhere, and stays where it is not given.
  const given = z.role === undefined ? FIELDS.filter((f) => f !== 'role') : FIELDS;
  const rows = await sql`
    update zone set ${sql(stored(ZONE, z), ...given)}, version = version + 1,
      pattern = case when technique = ${z.technique} then pattern end
    where id = ${id} and version = ${version} returning id`;
  if (rows.length === 0) return false;
  await sql`delete from zone_fabric where zone_id = ${id}`;
  await sql`delete from zone_feature where zone_id = ${id}`;
  await setZoneCloth(sql, id, z);
  return true;
}

async function setZoneCloth(sql: Sql, id: string, z: Pick<ZoneWork, 'fabrics' | 'features'>) {
  for (const [i, f] of z.fabrics.entries())
    await sql`insert into zone_fabric ${sql({ ...f, zoneId: id, position: i }, 'zoneId', 'position', ...CLOTH_FIELDS)}`;
  for (const feature of z.features)
    await sql`insert into zone_feature (zone_id, feature) values (${id}, ${feature})`;
}

/** Where a zone lies and what it is called, back on the map; its own length goes with its area. */
export const placeZone = (
  sql: Sql,
  z: { id: string; letter: string; name: string; geometry: MultiPolygon; lengthIn: number | null },
) => sql`
  update zone set letter = ${z.letter}, name = ${z.name}, geometry = ${asJson(sql, z.geometry)},
    length_in = ${z.lengthIn}, retired_at = null, version = version + 1
  where id = ${z.id}`;

/** Takes every zone off the map before it is laid anew; those not laid again keep their cards and tests. */
export const retireZones = (sql: Sql, quiltId: string) => sql`
  update zone set retired_at = now() where quilt_id = ${quiltId} and retired_at is null`;

/** Colours and shares of a zone's cloths, in their order. */
export async function recolourZone(
  sql: Sql,
  id: string,
  colours: readonly { hex: string; share: number; busyness: number | null }[],
): Promise<void> {
  for (const [position, c] of colours.entries())
    await sql`
      update zone_fabric set hex = ${c.hex}, share = ${c.share}, busyness = coalesce(${c.busyness}, busyness)
      where zone_id = ${id} and position = ${position}`;
  await sql`update zone set version = version + 1 where id = ${id}`;
}

/** Lays a zone's cloth on another fabric of the studio; colour and share stay. */
export async function repointCloth(sql: Sql, id: string, position: number, fabricId: string): Promise<void> {
  await sql`
    update zone_fabric set fabric_id = ${fabricId} where zone_id = ${id} and position = ${position}`;
  await sql`update zone set version = version + 1 where id = ${id}`;
}

/** Zones gathered by their quilt. */
export function zonesByQuilt(zones: readonly Zone[]): ReadonlyMap<string, Zone[]> {
  const map = new Map<string, Zone[]>();
  for (const z of zones) {
    const own = map.get(z.quiltId);
    if (own) own.push(z);
    else map.set(z.quiltId, [z]);
  }
  return map;
}

/** Zones without a set-up, of the quilts due soonest. */
export const readZonesToMatch = (
  sql: Sql,
  most: number,
): Promise<{ id: string; quiltId: string; quilt: string; letter: string; name: string }[]> => sql`
  select z.id, z.quilt_id, q.name as quilt, z.letter, z.name from zone z join quilt q on q.id = z.quilt_id
  where q.handed_back_on is null and q.withdrawn_on is null and z.retired_at is null
    and not exists (select from setup s where s.zone_id = z.id)
  order by q.due_on, q.name, z.letter limit ${most}`;

/** Says what is quilted in a zone; its quilt, or null when the zone is gone. */
export async function setTechnique(
  sql: Sql,
  id: string,
  work: { technique: string; spacingIn: number; visibility: Zone['visibility'] },
): Promise<string | null> {
  const [row] = await sql<{ quiltId: string }[]>`
    update zone set technique = ${work.technique}, spacing_in = ${work.spacingIn}, visibility = ${work.visibility},
      smallest_radius_in = null, length_in = null, pattern = null, version = version + 1
    where id = ${id} and retired_at is null returning quilt_id`;
  return row?.quiltId ?? null;
}

export const readGeometry = async (sql: Sql, id: string): Promise<MultiPolygon | null> =>
  (await sql<{ geometry: MultiPolygon }[]>`select geometry from zone where id = ${id}`)[0]?.geometry ?? null;

/** What was quilted in a zone before, and the version it has now: laid again by giving it back. */
export type WorkBefore = Pick<
  Zone,
  'technique' | 'spacingIn' | 'smallestRadiusIn' | 'lengthIn' | 'pattern'
> & {
  zoneId: string;
  version: number;
};

/** Says what is quilted in a zone when it is still as it was seen; what it was before, or null when it was changed. */
export async function setWork(
  sql: Sql,
  quiltId: string,
  z: { zoneId: string; version: number; technique: string; spacingIn?: number | null } & Partial<
    Pick<Zone, 'smallestRadiusIn' | 'lengthIn' | 'pattern'>
  >,
): Promise<WorkBefore | null> {
  const [was] = await sql<Omit<WorkBefore, 'zoneId' | 'version'>[]>`
    select technique, spacing_in, smallest_radius_in, length_in, pattern from zone
    where id = ${z.zoneId} and quilt_id = ${quiltId} and version = ${z.version} and retired_at is null`;
  if (!was) return null;
  // What belongs to a technique goes with it, unless it is given.
  const kept = <T>(given: T | undefined, own: T): T | null =>
    given !== undefined ? given : z.technique === was.technique ? own : null;
  await sql`
    update zone set technique = ${z.technique}, spacing_in = ${z.spacingIn ?? was.spacingIn},
      smallest_radius_in = ${z.smallestRadiusIn ?? null},
      length_in = ${kept(z.lengthIn, was.lengthIn)}, pattern = ${asJson(sql, kept(z.pattern, was.pattern))},
      version = version + 1
    where id = ${z.zoneId}`;
  return { ...was, zoneId: z.zoneId, version: z.version + 1 };
}

/** Says what a zone is in its quilt; false when it is gone. */
export async function setRole(sql: Sql, id: string, role: Zone['role']): Promise<boolean> {
  const rows = await sql`update zone set role = ${role}, version = version + 1 where id = ${id} returning id`;
  return rows.length === 1;
}

/** What was quilted in the zones of quilts that are sewn, the newest, with how many faults each had. */
export const readQuilted = (
  sql: Sql,
  most: number,
): Promise<{ name: string; role: Zone['role']; technique: string; faults: number; zones: number }[]> => sql`
  select z.name, z.role, z.technique,
         (select count(*)::int from fault f where f.zone_id = z.id and f.status <> 'harmless') as faults,
         (select count(*)::int from zone o where o.quilt_id = z.quilt_id and o.retired_at is null) as zones
  from zone z join quilt q on q.id = z.quilt_id
  where q.step = 'hand-back' and z.retired_at is null
  order by q.taken_in_on desc, z.letter limit ${most}`;
