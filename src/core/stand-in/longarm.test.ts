import { BIN_MM, NO_RUN, withFrames } from '../link/summary';
import { contains, rect } from '../geometry/polygon';
import { seeded } from '../statistics/random';
import { asHandsMove, framesOf, rowsOver, runsOf } from './longarm';

const shape = [[rect(2, 0, 20, 10)]];
const machine = { maxSpm: 2200, idleMinSpm: 100, idleMaxSpm: 900 };
const run = (spi = 10, faults: Parameters<typeof framesOf>[1] = []) => {
  const path = asHandsMove(rowsOver(shape, 1, 1, 0, 4), 1.5, seeded(3));
  return [...framesOf({ machine, mode: 'resting', spi, path }, faults)];
};

test('rows lie within the shape and the band, as far apart as asked, to and fro', () => {
  const rows = rowsOver(shape, 1, 1, 0, 4);
  expect(rows.every((p) => contains(shape, p) && p[1] < 4)).toBe(true);
  expect(new Set(rows.map((p) => p[1])).size).toBe(4);
  expect(rowsOver(shape, 1, 0, 2, 5).every((p) => p[0] >= 2 && p[0] <= 5)).toBe(true);
  expect(rowsOver([], 1, 1, 0, 4)).toEqual([]);
});

test('the machine under those hands makes about the stitches it was set to', () => {
  const frames = run(10);
  expect(frames.every((f, i) => i === 0 || (f.t > frames[i - 1]!.t && f.n >= frames[i - 1]!.n))).toBe(true);
  const told = withFrames(NO_RUN, frames, 3);
  expect(Math.abs(told.stitches / told.lengthIn / 10 - 1)).toBeLessThan(0.08);
  const all = told.histogram.reduce((a, b) => a + b, 0);
  const mean = told.histogram.reduce((s, n, i) => s + n * (i + 0.5) * BIN_MM, 0) / all;
  expect(Math.abs(mean / 2.54 - 1)).toBeLessThan(0.12);
  expect(told.above).toBe(0);
  expect(withFrames(NO_RUN, frames, 1).above).toBeGreaterThan(0);
});

test('a batch that comes twice counts once, and in pieces as in one', () => {
  const frames = run();
  const whole = withFrames(NO_RUN, frames, 3);
  const half = Math.floor(frames.length / 2);
  const pieces = withFrames(withFrames(NO_RUN, frames.slice(0, half), 3), frames.slice(half - 40), 3);
  expect(pieces).toEqual(whole);
  expect(withFrames(whole, frames, 3)).toEqual(whole);
});

test('the needle is lifted over gaps, and what is moved between is not sewn', () => {
  const points = [
    ...rowsOver([[rect(0, 0, 6, 3)]], 1, 1, 0, 3),
    ...rowsOver([[rect(30, 0, 6, 3)]], 1, 1, 0, 3),
  ];
  const runs = runsOf(points);
  expect(runs).toHaveLength(2);
  let summary = NO_RUN;
  let [t0, n0] = [0, 0];
  for (const r of runs) {
    const path = asHandsMove(r, 1.5, seeded(4));
    const frames = [...framesOf({ machine, mode: 'resting', spi: 10, path })].map((f) => ({
      ...f,
      t: f.t + t0,
      n: f.n + n0,
    }));
    const last = frames.at(-1)!;
    summary = withFrames(summary, [...frames, { ...last, t: last.t + 1, event: 'stopped' as const }], 3);
    [t0, n0] = [last.t + 4000, last.n];
  }
  expect(summary.lengthIn).toBeLessThan(45);
  expect(summary.histogram.at(-1)).toBe(0);
});

test('what goes wrong is told once, at its stitch', () => {
  const frames = run(10, [{ atStitch: 120, event: 'thread-break' }]);
  const told = frames.filter((f) => f.event);
  expect(told).toHaveLength(1);
  expect(told[0]).toMatchObject({ event: 'thread-break' });
  expect(told[0]!.n).toBeGreaterThanOrEqual(120);
});
