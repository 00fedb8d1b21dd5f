// Many studios, a database each: how long the app takes to start for one, and what it holds in memory. See many-studios.sh.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import postgres from 'postgres';
import { loadDemo } from '@/demo/load';
import { connect } from '@/data/sql';
import { migrate } from '@/data/migrate';

const [base, many] = [process.argv[2]!, Number(process.argv[3] ?? 200)];
const PORT = 3299;
const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));
const quantile = (xs: readonly number[], q: number) =>
  [...xs].sort((a, b) => a - b)[Math.min(xs.length - 1, Math.floor(q * xs.length))]!;

async function main() {
  const admin = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  await admin`create database studio_0`;
  const first = connect(`${base}/studio_0`, 2);
  await migrate(first);
  await loadDemo(first, new Date());
  await first.end();
  const began = performance.now();
  for (let i = 1; i < many; i++) await admin`create database ${admin(`studio_${i}`)} template studio_0`;
  const made = (performance.now() - began) / Math.max(1, many - 1);
  const [size] = await admin<{ mb: number }[]>`select pg_database_size('studio_0')::float8 / 1e6 as mb`;
  const starts: number[] = [];
  const memory: number[] = [];
  for (let i = 0; i < many; i++) {
    const at = performance.now();
    const app = spawn(process.execPath, ['.next/serve.mjs'], {
      env: {
        ...process.env,
        NODE_ENV: 'production',
        HOST: '127.0.0.1',
        PORT: String(PORT),
        DATABASE_URL: `${base}/studio_${i}`,
      },
      stdio: 'ignore',
    });
    for (;;) {
      const ok = await fetch(`http://127.0.0.1:${PORT}/`).then(
        (r) => r.ok,
        () => false,
      );
      if (ok) break;
      await wait(20);
    }
    starts.push(performance.now() - at);
    const rss = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${app.pid}/status`, 'utf8'))?.[1];
    memory.push(Number(rss) / 1024);
    const gone = new Promise((r) => app.once('exit', r));
    app.kill('SIGKILL');
    await gone;
  }
  await admin.end();
  console.log(
    `${many} studios: ${size!.mb.toFixed(0)} MB a database, made in ${made.toFixed(0)} ms; start to the first Rack ${quantile(starts, 0.5).toFixed(0)} ms (95 % ${quantile(starts, 0.95).toFixed(0)}), memory ${quantile(memory, 0.5).toFixed(0)} MB (95 % ${quantile(memory, 0.95).toFixed(0)})`,
  );
}
void main();
