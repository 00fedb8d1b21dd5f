/** @jest-environment node */
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { KeptPages } from './kept-pages';

let state: string | null = 'a';
let clock = 0;
let drawn = 0;
let nonces = 0;
let draw: (req: IncomingMessage, res: ServerResponse) => Promise<void>;
let server: Server;
let at = '';

/** A page that says how often it was drawn, with a nonce in its policy and in its text. */
const plain = async (_: IncomingMessage, res: ServerResponse) => {
  const n = ++drawn;
  res.setHeader('Content-Type', 'text/html; charset=utf-8');
  res.setHeader('Content-Security-Policy', `script-src 'nonce-first${n}'`);
  res.write('<p>');
  await new Promise((r) => setTimeout(r, 5));
  res.end(`drawing ${n} <script nonce="first${n}"></script>`);
};

beforeEach(async () => {
  [state, clock, drawn, nonces, draw] = ['a', 0, 0, 0, plain];
  const pages = new KeptPages(
    () => Promise.resolve(state),
    () => `own${++nonces}`,
    () => clock,
  );
  server = createServer((req, res) => void pages.answer(req, res, '', draw).catch(() => res.destroy()));
  await new Promise<void>((r) => server.listen(0, '127.0.0.1', r));
  at = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(() => new Promise((r) => void server.close(r)));

const get = async (path = '/', headers: Record<string, string> = {}) => {
  const r = await fetch(at + path, { headers });
  return { status: r.status, policy: r.headers.get('content-security-policy'), text: await r.text() };
};

test('a page asked for again is sent as it was drawn, each time with a nonce of its own', async () => {
  const [first, second, third] = [await get(), await get(), await get()];
  expect(drawn).toBe(1);
  expect(first.text).toContain('nonce="first1"');
  expect(second.text).toBe(first.text.replace('first1', 'own1'));
  expect(second.policy).toContain("'nonce-own1'");
  expect(third.policy).toContain("'nonce-own2'");
});
test('any change of the database, another minute, address, cookie or way of asking is another page', async () => {
  await get();
  state = 'b';
  await get();
  clock = 61_000;
  await get();
  await get('/shelf');
  await get('/', { cookie: 'theme=lamp' });
  await get('/', { rsc: '1' });
  expect(drawn).toBe(6);
  await get('/', { cookie: 'tidy-spool=whoever; theme=lamp' });
  expect(drawn).toBe(6);
});
test('fifty who ask at once wait for one drawing', async () => {
  const told = await Promise.all(Array.from({ length: 50 }, () => get()));
  expect(drawn).toBe(1);
  expect(new Set(told.map((t) => t.policy)).size).toBe(50);
});
test('what is no page, or failed, is never kept', async () => {
  await get('/log');
  await get('/_next/static/a.js');
  await get('/photographs/7');
  expect(drawn).toBe(3);
  const say = (status: number, body: string, type = 'text/html') => {
    draw = (_, res) => {
      drawn++;
      res.statusCode = status;
      res.setHeader('Content-Type', type);
      res.end(body);
      return Promise.resolve();
    };
  };
  for (const [i, [status, body, type]] of (
    [
      [500, 'no'],
      [404, 'no'],
      [200, '<template data-dgst="7"></template>'],
      [200, '5:E{"digest":"7"}', 'text/x-component'],
      [200, '{}', 'application/json'],
    ] as const
  ).entries()) {
    say(status, body, type);
    drawn = 0;
    await get(`/${i}`);
    await get(`/${i}`);
    expect([body, drawn]).toEqual([body, 2]);
  }
});
test('where another page is, is kept too', async () => {
  draw = (_, res) => {
    drawn++;
    res.statusCode = 307;
    res.setHeader('Content-Type', 'text/html');
    res.setHeader('Location', '/elsewhere');
    res.end('');
    return Promise.resolve();
  };
  const ask = () => fetch(at, { redirect: 'manual' });
  await ask();
  const second = await ask();
  expect([second.status, second.headers.get('location'), drawn]).toEqual([307, '/elsewhere', 1]);
});
test('a part that is drawn in the browser alone is no failure', async () => {
  draw = (_, res) => {
    drawn++;
    res.setHeader('Content-Type', 'text/html');
    res.end('<template data-dgst=""></template>');
    return Promise.resolve();
  };
  await get();
  await get();
  expect(drawn).toBe(1);
});
test('where the database cannot say its state every page is drawn', async () => {
  state = null;
  await get();
  await get();
  expect(drawn).toBe(2);
});
test('a drawing that fails is not waited for in vain', async () => {
  draw = (_, res) => {
    if (++drawn > 1) return plain(_, res);
    return new Promise((_r, reject) => setTimeout(() => reject(new Error('gone')), 20));
  };
  const [first, second] = await Promise.allSettled([get(), get()]);
  expect(first.status).toBe('rejected');
  expect(second).toMatchObject({ status: 'fulfilled', value: { status: 200 } });
});
test('what was packed for the first is packed anew for the next, and plain for who asks for it plain', async () => {
  draw = (_, res) => {
    drawn++;
    res.setHeader('Content-Type', 'text/html');
    res.setHeader('Content-Encoding', 'gzip');
    res.end(gzipSync('high water'));
    return Promise.resolve();
  };
  expect((await get()).text).toBe('high water');
  expect((await get()).text).toBe('high water');
  const { status, text } = await get('/', { 'accept-encoding': 'identity' });
  expect([status, text, drawn]).toEqual([200, 'high water', 1]);
});
