import fc from 'fast-check';
import { rect } from '../geometry/polygon';
import { spoolBands } from './bands';

const zone = (hex: string | null, side = 10) => ({
  geometry: [[rect(0, 0, side, side)]],
  fabrics: [{ hex }],
});
const cones = new Map([
  ['fog', { hex: '#b9c6c9' }],
  ['fog-too', { hex: '#b9c6c9' }],
  ['undyed', { hex: null }],
  ['red', { hex: '#b03020' }],
]);

test('before anything is matched a quilt has its own colours, by area', () => {
  expect(spoolBands(new Map(), cones, [zone('#111111', 30), zone('#222222', 10)])).toEqual([
    { hex: '#111111', share: 0.9 },
    { hex: '#222222', share: 0.1 },
  ]);
});
test('once it is matched it has its threads, by metres; two cones of one colour are one band', () => {
  const bands = spoolBands(new Map([['fog', 30], ['fog-too', 30], ['red', 40]]), cones, [zone('#111111')]); // prettier-ignore
  expect(bands.map((b) => [b.hex, Number(b.share.toFixed(2))])).toEqual([
    ['#b9c6c9', 0.6],
    ['#b03020', 0.4],
  ]);
});
test('a colour nobody knows is undyed thread; nothing at all is no band', () => {
  expect(spoolBands(new Map([['gone', 5]]), cones, [])[0]!.hex).toBe('#e6e2d6');
  expect(spoolBands(new Map(), cones, [])).toEqual([]);
});
test('whatever is on it: at most five bands, the widest first, none more than all', () => {
  const metres = fc.dictionary(
    fc.constantFrom('fog', 'red', 'undyed', 'a', 'b', 'c', 'd'),
    fc.double({ min: 0, max: 5000, noNaN: true }),
  );
  const many = new Map([...'abcd'].map((id, i) => [id, { hex: `#${i}${i}${i}${i}${i}${i}` }]));
  fc.assert(
    fc.property(metres, (m) => {
      const bands = spoolBands(new Map(Object.entries(m)), new Map([...cones, ...many]), []);
      expect(bands.length).toBeLessThanOrEqual(5);
      const shares = bands.map((b) => b.share);
      expect(shares).toEqual([...shares].sort((a, b) => b - a));
      expect(shares.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(1 + 1e-9);
      expect(new Set(bands.map((b) => b.hex)).size).toBe(bands.length);
    }),
    { numRuns: 1000 },
  );
});
