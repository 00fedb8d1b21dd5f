// Brings a database up to this version and, when it is empty and the demo is wanted, loads the demo studio.
import { connect } from '@/data/sql';
import { migrate } from '@/data/migrate';
import { insertShipped } from '@/data/shipped';
import { readPreferences } from '@/data/preferences';

async function prepare(url: string) {
  const sql = connect(url, 1);
  try {
    const fresh = await migrate(sql);
    if (fresh.length > 0) console.log(`Database brought up to date: ${fresh.join(', ')}.`);
    if (process.env.TIDY_SPOOL_DEMO !== 'off' && !(await readPreferences(sql))) {
      // Most starts are of a studio that is there: only the first needs all that makes the demo.
      const { loadDemo } = await import('./load');
      if (await loadDemo(sql, new Date())) console.log('Demo studio loaded.');
    }
    await insertShipped(sql);
  } catch (error) {
    console.error(`The database cannot be used: ${(error as Error).message}`);
    process.exitCode = 1;
  } finally {
    await sql.end();
  }
}

if (process.env.DATABASE_URL) void prepare(process.env.DATABASE_URL);
else {
  console.error('DATABASE_URL is not set; ./start sets it.');
  process.exitCode = 1;
}
