import { rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { expect, test } from '@playwright/test';
import { freePort } from './serve';
import { dataFolder, start } from './start-command';

test('starts, keeps what was stored over a restart, and stops cleanly', async ({ request }) => {
  test.setTimeout(240_000);
  const data = dataFolder();
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
    // Ten seconds is the aim (about four here); a stalled machine may take longer.
    expect(second.seconds).toBeLessThan(40);
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
