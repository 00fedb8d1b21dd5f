/** @jest-environment node */
import { isOurs } from './proxy';

test.each([
  ['127.0.0.1:3111', true],
  ['localhost', true],
  ['192.168.1.20:3111', true],
  ['[::1]:3111', true],
  ['evil.example:3111', false],
  ['127.0.0.1.evil.example', false],
  ['', false],
  [null, false],
])('a request for %p is ours: %p', (host, ours) => expect(isOurs(host)).toBe(ours));
