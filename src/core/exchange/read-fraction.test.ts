import { readLengthMm } from './read-number';

test.each([
  ['53 1/4', 53.25],
  ['53-1/4 in', 53.25],
  ['3/8', 0.375],
  ['6 15/16"', 6.9375],
])('a tape measure’s %s is %d in', (text, inches) => {
  expect(readLengthMm(text, '.', 'in')).toBeCloseTo(25.4 * inches, 9);
});

test.each(['53 5/4', '1/3', '53 1/0', '1/2/4', '53 1/4 1/4'])('%s is no length', (text) => {
  expect(readLengthMm(text, '.', 'in')).toBeNull();
});
