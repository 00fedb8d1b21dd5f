import type { Sql } from './sql';
import type { BobbinStock } from './types';

export const readBobbins = (sql: Sql): Promise<BobbinStock[]> => sql<BobbinStock[]>`
  select b.id, b.cone_id, t.line, t.colour, t.hex, t.tex, t.fibre, b.kind, b.metres_each, b.count, b.version
  from bobbin_stock b join cone t on t.id = b.cone_id
  where b.count > 0 order by t.line, t.colour, b.kind, b.metres_each desc`;

/** Puts bobbins on the tray, added to those of the same thread, kind and length. */
export const addBobbins = (
  sql: Sql,
  id: string,
  b: Pick<BobbinStock, 'coneId' | 'kind' | 'metresEach' | 'count'>,
) => sql`
  insert into bobbin_stock (id, cone_id, kind, metres_each, count)
  values (${id}, ${b.coneId}, ${b.kind}, ${b.metresEach}, ${b.count})
  on conflict (cone_id, kind, metres_each) do update
    set count = bobbin_stock.count + excluded.count, version = bobbin_stock.version + 1`;

export async function updateBobbinCount(
  sql: Sql,
  id: string,
  count: number,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update bobbin_stock set count = ${count}, version = version + 1
    where id = ${id} and version = ${version} returning id`;
  return rows.length === 1;
}

/** Sets how many bobbins of a thread, kind and length there are. */
export const upsertBobbins = (
  sql: Sql,
  id: string,
  b: Pick<BobbinStock, 'coneId' | 'kind' | 'metresEach' | 'count'>,
) => sql`
  insert into bobbin_stock (id, cone_id, kind, metres_each, count)
  values (${id}, ${b.coneId}, ${b.kind}, ${b.metresEach}, ${b.count})
  on conflict (cone_id, kind, metres_each) do update set count = excluded.count`;

/** The bobbins that entries of a quilt took off the tray, by the entry; without a stock: none was there. */
export const readTakenBobbins = (
  sql: Sql,
  quiltId: string,
): Promise<{ entryId: string; stockId: string | null }[]> => sql`
  select entry_id, stock_id from bobbin_taken where quilt_id = ${quiltId}`;

/** Takes a bobbin of a thread off the tray for an entry: one wound here first, the fullest. False when there is none. */
export async function takeBobbin(
  sql: Sql,
  entryId: string,
  quiltId: string,
  coneId: string | null,
): Promise<boolean> {
  const [row] = await sql<{ id: string }[]>`
    update bobbin_stock set count = count - 1, version = version + 1 where id = (
      select id from bobbin_stock where cone_id = ${coneId} and count > 0
      order by kind desc, metres_each desc limit 1 for update) returning id`;
  await sql`insert into bobbin_taken (entry_id, quilt_id, stock_id) values (${entryId}, ${quiltId}, ${row?.id ?? null})`;
  return row !== undefined;
}

/** Puts a bobbin back on the tray: the entry that took it does not stand. */
export async function untakeBobbin(sql: Sql, entryId: string): Promise<void> {
  await sql`
    with gone as (delete from bobbin_taken where entry_id = ${entryId} returning stock_id)
    update bobbin_stock b set count = count + 1, version = version + 1 from gone where b.id = gone.stock_id`;
}

/** How many bobbins of each thread are on the tray. */
export async function readTray(sql: Sql): Promise<Map<string, number>> {
  const rows = await sql<{ coneId: string; n: number }[]>`
    select cone_id, sum(count)::int as n from bobbin_stock where count > 0 group by cone_id`;
  return new Map(rows.map((r) => [r.coneId, r.n]));
}
