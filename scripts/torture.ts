// Kills, cuts and floods, as long as it takes: npm run torture [kills and cuts] [hostile requests]. Not part of ./test.
import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { connect as connectSocket } from 'node:net';
import postgres from 'postgres';
import { v7 as uuidv7 } from 'uuid';
import { QUILTER } from '@/actions/context';
import { keepEntries } from '@/actions/log';
import { readPlan } from '@/actions/plan';
import { readQuiltView } from '@/actions/quilt-view';
import { foldLog } from '@/core/log/fold';
import type { LogEntry } from '@/core/log/entry';
import { connect } from '@/data/sql';

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
              `POST /import/rows HTTP/1.1\r\nHost: 127.0.0.1:${PORT}\r\nOrigin: ${url}\r\nContent-Length: ${Buffer.byteLength(body)}\r\n\r\n${body}`,
            );
            setTimeout(() => (socket.destroy(), resolve()), Math.random() * 30);
          });
          socket.on('error', () => resolve());
        });
        continue;
      }
      const r = await fetch(`${url}/import/rows`, {
        method: 'POST',
        headers: { Origin: url },
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
          headers: { Origin: url, 'Next-Action': pick(doors), 'Content-Type': 'text/plain;charset=UTF-8' },
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

/** What stands in the studio's tables of what a quilt's log did. */
const tablesOf = async (sql: postgres.Sql, quiltId: string): Promise<string> =>
  JSON.stringify(
    await sql`
      select
        (select json_agg(json_build_object('id', id, 'm', minutes) order by id) from step_sewn where quilt_id = ${quiltId}) as steps,
        (select json_agg(json_build_object('m', remaining_m) order by id) from cone) as cones,
        (select json_agg(json_build_object('n', count) order by id) from bobbin_stock) as bobbins,
        (select json_agg(json_build_object('n', stock) order by id) from needle) as needles,
        (select json_agg(id order by id) from fault where quilt_id = ${quiltId}) as faults`,
  );

/** Steps done and taken back from four devices, while the server dies in the middle of it again and again. */
async function undoing(kills: number) {
  const sql = connect(env.DATABASE_URL, 2);
  const [quilt] = await sql<{ id: string }[]>`select id from quilt where name = 'Long Gallery'`;
  const quiltId = quilt!.id;
  const { steps } = await readPlan(sql, (await readQuiltView(sql, quiltId))!);
  await sql`update needle set stock = 1000`;
  const sent: string[] = [];
  const known: string[] = [];
  let [dead, ended] = [0, false];
  const device = async () => {
    const id = uuidv7();
    while (!ended) {
      const entries = Array.from({ length: 1 + Math.floor(Math.random() * 4) }, (): LogEntry => {
        const { pass, thread, stabilise } = pick(steps);
        const entry = { id: uuidv7(), quiltId, at: new Date().toISOString() };
        const roll = Math.random();
        if (roll < 0.45 && known.length > 0) return { ...entry, kind: 'undone', undoes: pick(known) };
        if (roll < 0.8) return { ...entry, kind: 'step-done', pass, thread, stabilise, minutes: 9 };
        if (roll < 0.9) return { ...entry, kind: 'needle-changed', nm: pick([90, 100, 110]) };
        return { ...entry, kind: 'fault', symptoms: ['skipped'], pass };
      });
      const body = JSON.stringify({ device: id, entries, sentAt: new Date().toISOString() });
      for (;;) {
        const told = await fetch(`${url}/log`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body,
          signal: AbortSignal.timeout(20_000),
        })
          .then((r) => (r.ok ? (r.json() as Promise<{ kept: string[] }>) : null))
          .catch(() => null);
        if (told) {
          sent.push(...told.kept);
          known.push(...told.kept);
          break;
        }
        await wait(30);
      }
    }
  };
  const killer = async () => {
    while (dead < kills) {
      await wait(150 + Math.random() * 500);
      server.kill('SIGKILL');
      dead++;
      serve();
      await up();
    }
    ended = true;
  };
  await Promise.all([killer(), ...Array.from({ length: 4 }, device)]);
  const there = new Set(
    (await sql<{ id: string }[]>`select id from log_entry where quilt_id = ${quiltId}`).map((e) => e.id),
  );
  const lost = sent.filter((id) => !there.has(id)).length;
  // Whatever a kill left half done would be put right by the next entry; so nothing may change with it.
  const before = await tablesOf(sql, quiltId);
  await keepEntries({ sql, actor: QUILTER, now: new Date() }, uuidv7(), [
    { id: uuidv7(), quiltId, at: new Date().toISOString(), kind: 'note', note: 'all said' },
  ]);
  const after = await tablesOf(sql, quiltId);
  const lines = (await (await fetch(`${url}/log?quilt=${quiltId}`)).text()).split('\n').filter(Boolean);
  const done = foldLog(lines.map((l) => JSON.parse(l) as LogEntry)).done.size;
  const [rows] = await sql<{ n: number }[]>`
    select count(*)::int as n from step_sewn s where quilt_id = ${quiltId} and s.id in (select id from log_entry)`;
  console.log(
    `${dead} kills between doing and undoing: ${sent.length} entries answered for, ${lost} lost; ${done} steps stand in the log, ${rows!.n} in the tables; ${before === after ? 'nothing' : 'SOMETHING'} was left half done`,
  );
  await sql.end();
}

async function main() {
  const admin = postgres(`${base}/postgres`, { max: 1, onnotice: () => {} });
  await admin`create database torture`;
  await admin.end();
  spawnSync('node_modules/.bin/tsx', ['src/demo/prepare.ts'], { env, stdio: 'inherit' });
  serve();
  try {
    await up();
    await undoing(Math.max(1, Math.round(cuts / 10)));
    await hostile();
    await killsAndCuts();
  } finally {
    server.kill('SIGKILL');
  }
}
void main();
