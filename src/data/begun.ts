import type { Sql } from './sql';
import type { Begun } from './types';

export async function readBegun(sql: Sql): Promise<Begun> {
  const [row] = await sql<Begun[]>`
    select (select count(*)::int from machine) as machines,
           (select count(*)::int from cone where archived_at is null) as cones,
           (select coalesce(sum(stock), 0)::int from needle) as needles,
           (select coalesce(sum(count), 0)::int from bobbin_stock) as bobbins,
           (select count(*)::int from quilt) as quilts,
           coalesce((select is_demo from preferences limit 1), false) as is_demo`;
  return row!;
}
