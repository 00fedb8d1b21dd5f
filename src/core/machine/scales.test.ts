import { inQuarters, placeOn, scalesOf, wayBetween } from './scales';

const scales = scalesOf([
  {
    kind: 'top-dial',
    points: [
      { mark: 2, value: 40 },
      { mark: 4, value: 90 },
      { mark: 6, value: 150 },
    ],
  },
  {
    kind: 'bobbin-turns',
    points: [
      { mark: -3, value: 14 },
      { mark: -1, value: 28 },
    ],
  },
  {
    kind: 'idle-dial',
    points: [
      { mark: 1, value: 100 },
      { mark: 5, value: 300 },
    ],
  },
  // Falls while the mark rises: no scale.
  {
    kind: 'speed-dial',
    points: [
      { mark: 1, value: 900 },
      { mark: 5, value: 300 },
    ],
  },
]);

test.each([
  [4.27, '4¼'],
  [0.1, '0'],
  [0.49, '½'],
  [-2.5, '−2½'],
  [9.9, '10'],
])('%d is read as %s', (x, words) => expect(inQuarters(x)).toBe(words));

test('a value stands where the measurements put it', () => {
  expect(placeOn(scales, 'top-dial', 65)).toBe('mark 3');
  expect(placeOn(scales, 'top-dial', 105)).toBe('mark 4½');
  expect(placeOn(scales, 'bobbin-turns', 21)).toBe('2 turns out');
  expect(placeOn(scales, 'bobbin-turns', 28)).toBe('1 turn out');
  expect(placeOn(scales, 'idle-dial', 200)).toBe('setting 3');
});

test('beyond the measurements it is said; what was not measured, or not soundly, has no place', () => {
  expect(placeOn(scales, 'top-dial', 200)).toMatch(/beyond what was measured/);
  expect(placeOn(scales, 'speed-dial', 600)).toBeNull();
  expect(placeOn({}, 'top-dial', 65)).toBeNull();
});

test('the way is told in marks where measured, in quarter turns where not', () => {
  expect(wayBetween(scales, 'top-dial', 65, 90)).toBe('from mark 3 to mark 4');
  expect(wayBetween(scales, 'top-dial', 90, 91)).toBe('at mark 4, a hair tighter');
  expect(wayBetween({}, 'top-dial', 100, 112)).toBe('about a quarter turn');
  expect(wayBetween({}, 'top-dial', 100, 103)).toBe('about half a quarter turn');
  expect(wayBetween({}, 'top-dial', 140, 100)).toBe('about 3 quarter turns');
});
