import { unlessAway } from './away';

test.each([
  Object.assign(new Error('connect ECONNREFUSED 127.0.0.1:5432'), { code: 'ECONNREFUSED' }),
  Object.assign(new Error('terminating connection due to administrator command'), { code: '57P01' }),
  Object.assign(new Error('write CONNECTION_ENDED'), { code: 'CONNECTION_ENDED' }),
])('while the database is away a program is told to come again: %s', async (error) => {
  const answer = await unlessAway(() => Promise.reject(error));
  expect(answer.status).toBe(503);
  expect(Number(answer.headers.get('Retry-After'))).toBeGreaterThan(0);
  expect(await answer.json()).toMatchObject({ error: { message: expect.stringMatching(/again/) } });
});
test('a mistake of the program is never told as that', async () => {
  await expect(unlessAway(() => Promise.reject(new TypeError('x is not a function')))).rejects.toThrow(
    'not a function',
  );
});
