import fc from 'fast-check';
import { linesLength } from '../geometry/clip-lines';
import type { XY } from '../geometry/polygon';
import { joined } from './joined';
import { measurePattern } from './pattern';
import { endOf, reversed, startOf, type Stroke } from './stroke';

const line = (a: XY, b: XY): Stroke => ({ pieces: [[a, b]], closed: false });
/** A walk of points an inch or so apart that never meets itself: it goes to the right. */
const walk = fc
  .array(
    fc.tuple(fc.double({ min: 0.2, max: 1, noNaN: true }), fc.double({ min: -2, max: 2, noNaN: true })),
    {
      minLength: 2,
      maxLength: 60,
    },
  )
  .map((steps) => {
    let x = 0;
    return steps.map(([dx, y]): XY => [(x += dx), y]);
  });

test('one line cut in pieces, in any order and each any way round, is one run of the same length again', () => {
  fc.assert(
    fc.property(walk, fc.infiniteStream(fc.boolean()), fc.nat(), (points, turns, seed) => {
      const pieces = points.slice(1).map((p, i) => line(points[i]!, p));
      const given = pieces
        .map((s, i) => ({
          s: turns.next().value ? reversed(s) : s,
          at: (i * 7919 + seed) % (pieces.length + 13),
        }))
        .sort((a, b) => a.at - b.at)
        .map(({ s }) => s);
      const out = joined(given);
      expect(out).toHaveLength(1);
      const [run] = out;
      run!.pieces.forEach((p, i) => {
        if (i > 0) expect(startOf(p)).toEqual(endOf(run!.pieces[i - 1]!));
      });
      const length = (list: readonly Stroke[]) =>
        linesLength(list.flatMap((s) => s.pieces.map((p) => [startOf(p), endOf(p)])));
      expect(length(out)).toBeCloseTo(length(pieces), 9);
    }),
    { numRuns: 2000 },
  );
});
test('where three ends meet, nobody knows which goes on: they stay as the file has them', () => {
  const three: Stroke[] = [
    line([2, 0], [0, 0]),
    line([9, 9], [8, 8]),
    line([0, 2], [0, 0]),
    line([7, 7], [6, 7]),
    line([-2, 0], [0, 0]),
  ];
  expect(joined(three)).toHaveLength(5);
});
test('pieces that close are a ring', () => {
  const ring = joined([
    line([0, 0], [1, 0]),
    line([5, 5], [6, 6]),
    line([1, 1], [0, 0]),
    line([1, 0], [1, 1]),
  ]);
  expect(ring.map((s) => s.closed)).toEqual([true, false]);
});
test.each(['scale(1 -1)', 'scale(-1 1)', 'rotate(180) scale(-1 1)', 'matrix(0 1 1 0 0 0)'])(
  'an arc turned over by %s bulges to the other side',
  (transform) => {
    const at = (inside: string) =>
      measurePattern({
        svg: `<svg xmlns="http://www.w3.org/2000/svg" width="20in" height="20in" viewBox="-10 -10 20 20">${inside}</svg>`,
      });
    // Half a circle, and a line that leaves it on one side: turned over as a whole, the whole is as large as before.
    const drawn = '<path d="M0 0A2 2 0 0 1 4 0L4 3"/>';
    const [plain, turned] = [at(drawn), at(`<g transform="${transform}">${drawn}</g>`)];
    const sides = (m: typeof plain) => [m.widthIn, m.heightIn].sort((a, b) => a - b);
    sides(turned).forEach((n, i) => expect(n).toBeCloseTo(sides(plain)[i]!, 6));
    expect(turned.lengthIn).toBeCloseTo(plain.lengthIn, 6);
  },
);
