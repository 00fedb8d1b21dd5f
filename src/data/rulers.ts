import { RULER, type RulerFields } from '@/core/fields/ruler';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Ruler } from './types';

export const RULER_FIELDS = columnsOf(RULER);

export const readRulers = (sql: Sql): Promise<Ruler[]> => sql<Ruler[]>`
  select ${sql([...RULER_FIELDS, 'id', 'version'] as string[])} from ruler where archived_at is null order by name`;

export const insertRuler = (sql: Sql, id: string, fields: RulerFields) => sql`
  insert into ruler ${sql({ ...fields, id }, 'id', ...RULER_FIELDS)}`;

export async function updateRuler(
  sql: Sql,
  id: string,
  fields: RulerFields,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update ruler set ${sql(fields, ...RULER_FIELDS)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}
