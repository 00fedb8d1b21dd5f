import { rect } from '../geometry/polygon';
import { linesLength } from '../geometry/clip-lines';
import { drawTechnique } from './draw';
import { drawWay, type WayAsked } from './way';

const unit = {
  runs: [
    [
      [0, 0.25],
      [0.25, 0],
      [0.5, 0.25],
      [0.75, 0.5],
      [1, 0.25],
    ] as const,
  ],
  heightShare: 0.5,
  goesOn: true,
};
const shape = [[rect(0, 0, 24, 12)]];
const laid: WayAsked = { shape, technique: 'guided-pattern', look: 'pattern', spacingIn: 4, seed: 1, unit };

test('a pattern laid in rows is measured as it lies: inside, its length over the area, a start a row', () => {
  const drawn = drawWay(laid);
  expect(drawn.starts).toBe(6);
  expect(drawn.lengthIn).toBeCloseTo(linesLength(drawn.lines), 6);
  expect(drawn.lambda).toBeCloseTo(drawn.lengthIn / 288, 9);
  const points = drawn.lines.flat();
  expect(points.every(([x, y]) => x >= -1e-9 && x <= 24 + 1e-9 && y >= -1e-9 && y <= 12 + 1e-9)).toBe(true);
});

test('twice as wide, half as dense', () => {
  const ratio = drawWay(laid).lambda / drawWay({ ...laid, spacingIn: 8 }).lambda;
  expect(ratio).toBeGreaterThan(1.7);
  expect(ratio).toBeLessThan(2.3);
});

test('any other technique is drawn by its own look, a pattern that is gone is told', () => {
  const swirls = { shape, technique: 'swirls', look: 'swirls', spacingIn: 1, seed: 3 };
  expect(drawWay(swirls)).toEqual(drawTechnique(swirls));
  expect(() => drawWay({ ...laid, unit: null })).toThrow('nothing to draw');
});
