import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { connect, createServer, type Socket } from 'node:net';
import postgres from 'postgres';

export const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });

/** The demo studio, made once; every studio of the tests is a copy of it. */
const MADE = 'demo_studio';

async function asAdmin(act: (sql: postgres.Sql, base: string) => Promise<unknown>) {
  const base = process.env.TEST_PG_URL;
  if (!base)
    throw new Error('TEST_PG_URL is not set: run the tests with ./test, or through scripts/with-cluster.sh.');
  const sql = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  await act(sql, base);
  await sql.end();
  return base;
}

export interface Studio {
  url: string;
  databaseUrl: string;
  stop: () => Promise<void>;
  /** The app is killed with -9, as a power cut would; the database stays. */
  kill: () => Promise<void>;
  /** Starts the app again on the same address. */
  again: () => Promise<void>;
  /** A second app on the same database. */
  beside: () => Promise<{ url: string; stop: () => Promise<void> }>;
}

/** A scratch database of that name as a studio is at first, the demo or one of nothing, whatever stood there before. */
export async function freshDatabase(name: string, demo = true): Promise<string> {
  const base = await asAdmin(async (sql) => {
    await sql`drop database if exists ${sql(name)} with (force)`;
    await sql`create database ${sql(name)} template ${sql(demo ? MADE : 'template1')}`;
  });
  const url = `${base}/${name}`;
  if (!demo) prepare({ DATABASE_URL: url, TIDY_SPOOL_DEMO: 'off' });
  return url;
}

/** What a start does before it serves. */
function prepare(env: Record<string, string>) {
  const told = spawnSync(process.execPath, ['.next/prepare.mjs'], { env: { ...process.env, ...env } });
  if (told.status !== 0) throw new Error(String(told.stderr));
}

/** The demo studio in a database of that name, and the built app in front of it. */
export const studioOf = async (name: string, more: Record<string, string> = {}): Promise<Studio> =>
  appOn(await freshDatabase(name), more);

/** Whether an app answers, and its database too. */
const isWell = (url: string) =>
  fetch(`${url}/health`).then(
    (r) => r.ok,
    () => false,
  );

/** Until an app answers whose database was taken away and given back. */
export async function untilWell({ url }: Pick<Studio, 'url'>) {
  while (!(await isWell(url))) await new Promise((r) => setTimeout(r, 100));
}

/** The built app in front of a database. */
export async function appOn(databaseUrl: string, more: Record<string, string> = {}): Promise<Studio> {
  const port = await freePort();
  const env = {
    ...process.env,
    DATABASE_URL: databaseUrl,
    NODE_ENV: 'production' as const,
    HOST: '127.0.0.1',
    PORT: String(port),
    ...more,
  };
  const url = `http://127.0.0.1:${port}`;
  const run = async (url: string, port: number) => {
    const child = spawn(process.execPath, ['.next/serve.mjs'], {
      env: { ...env, PORT: String(port) },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    for (;;) {
      if (child.exitCode !== null) throw new Error('The app did not start.');
      if (await isWell(url)) return child;
      await new Promise((r) => setTimeout(r, 100));
    }
  };
  let server = await run(url, port);
  const end = async (signal: 'SIGTERM' | 'SIGKILL', server: ChildProcess) => {
    if (server.exitCode !== null || server.signalCode !== null) return;
    const ended = new Promise((r) => server.once('exit', r));
    server.kill(signal);
    await ended;
  };
  return {
    url,
    databaseUrl,
    stop: () => end('SIGTERM', server),
    kill: () => end('SIGKILL', server),
    again: async () => {
      server = await run(url, port);
    },
    beside: async () => {
      const other = await freePort();
      const at = `http://127.0.0.1:${other}`;
      const second = await run(at, other);
      return { url: at, stop: () => end('SIGTERM', second) };
    },
  };
}

/**
 * A studio whose database can be away while the app runs: between the two stands a line that is cut, its connections with
 * it, and laid again. (A cluster that is really stopped: begin.spec.)
 */
export async function studioWithACutLine(
  name: string,
): Promise<Studio & { cut: () => Promise<void>; mend: () => Promise<void>; end: () => Promise<void> }> {
  const url = new URL(await freshDatabase(name));
  const to = Number(url.port);
  url.port = String(await freePort());
  const open = new Set<Socket>();
  const line = createServer((near) => {
    const far = connect(to, '127.0.0.1');
    near.pipe(far).pipe(near);
    for (const end of [near, far]) {
      open.add(end);
      end.on('error', () => end.destroy());
      end.on('close', () => {
        open.delete(end);
        near.destroy();
        far.destroy();
      });
    }
  });
  const mend = () => new Promise<void>((r) => void line.listen(Number(url.port), '127.0.0.1', r));
  const cut = () =>
    new Promise<void>((r) => {
      line.close(() => r());
      for (const end of open) end.destroy();
    });
  await mend();
  const studio = await appOn(url.href);
  return { ...studio, cut, mend, end: () => studio.stop().then(cut) };
}

/** Makes the demo studio that all tests begin from, where ./test has not made it while other tests ran. */
export default function make() {
  if (process.env.DEMO_MADE) return;
  const made = spawnSync(process.execPath, ['scripts/demo-studio.mjs', MADE], { encoding: 'utf8' });
  if (made.status !== 0) throw new Error(made.stdout + made.stderr);
}
