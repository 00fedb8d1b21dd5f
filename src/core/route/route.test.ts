import fc from 'fast-check';
import { CoreError } from '../notes';
import { cheapestPairing, EXACT_ODD } from './pairing';
import { route, type RouteRequest } from './route';
import type { XY } from '../geometry/polygon';

const line = (...points: XY[]) => points.slice(1).map((b, i) => ({ a: points[i]!, b }));
const key = (a: XY, b: XY) => [a.join(), b.join()].sort().join(' ');

/** Every edge is sewn, every step lies along an edge, and the sums are what the paths say. */
function sound(request: RouteRequest) {
  const r = route(request);
  const wanted = new Map<string, number>();
  for (const { a, b } of request.edges) wanted.set(key(a, b), (wanted.get(key(a, b)) ?? 0) + 1);
  const sewn = new Map<string, number>();
  let length = 0;
  for (const { points } of r.paths)
    points.slice(1).forEach((p, i) => {
      const k = key(points[i]!, p);
      expect([k, wanted.has(k)]).toEqual([k, true]);
      sewn.set(k, (sewn.get(k) ?? 0) + 1);
      length += Math.hypot(p[0] - points[i]![0], p[1] - points[i]![1]);
    });
  for (const [k, n] of wanted) expect(sewn.get(k) ?? 0).toBeGreaterThanOrEqual(n);
  expect(r.sewnIn).toBeCloseTo(length, 6);
  expect(r.starts).toBe(r.paths.length);
  return r;
}

test('a ring is one start and nothing sewn again', () => {
  const r = sound({ edges: line([0, 0], [4, 0], [4, 4], [0, 4], [0, 0]) });
  expect([r.starts, r.againIn]).toEqual([1, 0]);
});
test('two lines apart are two starts', () => {
  expect(sound({ edges: [...line([0, 0], [4, 0]), ...line([0, 9], [4, 9])] }).starts).toBe(2);
});
test('a short spur is sewn there and back, a long one begun anew', () => {
  const cross = (spur: number) => [
    ...line([0, 0], [10, 0], [20, 0]),
    ...line([10, 0], [10, spur]),
    ...line([10, 0], [10, -spur]),
  ];
  expect(sound({ edges: cross(2) })).toMatchObject({ starts: 1, againIn: 4 });
  expect(sound({ edges: cross(30) })).toMatchObject({ starts: 2, againIn: 0 });
});
test('lines that run off the edge begin there for nothing', () => {
  const edges = [0, 2, 4, 6].flatMap((x) => line([x, 0], [x, 5], [x, 10]));
  const rungs = [...edges, ...line([0, 5], [2, 5], [4, 5], [6, 5])];
  const free = [0, 2, 4, 6].flatMap((x): XY[] => [
    [x, 0],
    [x, 10],
  ]);
  // Two middles are odd: a walk of 6 in between them costs less than two ends.
  expect(sound({ edges: rungs, freeEnds: free }).againIn).toBeCloseTo(6, 9);
  expect(sound({ edges: rungs, freeEnds: free }).starts).toBeGreaterThan(sound({ edges: rungs }).starts);
});
test('straight on is preferred at a crossing', () => {
  const { paths } = sound({
    edges: [...line([0, 0], [5, 0], [10, 0]), ...line([5, -5], [5, 0], [5, 5])],
    startCostIn: 1,
  });
  for (const { points } of paths) expect(points).toHaveLength(3);
});
test('the ditch of a grid of blocks: proven cheapest', () => {
  const n = 4;
  const edges = Array.from({ length: n + 1 }, (_, i) => [
    ...line(...Array.from({ length: n + 1 }, (_x, k): XY => [k * 6, i * 6])),
    ...line(...Array.from({ length: n + 1 }, (_x, k): XY => [i * 6, k * 6])),
  ]).flat();
  expect(sound({ edges }).exact).toBe(true);
});
test('nothing to sew, and places that are no numbers, are said', () => {
  expect(() => route({ edges: [] })).toThrow(CoreError);
  expect(() => route({ edges: [{ a: [1, 1], b: [1, 1] }] })).toThrow(/no line/);
  expect(() => route({ edges: [{ a: [NaN, 1], b: [1, 1] }] })).toThrow(CoreError);
});
test('any lines: sound, and never dearer than beginning each anew', () => {
  const node = fc.tuple(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 0, max: 4 }));
  fc.assert(
    fc.property(
      fc
        .array(fc.tuple(node, node), { minLength: 1, maxLength: 14 })
        .map((l) => l.filter(([a, b]) => a.join() !== b.join())),
      (lines) => {
        if (lines.length === 0) return;
        const r = sound({ edges: lines.map(([a, b]) => ({ a: a as XY, b: b as XY })) });
        expect(8 * r.starts + r.againIn).toBeLessThanOrEqual(8 * lines.length + 1e-9);
      },
    ),
    { numRuns: 120 },
  );
});
test('the matching beyond eighteen odd nodes agrees with the exact one where both can be done', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true })),
        { minLength: 10, maxLength: 10 },
      ),
      (places) => {
        const far = places.map((p) => places.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1])));
        const small = cheapestPairing(
          far,
          places.map(() => 4),
          0,
        );
        // The same places with ten more so far off that only their own ends pay.
        const many = [
          ...places,
          ...Array.from({ length: 10 }, (_, i): [number, number] => [1e5 + 1e4 * i, 0]),
        ];
        const wide = many.map((p) => many.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1])));
        const large = cheapestPairing(
          wide,
          many.map(() => 4),
          8,
        );
        expect(many.length).toBeGreaterThan(EXACT_ODD);
        expect(large.cost - 40).toBeCloseTo(small.cost, 1);
      },
    ),
    { numRuns: 25 },
  );
});
