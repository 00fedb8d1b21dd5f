import postgres from 'postgres';
import { migrate } from './migrate';
import { connect } from './sql';

export interface TestDatabase {
  sql: postgres.Sql;
  end: () => Promise<void>;
}

/** The scratch cluster of the tests, as its owner. Needs TEST_PG_URL, which `npm run unit` and ./test set. */
export function adminOf(): postgres.Sql {
  const base = process.env.TEST_PG_URL;
  if (!base) throw new Error('TEST_PG_URL is not set: run the unit tests with npm run unit.');
  return postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
}

/** A fresh database of its own for a test file, migrated; the actions reach it through DATABASE_URL. */
export async function testDatabase(name: string): Promise<TestDatabase> {
  const base = await emptyDatabase(name);
  await migrate(base.sql);
  return base;
}

/** The same before anything is made in it. */
export const emptyDatabase = (name: string): Promise<TestDatabase> => databaseOf(name, 'template1');

/** A database of its own, a copy of another. */
export async function databaseOf(name: string, template: string): Promise<TestDatabase> {
  const admin = adminOf();
  const database = `unit_${name}`;
  await admin`drop database if exists ${admin(database)} with (force)`;
  await admin`create database ${admin(database)} template ${admin(template)}`;
  await admin.end();
  process.env.DATABASE_URL = `${process.env.TEST_PG_URL}/${database}`;
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
