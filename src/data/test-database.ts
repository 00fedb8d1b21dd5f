import postgres from 'postgres';
import { migrate } from './migrate';
import { connect } from './sql';

/**
 * A fresh database of its own for a test file, migrated; the actions reach it through DATABASE_URL. Needs
 * TEST_PG_URL, which `npm run unit` and ./test set.
 */
export async function testDatabase(name: string): Promise<{ sql: postgres.Sql; end: () => Promise<void> }> {
  const base = await emptyDatabase(name);
  await migrate(base.sql);
  return base;
}

/** The same before anything is made in it. */
export async function emptyDatabase(name: string): Promise<{ sql: postgres.Sql; end: () => Promise<void> }> {
  const base = process.env.TEST_PG_URL;
  if (!base) throw new Error('TEST_PG_URL is not set: run the unit tests with npm run unit.');
  const admin = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  const database = `unit_${name}`;
  await admin`drop database if exists ${admin(database)} with (force)`;
  await admin`create database ${admin(database)}`;
  await admin.end();
  process.env.DATABASE_URL = `${base}/${database}`;
  const sql = connect(process.env.DATABASE_URL, 4);
  (globalThis as { tidySpoolSql?: postgres.Sql }).tidySpoolSql = sql;
  return {
    sql,
    end: async () => {
      (globalThis as { tidySpoolSql?: postgres.Sql }).tidySpoolSql = undefined;
      await sql.end();
    },
  };
}
