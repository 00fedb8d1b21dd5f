import { patiently } from './patiently';

test('what does not come at first is asked for again, with growing pauses, and comes', async () => {
  let asked = 0;
  const rests: number[] = [];
  const part = await patiently(
    async () => {
      if (++asked < 8) throw new Error('Failed to load chunk');
      return 'the part';
    },
    async (ms) => rests.push(ms),
  );
  expect(part).toBe('the part');
  expect(rests).toEqual([500, 1000, 2000, 4000, 8000, 8000, 8000]);
});
