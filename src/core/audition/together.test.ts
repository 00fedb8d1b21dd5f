import fc from 'fast-check';
import { boundsOf, type MultiPolygon, rect } from '../geometry/polygon';
import { together } from './together';
import { drawWay, type WayAsked } from './way';

const way = { technique: 'meander-medium', look: 'round', spacingIn: 1, seed: 1 };
const block = (x: number, y: number, w = 6, h = 6): MultiPolygon => [[rect(x, y, w, h)]];

test('thirty blocks of one kind are drawn once; a border of its own, and another way, are drawn for themselves', () => {
  const asked: WayAsked[] = Array.from({ length: 30 }, (_, i) => ({
    ...way,
    shape: block((i % 6) * 8 + 0.1, Math.floor(i / 6) * 8 + 0.3),
  }));
  const all = [
    ...asked,
    { ...way, shape: block(0, 60, 60, 4) },
    { ...way, spacingIn: 2, shape: block(0, 0) },
    { ...way, technique: 'loops', shape: block(0, 0) },
  ];
  const { once, places } = together(all);
  expect(once).toHaveLength(4);
  expect(places.map((p) => p.of)).toEqual([...Array<number>(30).fill(0), 1, 2, 3]);
});
test('wherever a zone lies, it is drawn at its corner and moved there', () => {
  const at = fc.double({ min: 0, max: 100, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(at, at, fc.integer({ min: 2, max: 9 })), { minLength: 1, maxLength: 40 }),
      (list) => {
        const asked = list.map(([x, y, side]) => ({ ...way, shape: block(x, y, side, side) }));
        const { once, places } = together(asked);
        expect(once.length).toBeLessThanOrEqual(new Set(list.map((l) => l[2])).size);
        asked.forEach(({ shape }, i) => {
          const [own, drawn] = [boundsOf(shape), boundsOf(once[places[i]!.of]!.shape)];
          expect(drawn.x0 + places[i]!.dx).toBeCloseTo(own.x0, 6);
          expect(drawn.y1 + places[i]!.dy).toBeCloseTo(own.y1, 3);
        });
      },
    ),
    { numRuns: 1000 },
  );
});
test('what is too fine to be seen is drawn as fine as can be', () => {
  const fine = { ...way, technique: 'pebbles', look: 'round', spacingIn: 0.25, shape: block(0, 0) };
  const [{ spacingIn }] = together([fine], 0.8).once as [WayAsked];
  expect(spacingIn).toBe(0.8);
  const unit = {
    runs: [
      [
        [0, 0.2],
        [1, 0.2],
      ] as const,
    ],
    heightShare: 0.5,
    goesOn: true,
  };
  expect(
    together([{ ...fine, technique: 'guided-pattern', spacingIn: 0.5, unit }], 0.8).once[0]!.spacingIn,
  ).toBe(0.5);
});
test('drawn at its corner it is the drawing of the zone', () => {
  const shape = block(30.25, 12.5);
  const { once, places } = together([{ ...way, technique: 'ruler-lines', look: 'along', shape }]);
  const [at] = places;
  const here = drawWay(once[0]!).lengthIn;
  expect(at).toEqual({ of: 0, dx: 30.25, dy: 12.5 });
  expect(here).toBeCloseTo(drawWay({ ...way, technique: 'ruler-lines', look: 'along', shape }).lengthIn, 3);
});
