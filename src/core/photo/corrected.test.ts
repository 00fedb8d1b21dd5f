import { stitchesBetween } from './corrected';

test('even holes: their length, no unevenness', () => {
  const told = stitchesBetween(
    [
      [0, 0],
      [20, 0],
      [40, 0],
      [60, 0],
    ],
    0.1,
  )!;
  expect(told).toMatchObject({ stitches: 3, longestMm: 2, shortestMm: 2 });
  expect(told.spi).toBeCloseTo(12.7, 9);
  expect(told.cvPct).toBeCloseTo(0, 9);
});

test('one hole moved makes one stitch longer and one shorter, and the mean stays', () => {
  const told = stitchesBetween(
    [
      [0, 0],
      [25, 0],
      [40, 0],
      [60, 0],
    ],
    0.1,
  )!;
  expect(told).toMatchObject({ longestMm: 2.5, shortestMm: 1.5 });
  expect(told.spi).toBeCloseTo(12.7, 9);
  expect(told.cvPct).toBeCloseTo(25, 0);
});

test('two holes are no row', () => {
  expect(
    stitchesBetween(
      [
        [0, 0],
        [20, 0],
      ],
      0.1,
    ),
  ).toBeNull();
});
