import { v7 as uuidv7 } from 'uuid';
import { battings } from '@/core/tables/battings';
import { fabrics } from '@/core/tables/fabrics';
import type { Sql } from './sql';

/** Makes sure that there is a studio, and that the kinds of cloth that ship are at hand; marked as shipped. */
export async function insertShipped(sql: Sql): Promise<void> {
  await sql`insert into preferences (name) values ('My longarm room') on conflict (id) do nothing`;
  for (const f of fabrics.rows)
    await sql`
      insert into fabric (id, kind, name, shipped) values (${uuidv7()}, ${f.id}, ${f.label}, true) on conflict do nothing`;
  for (const b of battings.rows)
    await sql`
      insert into batting (id, kind, name, shipped) values (${uuidv7()}, ${b.id}, ${b.label}, true) on conflict do nothing`;
}
