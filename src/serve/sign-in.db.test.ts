import { createServer, type Server } from 'node:http';
import { v7 as uuidv7 } from 'uuid';
import { QUILTER, type Context } from '@/actions/context';
import {
  editPerson,
  endDevice,
  endSession,
  invitePerson,
  pairDevice,
  removePerson,
  setPassphrase,
} from '@/actions/people';
import { key, paths, value } from '@/actions/testing/answers';
import { readDevices, readPeople, readSessions } from '@/data/people';
import { testDatabase, type TestDatabase } from '@/data/test-database';
import { Door } from './sign-in';

let base: TestDatabase;
let server: Server;
let near = true;
let url = '';
beforeAll(async () => {
  base = await testDatabase('people');
  const door = new Door({
    sql: base.sql,
    hash: null,
    certificate: null,
    fingerprint: null,
    askAnewMs: 50,
  });
  server = createServer((req, res) => {
    void door.open(req, res, near).then((who) => {
      const told = `${who?.role} ${who?.name} ${who?.deviceId ?? '-'}`;
      if (who && req.url === '/live') res.write(told);
      else if (who) res.end(told);
    });
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  url = `http://127.0.0.1:${(server.address() as { port: number }).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  await base.end();
});

const as = (actor = QUILTER): Context => ({ sql: base.sql, actor, now: new Date() });
const ask = (path: string, cookie = '', init: RequestInit = {}) =>
  fetch(`${url}${path}`, {
    redirect: 'manual',
    ...init,
    headers: { accept: 'text/html', cookie, ...init.headers },
  });
const post = (path: string, form: Record<string, string>, cookie = '') =>
  ask(path, cookie, { method: 'POST', body: new URLSearchParams(form) });
const cookieOf = (r: Response) =>
  r.headers
    .getSetCookie()
    .map((c) => c.split(';')[0]!)
    .join('; ');
const person = async (name: string) => (await readPeople(base.sql)).find((p) => p.name === name)!;

test('alone on her own computer nothing is asked; from beyond it, everything', async () => {
  near = true;
  expect(await (await ask('/')).text()).toBe('owner The quilter -');
  near = false;
  expect((await ask('/')).status).toBe(303);
  expect((await ask('/log', '', { method: 'POST', headers: { accept: '*/*' } })).status).toBe(401);
  near = true;
});

test('a second person needs the owner to have a passphrase first', async () => {
  expect(paths(await invitePerson(as(), { key: key(), name: 'Ines', role: 'hand' }))).toEqual(['name']);
  expect(paths(await setPassphrase(as(), { key: key(), words: 'short' }))).toEqual(['words']);
  value(await setPassphrase(as(), { key: key(), words: 'neap tide at five' }));
  expect(paths(await setPassphrase(as(), { key: key(), words: 'another one here', now: 'wrong' }))).toEqual([
    'now',
  ]);
});

let ines = '';
test('an invitation works once, sets her passphrase, and from then on everybody signs in', async () => {
  const { path } = value(await invitePerson(as(), { key: key(), name: 'Ines', role: 'hand' }));
  expect(await (await ask(path)).text()).toContain('Welcome, Ines');
  expect(await (await post(path, { words: 'abc', again: 'abc' })).text()).toContain('8 letters');
  expect(await (await post(path, { words: 'spring tide', again: 'spring tyde' })).text()).toContain(
    'not the same',
  );
  const came = await post(path, { words: 'spring tide', again: 'spring tide' });
  ines = cookieOf(came);
  expect(came.status).toBe(303);
  expect(await (await ask('/', ines)).text()).toBe('hand Ines -');
  const again = await post(path, { words: 'spring tide', again: 'spring tide' });
  expect([again.status, await again.text()]).toEqual([410, expect.stringContaining('used already')]);
  expect((await ask(`/invited/${'x'.repeat(43)}`)).status).toBe(410);
  expect((await ask('/')).status).toBe(303);
  expect((await ask('/backup', ines)).status).toBe(403);
});

test('who listens to what happens hears no more once her session is ended', async () => {
  const { path } = value(await invitePerson(as(), { key: key(), name: 'Petra', role: 'guest' }));
  const cookie = cookieOf(await post(path, { words: 'slack water', again: 'slack water' }));
  const live = await ask('/live', cookie);
  const reader = live.body!.getReader();
  expect(new TextDecoder().decode((await reader.read()).value)).toBe('guest Petra -');
  const next = reader.read().then(
    (r) => (r.done ? 'ended' : 'more'),
    () => 'ended',
  );
  await new Promise((r) => setTimeout(r, 200));
  const mine = (await readSessions(base.sql)).find((s) => s.person === 'Petra')!;
  value(await endSession(as(), { key: key(), id: mine.id }));
  expect(await next).toBe('ended');
  value(
    await removePerson(as(), {
      key: key(),
      id: (await person('Petra')).id,
      version: (await person('Petra')).version,
    }),
  );
});

test('two who use one invitation at once: one comes in', async () => {
  const { path } = value(await invitePerson(as(), { key: key(), name: 'Bram', role: 'guest' }));
  const words = { words: 'two at once', again: 'two at once' };
  const both = await Promise.all([post(path, words), post(path, words)]);
  expect(both.map((r) => r.status).sort()).toEqual([303, 410]);
  expect((await readPeople(base.sql)).filter((p) => p.name === 'Bram')).toHaveLength(1);
});

test('a wrong passphrase and a strange name are told alike; tries run out, in the database', async () => {
  const told = async (name: string) => (await post('/sign-in', { name, words: 'wrong words' })).text();
  expect(await told('Ines')).toContain('do not belong together');
  expect(await told('Nobody')).toContain('do not belong together');
  for (let i = 0; i < 5; i++) await told('Ines');
  const late = await post('/sign-in', { name: 'Ines', words: 'spring tide' });
  expect(late.status).toBe(429);
  expect(Number(late.headers.get('retry-after'))).toBeGreaterThan(0);
  const [row] = await base.sql<{ n: number }[]>`select count(*)::int as n from throttle`;
  expect(row!.n).toBeGreaterThan(0);
  await base.sql`delete from throttle`;
  expect((await post('/sign-in', { name: ' ines ', words: 'spring tide' })).status).toBe(303);
});

test('sessions are listed, ended at once by the owner or oneself, and by nobody else', async () => {
  const of = async (name: string) => (await readSessions(base.sql)).filter((s) => s.person === name);
  const bram = await person('Bram');
  const [first] = await of('Ines');
  const guest = { id: bram.id, name: 'Bram', role: 'guest' as const };
  expect(paths(await endSession(as(guest), { key: key(), id: first!.id }))).toEqual(['id']);
  for (const s of await of('Ines')) value(await endSession(as(), { key: key(), id: s.id }));
  expect((await ask('/', ines)).status).toBe(303);
  expect(await of('Ines')).toEqual([]);
  ines = cookieOf(await post('/sign-in', { name: 'Ines', words: 'spring tide' }));
  expect((await post('/sign-out', {}, ines)).status).toBe(303);
  expect((await ask('/', ines)).status).toBe(303);
});

test('a device is paired once, signs in as whoever paired it, and is ended when lost', async () => {
  const { path } = value(await pairDevice(as(), { key: key(), name: 'tablet' }));
  expect(await (await ask(path)).text()).toContain('“tablet”');
  const cookie = cookieOf(await post(path, {}));
  const [device] = await readDevices(base.sql);
  expect(cookie).toContain(`tidy-spool-device=${device!.id}`);
  expect(await (await ask('/', cookie)).text()).toBe(`owner The quilter ${device!.id}`);
  expect((await post(path, {})).status).toBe(410);
  value(await endDevice(as(), { key: key(), id: device!.id }));
  expect((await ask('/', cookie)).status).toBe(303);
  const late = value(await pairDevice(as(), { key: key(), name: 'phone' }));
  await base.sql`update pairing set expires_at = now() - interval '1 second' where used_at is null`;
  expect(await (await ask(late.path)).text()).toContain('run out');
});

test('two owners removing each other: one stays; who leaves is signed out and cannot come back', async () => {
  const { path } = value(await invitePerson(as(), { key: key(), name: 'Maud', role: 'owner' }));
  const maud = cookieOf(await post(path, { words: 'slack water', again: 'slack water' }));
  const [one, two] = [await person('The quilter'), await person('Maud')];
  const remove = (p: typeof one, by: typeof one) =>
    removePerson(as({ id: by.id, name: by.name, role: 'owner' }), {
      key: key(),
      id: p.id,
      version: p.version,
    });
  const answers = await Promise.all([remove(one, two), remove(two, one)]);
  expect(answers.filter((a) => a.ok)).toHaveLength(1);
  const left = await readPeople(base.sql);
  expect(left.filter((p) => p.role === 'owner')).toHaveLength(1);
  const owner = left.find((p) => p.role === 'owner')!;
  const gone = owner.id === two.id ? one : two;
  if (gone.id === two.id) expect((await ask('/', maud)).status).toBe(303);
  const demote = await editPerson(as({ id: owner.id, name: owner.name, role: 'owner' }), {
    key: uuidv7(),
    id: owner.id,
    name: owner.name,
    role: 'hand',
    version: owner.version,
  });
  expect(paths(demote)).toEqual(['role']);
});
