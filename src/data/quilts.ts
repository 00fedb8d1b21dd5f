import type { Sql } from './sql';
import type { Quilt } from './types';

const selectQuilt = (sql: Sql) => sql`
  select q.id, q.name, c.name as client, q.width_in, q.length_in, q.use,
         b.name as batting, b.kind as batting_kind, b.max_gap_in as batting_max_gap_in, f.name as backing, f.kind as backing_kind,
         f.hex as backing_hex, q.machine_id, q.taken_in_on, q.due_on, q.step, q.passes, q.passes_sewn,
         q.on_frame_since, q.waits_for, q.widths_in, q.lengths_in, q.wishes, q.watch, q.care, q.turn_rule, q.turned,
         q.depths_in, q.order_by_hand, q.backing_cloth_in, q.prewash, q.starts_on, q.version
  from quilt q join client c on c.id = q.client_id join batting b on b.id = q.batting_id
       join fabric f on f.id = q.backing_id`;

export async function readQuilt(sql: Sql, id: string): Promise<Quilt | null> {
  const [row] = await sql<Quilt[]>`${selectQuilt(sql)} where q.id = ${id}`;
  return row ?? null;
}

export interface NewQuilt {
  id: string;
  clientId: string;
  name: string;
  widthIn: number;
  lengthIn: number;
  use: Quilt['use'];
  battingId: string;
  backingId: string;
  machineId: string;
  takenInOn: string;
  dueOn: string;
  widthsIn: readonly number[] | null;
  lengthsIn: readonly number[] | null;
  wishes: string;
  watch: string;
  care: string;
  backingClothIn: number | null;
  prewash: boolean;
}

/** The client of a name, made when new. Names are compared without regard to case. */
export async function clientNamed(sql: Sql, id: string, name: string): Promise<string> {
  const [known] = await sql<
    { id: string }[]
  >`select id from client where lower(name) = lower(${name}) limit 1`;
  if (known) return known.id;
  await sql`insert into client (id, name) values (${id}, ${name})`;
  return id;
}

export const readClientNames = async (sql: Sql): Promise<string[]> =>
  (await sql<{ name: string }[]>`select name from client order by name`).map((c) => c.name);

export const insertQuilt = (sql: Sql, q: NewQuilt) => sql`
  insert into quilt ${sql({ ...q, step: 'match' }, 'id', 'clientId', 'name', 'widthIn', 'lengthIn', 'use', 'battingId', 'backingId', 'machineId', 'takenInOn', 'dueOn', 'step', 'widthsIn', 'lengthsIn', 'wishes', 'watch', 'care', 'backingClothIn', 'prewash')}`;

/** Every quilt not yet handed back, soonest first. */
export const readRack = (sql: Sql): Promise<Quilt[]> => sql<Quilt[]>`
  ${selectQuilt(sql)} order by q.due_on, q.name`;
