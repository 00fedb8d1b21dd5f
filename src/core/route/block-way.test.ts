import fc from 'fast-check';
import { type MultiPolygon, rect } from '../geometry/polygon';
import { blockWay } from './block-way';

const grid = (
  n: number,
  m: number,
  gap = 0,
  keep: (i: number, j: number) => boolean = () => true,
): MultiPolygon =>
  Array.from({ length: n * m }, (_, k) => [k % n, Math.floor(k / n)] as const)
    .filter(([i, j]) => keep(i, j))
    .map(([i, j]) => [rect(i * (8 + gap), j * (8 + gap), 8, 8)]);

test('a grid of blocks that touch is one way; a checkerboard too, over its corners', () => {
  expect(blockWay(grid(4, 5)).runs).toHaveLength(1);
  expect(blockWay(grid(5, 5, 0, (i, j) => (i + j) % 2 === 0)).runs).toHaveLength(1);
});
test('blocks between sashing are each begun anew', () => {
  expect(blockWay(grid(3, 3, 2)).runs).toHaveLength(9);
});
test('every piece is gone through once, and a run reaches no piece that hangs together with none of it', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 30 }), (there) => {
      const shape = grid(6, 5, 0, (i, j) => there[j * 6 + i] ?? false);
      if (shape.length === 0) return;
      const { runs } = blockWay(shape);
      expect(runs.flat().sort((a, b) => a - b)).toEqual([...shape.keys()]);
      const corner = (i: number) => shape[i]![0]![0]!;
      const touches = (a: number, b: number) =>
        Math.max(Math.abs(corner(a)[0] - corner(b)[0]), Math.abs(corner(a)[1] - corner(b)[1])) <= 8;
      for (const run of runs) {
        for (const i of run) expect(run.length === 1 || run.some((j) => j !== i && touches(i, j))).toBe(true);
        for (const other of runs)
          if (other !== run) expect(run.some((i) => other.some((j) => touches(i, j)))).toBe(false);
      }
    }),
    { numRuns: 500 },
  );
});
