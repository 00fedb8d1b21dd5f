import fc from 'fast-check';
import { CoreError } from '../notes';
import { fitCalibration } from './monotone';

test('between two marks it is a straight line, and the way back agrees', () => {
  const c = fitCalibration([
    { mark: 2, value: 40 },
    { mark: 4, value: 90 },
  ]);
  expect(c.valueAt(3)).toBeCloseTo(65, 9);
  expect(c.markAt(65)).toBeCloseTo(3, 9);
  expect(c.rmsShare).toBe(0);
});

test('it never falls, whatever small disorder the measurements have', () => {
  const value = fc.double({ min: 10, max: 20, noNaN: true });
  fc.assert(
    fc.property(fc.array(value, { minLength: 3, maxLength: 12 }), (noise) => {
      const points = noise.map((n, i) => ({ mark: i, value: i * 100 + n }));
      const c = fitCalibration(points);
      for (let m = 0; m < noise.length - 1; m += 0.25)
        expect(c.valueAt(m + 0.25)).toBeGreaterThanOrEqual(c.valueAt(m) - 1e-9);
    }),
  );
});

test('a small dip is pooled and shown as residuals', () => {
  const c = fitCalibration([
    { mark: 1, value: 100 },
    { mark: 2, value: 205 },
    { mark: 3, value: 200 },
    { mark: 4, value: 320 },
  ]);
  expect(c.valueAt(2)).toBeCloseTo(202.5, 9);
  expect(c.residuals).toEqual([0, 2.5, -2.5, 0]);
});

test.each([
  [
    'a falling curve',
    [
      { mark: 1, value: 90 },
      { mark: 2, value: 40 },
    ],
    'falling',
  ],
  [
    'a deep dip',
    [
      { mark: 1, value: 10 },
      { mark: 2, value: 90 },
      { mark: 3, value: 40 },
      { mark: 4, value: 100 },
    ],
    'falling',
  ],
  [
    'a flat line',
    [
      { mark: 1, value: 40 },
      { mark: 2, value: 40 },
    ],
    'falling',
  ],
  [
    'one mark measured twice',
    [
      { mark: 1, value: 40 },
      { mark: 1, value: 42 },
    ],
    'too-few',
  ],
  ['nothing', [], 'too-few'],
  [
    'not a number',
    [
      { mark: Number.NaN, value: 1 },
      { mark: 2, value: 3 },
    ],
    'not-a-number',
  ],
])('%s is refused', (_, points, code) => {
  expect(() => fitCalibration(points)).toThrow(expect.objectContaining({ code }) as CoreError);
});
