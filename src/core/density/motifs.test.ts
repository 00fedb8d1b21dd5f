import { rect } from '../geometry/polygon';
import { motifsLeft, type MotifZone, motifWords } from './motifs';

const zone = (part: Partial<MotifZone> = {}): MotifZone => ({
  id: 'E',
  technique: 'outline',
  leftAlone: false,
  geometry: [[rect(0, 0, 9, 7)], [rect(20, 0, 3, 12)], [rect(40, 0, 0.3, 9)]],
  ...part,
});

test('what is open is the largest circle that fits, piece by piece; slivers hold by themselves', () => {
  const { parts } = motifsLeft([zone()], 4, 'by-size');
  expect(parts.map((p) => [p.piece, Math.round(p.openIn)])).toEqual([
    [0, 7],
    [1, 3],
  ]);
  expect(parts[0]!.y).toBeCloseTo(3.5, 1);
});
test('a hole in a piece makes it smaller', () => {
  const ring = [rect(0, 0, 10, 10), rect(3, 3, 4, 4)];
  expect(motifsLeft([zone({ geometry: [ring] })], 4, 'by-size').parts[0]!.openIn).toBeLessThan(5);
});
test('a filled zone is not open, unless its fabric is left alone', () => {
  expect(motifsLeft([zone({ technique: 'swirls' })], 4, 'by-size').parts).toEqual([]);
  expect(motifsLeft([zone({ technique: 'swirls', leftAlone: true })], 4, 'by-size').parts).toHaveLength(2);
});
test.each([
  ['by-size', ['quilt-down', 'leave'], 3],
  ['down', ['quilt-down', 'quilt-down'], 0],
  ['outline', ['outline', 'leave'], 3.5],
] as const)('the way “%s” does its own: %j', (school, acts, then) => {
  const left = motifsLeft([zone()], 4, school);
  expect(left.parts.map((p) => p.act)).toEqual(acts);
  expect(left.thenIn).toBeCloseTo(then, 0);
});
test('it is said with its size, and what brings it under the limit', () => {
  const [first, then] = motifWords(motifsLeft([zone()], 4, 'outline'), 4);
  expect(first).toContain('7.0 in across, in zone E; the batting holds 4.0 in');
  expect(then).toBe('Outline inside piece 1 of zone E (7.0 in): then no more than 3.5 in is open.');
  expect(motifWords(motifsLeft([zone()], 9, 'by-size'), 9)[0]).toContain('it may stay so');
  expect(motifWords(motifsLeft([], 9, 'by-size'), 9)).toEqual([]);
});
test('pieces alike are one motif: a dozen blocks are seen to together', () => {
  const dozen = Array.from({ length: 12 }, (_, i) => [rect(10 * i, 0, 6, 6 + (i % 2) * 0.1)]);
  const left = motifsLeft([zone({ geometry: dozen })], 4, 'by-size');
  expect(left.propose).toHaveLength(1);
  expect(left.thenIn).toBe(0);
  expect(motifWords(left, 4)[1]).toContain('the 12 like pieces of zone E');
});
test('one outline may not be enough for a very wide one: that is said', () => {
  const wide = motifsLeft([zone({ geometry: [[rect(0, 0, 30, 30)]] })], 4, 'outline');
  expect(motifWords(wide, 4)[1]).toContain('more must follow');
});
