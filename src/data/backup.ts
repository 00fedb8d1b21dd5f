import { createHash } from 'node:crypto';
import type postgres from 'postgres';
import { migrate } from './migrate';
import { connect, type Sql } from './sql';
import type { CopyMade } from './types';

/** Photographs go as files of their own; their rows say everything but the picture. */
export const PICTURES = { table: 'photograph', column: 'bytes' } as const;
const AT_ONCE = 500;

/** A table of the studio, with its columns in order and the ones that tell rows apart. */
export interface Table {
  name: string;
  columns: string[];
  key: string[];
}

/** Every table, those that others hang on first, so that they can be filled in this order. */
export async function readTables(sql: Sql, schema = 'public'): Promise<Table[]> {
  const tables = await sql<{ name: string; columns: string[]; key: string[] | null }[]>`
    select c.relname as name,
      array(select a.attname::text from pg_attribute a where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped
            and a.attgenerated = '' order by a.attnum) as columns,
      (select array_agg(a.attname::text order by k.n) from pg_index i, unnest(i.indkey) with ordinality k (attnum, n)
       join pg_attribute a on true where i.indrelid = c.oid and i.indisprimary and a.attrelid = c.oid
         and a.attnum = k.attnum) as key
    from pg_class c where c.relnamespace = ${schema}::regnamespace and c.relkind = 'r' order by c.relname`;
  const needs = await sql<{ name: string; on: string }[]>`
    select distinct o.relname as name, t.relname as "on" from pg_constraint k
    join pg_class o on o.oid = k.conrelid join pg_class t on t.oid = k.confrelid
    where k.contype = 'f' and o.relnamespace = ${schema}::regnamespace and o.oid <> t.oid`;
  const left = new Map(tables.map((t) => [t.name, t]));
  const ordered: Table[] = [];
  while (left.size > 0) {
    const free = [...left.values()].filter((t) => !needs.some((n) => n.name === t.name && left.has(n.on)));
    if (free.length === 0)
      throw new Error(`Tables hang on each other in a ring: ${[...left.keys()].join(', ')}`);
    for (const t of free) {
      left.delete(t.name);
      ordered.push({ ...t, key: t.key ?? t.columns });
    }
  }
  return ordered;
}

/** The newest migration of a studio. */
export async function readSchemaName(sql: Sql): Promise<string> {
  const [row] = await sql<{ name: string }[]>`select max(name) as name from migration`;
  return row!.name;
}

const stored = (t: Table) => t.columns.filter((c) => t.name !== PICTURES.table || c !== PICTURES.column);

/** The rows of a table as JSON, one text a row, in the order of its key. */
export async function* readRows(sql: Sql, t: Table): AsyncGenerator<string[]> {
  const rows = sql<{ row: string }[]>`
    select row_to_json(x)::text as row from
      (select ${sql(stored(t))} from ${sql(t.name)} order by ${sql(t.key)}) x`.cursor(AT_ONCE);
  for await (const part of rows) yield part.map((r) => r.row);
}

/** One picture's bytes. */
export async function readPicture(sql: Sql, id: string): Promise<Buffer | null> {
  const [row] = await sql<{ bytes: Buffer }[]>`select bytes from photograph where id = ${id}`;
  return row?.bytes ?? null;
}

/** A second house beside the present one: an own schema, brought to an older state first, then filled, then up to date. */
export async function buildBeside(
  url: string,
  at: string,
  fill: (sql: postgres.Sql, tables: Table[]) => Promise<void>,
): Promise<string> {
  return besideStudio(url, async (sql, schema) => {
    await migrate(sql, at);
    const tables = await readTables(sql, schema);
    await sql.begin(async (tx) => {
      // Nothing a migration puts in is kept: the copy brings everything. Triggers would count what is counted already.
      for (const t of tables) await tx`alter table ${tx(t.name)} disable trigger user`;
      for (const t of [...tables].reverse()) await tx`delete from ${tx(t.name)}`;
      await fill(tx as unknown as postgres.Sql, tables);
      for (const t of tables) await tx`alter table ${tx(t.name)} enable trigger user`;
      // Numbers that count by themselves go on where the copy's ended.
      // What counts by itself goes on counting after the last one brought in.
      const counted = await tx<{ name: string; column: string }[]>`
        select table_name as name, column_name as column from information_schema.columns
        where table_schema = ${schema} and is_identity = 'YES'`;
      for (const { name, column } of counted)
        await tx`
          select setval(pg_get_serial_sequence(${name}, ${column}), (select max(${tx(column)}) from ${tx(name)}))
          where exists (select from ${tx(name)})`;
    });
    await migrate(sql);
  });
}

/** A schema of its own beside the studio, as it is built; gone again when that fails. Its name. */
export async function besideStudio(
  url: string,
  build: (sql: postgres.Sql, schema: string) => Promise<void>,
): Promise<string> {
  const schema = `beside_${Date.now()}_${Math.floor(Math.random() * 1e6)}`;
  const admin = connect(url, 1);
  await admin`create schema ${admin(schema)}`;
  const sql = connect(url, 1, schema);
  try {
    await build(sql, schema);
    return schema;
  } catch (error) {
    await admin`drop schema ${admin(schema)} cascade`;
    throw error;
  } finally {
    await sql.end();
    await admin.end();
  }
}

/** Rows put in as they were written; every value, ids, times and counters among them. */
export const insertRows = (sql: Sql, t: Table, rows: readonly string[]) => {
  const columns = stored(t);
  return sql`
    insert into ${sql(t.name)} (${sql(columns)}) overriding system value
    select ${sql(columns)} from json_populate_recordset(null::${sql(t.name)}, ${`[${rows.join(',')}]`}::text::json)`;
};

export const insertPictureRow = (sql: Sql, t: Table, row: string, bytes: Buffer) => {
  const columns = stored(t);
  return sql`
    insert into photograph (${sql([...columns, PICTURES.column] as string[])})
    select ${sql(columns)}, ${bytes} from json_populate_record(null::${sql(t.name)}, ${row}::text::json)`;
};

/** Takes the house beside as the present one; the present one stays beside, until the next time. */
export async function moveIn(sql: postgres.Sql, schema: string, now: Date): Promise<string> {
  const before = `before_${now.toISOString().replace(/\D/g, '').slice(0, 14)}`;
  await sql.begin(async (tx) => {
    const tables = await readTables(tx);
    // Whoever writes now is waited for, and whoever comes meanwhile waits.
    for (const t of tables) await tx`lock table ${tx(t.name)} in access exclusive mode`;
    const old = await tx<{ name: string }[]>`
      select nspname as name from pg_namespace where nspname ~ '^before_\\d+$'`;
    for (const { name } of old) await tx`drop schema ${tx(name)} cascade`;
    await tx`alter schema public rename to ${tx(before)}`;
    await tx`alter schema ${tx(schema)} rename to public`;
  });
  return before;
}

export const dropSchema = async (url: string, schema: string): Promise<void> => {
  const sql = connect(url, 1);
  await sql`drop schema if exists ${sql(schema)} cascade`;
  await sql.end();
};

export const hashOf = () => createHash('sha256');

export const insertCopy = (sql: Sql, c: { file: string; bytes: number; problem?: string }) => sql`
  insert into backup_made (file, bytes, problem) values (${c.file}, ${c.bytes}, ${c.problem ?? ''})
  on conflict (file) do update set at = now(), bytes = excluded.bytes, problem = excluded.problem, verified_at = null`;

export const setVerified = (sql: Sql, file: string, problem: string) => sql`
  update backup_made set verified_at = now(), problem = ${problem} where file = ${file}`;

/** The newest copies first. */
export const readCopies = (sql: Sql, most = 60): Promise<CopyMade[]> => sql`
  select file, at, bytes::float8 as bytes, verified_at, problem from backup_made order by at desc limit ${most}`;

/** Backup, copies and restore of a studio follow each other: one lock for all of them, whatever process they run in. */
const WHOLE_LOCK = 7_303_020;

/** Runs `act` once no other backup, copy or restore is at it. */
export async function oneAtATime<T>(sql: postgres.Sql, act: () => Promise<T>): Promise<T> {
  const held = await sql.reserve();
  try {
    await held`select pg_advisory_lock(${WHOLE_LOCK})`;
    try {
      return await act();
    } finally {
      await held`select pg_advisory_unlock(${WHOLE_LOCK})`;
    }
  } finally {
    held.release();
  }
}

/** Runs `act` unless a backup, copy or restore is at it. */
export async function ifAlone(sql: postgres.Sql, act: () => Promise<void>): Promise<boolean> {
  const held = await sql.reserve();
  try {
    const [got] = await held<{ yes: boolean }[]>`select pg_try_advisory_lock(${WHOLE_LOCK}) as yes`;
    if (!got!.yes) return false;
    try {
      await act();
    } finally {
      await held`select pg_advisory_unlock(${WHOLE_LOCK})`;
    }
    return true;
  } finally {
    held.release();
  }
}
