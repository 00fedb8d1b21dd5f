import { BATTING, type BattingFields, FABRIC, type FabricFields } from '@/core/fields/cloth';
import type { AwayKind } from '@/core/fields/lists';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { StudioBatting, StudioFabric } from './types';

export const FABRIC_FIELDS = columnsOf(FABRIC);
export const BATTING_FIELDS = columnsOf(BATTING);

/** The studio's own fabrics first, then the kinds that ship. */
export const readFabrics = (sql: Sql): Promise<StudioFabric[]> => sql<StudioFabric[]>`
  select ${sql([...FABRIC_FIELDS, 'id', 'shipped', 'version'] as string[])} from fabric
  where archived_at is null order by shipped, name`;

export const readBattings = (sql: Sql): Promise<StudioBatting[]> => sql<StudioBatting[]>`
  select ${sql([...BATTING_FIELDS, 'id', 'shipped', 'version'] as string[])} from batting
  where archived_at is null order by shipped, name`;

export const insertFabric = (sql: Sql, id: string, fields: FabricFields, shipped = false) => sql`
  insert into fabric ${sql({ ...fields, id, shipped }, 'id', 'shipped', ...FABRIC_FIELDS)}`;

export const insertBatting = (sql: Sql, id: string, fields: BattingFields, shipped = false) => sql`
  insert into batting ${sql({ ...fields, id, shipped }, 'id', 'shipped', ...BATTING_FIELDS)}`;

export async function updateFabric(
  sql: Sql,
  id: string,
  fields: FabricFields,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update fabric set ${sql(fields, ...FABRIC_FIELDS)}, version = version + 1
    where id = ${id} and version = ${version} and not shipped returning id`;
  return rows.length === 1;
}

export async function updateBatting(
  sql: Sql,
  id: string,
  fields: BattingFields,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update batting set ${sql(fields, ...BATTING_FIELDS)}, version = version + 1
    where id = ${id} and version = ${version} and not shipped returning id`;
  return rows.length === 1;
}

/** Puts a cloth, ruler, yarn or pattern away or takes it out again; quilts that use it keep it, and what ships stays. How many were. */
export async function setClothArchived(
  sql: Sql,
  table: AwayKind,
  id: string,
  away: boolean,
): Promise<boolean> {
  const rows = await sql`
    update ${sql(table)} set archived_at = ${away ? new Date() : null}, version = version + 1
    where id = ${id} ${table === 'fabric' || table === 'batting' ? sql`and not shipped` : sql``} returning id`;
  return rows.length === 1;
}

/** What is put away, newest first. */
export const readPutAway = (
  sql: Sql,
): Promise<{ what: AwayKind; id: string; name: string; at: Date }[]> => sql`
  select 'fabric' as what, id, name, archived_at as at from fabric where archived_at is not null
  union all select 'batting', id, name, archived_at from batting where archived_at is not null
  union all select 'yarn', id, name, archived_at from yarn where archived_at is not null
  union all select 'pattern', id, name, archived_at from pattern where archived_at is not null
  union all select 'ruler', id, name, archived_at from ruler where archived_at is not null
  order by at desc, name`;
