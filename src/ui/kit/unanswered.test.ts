import { isOffline } from './offline';
import { unanswered } from './unanswered';

test.each([
  new TypeError('Failed to fetch'),
  new TypeError('NetworkError when attempting to fetch resource.'),
  new TypeError('Load failed'),
  new Error('net::ERR_INTERNET_DISCONNECTED'),
])('%s is a lost line', (error) => {
  expect(isOffline(error)).toBe(true);
  expect(unanswered(error).message).toMatch(/did not answer/);
});
test.each([
  new TypeError("Cannot read properties of undefined (reading 'map')"),
  new TypeError('x is not a function'),
  new RangeError('Maximum call stack size exceeded'),
  new Error('An unexpected response was received from the server.'),
  undefined,
])('%s is a mistake of the program, and never told as a lost line', (error) => {
  expect(isOffline(error)).toBe(false);
  expect(unanswered(error).message).toMatch(/The program made a mistake/);
});
test('a page older than the program is told to be loaded anew, with what was typed saved first', () => {
  const { message } = unanswered(
    new Error('Failed to find Server Action "abc". This request might be from an older or newer deployment.'),
  );
  expect(message).toMatch(/reload/);
  expect(message).toMatch(/Copy what you typed/);
});
