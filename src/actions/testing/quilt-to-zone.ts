import type { Sql } from '@/data/sql';

/** A quilt of the demo of which nothing is sewn yet. */
export const quiltToZone = async (sql: Sql): Promise<string> =>
  (
    await sql<{ id: string }[]>`
      select id from quilt q where passes is null and handed_back_on is null
        and not exists (select from step_sewn s where s.quilt_id = q.id) order by name limit 1`
  )[0]!.id;
