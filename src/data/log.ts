import type { StepBasis } from '@/core/log/effect';
import type { LogEntry, LogKind } from '@/core/log/entry';
import { asJson, type Sql } from './sql';

/** An entry as it is kept, in the server’s order. */
export type KeptEntry = LogEntry & { cursor: number; device: string; receivedAt: Date };

type Row = Pick<KeptEntry, 'id' | 'quiltId' | 'kind' | 'device' | 'receivedAt'> & {
  cursor: string;
  at: Date;
  happenedAt: Date;
  who: string | null;
  body: Partial<LogEntry>;
};

const asEntry = ({ body, cursor, at, happenedAt, who, ...row }: Row): KeptEntry => ({
  ...body,
  ...row,
  ...(who !== null && { who }),
  at: at.toISOString(),
  happenedAt: happenedAt.toISOString(),
  cursor: Number(cursor),
});

/** Writers follow each other, so that a later cursor never becomes visible before an earlier one. */
export const lockLog = (sql: Sql) => sql`select pg_advisory_xact_lock(hashtext('log_entry'))`;

/** Adds an entry; false when its id is there already. */
export async function insertEntry(sql: Sql, device: string, e: LogEntry): Promise<boolean> {
  const { id, quiltId, kind, at, happenedAt, ...body } = e;
  const rows = await sql`
    insert into log_entry (id, device, quilt_id, kind, at, happened_at, body)
    values (${id}, ${device}, ${quiltId}, ${kind}, ${at}, ${happenedAt ?? at}, ${asJson(sql, body)})
    on conflict (id) do nothing returning id`;
  return rows.length === 1;
}

export async function hasEntry(sql: Sql, id: string): Promise<boolean> {
  const rows = await sql`select 1 from log_entry where id = ${id}`;
  return rows.length === 1;
}

const selectEntry = (sql: Sql) =>
  sql`select id, cursor, device, quilt_id, kind, at, happened_at, received_at, body,
    who(by_person) as who
    from log_entry`;

export async function readEntry(sql: Sql, id: string): Promise<KeptEntry | null> {
  const [row] = await sql<Row[]>`${selectEntry(sql)} where id = ${id}`;
  return row ? asEntry(row) : null;
}

/** Entries of a quilt after a cursor, in the server’s order. */
export async function readEntries(sql: Sql, quiltId: string, after = 0, most = 5000): Promise<KeptEntry[]> {
  const rows = await sql<Row[]>`
    ${selectEntry(sql)} where quilt_id = ${quiltId} and cursor > ${after} order by cursor limit ${most}`;
  return rows.map(asEntry);
}

/** Entries that change anything besides the log, and what takes them back. */
export const EFFECTIVE: readonly LogKind[] = [
  'step-done',
  'bobbin-changed',
  'needle-changed',
  'thread-changed',
  'setting-changed',
  'fault',
  'fault-mended',
  'care-done',
  'air-noted',
  'undone',
];

/** Every entry of a quilt that its tables follow from. */
export async function readEffective(sql: Sql, quiltId: string): Promise<KeptEntry[]> {
  const rows = await sql<Row[]>`
    ${selectEntry(sql)} where quilt_id = ${quiltId} and kind in (
      'step-done', 'bobbin-changed', 'needle-changed', 'thread-changed', 'setting-changed', 'fault', 'fault-mended',
      'care-done', 'air-noted', 'undone')
    order by happened_at, id`;
  return rows.map(asEntry);
}

/** By how much a device’s clock is ahead of the studio’s, milliseconds; 0 where it was never seen to be wrong. */
export async function readClock(sql: Sql, device: string): Promise<number> {
  const [row] = await sql<{ aheadMs: number }[]>`select ahead_ms from device_clock where device = ${device}`;
  return row?.aheadMs ?? 0;
}

export const setClock = (sql: Sql, device: string, aheadMs: number) => sql`
  insert into device_clock (device, ahead_ms) values (${device}, ${aheadMs})
  on conflict (device) do update set ahead_ms = excluded.ahead_ms`;

/** Keeps what a sewn step rested on when it was told. */
export const insertBasis = (sql: Sql, entryId: string, quiltId: string, basis: StepBasis) => sql`
  insert into step_basis (entry_id, quilt_id, basis) values (${entryId}, ${quiltId}, ${asJson(sql, basis)})`;

/** What the sewn steps of a quilt rested on, by their entries. */
export async function readBases(sql: Sql, quiltId: string): Promise<Map<string, StepBasis>> {
  const rows = await sql<{ entryId: string; basis: StepBasis }[]>`
    select entry_id, basis from step_basis where quilt_id = ${quiltId}`;
  return new Map(rows.map((r) => [r.entryId, r.basis]));
}
