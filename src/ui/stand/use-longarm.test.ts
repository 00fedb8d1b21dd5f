import { STOPPED, withBatch } from './use-longarm';

test('hours of readings take no more room than minutes: the path is what a screen shows, the rest is counted', () => {
  let s = STOPPED;
  const batch = (from: number) =>
    Array.from({ length: 400 }, (_, i) => {
      const k = from + i + 1;
      return { t: k * 50, x: (k * 0.4) % 60, y: (k / 3000) % 70, v: 2, rate: 1200, n: k * 2 };
    });
  const sizes: number[] = [];
  for (let b = 0; b < 60; b++) {
    s = withBatch(s, batch(b * 400));
    if (b % 20 === 19) sizes.push(JSON.stringify(s.summary).length, s.path.length);
  }
  expect(s.summary.stitches).toBe(48_000);
  for (const n of sizes) expect(n).toBeLessThanOrEqual(3000);
  expect(s.spm).toBe(1200);
});
