import type { ExchangeKind, Mapping } from '@/core/exchange/columns';
import type { BattingRow, FabricRow, NeedleRow, RowOf, ConeRow } from '@/core/exchange/read-row';
import { v7 as uuidv7 } from 'uuid';
import { BATTING_FIELDS, FABRIC_FIELDS } from './cloths';
import { CONE_FIELDS } from './cones';
import { asJson, type Sql } from './sql';

/** Rows sent in one statement: PostgreSQL takes at most 65 535 values. */
const CHUNK = 2000;

async function inChunks<T>(rows: readonly T[], insert: (part: T[]) => Promise<unknown>) {
  for (let i = 0; i < rows.length; i += CHUNK) await insert(rows.slice(i, i + CHUNK));
}

/** What a cell of a file is stored as. */
type CsvValue = string | number | boolean | Date | null;

const INSERT: {
  [K in ExchangeKind]: (sql: Sql, rows: readonly RowOf[K][], importId: string) => Promise<void>;
} = {
  cones: (sql, rows: readonly ConeRow[], importId) =>
    inChunks(
      rows.map((r) => ({
        ...r,
        id: uuidv7(),
        importId,
        remainingSource: r.remainingM === null ? null : 'set',
        remainingAt: r.remainingM === null ? null : new Date(),
      })),
      (part) =>
        sql`insert into cone ${sql(part as unknown as Record<string, CsvValue>[], 'id', 'importId', ...CONE_FIELDS, 'remainingM', 'remainingSource', 'remainingAt')}`,
    ),
  battings: (sql, rows: readonly BattingRow[], importId) =>
    inChunks(
      rows.map((r) => ({ ...r, id: uuidv7(), importId })),
      (part) => sql`insert into batting ${sql(part, 'id', 'importId', ...BATTING_FIELDS)}`,
    ),
  fabrics: (sql, rows: readonly FabricRow[], importId) =>
    inChunks(
      rows.map((r) => ({ ...r, id: uuidv7(), importId })),
      (part) => sql`insert into fabric ${sql(part, 'id', 'importId', ...FABRIC_FIELDS)}`,
    ),
  needles: (sql, rows: readonly NeedleRow[], importId) =>
    inChunks(
      rows.map((r) => ({ ...r, id: uuidv7(), importId })),
      (part) =>
        sql`insert into needle ${sql(part, 'id', 'importId', 'nm', 'eye', 'point', 'coated', 'stock')}`,
    ),
};

const TABLE = { cones: 'cone', battings: 'batting', fabrics: 'fabric', needles: 'needle' } as const;

/** Stores an import's rows and the batch they came in. */
export async function insertImport<K extends ExchangeKind>(
  sql: Sql,
  batch: { id: string; kind: K; fileName: string },
  rows: readonly RowOf[K][],
): Promise<void> {
  await sql`
    insert into import_batch (id, kind, file_name, rows)
    values (${batch.id}, ${batch.kind}, ${batch.fileName}, ${rows.length})`;
  await INSERT[batch.kind](sql, rows, batch.id);
}

/** The keys already taken, in the form `rowKey` gives. */
export async function readKeys(sql: Sql, kind: ExchangeKind): Promise<Set<string>> {
  const rows =
    kind === 'cones'
      ? await sql<{ key: string }[]>`select lower(line || chr(10) || colour) as key from cone`
      : kind === 'needles'
        ? await sql<
            { key: string }[]
          >`select lower(nm || ' ' || eye || ' ' || point || ' ' || coated) as key from needle`
        : await sql<{ key: string }[]>`select lower(name) as key from ${sql(TABLE[kind])}`;
  return new Set(rows.map((r) => r.key));
}

/** Takes an import back: what nothing uses is removed, what something uses is put away, what was edited since stays. */
export async function undoImport(
  sql: Sql,
  id: string,
): Promise<{ removed: number; putAway: number; edited: number } | null> {
  const [batch] = await sql<{ kind: ExchangeKind }[]>`
    update import_batch set undone_at = now() where id = ${id} and undone_at is null returning kind`;
  if (!batch) return null;
  const removed = await REMOVE_UNUSED[batch.kind](sql, id);
  if (batch.kind === 'needles') return { removed: removed.count, putAway: 0, edited: 0 };
  const table = TABLE[batch.kind];
  const away = await sql`
    update ${sql(table)} set archived_at = now() where import_id = ${id} and archived_at is null and version = 1`;
  const [left] = await sql<{ n: number }[]>`
    select count(*)::int as n from ${sql(table)} where import_id = ${id} and archived_at is null`;
  return { removed: removed.count, putAway: away.count, edited: left!.n };
}

const REMOVE_UNUSED: Record<ExchangeKind, (sql: Sql, id: string) => PromiseLike<{ count: number }>> = {
  cones: (sql, id) => sql`
    delete from cone t where import_id = ${id} and version = 1
      and not exists (select 1 from setup s where s.top_id = t.id or s.bobbin_id = t.id)
      and not exists (select 1 from bobbin_stock b where b.cone_id = t.id)
      and not exists (select 1 from cone_use u where u.cone_id = t.id)`,
  battings: (sql, id) => sql`
    delete from batting b where import_id = ${id} and version = 1 and not exists (select 1 from quilt q where q.batting_id = b.id)`,
  fabrics: (sql, id) => sql`
    delete from fabric f where import_id = ${id} and version = 1
      and not exists (select 1 from quilt q where q.backing_id = f.id)
      and not exists (select 1 from zone_fabric z where z.fabric_id = f.id)`,
  needles: (sql, id) => sql`delete from needle where import_id = ${id}`,
};

/** How a file with this header was read last time; null the first time. */
export async function readMapping(sql: Sql, kind: ExchangeKind, header: string): Promise<Mapping | null> {
  const [row] = await sql<{ mapping: Mapping }[]>`
    select mapping from import_mapping where kind = ${kind} and header = ${header}`;
  return row?.mapping ?? null;
}

export const rememberMapping = (sql: Sql, kind: ExchangeKind, header: string, mapping: Mapping) => sql`
  insert into import_mapping (kind, header, mapping) values (${kind}, ${header}, ${asJson(sql, mapping)})
  on conflict (kind, header) do update set mapping = excluded.mapping`;
