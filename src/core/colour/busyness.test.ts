import fc from 'fast-check';
import { busynessOf } from './busyness';

test.each([
  ['one colour', [['#1f6f70', 1]], 0],
  [
    'two shades of one blue',
    [
      ['#4c6f92', 0.5],
      ['#5c7fa2', 0.5],
    ],
    1,
  ],
  [
    'a quiet print',
    [
      ['#d9c39a', 0.75],
      ['#8a9a7b', 0.25],
    ],
    2,
  ],
  [
    'red and green in equal parts',
    [
      ['#9a1f2b', 0.5],
      ['#1f5a32', 0.5],
    ],
    3,
  ],
  [
    'a few sprigs on a plain ground: no more than tone on tone',
    [
      ['#efe9da', 0.97],
      ['#9a1f2b', 0.03],
    ],
    1,
  ],
] as const)('%s', (_, colours, busy) => {
  expect(busynessOf(colours.map(([hex, share]) => ({ hex, share })))).toBe(busy);
});

test('shares count by their proportion, whatever they add up to', () => {
  const hex = fc.constantFrom('#9a1f2b', '#1f5a32', '#efe9da', '#33485a');
  fc.assert(
    fc.property(
      fc.array(fc.record({ hex, share: fc.double({ min: 0.01, max: 1, noNaN: true }) }), {
        minLength: 1,
        maxLength: 6,
      }),
      fc.double({ min: 0.1, max: 50, noNaN: true }),
      (colours, by) => {
        expect(busynessOf(colours.map((c) => ({ ...c, share: c.share * by })))).toBe(busynessOf(colours));
      },
    ),
  );
});
