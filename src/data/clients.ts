import { CLIENT, type ClientFields } from '@/core/fields/quilt';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Client } from './types';

const FIELDS = columnsOf(CLIENT);

/** A client as she is known; null when there is none. */
export async function readClient(sql: Sql, id: string): Promise<Client | null> {
  const [row] = await sql<Client[]>`select id, name, ${sql(FIELDS)} from client where id = ${id}`;
  return row ?? null;
}

/** How a client is called and reached, from now on. */
export const updateClient = (sql: Sql, { id, ...c }: Client) => sql`
  update client set ${sql(c, 'name', ...FIELDS)} where id = ${id}`;

/** What was said of a client at the counter: what is not empty takes the place of what was known. */
export async function addToClient(sql: Sql, id: string, said: Partial<ClientFields>): Promise<void> {
  const given = Object.fromEntries(
    FIELDS.flatMap((f) =>
      said[f] === undefined || said[f] === null || said[f] === '' ? [] : [[f, said[f]]],
    ),
  );
  const columns = Object.keys(given);
  if (columns.length > 0) await sql`update client set ${sql(given, ...columns)} where id = ${id}`;
}
