import fc from 'fast-check';
import { deltaEHex } from './delta-e';
import { palette } from './palette';

type RGB = readonly [number, number, number];
const hexOf = (c: RGB) => `#${c.map((v) => v.toString(16).padStart(2, '0')).join('')}`;

/** A picture of plain areas, each with its share of 200 × 200 px, with a little noise like a camera's. */
function picture(areas: readonly (readonly [RGB, number])[], noise = 0, pixels = 40_000): number[] {
  let seed = 11;
  const random = () => ((seed = (seed * 48271) % 2147483647) / 2147483647 - 0.5) * 2;
  return areas.flatMap(([c, share]) =>
    Array.from({ length: Math.round(share * pixels) }, () => [
      ...c.map((v) => Math.max(0, Math.min(255, Math.round(v + noise * random())))),
      255,
    ]).flat(),
  );
}

const haze: RGB = [186, 200, 203];
const navy: RGB = [51, 72, 90];
const lamp: RGB = [227, 188, 98];

test('the colours of plain areas, largest first, with their shares', () => {
  const found = palette(
    picture([
      [navy, 0.3],
      [haze, 0.6],
      [lamp, 0.1],
    ]),
  );
  expect(found).toHaveLength(3);
  expect(found.map((c) => Math.round(c.share * 100))).toEqual([60, 30, 10]);
  [haze, navy, lamp].forEach((c, i) => expect(deltaEHex(found[i]!.hex, hexOf(c))).toBeLessThan(1));
});

test('noise of a camera neither splits a fabric nor moves its colour', () => {
  const found = palette(
    picture(
      [
        [navy, 0.35],
        [haze, 0.65],
      ],
      5,
    ),
  );
  expect(found).toHaveLength(2);
  expect(deltaEHex(found[0]!.hex, hexOf(haze))).toBeLessThan(2);
  expect(found[1]!.share).toBeCloseTo(0.35, 1);
});

test('one fabric is one colour', () => {
  expect(palette(picture([[lamp, 1]]))).toEqual([{ hex: hexOf(lamp), share: 1 }]);
});

test('slivers are dropped and the shares still add up to one', () => {
  const found = palette(
    picture([
      [navy, 0.495],
      [haze, 0.495],
      [[220, 20, 40], 0.004],
    ]),
  );
  expect(found).toHaveLength(2);
  expect(found.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
});

test('not more colours than asked for', () => {
  const many = Array.from({ length: 8 }, (_, i): readonly [RGB, number] => [
    [(i * 83) % 256, (i * 151) % 256, i * 30],
    1 / 8,
  ]);
  expect(palette(picture(many), 4).length).toBeLessThanOrEqual(4);
});

test('what is transparent does not count', () => {
  const clear = picture([[navy, 0.5]]).map((v, i) => (i % 4 === 3 ? 0 : v));
  expect(palette([...clear, ...picture([[haze, 0.5]])])).toEqual([{ hex: hexOf(haze), share: 1 }]);
  expect(palette(clear)).toEqual([]);
  expect(palette([])).toEqual([]);
});

test('the same picture gives the same answer, and shares always add up', () => {
  const colour = fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255));
  fc.assert(
    fc.property(fc.array(colour, { minLength: 1, maxLength: 5 }), (colours) => {
      const pixels = picture(
        colours.map((c) => [c, 1 / colours.length]),
        6,
        3000,
      );
      const found = palette(pixels);
      expect(palette(pixels)).toEqual(found);
      expect(found.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
      // Every area of the picture is near a colour of the answer, or a neighbour it was joined with.
      for (const c of colours)
        expect(Math.min(...found.map((f) => deltaEHex(f.hex, hexOf(c))))).toBeLessThan(16);
    }),
    { numRuns: 8 },
  );
});
