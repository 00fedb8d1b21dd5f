import type { Sql } from './sql';
import type { Mishap } from './types';

/** So many are kept, the newest. */
const KEPT = 500;
const MOST_LETTERS = 8000;

/** Notes a mishap and gives it a number; the oldest go. */
export async function insertMishap(sql: Sql, place: string, error: unknown): Promise<number> {
  const { message, stack } = error instanceof Error ? error : { message: String(error), stack: '' };
  const text = (x: string | undefined) => (x ?? '').replaceAll('\u0000', '').slice(0, MOST_LETTERS);
  const [row] = await sql<{ n: number }[]>`
    insert into mishap (place, message, stack) values (${place.slice(0, 200)}, ${text(message)}, ${text(stack)})
    returning n::int`;
  await sql`delete from mishap where n <= ${row!.n - KEPT}`;
  return row!.n;
}

export const readMishaps = (sql: Sql, most = 100): Promise<Mishap[]> => sql<Mishap[]>`
  select n::int, at, place, message, stack from mishap order by n desc limit ${most}`;
