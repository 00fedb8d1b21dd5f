import { spawn, spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import postgres from 'postgres';

export const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });

/** A scratch database of that name with the demo studio, and the built app in front of it. */
export async function studioOf(name: string, more: Record<string, string> = {}) {
  const base = process.env.TEST_PG_URL;
  if (!base)
    throw new Error('TEST_PG_URL is not set: run the tests with ./test, or through scripts/with-cluster.sh.');
  const admin = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  await admin`drop database if exists ${admin(name)}`;
  await admin`create database ${admin(name)}`;
  await admin.end();
  const port = await freePort();
  const env = {
    ...process.env,
    DATABASE_URL: `${base}/${name}`,
    NODE_ENV: 'production' as const,
    TIDY_SPOOL_DEMO: 'on',
    HOST: '127.0.0.1',
    PORT: String(port),
    ...more,
  };
  const prepared = spawnSync('node_modules/.bin/tsx', ['src/demo/prepare.ts'], { env, encoding: 'utf8' });
  if (prepared.status !== 0) throw new Error(prepared.stdout + prepared.stderr);
  const server = spawn(process.execPath, ['--import', 'tsx', 'src/serve/main.ts'], {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const url = `http://127.0.0.1:${port}`;
  for (let i = 0; ; i++) {
    if (
      await fetch(`${url}/health`).then(
        (r) => r.ok,
        () => false,
      )
    )
      break;
    if (i > 600) throw new Error('The app did not start.');
    await new Promise((r) => setTimeout(r, 100));
  }
  return {
    url,
    databaseUrl: env.DATABASE_URL,
    stop: async () => {
      server.kill('SIGTERM');
      await new Promise((r) => server.once('exit', r));
    },
  };
}

/** The studio that all tests share, for as long as they run. */
export default async function serve() {
  const { url, databaseUrl, stop } = await studioOf('e2e');
  process.env.E2E_URL = url;
  process.env.E2E_DATABASE_URL = databaseUrl;
  return stop;
}
