import fc from 'fast-check';
import { rect } from '../geometry/polygon';
import { techniques } from '../tables/techniques';
import { openIn, spacingFor } from './spacing-for';

const grid = techniques.get('grid');
const technique = (id: string) => techniques.get(id);

test.each<[string, number, number, number]>([
  ['a sashing of two inches', 2, 60, 1],
  ['a border of three', 3, 80, 1.5],
  ['a narrow strip', 0.75, 60, 0.375],
])('%s gets no spacing wider than half of it', (_, width, length, most) => {
  const spacing = spacingFor(grid, [[rect(0, 0, width, length)]]);
  expect(spacing).toBeLessThanOrEqual(most);
  expect(spacing).toBeGreaterThanOrEqual(most / 2);
});
test('in a wide field the usual figure stays', () => {
  expect(spacingFor(grid, [[rect(0, 0, 60, 60)]])).toBe(grid.usualSpacingIn);
});
test('what follows its own lines is not narrowed by the place it lies in', () => {
  for (const id of ['ditch', 'open']) {
    const t = technique(id);
    expect([id, spacingFor(t, [[rect(0, 0, 1, 60)]])]).toEqual([id, t.usualSpacingIn]);
  }
});
test('the widest place of several pieces counts, a hole in one does not', () => {
  expect(openIn([[rect(0, 0, 2, 9)], [rect(20, 0, 6, 9)]])).toBeCloseTo(6, 1);
  expect(openIn([[rect(0, 0, 10, 10), rect(3, 3, 4, 4)]])).toBeLessThan(4.2);
});
test('whatever the shape, a spacing is one a ruler shows, never nothing and never above the usual', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 90, noNaN: true }),
      fc.double({ min: 0.2, max: 90, noNaN: true }),
      fc.constantFrom('grid', 'ruler-lines', 'meander-medium', 'swirls', 'echo', 'feathers', 'micro-fill'),
      (w, h, id) => {
        const t = technique(id);
        const spacing = spacingFor(t, [[rect(0, 0, w, h)]]);
        expect(spacing).toBeGreaterThan(0);
        expect(spacing).toBeLessThanOrEqual(Math.max(t.usualSpacingIn, 1 / 8) + 1 / 16);
        expect(Number.isInteger(Math.round(spacing * 1600) / 100)).toBe(true);
      },
    ),
    { numRuns: 2000 },
  );
});
