import { keyWords, readKeys, STAND_ACTS, USUAL_KEYS, withKey } from './keys';
import { clockWords } from './words';

test('keys as they were set, and the usual ones where nothing can be read', () => {
  expect(readKeys(null)).toEqual(USUAL_KEYS);
  expect(readKeys('{broken')).toEqual(USUAL_KEYS);
  expect(readKeys('{"go":"PageDown","done":7,"fault":""}')).toEqual({ ...USUAL_KEYS, go: 'PageDown' });
});
test('a key does one thing: whichever act had it gets the other’s', () => {
  const keys = withKey(USUAL_KEYS, 'done', ' ');
  expect(keys.done).toBe(' ');
  expect(keys.go).toBe('Enter');
  expect(new Set(Object.values(keys)).size).toBe(STAND_ACTS.length);
});
test('keys and times in words', () => {
  expect([' ', 'f', 'PageDown'].map(keyWords)).toEqual(['Space', 'F', 'PageDown']);
  expect([0, 61_000, 3_725_000].map(clockWords)).toEqual(['0:00', '1:01', '1:02:05']);
});
