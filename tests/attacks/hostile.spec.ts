import { readFileSync } from 'node:fs';
import type { APIRequestContext } from '@playwright/test';
import postgres from 'postgres';
import { A_KEY, STRANGE } from '../../src/actions/testing/strange';
import { expect, test as base } from '../studio';

const test = base.extend<{ sql: postgres.Sql }>({
  sql: async ({ studio }, give) => {
    const sql = postgres(studio.databaseUrl, { max: 2 });
    await give(sql);
    await sql.end();
  },
});

interface Door {
  workers: Record<string, unknown>;
  exportedName: string;
}
/** Every door of the running build, and a page it may be knocked at from. */
const doors = Object.entries(
  (
    JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
      node: Record<string, Door>;
    }
  ).node,
).map(([id, { exportedName }]) => ({ id, name: exportedName }));
const doorOf = (name: string) => doors.find((d) => d.name === name)!.id;
/** Every command that is known by its name. */
const commands = [
  ...readFileSync('src/actions/registry.ts', 'utf8').matchAll(/^ {2}(\w+): command\(/gmu),
].map(([, name]) => name!);
/** Names nobody gave a command. */
const NO_COMMANDS: readonly unknown[] = ['', 'constructor', '__proto__', 'readPlan', null, 7, {}, ['run']];

/** As a browser says that a page of the studio itself asks; without it the door stays shut. */
const OWN = { 'Sec-Fetch-Site': 'same-origin' };

const knock = (
  request: APIRequestContext,
  id: string,
  data: string | Buffer,
  type = 'text/plain;charset=UTF-8',
) =>
  request.post('/shelf', {
    headers: { ...OWN, 'Next-Action': id, 'Content-Type': type, Accept: 'text/x-component' },
    data,
    failOnStatusCode: false,
  });

test('hostile forms at every door: refused in words, never an error of the program', async ({
  request,
  sql,
}) => {
  expect(commands.length).toBeGreaterThan(60);
  const knocks = [
    ...[...commands, ...NO_COMMANDS].map((name) => ({ door: 'run', name })),
    ...['coneUses', 'importHints', ...NO_COMMANDS].map((name) => ({ door: 'look', name })),
  ];
  const [before] = await sql`select coalesce(max(n), 0)::int as n from mishap`;
  const odd: string[] = [];
  // Each value goes over the wire to each eighth command, in turn; all of them to all commands: server.db.test.
  for (const [k, { door, name }] of knocks.entries())
    for (const value of STRANGE.filter((_, n) => (n + k) % 8 === 0)) {
      const r = await knock(request, doorOf(door), JSON.stringify([name, value]));
      if (r.status() >= 500) odd.push(`${String(name)} ${r.status()} ${JSON.stringify(value).slice(0, 60)}`);
    }
  expect(odd).toEqual([]);
  const mishaps = await sql`select place, message from mishap where n > ${before!.n}`;
  expect(mishaps.map((m) => `${m.place as string}: ${m.message as string}`)).toEqual([]);
});

test('raw bodies that are no form at all are the sender’s mistake', async ({ request }) => {
  const id = doorOf('run');
  const boundary = '--x\r\nContent-Disposition: form-data; name="0"\r\n\r\n["$K1"]\r\n--x--\r\n';
  const bodies: [string | Buffer, string?][] = [
    [''],
    ['{'],
    ['[1,'],
    ['"$undefined"'],
    ['["$F1"]'],
    ['["$@1"]'],
    ['["$Q1"]'],
    [Buffer.from([0, 255, 254, 1])],
    ['garbage', 'multipart/form-data; boundary=x'],
    [boundary, 'multipart/form-data; boundary=x'],
    ['a=1', 'application/x-www-form-urlencoded'],
    ['[]'.repeat(10)],
  ];
  for (const [body, type] of bodies) {
    const r = await knock(request, id, body, type);
    expect([String(body).slice(0, 20), r.status() < 500]).toEqual([String(body).slice(0, 20), true]);
  }
  expect((await knock(request, '00', '[]')).status()).toBeLessThan(500);
});

const id = '00000000-0000-7000-8000-0000000000ff';
const ADDRESSES = [
  '/find?q=%00',
  '/find?q=%ED%A0%80',
  '/find?q=%',
  '/find?q=' + 'x'.repeat(3000),
  '/find?q=%25_\\%27;drop',
  '/shelf/compare?ids=1&ids=2',
  '/shelf/compare?ids=,,,',
  '/shelf?cone=__proto__',
  '/quilts/constructor/match',
  '/quilts/%2e%2e%2fetc/match',
  `/quilts/${id}/match`,
  `/quilts/${id}/match?zone=1&zone=2`,
  '/quilts/not-an-id/quilt?part=constructor',
  '/photographs/constructor',
  `/photographs/${id}`,
  '/export/constructor',
  '/export/__proto__',
  '/take-in/constructor',
  '/calendar/file?as=constructor',
  '/_next/static/../../package.json',
  '/import/constructor',
  '/workroom/constructor',
];
test('addresses nobody should ask for: found or not, never an error of the program', async ({ request }) => {
  const odd: string[] = [];
  for (const address of ADDRESSES) {
    const r = await request.get(address, { failOnStatusCode: false, maxRedirects: 0 });
    if (r.status() >= 500) odd.push(`${address} ${r.status()}`);
  }
  for (const [door, body] of [
    ['/import/rows', '{'],
    ['/import/rows', '{"key":1,"__proto__":{}}'],
    ['/import/constructor', '{}'],
    ['/import/workroom', '[]'],
    ['/take-in/keep', '{"key":"a"}'],
    [`/photographs/${id}`, 'not a picture'],
    ['/backup', 'not a copy'],
  ] as const) {
    const r = await request.post(door, { headers: OWN, data: Buffer.from(body), failOnStatusCode: false });
    if (r.status() >= 500 || r.status() === 403) odd.push(`${door} ${r.status()}`);
  }
  const range = await request.get('/icon.svg', {
    headers: { Range: 'bytes=999999-' },
    failOnStatusCode: false,
  });
  if (range.status() >= 500) odd.push(`range ${range.status()}`);
  expect(odd).toEqual([]);
});

const FOREIGN: Record<string, string>[] = [
  { Origin: 'http://evil.example' },
  { 'Sec-Fetch-Site': 'same-site' },
  {},
];
test('a page of elsewhere can neither read nor write', async ({ request, sql }) => {
  const shelf = async () => (await sql`select count(*)::int as n from cone`)[0]!.n as number;
  const before = await shelf();
  const add = doorOf('run');
  for (const url of ['/shelf', '/import/rows', `/photographs/${id}`, '/take-in/keep', '/backup'])
    for (const headers of FOREIGN)
      expect([
        url,
        headers,
        (await request.post(url, { headers, data: '{}', failOnStatusCode: false })).status(),
      ]).toEqual([url, headers, 403]);
  const form = {
    line: 'Stolen',
    colours: [{ colour: 'x' }],
    fibre: 'cotton',
    label: 'Tex 27',
    role: 'both',
    key: A_KEY,
  };
  await request.post('/shelf', {
    headers: { 'Next-Action': add, 'Sec-Fetch-Site': 'cross-site' },
    data: JSON.stringify(['addCones', form]),
    failOnStatusCode: false,
  });
  expect(await shelf()).toBe(before);
  expect(
    (await request.get('/', { headers: { Host: 'evil.example' }, failOnStatusCode: false })).status(),
  ).toBe(421);
  for (const path of ['/', '/icon.svg', '/no-such-page', '/find?q=%00']) {
    const { headers } = { headers: (await request.get(path, { failOnStatusCode: false })).headers() };
    for (const name of [
      'content-security-policy',
      'cross-origin-opener-policy',
      'cross-origin-resource-policy',
      'x-content-type-options',
    ])
      expect([path, name, headers[name] !== undefined]).toEqual([path, name, true]);
  }
});
