import { rulerText } from './length-text';

test.each([
  [0.6875, '11/16 in'],
  [2.5, '2 1/2 in'],
  [3, '3 in'],
  [0.125, '1/8 in'],
  [1.0625, '1 1/16 in'],
  [0.4, '0.4 in'],
  [0.15, '0.15 in'],
  [12.34, '12.3 in'],
])('%d in stands on a ruler as %s', (inches, said) => expect(rulerText(inches)).toBe(said));
