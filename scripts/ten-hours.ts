// Measures: ten hours of a machine at forty stitches a second, through the link; what memory it takes as the hours pass.
import { spawnSync } from 'node:child_process';
import { v7 as uuidv7 } from 'uuid';
import { takeIn } from '@/actions/link';
import { QUILTER } from '@/actions/context';
import { connect } from '@/data/sql';
import postgres from 'postgres';

const [HOURS, A_SECOND, STITCHES_A_SECOND] = [10, 20, 40];
const BATCH = 2000;

async function tenHours() {
  const base = process.env.TEST_PG_URL!;
  const admin = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  await admin`create database ten_hours`;
  await admin.end();
  const url = `${base}/ten_hours`;
  spawnSync('node_modules/.bin/tsx', ['src/demo/prepare.ts'], {
    env: { ...process.env, DATABASE_URL: url, TIDY_SPOOL_DEMO: 'on' },
    stdio: 'inherit',
  });
  const sql = connect(url);
  const [quilt] = await sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  const head = JSON.stringify({ run: uuidv7(), quiltId: quilt!.id, pass: 1, limitInPerS: 3 });
  const memory = () => {
    global.gc?.();
    return (process.memoryUsage().heapUsed / 1e6).toFixed(1);
  };
  console.log(`before: ${memory()} MB`);
  const all = HOURS * 3600 * A_SECOND;
  for (let i = 1; i <= all; i += BATCH) {
    const lines = Array.from({ length: Math.min(BATCH, all - i + 1) }, (_, k) => {
      const t = ((i + k) * 1000) / A_SECOND;
      const along = (i + k) * 0.15;
      return JSON.stringify({
        t,
        x: 2 + (along % 60),
        y: 2 + (Math.floor(along / 60) % 70) + 0.3 * Math.sin(along),
        v: 3,
        rate: 2400,
        n: Math.round((t / 1000) * STITCHES_A_SECOND),
      });
    });
    const r = await takeIn({ sql, actor: QUILTER, now: new Date() }, [head, ...lines].join('\n'));
    if (!r.ok) throw new Error(r.problems[0]!.message);
    if ((i + BATCH - 1) % (3600 * A_SECOND) === 0)
      console.log(
        `hour ${(i + BATCH - 1) / (3600 * A_SECOND)}: ${memory()} MB, ${r.value.stitches} stitches`,
      );
  }
  const [kept] = await sql`
    select (select sum(octet_length(points::text)) from link_piece) as path, (select octet_length(summary::text) from link_run) as summary`;
  console.log(`kept: path ${Math.round(Number(kept!.path) / 1000)} kB, the rest ${kept!.summary} bytes`);
  await sql.end();
}
void tenHours();
