import { YARN, type YarnFields } from '@/core/fields/yarn';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Yarn } from './types';

export const YARN_FIELDS = columnsOf(YARN);

export const readYarns = (sql: Sql): Promise<Yarn[]> => sql<Yarn[]>`
  select ${sql([...YARN_FIELDS, 'id', 'version'] as string[])} from yarn where archived_at is null order by name`;

export const insertYarn = (sql: Sql, id: string, fields: YarnFields) => sql`
  insert into yarn ${sql({ ...fields, id }, 'id', ...YARN_FIELDS)}`;

export async function updateYarn(
  sql: Sql,
  id: string,
  fields: YarnFields,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update yarn set ${sql(fields, ...YARN_FIELDS)}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}
