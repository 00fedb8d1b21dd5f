// Makes the demo studio, in a database of its own of the scratch cluster, that every test in the browser begins from.
import { spawnSync } from 'node:child_process';
import postgres from 'postgres';

const [name = 'demo_studio'] = process.argv.slice(2);
const base = process.env.TEST_PG_URL;
const sql = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
await sql`create database ${sql(name)}`;
await sql.end();
const env = {
  ...process.env,
  DATABASE_URL: `${base}/${name}`,
  NODE_ENV: 'production',
  TIDY_SPOOL_DEMO: 'on',
};
const { status } = spawnSync(process.execPath, ['.next/prepare.mjs'], { env, stdio: 'inherit' });
process.exit(status ?? 1);
