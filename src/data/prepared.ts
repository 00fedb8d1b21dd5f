import { PREPARED } from '@/core/fields/quilt';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Prepared } from './types';

const FIELDS: (keyof Omit<Prepared, 'version'>)[] = [...columnsOf(PREPARED), 'withQuilts', 'joinedGapIn'];

/** What was chosen; null while nothing was. */
export async function readPrepared(sql: Sql, quiltId: string): Promise<Prepared | null> {
  const [row] = await sql<Prepared[]>`
    select ${sql(FIELDS)}, version from prepared where quilt_id = ${quiltId}`;
  return row ?? null;
}

/** Keeps what was chosen when it is still as it was seen; the version it has now, or null when changed meanwhile. */
export async function writePrepared(
  sql: Sql,
  quiltId: string,
  seen: number,
  p: Omit<Prepared, 'version'>,
): Promise<number | null> {
  const row = { ...p, quiltId };
  // A page that saw something chosen does not choose anew what somebody took away.
  const isThere = seen === 0 || (await sql`select from prepared where quilt_id = ${quiltId}`).length > 0;
  if (!isThere) return null;
  const [kept] = await sql<{ version: number }[]>`
    insert into prepared ${sql(row, 'quiltId', ...FIELDS)}
    on conflict (quilt_id) do update set ${sql(row, ...FIELDS)}, version = prepared.version + 1
    where prepared.version = ${seen} returning version`;
  return kept?.version ?? null;
}
