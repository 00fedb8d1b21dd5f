import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, chmodSync } from 'node:fs';
import { createServer } from 'node:net';
import { expect, test } from '@playwright/test';
import { freePort } from './serve';

/** Runs ./start until it says it is ready; `stop` is Ctrl-C. */
async function start(env: Record<string, string>) {
  const child = spawn('./start', [], { env: { ...process.env, ...env }, detached: true });
  let out = '';
  child.stdout.on('data', (d) => (out += d));
  child.stderr.on('data', (d) => (out += d));
  const began = Date.now();
  const ended = new Promise<number>((r) => child.once('exit', (code) => r(code ?? -1)));
  const ready = new Promise<boolean>((r) => {
    const timer = setInterval(() => {
      if (out.includes('is ready at') || child.exitCode !== null) {
        clearInterval(timer);
        r(child.exitCode === null);
      }
    }, 50);
  });
  return {
    ready: await ready,
    seconds: (Date.now() - began) / 1000,
    said: () => out,
    stop: async () => {
      process.kill(-child.pid!, 'SIGINT');
      return ended;
    },
    ended,
  };
}

test('starts, keeps what was stored over a restart, and stops cleanly', async ({ request }) => {
  test.setTimeout(120_000);
  const data = mkdtempSync('/var/tmp/tidy-spool-start.');
  chmodSync(data, 0o755);
  const port = String(await freePort());
  const env = { PORT: port, TIDY_SPOOL_DATA: data, DATABASE_URL: '' };
  try {
    const first = await start(env);
    expect(first.ready, first.said()).toBe(true);
    const before = await (await request.get(`http://127.0.0.1:${port}/`)).text();
    expect(before).toContain('Harbour Lights');
    expect(await first.stop()).toBe(0);
    const second = await start(env);
    expect(second.ready, second.said()).toBe(true);
    expect(second.seconds).toBeLessThan(10);
    expect(await (await request.get(`http://127.0.0.1:${port}/`)).text()).toContain('Harbour Lights');
    expect(await second.stop()).toBe(0);
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
});

test('a port in use and a database that does not answer are said in one sentence', async () => {
  const port = await freePort();
  const holder = createServer().listen(port, '127.0.0.1');
  const taken = await start({ PORT: String(port), DATABASE_URL: 'postgres://x' });
  expect(taken.ready).toBe(false);
  expect(taken.said()).toContain(`Port ${port} on 127.0.0.1 is already in use`);
  holder.close();
  const lost = await start({
    PORT: String(await freePort()),
    DATABASE_URL: `postgres://nobody@127.0.0.1:${await freePort()}/none`,
  });
  expect(lost.ready).toBe(false);
  expect(lost.said()).toContain('The database cannot be used');
  expect(await lost.ended).not.toBe(0);
});
