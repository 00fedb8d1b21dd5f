import { readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { freePort } from './serve';
import { dataFolder, start } from './start-command';
import { expect, test } from './studio';

// It starts apps of its own.
test.use({ baseURL: undefined });

const data = dataFolder();
test.afterAll(() => rmSync(data, { recursive: true, force: true }));

test('starts, keeps what was stored over a kill and the end of its database, and stops cleanly', async ({
  request,
}) => {
  const port = String(await freePort());
  const env = { PORT: port, TIDY_SPOOL_DATA: data, DATABASE_URL: '' };
  const url = `http://127.0.0.1:${port}`;
  const rack = async () => (await request.get(`${url}/`)).text();
  const first = await start(env);
  expect(first.ready, first.said()).toBe(true);
  expect(await rack()).toContain('Harbour Lights');
  const saved = await request.get(`${url}/backup`);
  expect(saved.headers()['content-type']).toBe('application/zip');
  // A second start on the same folder says who has it; the first goes on.
  const beside = await start({ ...env, PORT: String(await freePort()) });
  expect(beside.ready).toBe(false);
  expect(beside.said()).toMatch(/already runs on .*process \d+/);
  const back = await request.post(`${url}/backup`, {
    headers: { Origin: url },
    data: await saved.body(),
    timeout: 120_000,
  });
  expect((await back.text()).trim().split('\n').at(-1)).toContain('"done"');
  expect(await rack()).toContain('Harbour Lights');
  // One that is killed leaves nothing in the way of the next; a database that dies is started again.
  process.kill(first.pid, 'SIGKILL');
  const second = await start(env);
  expect(second.ready, second.said()).toBe(true);
  // Ten seconds is the aim (about four here); a stalled machine may take longer.
  expect(second.seconds).toBeLessThan(40);
  expect(await rack()).toContain('Harbour Lights');
  process.kill(Number(readFileSync(`${data}/pg/postmaster.pid`, 'utf8').split('\n')[0]), 'SIGKILL');
  await expect(async () => {
    expect(await rack()).toContain('Harbour Lights');
  }).toPass({ timeout: 240_000 });
  expect(second.said()).toContain('started again');
  expect(await second.stop()).toBe(0);
});

test('an impossible port, an unknown host, and no passphrase beyond this computer are said in one sentence', async () => {
  for (const [env, words] of [
    [{ PORT: '99999' }, 'PORT must lie between 1 and 65535'],
    [{ HOST: 'no-such-host.invalid', TIDY_SPOOL_PASSPHRASE: 'long enough' }, 'is not known'],
    [{ HOST: '0.0.0.0' }, 'only with a passphrase'],
  ] as const) {
    const data = dataFolder();
    const tried = await start({
      PORT: String(await freePort()),
      DATABASE_URL: '',
      TIDY_SPOOL_DATA: data,
      ...env,
    });
    rmSync(data, { recursive: true, force: true });
    expect([tried.ready, tried.said()]).toEqual([false, expect.stringContaining(words)]);
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
