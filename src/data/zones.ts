import type { Sql } from './sql';
import type { Zone } from './types';

const selectZones = (sql: Sql) => sql`
  select z.id, z.quilt_id, z.letter, z.name, z.geometry, z.technique, z.spacing_in, z.smallest_radius_in,
         z.length_in, z.visibility,
         (select coalesce(jsonb_agg(jsonb_build_object('kind', f.kind, 'name', f.name, 'hex', zf.hex,
                                                       'share', zf.share) order by zf.position), '[]')
          from zone_fabric zf join fabric f on f.id = zf.fabric_id where zf.zone_id = z.id) as fabrics,
         array(select feature from zone_feature where zone_id = z.id order by feature) as features
  from zone z`;

export const readZones = (sql: Sql, quiltId: string): Promise<Zone[]> => sql<Zone[]>`
  ${selectZones(sql)} where z.quilt_id = ${quiltId} order by length(z.letter), z.letter`;

export const readAllZones = (sql: Sql): Promise<Zone[]> => sql<Zone[]>`
  ${selectZones(sql)} order by z.quilt_id, length(z.letter), z.letter`;
