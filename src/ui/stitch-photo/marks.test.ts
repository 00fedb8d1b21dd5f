import { added, mmPerPx, moved } from './marks';

test('the scale is what lies between two marks', () => {
  expect(
    mmPerPx(
      [
        [10, 10],
        [110, 10],
      ],
      10,
    ),
  ).toBeCloseTo(0.1, 9);
  expect(
    mmPerPx(
      [
        [0, 0],
        [30, 40],
      ],
      25.4,
    ),
  ).toBeCloseTo(25.4 / 50, 9);
  expect(mmPerPx([[10, 10]], 10)).toBeNull();
  expect(
    mmPerPx(
      [
        [10, 10],
        [11, 10],
      ],
      10,
    ),
  ).toBeNull();
  expect(
    mmPerPx(
      [
        [10, 10],
        [110, 10],
      ],
      null,
    ),
  ).toBeNull();
});

test('a hole is moved alone, and put in between the two it lies nearest to', () => {
  const row = [
    [0, 0],
    [20, 0],
    [60, 0],
    [80, 0],
  ] as const;
  expect(moved(row, 1, [22, 1])).toEqual([
    [0, 0],
    [22, 1],
    [60, 0],
    [80, 0],
  ]);
  expect(added(row, [40, 2])[2]).toEqual([40, 2]);
  expect(added(row, [70, 0])[3]).toEqual([70, 0]);
});
