import type { Sql } from './sql';
import type { Quilt } from './types';

const selectQuilt = (sql: Sql) => sql`
  select q.id, q.name, c.name as client, q.width_in, q.length_in, q.use,
         b.name as batting, b.kind as batting_kind, f.name as backing, f.kind as backing_kind,
         f.hex as backing_hex, q.machine_id, q.taken_in_on, q.due_on, q.step, q.passes, q.passes_sewn,
         q.on_frame_since, q.waits_for
  from quilt q join client c on c.id = q.client_id join batting b on b.id = q.batting_id
       join fabric f on f.id = q.backing_id`;

export async function readQuilt(sql: Sql, id: string): Promise<Quilt | null> {
  const [row] = await sql<Quilt[]>`${selectQuilt(sql)} where q.id = ${id}`;
  return row ?? null;
}

/** Every quilt not yet handed back, soonest first. */
export const readRack = (sql: Sql): Promise<Quilt[]> => sql<Quilt[]>`
  ${selectQuilt(sql)} order by q.due_on, q.name`;
