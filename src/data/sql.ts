import postgres from 'postgres';

export type Sql = postgres.Sql | postgres.TransactionSql;

const holder = globalThis as { tidySpoolSql?: postgres.Sql };

/** Postgres.js as this app uses it: camelCase in code, snake_case in SQL, dates as ISO text; in another schema if one is named. */
export function connect(url: string, max = 10, schema?: string): postgres.Sql {
  return postgres(url, {
    max,
    idle_timeout: 60,
    connect_timeout: 10,
    keep_alive: 5,
    // Its own pause between tries grows to twenty seconds: a database that took over would be waited for so long.
    backoff: (tries: number) => Math.min(0.05 * 2 ** tries, 1),
    ...(schema ? { connection: { search_path: schema } } : {}),
    onnotice: () => {},
    transform: { ...postgres.camel, undefined: null },
    types: {
      // A date has no hour and no zone: keep it as the text it is.
      date: { to: 1082, from: [1082], serialize: (x: string) => x, parse: (x: string) => x },
    },
  });
}

/** Whether the database answers; throws if not. */
export const isThere = async (sql: Sql): Promise<void> => {
  await sql`select 1`;
};

/** The one pool of this process. DATABASE_URL says which database. */
export function db(): postgres.Sql {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; ./start sets it.');
  return (holder.tidySpoolSql ??= connect(url));
}

/** A value as the database keeps it in JSON; none stays none. */
export const asJson = (sql: Sql, value: unknown) =>
  value == null ? null : sql.json(value as postgres.JSONValue);
