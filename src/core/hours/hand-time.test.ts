import { handTime } from './hand-time';

const part = { technique: 'swirls', handsMin: 12, actsMin: 3 } as Parameters<typeof handTime>[0];

test.each([
  [1, 1, 12],
  [1, 2, 6],
  [1.5, 1, 18],
])('predicted for %f in/s and kept at %f: %f minutes of hands', (predicted, kept, minutes) => {
  const now = handTime(part, predicted, kept);
  expect(now.handsMin).toBeCloseTo(minutes, 9);
  // Stops take what they take, whatever the hands do; what was given is left as it was.
  expect({ ...now, handsMin: 12 }).toEqual(part);
  expect(part.handsMin).toBe(12);
});
