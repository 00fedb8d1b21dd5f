import { grouped, minutesWords, stitchesWords } from './counts';

test.each([
  [0, '0'],
  [640, '640'],
  [31_499, '31 thousand'],
  [999_499, '999 thousand'],
  [999_500, '1.0 million'],
  [4_002_000, '4.0 million'],
  [9_950_000, '10 million'],
  [2_312_049_000, '2,312 million'],
])('%d stitches read “%s”', (n, words) => expect(stitchesWords(n)).toBe(words));

test.each([
  [1, '1 minute'],
  [119.4, '119 minutes'],
  [120, '2 hours'],
  [510, '8.5 hours'],
  [19_108, '318 hours'],
  [600_000, '10,000 hours'],
])('%d minutes read “%s”', (min, words) => expect(minutesWords(min)).toBe(words));

test('whole numbers stand in groups of three', () => expect(grouped(112_225.4)).toBe('112,225'));
