// Kills, cuts and floods, as long as it takes: npm run torture [kills and cuts] [hostile requests]. Not part of ./test.
import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { connect as connectSocket } from 'node:net';
import postgres from 'postgres';
import { v7 as uuidv7 } from 'uuid';

const [cuts, floods] = [Number(process.argv[2] ?? 1000), Number(process.argv[3] ?? 10_000)];
const base = process.env.TEST_PG_URL!;
const data = process.env.TORTURE_DATA!;
const PORT = 3296;
const url = `http://127.0.0.1:${PORT}`;
const env = {
  ...process.env,
  NODE_ENV: 'production' as const,
  HOST: '127.0.0.1',
  PORT: String(PORT),
  DATABASE_URL: `${base}/torture`,
};
const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));
let server: ChildProcess;
const serve = () => {
  server = spawn(process.execPath, ['.next/serve.mjs'], { env, stdio: 'ignore' });
};
const up = async () => {
  for (let i = 0; i < 600; i++) {
    if (
      await fetch(`${url}/health`).then(
        (r) => r.ok,
        () => false,
      )
    )
      return;
    await wait(50);
  }
  throw new Error('The server did not come back.');
};

/** One promised cone: sent under its key until it is answered, its line cut now and then. */
async function promise(n: number, cut: () => boolean): Promise<number> {
  const body = JSON.stringify({
    key: uuidv7(),
    kind: 'cones',
    fileName: 'torture.csv',
    header: ['Line', 'Colour', 'Fibre', 'Label'],
    mapping: ['line', 'colour', 'fibre', 'label'],
    rows: [['Torture', `Shade ${n}`, 'trilobal', 'Tex 27']],
    decimal: '.',
    take: 'all',
  });
  let lost = 0;
  for (;;) {
    try {
      if (cut()) {
        // The request goes out, and the line dies before an answer can come.
        lost++;
        await new Promise<void>((resolve) => {
          const socket = connectSocket(PORT, '127.0.0.1', () => {
            socket.write(
              `POST /import/rows HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: ${Buffer.byteLength(body)}\r\n\r\n${body}`,
            );
            setTimeout(() => (socket.destroy(), resolve()), Math.random() * 30);
          });
          socket.on('error', () => resolve());
        });
        continue;
      }
      const r = await fetch(`${url}/import/rows`, {
        method: 'POST',
        body,
        signal: AbortSignal.timeout(20_000),
      });
      const told = (await r.json()) as { ok: boolean; problems?: { message: string }[] };
      if (told.ok) return lost;
      if (!/does not answer|made a mistake|moment/.test(told.problems?.[0]?.message ?? ''))
        throw new Error(`refused: ${JSON.stringify(told)}`);
    } catch (error) {
      if ((error as Error).message.startsWith('refused')) throw error;
    }
    await wait(100);
  }
}

async function killsAndCuts() {
  let [done, servers, databases, lines] = [0, 0, 0, 0];
  const left = () => servers + databases + lines < cuts;
  let n = 0;
  const worker = async () => {
    while (left()) {
      lines += await promise(n++, () => left() && Math.random() < 0.5);
      done++;
    }
  };
  const killer = async () => {
    while (left()) {
      await wait(1500 + Math.random() * 3000);
      if (!left()) return;
      if (Math.random() < 0.7) {
        server.kill('SIGKILL');
        servers++;
        serve();
        await up();
      } else {
        databases++;
        const bin = spawnSync('bash', ['-c', '. scripts/lib.sh; pg_bin'], { encoding: 'utf8' }).stdout.trim();
        const as = process.getuid?.() === 0 ? ['runuser', '-u', 'postgres', '--'] : [];
        const [command, ...args] = [
          ...as,
          `${bin}/pg_ctl`,
          '-D',
          `${data}/pg`,
          '-m',
          'immediate',
          '-w',
          'restart',
        ];
        spawnSync(command!, args, { stdio: 'ignore' });
        await up();
      }
    }
  };
  await Promise.all([killer(), ...Array.from({ length: 6 }, worker)]);
  const sql = postgres(env.DATABASE_URL, { max: 1 });
  const [row] = await sql`
    select count(*)::int as rows, count(distinct colour)::int as cones from cone where line = 'Torture'`;
  await sql.end();
  console.log(
    `${servers} kills of the server, ${databases} of the database, ${lines} lines cut: ${done} promised, ${row!.cones} there, ${n - (row!.cones as number)} lost, ${(row!.rows as number) - (row!.cones as number)} doubled`,
  );
}

const pick = <T>(list: readonly T[]): T => list[Math.floor(Math.random() * list.length)]!;
const strange = (depth = 0): unknown => {
  const roll = Math.random();
  if (depth > 3 || roll < 0.45)
    return pick<unknown>([
      null,
      0,
      -1,
      1e308,
      '',
      'a\u0000b',
      '\ud800',
      'x'.repeat(9000),
      true,
      uuidv7(),
      '2026-13-40',
      '=1+1',
      '../..',
    ]);
  if (roll < 0.6) return Array.from({ length: Math.floor(Math.random() * 4) }, () => strange(depth + 1));
  const names = [
    'key',
    'id',
    'quiltId',
    'zoneId',
    'version',
    'constructor',
    '__proto__',
    'zones',
    'name',
    'ids',
    'rows',
    'geometry',
    'count',
    'what',
    'minutes',
    'pass',
    'points',
  ];
  return Object.fromEntries(
    Array.from({ length: 1 + Math.floor(Math.random() * 7) }, () => [pick(names), strange(depth + 1)]),
  );
};

async function hostile() {
  const doors = Object.keys(
    (JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as { node: object })
      .node,
  );
  let [errors, slow, slowest] = [0, 0, 0];
  const one = async () => {
    const t = performance.now();
    const r = await (Math.random() < 0.8
      ? fetch(`${url}/shelf`, {
          method: 'POST',
          headers: { 'Next-Action': pick(doors), 'Content-Type': 'text/plain;charset=UTF-8' },
          body: Math.random() < 0.9 ? JSON.stringify([strange()]) : JSON.stringify(strange()).slice(0, -2),
        })
      : fetch(
          `${url}${pick(['/find?q=', '/quilts/', '/shelf?cone=', '/photographs/', '/export/', '/take-in/'])}${encodeURIComponent(pick(['constructor', 'a\u0001', '%', "';--", '__proto__', uuidv7(), 'é'.repeat(50)]))}`,
        ));
    await r.arrayBuffer();
    const ms = performance.now() - t;
    if (r.status >= 500) errors++;
    if (ms > 1000) slow++;
    slowest = Math.max(slowest, ms);
  };
  let left = floods;
  await Promise.all(
    Array.from({ length: 3 }, async () => {
      while (left-- > 0) await one();
    }),
  );
  console.log(
    `${floods} hostile requests: ${errors} answered 500, ${slow} took over a second (slowest ${Math.round(slowest)} ms)`,
  );
}

async function main() {
  const admin = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  await admin`create database torture`;
  await admin.end();
  spawnSync('node_modules/.bin/tsx', ['src/demo/prepare.ts'], { env, stdio: 'inherit' });
  serve();
  try {
    await up();
    await hostile();
    await killsAndCuts();
  } finally {
    server.kill('SIGKILL');
  }
}
void main();
