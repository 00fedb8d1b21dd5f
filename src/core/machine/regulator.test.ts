import { regulated, type PathPoint, stitchesMade } from './regulator';

const machine = { maxSpm: 2000, idleMinSpm: 100, idleMaxSpm: 900 };
const straight = (inPerS: number, seconds: number, hz = 100): PathPoint[] =>
  Array.from({ length: Math.round(seconds * hz) + 1 }, (_, i) => ({
    tMs: (i * 1000) / hz,
    xIn: (inPerS * i) / hz,
    yIn: 0,
  }));

test('steady hands in the regulated range sew the length wanted', () => {
  const r = regulated({ machine, mode: 'resting', spi: 11, path: straight(1.5, 20) });
  expect(r.spi).toBeCloseTo(11, 0);
  expect(r.cvPct).toBeLessThan(8);
  expect(r.outsidePct).toBeLessThan(2);
  expect(r.meanInPerS).toBeCloseTo(1.5, 6);
});
test('hands faster than the needle draw the stitches out, and it is counted', () => {
  const r = regulated({ machine, mode: 'resting', spi: 11, path: straight(6, 10) });
  expect(r.spi).toBeCloseTo(2000 / 60 / 6, 1);
  expect(r.outsidePct).toBeGreaterThan(90);
});
test('idling keeps the needle going in a pause, resting does not', () => {
  const pause: PathPoint[] = [...straight(1, 2), { tMs: 12_000, xIn: 2, yIn: 0 }];
  const idling = regulated({ machine, mode: 'idling', spi: 10, idleSpm: 120, path: pause });
  const resting = regulated({ machine, mode: 'resting', spi: 10, path: pause });
  expect(idling.stitches - resting.stitches).toBeGreaterThan(17);
  expect(idling.shortestMm).toBe(0);
});
test('in manual mode the hands make the stitch', () => {
  const at = (v: number) =>
    regulated({ machine, mode: 'manual', spi: 11, manualSpm: 660, path: straight(v, 10) }).spi;
  expect(at(1)).toBeCloseTo(11, 0);
  expect(at(2)).toBeCloseTo(5.5, 0);
});
test('the regulator lags behind a start', () => {
  const [first, , , later] = stitchesMade({ machine, mode: 'resting', spi: 10, path: straight(2, 3) });
  expect(first!.lengthMm).toBeGreaterThan(later!.lengthMm);
});
test('tight curves show facets, wide ones do not', () => {
  const ring = (r: number): PathPoint[] =>
    Array.from({ length: 2001 }, (_, i) => ({
      tMs: i * 5,
      xIn: r * Math.cos((i * 5 * 1.2) / 1000 / r),
      yIn: r * Math.sin((i * 5 * 1.2) / 1000 / r),
    }));
  expect(regulated({ machine, mode: 'resting', spi: 10, path: ring(0.1) }).facetedPct).toBeGreaterThan(95);
  expect(regulated({ machine, mode: 'resting', spi: 10, path: ring(1.5) }).facetedPct).toBeLessThan(2);
});
test.each([
  ['one point', [{ tMs: 0, xIn: 0, yIn: 0 }], 'no-path'],
  [
    'times that fall',
    [
      { tMs: 10, xIn: 0, yIn: 0 },
      { tMs: 5, xIn: 1, yIn: 0 },
    ],
    'times-fall',
  ],
  [
    'a jump',
    [
      { tMs: 0, xIn: 0, yIn: 0 },
      { tMs: 10, xIn: 9, yIn: 0 },
    ],
    'too-fast',
  ],
])('%s is refused', (_, path, code) => {
  expect(() => regulated({ machine, mode: 'idling', spi: 10, path })).toThrow(
    expect.objectContaining({ code }),
  );
});
test('manual without a rate is refused', () => {
  expect(() => regulated({ machine, mode: 'manual', spi: 10, path: straight(1, 1) })).toThrow(
    /stitches a minute/,
  );
});
