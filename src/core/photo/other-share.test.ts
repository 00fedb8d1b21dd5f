import { otherShare, otherWords } from './other-share';

/** Cloth of one colour, a thread across it, and dots of the other thread at the first so many holes. */
function picture(dots: number) {
  const [width, height] = [220, 30];
  const rgba = new Uint8ClampedArray(width * height * 4);
  const put = (x: number, y: number, c: readonly number[]) => rgba.set([...c, 255], (y * width + x) * 4);
  const holes = Array.from({ length: 10 }, (_, i) => [10 + i * 20, 15] as const);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) put(x, y, Math.abs(y - 15) <= 2 ? [110, 59, 99] : [240, 235, 220]);
  for (const [x, y] of holes.slice(0, dots))
    for (let dy = -2; dy <= 2; dy++) for (let dx = -2; dx <= 2; dx++) put(x + dx, y + dy, [224, 182, 79]);
  return { picture: { width, height, rgba }, holes };
}
const [PLUM, GOLD] = ['#6e3b63', '#e0b64f'];

test.each([0, 3, 7, 10])('%i of ten holes show the other thread', (dots) => {
  const { picture: p, holes } = picture(dots);
  expect(otherShare(p, 0.1, holes, PLUM, GOLD)).toBeCloseTo(dots / 10, 9);
});

test('threads too alike cannot be told apart; without holes nothing is', () => {
  const { picture: p, holes } = picture(5);
  expect(otherShare(p, 0.1, holes, PLUM, '#703d66')).toBeNull();
  expect(otherShare(p, 0.1, [], PLUM, GOLD)).toBeNull();
});

test('the words grow with the share', () => {
  expect([0, 0.3, 0.9].map(otherWords)).toEqual([
    expect.stringMatching(/balanced/),
    expect.stringMatching(/hint/),
    expect.stringMatching(/most/),
  ]);
});
