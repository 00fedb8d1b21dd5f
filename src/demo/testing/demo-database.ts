import { migrate } from '@/data/migrate';
import { connect } from '@/data/sql';
import { adminOf, databaseOf, type TestDatabase } from '@/data/test-database';

/** The day on which the demo studio of the unit tests stands. */
export const DEMO_DAY = new Date('2026-11-25T09:00:00Z');

/** Made by the first test file that asks, once a cluster; every other gets a copy. */
const MADE = 'unit_demo_studio';

/** A database of its own for a test file, with the demo studio as it stands on `DEMO_DAY`. */
export async function demoDatabase(name: string): Promise<TestDatabase> {
  const admin = adminOf();
  try {
    // Two files may ask at the same moment: one makes it, the other waits, and is let in whatever became of it.
    await admin`select pg_advisory_lock(7303016)`;
    const [made] = await admin`select 1 from pg_database where datname = ${MADE}`;
    if (!made) {
      const half = `${MADE}_half`;
      await admin`drop database if exists ${admin(half)} with (force)`;
      await admin`create database ${admin(half)}`;
      const sql = connect(`${process.env.TEST_PG_URL}/${half}`, 2);
      await migrate(sql);
      // The whole house hangs on it, and only who makes the studio needs it.
      const { loadDemo } = await import('../load');
      await loadDemo(sql, DEMO_DAY);
      await sql.end();
      await admin`alter database ${admin(half)} rename to ${admin(MADE)}`;
    }
  } finally {
    await admin.end();
  }
  return databaseOf(name, MADE);
}
