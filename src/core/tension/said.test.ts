import { placeOn, scalesOf } from '../machine/scales';
import { tensionSaid } from './said';

const scales = scalesOf([
  {
    kind: 'top-dial',
    points: [
      { mark: 2, value: 60 },
      { mark: 6, value: 140 },
    ],
  },
]);

test.each([
  ['gauge', { big: '100', unit: 'g', beside: '' }],
  ['both', { big: '100', unit: 'g', beside: 'mark 4' }],
  ['dial', { big: 'mark 4', unit: '', beside: 'about 100 g on a gauge' }],
] as const)('a studio with %s', (school, said) =>
  expect(tensionSaid(school, 'top-dial', 100, placeOn(scales, 'top-dial', 100))).toEqual(said),
);
test('with neither gauge nor measured dial it is told by feel and by the drop test, the tighter the shorter', () => {
  expect(tensionSaid('dial', 'top-dial', 50, null).big).toBe('light');
  expect(tensionSaid('dial', 'top-dial', 120, null).big).toBe('firm');
  const inches = [15, 20, 25, 29].map((gf) =>
    Number(/(\d+) in/.exec(tensionSaid('dial', 'bobbin-turns', gf, null).big)![1]),
  );
  expect(inches).toEqual([...inches].sort((a, b) => b - a));
});
