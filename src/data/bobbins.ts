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
