import { Crossings, withoutKinks } from '../geometry/crossings';
import { linesLength } from '../geometry/clip-lines';
import { areaOf, contains, type MultiPolygon, rect } from '../geometry/polygon';
import { techniques } from '../tables/techniques';
import { outlines } from '../testing/outlines';
import { drawTechnique, LOOKS } from './draw';
import { depthIn } from './field';
import { openIn } from './open';

const SPACING = 0.7;
/** In a place narrower than so many rows their number decides how dense it is. */
const ROOM = 4;
/** Every sixth outline is tried; OUTLINES=all tries all sixty. */
const EVERY = process.env.OUTLINES === 'all' ? 1 : 6;
/** They lie on a quilt at half an inch for each of their units. */
const SHAPES = outlines()
  .filter((_, i) => i % EVERY === 0)
  .map(({ name, shape }) => ({
    name,
    shape: shape.map((polygon) => polygon.map((ring) => ring.map(([x, y]) => [x / 2, y / 2] as const))),
  }))
  .map((o) => ({ ...o, depth: depthIn(o.shape), isRoomy: openIn(o.shape, [], SPACING) >= ROOM * SPACING }));
const EACH = Object.entries(LOOKS)
  .flatMap(([technique, looks]) => looks.map((look) => ({ technique, look })))
  // The same drawing serves several techniques.
  .filter(({ look }, i, all) => all.findIndex((x) => x.look === look) === i);

/** What is open is measured to about this, inches. */
const MEASURED = SPACING / 16;
/** Of sixty outlines so many must hold, where it is not said otherwise; of a part of them that part, less the one that lies there by chance. */
const NINE_IN_TEN = 54;
const OF = 60;
const leastOf = (n: number) => (EVERY === 1 ? n : Math.floor((n * SHAPES.length) / OF) - 1);
/** Round figures fill a narrow place with more line than their spacing; plumes end where their bands end. */
const FEWER: Readonly<Record<string, Partial<Record<'density' | 'open' | 'one', number>>>> = {
  swirls: { density: 46 },
  teardrops: { density: 46 },
  paisley: { density: 46 },
  flames: { density: 46 },
  plumes: { one: 44 },
};

test('there are sixty outlines, each of one piece', () => {
  expect(SHAPES).toHaveLength(OF / EVERY);
  expect(outlines()).toHaveLength(OF);
  for (const { shape } of SHAPES) expect(shape).toHaveLength(1);
});

test.each(EACH.map((x) => [`${x.technique}: ${x.look.label}`, x] as const))(
  '%s keeps what it promises on outline after outline',
  (_, { technique, look }) => {
    const { density } = techniques.get(technique);
    const k = density.kind === 'spacing' ? density.k : null;
    const kept = { density: 0, open: 0, inside: 0, uncrossed: 0, one: 0 };
    for (const { shape, isRoomy, depth } of SHAPES) {
      const drawn = drawTechnique({ shape, technique, look: look.id, spacingIn: SPACING, seed: 5 });
      expect(drawn.lengthIn).toBeGreaterThan(0);
      const outside = drawn.lines.flat().filter((p) => !contains(shape, p) && depth(p) > 1e-3);
      if (k === null || !isRoomy || Math.abs((drawn.lambda * SPACING) / k - 1) <= 0.1) kept.density++;
      if (openIn(shape, drawn.lines, SPACING) <= 1.6 * SPACING + MEASURED) kept.open++;
      if (outside.length === 0) kept.inside++;
      if (look.crosses || new Crossings(drawn.lines).count() === 0) kept.uncrossed++;
      if (drawn.starts === 1) kept.one++;
    }
    const least = {
      density: NINE_IN_TEN,
      open: NINE_IN_TEN,
      inside: NINE_IN_TEN,
      uncrossed: 48,
      one: NINE_IN_TEN,
    };
    for (const [what, n] of Object.entries({ ...least, ...FEWER[look.id] }))
      expect([
        what,
        kept[what as keyof typeof kept] >= leastOf(n) ? 'kept' : kept[what as keyof typeof kept],
      ]).toEqual([what, 'kept']);
  },
);

const square: MultiPolygon = [[rect(0, 0, 8, 8)]];

test('the same seed draws the same, another one another; measures add up', () => {
  const one = drawTechnique({ shape: square, technique: 'meander-medium', spacingIn: 0.75, seed: 3 });
  expect(drawTechnique({ shape: square, technique: 'meander-medium', spacingIn: 0.75, seed: 3 })).toEqual(
    one,
  );
  expect(
    drawTechnique({ shape: square, technique: 'meander-medium', spacingIn: 0.75, seed: 4 }).lines,
  ).not.toEqual(one.lines);
  expect(one.lengthIn).toBeCloseTo(linesLength(one.lines), 6);
  expect(one.lambda).toBeCloseTo((one.lengthIn - one.travelIn) / areaOf(square), 6);
  expect(one.radiusIn).toBeGreaterThan(0.1);
});

test('pieces that are alike are drawn alike, each in its place', () => {
  const two: MultiPolygon = [[rect(0, 0, 4, 4)], [rect(10, 5, 4, 4)]];
  const drawn = drawTechnique({ shape: two, technique: 'swirls', spacingIn: 0.5 });
  expect(drawn.starts).toBe(2);
  const [a, b] = drawn.lines;
  expect(b!.map(([x, y]) => [x - 10, y - 5])).toEqual(
    a!.map(([x, y]) => [expect.closeTo(x, 9), expect.closeTo(y, 9)]),
  );
});

test('what follows a seam, a file or nothing is not drawn; what is too fine neither', () => {
  for (const technique of ['ditch', 'open', 'guided-pattern'])
    expect(() => drawTechnique({ shape: square, technique, spacingIn: 1 })).toThrow(/nothing to draw/);
  expect(() => drawTechnique({ shape: square, technique: 'pebbles', spacingIn: 0.001 })).toThrow(
    /larger spacing/,
  );
  expect(() => drawTechnique({ shape: square, technique: 'nonsense', spacingIn: 1 })).toThrow();
});

test('a kink is cut out of a line, a long way round is not', () => {
  const kinked = [
    [0, 0],
    [4, 0],
    [4, 1],
    [3, 1],
    [3, -1],
    [8, -1],
  ] as const;
  expect(new Crossings([kinked]).count()).toBe(1);
  expect(new Crossings([withoutKinks(kinked, 6)]).count()).toBe(0);
  expect(withoutKinks(kinked, 1)).toEqual(kinked);
});
