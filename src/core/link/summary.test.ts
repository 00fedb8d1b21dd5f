import fc from 'fast-check';
import type { Frame } from '../stand-in/longarm';
import { BIN_MM, BINS, NO_RUN, withFrames } from './summary';

const LIMIT = 3;
/** A straight line at one speed: so many stitches to the inch, a reading each twentieth of a second. */
const straight = (inches: number, spi: number, inPerS = 2): Frame[] =>
  Array.from({ length: Math.floor((inches / inPerS) * 20) + 1 }, (_, i) => {
    const x = (i * inPerS) / 20;
    return { t: 50 * (i + 1), x, y: 0, v: inPerS, rate: spi * inPerS * 60, n: Math.floor(x * spi) };
  });

test('a straight line: its length, its stitches, and all of them in the bin of their length', () => {
  const run = withFrames(NO_RUN, straight(10, 10), LIMIT);
  expect(run.stitches).toBe(100);
  expect(run.lengthIn).toBeCloseTo(10, 6);
  const bin = Math.floor(2.54 / BIN_MM);
  expect(run.histogram.reduce((a, b) => a + b, 0)).toBeGreaterThanOrEqual(99);
  expect(run.histogram[bin]! / run.stitches).toBeGreaterThan(0.9);
  expect(run.above).toBe(0);
});
test('faster than the needle can follow is counted', () => {
  const run = withFrames(NO_RUN, straight(10, 10, 5), LIMIT);
  expect(run.above).toBe(run.stitches);
});
test('what is moved with the needle up is not sewn', () => {
  const first = straight(2, 10);
  const last = first.at(-1)!;
  const stop: Frame = { ...last, t: last.t + 1, v: 0, rate: 0, event: 'stopped' };
  const away = straight(2, 10).map((f) => ({ ...f, t: f.t + stop.t + 4000, x: f.x + 30, n: f.n + last.n }));
  const run = withFrames(NO_RUN, [...first, stop, ...away], LIMIT);
  expect(run.lengthIn).toBeCloseTo(4, 1);
  expect(run.stitches).toBe(40);
});
test('however a run is cut in batches, and whatever comes twice, it comes to the same', () => {
  const frames = straight(12, 9);
  const whole = withFrames(NO_RUN, frames, LIMIT);
  fc.assert(
    fc.property(fc.array(fc.nat(frames.length), { maxLength: 12 }), fc.nat(40), (cuts, again) => {
      const at = [0, ...cuts.sort((a, b) => a - b), frames.length];
      let run = NO_RUN;
      for (let i = 1; i < at.length; i++)
        run = withFrames(run, frames.slice(Math.max(0, at[i - 1]! - again), at[i]), LIMIT);
      expect(run.stitches).toBe(whole.stitches);
      expect(run.lengthIn).toBeCloseTo(whole.lengthIn, 9);
      expect(run.histogram).toEqual(whole.histogram);
    }),
    { numRuns: 500 },
  );
});
test('a stitch as long as a hand’s leap is in the last bin, none is lost', () => {
  const leap: Frame[] = [
    { t: 1, x: 0, y: 0, v: 1, rate: 100, n: 0 },
    { t: 60, x: 3, y: 0, v: 60, rate: 100, n: 1 },
  ];
  expect(withFrames(NO_RUN, leap, LIMIT).histogram[BINS - 1]).toBe(1);
});
