/** @jest-environment node */
import { badAddress, isOurs, isOwn, refusal } from './door';
import { hashPassphrase, isPassphrase, keptToken, newToken } from './passphrase';
import { sessionOf } from './sign-in';

test.each([
  ['127.0.0.1:3111', true],
  ['localhost', true],
  ['192.168.1.20:3111', true],
  ['[::1]:3111', true],
  ['studio.example:3111', true],
  ['evil.example:3111', false],
  ['127.0.0.1.evil.example', false],
  ['', false],
  [null, false],
])('a request for %p is ours: %p', (host, ours) => expect(isOurs(host, ['studio.example'])).toBe(ours));

test.each([
  ['/quilts/1?zone=2', true],
  ['/find?q=H%C3%A4fen', true],
  ['/find?q=%00', false],
  ['/find?q=%E0%A4%A', false],
  ['/find?q=%ED%A0%80', false],
  ['/shelf/compare?ids=1&ids=2', false],
  ['//evil.example/', false],
  ['http://evil.example/', false],
  [`/find?q=${'a'.repeat(5000)}`, false],
])('the address %p can be read: %p', (url, good) => expect(badAddress(url) === null).toBe(good));

test.each([
  [{}, false],
  [{ 'sec-fetch-site': 'none' }, false],
  [{ 'sec-fetch-site': 'same-origin' }, true],
  [{ origin: 'http://127.0.0.1:3111' }, true],
  [{ origin: 'http://127.0.0.1:3112' }, false],
  [{ origin: 'http://evil.example' }, false],
  [{ origin: 'null' }, false],
  [{ 'sec-fetch-site': 'cross-site' }, false],
  [{ 'sec-fetch-site': 'same-site' }, false],
  [{ 'sec-fetch-site': 'same-origin', origin: 'http://127.0.0.1:3111' }, true],
])('%j comes from a page of ours: %p', (headers, own) =>
  expect(isOwn({ headers: { host: '127.0.0.1:3111', ...headers }, url: '/import' })).toBe(own),
);

test.each([
  ['/log', true],
  ['/link?x=1', true],
  ['/log/', false],
  ['/photographs/7', false],
  ['/', false],
])('a program that says nothing of where it comes from may write to %p: %p', (url, may) =>
  expect(isOwn({ headers: { host: '127.0.0.1:3111' }, url })).toBe(may),
);

test('who is refused is told why', () => {
  const ask = (method: string, url: string, headers: object = {}) =>
    refusal({ method, url, headers: { host: 'localhost', ...headers } }, [])?.[0] ?? 200;
  expect(ask('GET', '/')).toBe(200);
  expect(ask('DELETE', '/')).toBe(405);
  expect(ask('GET', '/%')).toBe(400);
  expect(ask('POST', '/', { origin: 'http://evil.example' })).toBe(403);
  expect(ask('GET', '/', { host: 'evil.example' })).toBe(421);
});

test('a passphrase is kept as a hash, and only it opens', async () => {
  const kept = await hashPassphrase('neap tide at five');
  expect(kept).not.toContain('neap');
  expect(await isPassphrase('neap tide at five', kept)).toBe(true);
  expect(await isPassphrase('neap tide at six', kept)).toBe(false);
  expect(await isPassphrase('', kept)).toBe(false);
  expect(await isPassphrase('x', 'nonsense')).toBe(false);
});

test('a session’s token is found among other cookies, and kept as a hash', () => {
  const token = newToken();
  expect(sessionOf({ headers: { cookie: `theme=lamp; tidy-spool=${token}` } })).toBe(token);
  expect(sessionOf({ headers: { cookie: `tidy-spool-device=x` } })).toBeUndefined();
  expect(keptToken(token)).not.toContain(token);
  expect(keptToken(token)).toHaveLength(64);
});
