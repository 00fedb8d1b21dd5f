import { v7 as uuidv7 } from 'uuid';
import type { Field, KeptOf } from '@/core/fields/field';
import type { Sql } from './sql';

/** The columns of a table of fields, under the names of the type that is read from them. */
export const columnsOf = <const R extends readonly Field[]>(fields: R): (keyof KeptOf<R> & string)[] =>
  fields.map((f) => f.id as keyof KeptOf<R> & string);

/** Inserts a row under its own id, or replaces the one that has it. */
export async function putRow(sql: Sql, table: string, row: object, fields: readonly string[]): Promise<void> {
  const given = row as Record<string, string | number | boolean | Date | null | undefined>;
  const all: Record<string, string | number | boolean | Date | null> = { id: given.id ?? uuidv7() };
  for (const f of fields) all[f] = given[f] ?? null;
  await sql`
    insert into ${sql(table)} ${sql(all, ...Object.keys(all))}
    on conflict (id) do update set ${sql(all, ...fields)}, version = ${sql(table)}.version + 1`;
}
