import { noticesOf } from './Notices';

const quiet = {
  storeFails: false,
  refused: null,
  roll: null,
  lookAtBack: false,
  needleShare: 0.3,
  square: null,
  sewnOnMs: null,
};
const keys = (part: Partial<Parameters<typeof noticesOf>[0]>) =>
  noticesOf({ ...quiet, ...part }).map((n) => n.key);

test('nothing is said when nothing is wanted', () => expect(noticesOf(quiet)).toEqual([]));

test('what loses work comes before what can wait', () => {
  expect(
    keys({
      sewnOnMs: 31 * 60_000,
      roll: { from: 3, to: 4, back: false, rail: null },
      lookAtBack: true,
      storeFails: true,
    }),
  ).toEqual(['store', 'roll', 'back', 'posture']);
});

test('a needle is called worn from nine tenths of its life, with the share', () => {
  expect(keys({ needleShare: 0.89 })).toEqual([]);
  expect(noticesOf({ ...quiet, needleShare: 0.94 })[0]!.words).toBe('The needle is worn: 94 % of its life.');
});

test('only a change of width that is real is told', () => {
  const square = { real: false, words: 'flaring 0.3 in a pass' } as NonNullable<
    Parameters<typeof noticesOf>[0]['square']
  >;
  expect(keys({ square })).toEqual([]);
  expect(noticesOf({ ...quiet, square: { ...square, real: true } })[0]!.words).toMatch(/^flaring/);
});

test('a refused entry is named with its reason, and what can be answered has a button', () => {
  const refused = {
    id: 'x',
    reason: 'There is no such pass.',
    entry: { id: 'x', quiltId: 'q', kind: 'step-done', at: '2026-11-26T09:00:00Z' },
  } as const;
  const [told] = noticesOf({ ...quiet, refused });
  expect(told!.words).toMatch(/would not take “.+”: There is no such pass\.$/);
  expect(told!.answer).toBe('Seen');
});

test('rolling says where to and what the rail needs, forth and back', () => {
  const words = (roll: Parameters<typeof noticesOf>[0]['roll']) => noticesOf({ ...quiet, roll })[0];
  expect(words({ from: 3, to: 4, back: false, rail: 'raise' })).toMatchObject({
    words: 'Advance to pass 4: the roll has grown, raise the rail.',
    answer: 'Advance',
  });
  expect(words({ from: 4, to: 3, back: true, rail: 'lower' })).toMatchObject({
    words: 'Roll back to pass 3: the roll is thinner again, lower the rail.',
    answer: 'Roll back',
  });
});
