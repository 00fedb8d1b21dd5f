import type { LogEntry } from '@/core/stand/log';
import type { Sql } from './sql';

/** An entry as it is kept, in the server’s order. */
export type KeptEntry = LogEntry & { cursor: number; device: string; receivedAt: Date };

type Row = Pick<KeptEntry, 'id' | 'quiltId' | 'kind' | 'device' | 'receivedAt'> & {
  cursor: string;
  at: Date;
  body: Partial<LogEntry>;
};

const asEntry = ({ body, cursor, at, ...row }: Row): KeptEntry => ({
  ...body,
  ...row,
  at: at.toISOString(),
  cursor: Number(cursor),
});

/** Writers follow each other, so that a later cursor never becomes visible before an earlier one. */
export const lockLog = (sql: Sql) => sql`select pg_advisory_xact_lock(hashtext('log_entry'))`;

/** Adds an entry; false when its id is there already. */
export async function insertEntry(sql: Sql, device: string, e: LogEntry): Promise<boolean> {
  const { id, quiltId, kind, at, ...body } = e;
  const rows = await sql`
    insert into log_entry (id, device, quilt_id, kind, at, body)
    values (${id}, ${device}, ${quiltId}, ${kind}, ${at}, ${sql.json(body as never)})
    on conflict (id) do nothing returning id`;
  return rows.length === 1;
}

export async function hasEntry(sql: Sql, id: string): Promise<boolean> {
  const rows = await sql`select 1 from log_entry where id = ${id}`;
  return rows.length === 1;
}

export async function readEntry(sql: Sql, id: string): Promise<KeptEntry | null> {
  const [row] = await sql<Row[]>`
    select id, cursor, device, quilt_id, kind, at, received_at, body from log_entry where id = ${id}`;
  return row ? asEntry(row) : null;
}

/** Entries of a quilt after a cursor, in the server’s order. */
export async function readEntries(sql: Sql, quiltId: string, after = 0, most = 5000): Promise<KeptEntry[]> {
  const rows = await sql<Row[]>`
    select id, cursor, device, quilt_id, kind, at, received_at, body from log_entry
    where quilt_id = ${quiltId} and cursor > ${after} order by cursor limit ${most}`;
  return rows.map(asEntry);
}
