import { anyPicture, otherPicture, stitchPicture, type StitchPictureKind } from '../testing/stitch-picture';
import { stitchPhoto } from './stitch-photo';

const plain: StitchPictureKind = {
  spi: 10,
  cv: 0.06,
  stitches: 10,
  mmPerPx: 0.12,
  skewDeg: 6,
  thread: 240,
  cloth: 110,
  threadMm: 0.4,
  hole: 40,
  blurPx: 0.8,
  noise: 3,
  weave: 3,
  falloff: 0.1,
  stray: 1.5,
};

test.each([
  ['a light thread on darker fabric', {}],
  ['a dark thread on light fabric', { thread: 60, cloth: 190, hole: 15, stitches: 16, mmPerPx: 0.08 }],
  [
    'a line that falls by 15°, a little out of focus, in light that falls off by a third',
    { skewDeg: -15, blurPx: 1.2, falloff: 0.33 },
  ],
])('%s: every stitch is counted, every hole found', (_, part) => {
  const { picture, path, mmPerPx, truth } = stitchPicture({ ...plain, ...part }, 4);
  const told = stitchPhoto(picture, mmPerPx, path);
  expect(told.stitches).toBe(truth.stitches);
  expect(Math.abs(told.spi / truth.spi - 1)).toBeLessThan(0.02);
  expect(Math.abs(told.cvPct - truth.cvPct)).toBeLessThan(3);
  expect(told.trust).toBe('good');
  for (const [i, mm] of told.boundariesMm.entries()) expect(Math.abs(mm - truth.holes[i]!)).toBeLessThan(0.5);
  expect(told.longestMm).toBeGreaterThan(told.shortestMm);
});

test('fabric without a thread, a line too short: no number, and why', () => {
  const { picture, path, mmPerPx } = stitchPicture({ ...plain, threadMm: 0.001, hole: 0, noise: 8 }, 2);
  expect(stitchPhoto(picture, mmPerPx, path)).toMatchObject({
    trust: 'cannot',
    reason: expect.any(String) as string,
  });
  const [a] = path;
  expect(stitchPhoto(picture, mmPerPx, [a!, [a![0] + 9, a![1]]])).toMatchObject({
    trust: 'cannot',
    stitches: 0,
  });
});

test.each([
  [[[5, 5]], 0.1, 'no-line'],
  [
    [
      [5, 5],
      [90, 9],
    ],
    0,
    'no-scale',
  ],
  [
    [
      [5, 5],
      [9000, 9],
    ],
    0.1,
    'off-picture',
  ],
] as const)('%j at %d mm a pixel is refused as %s', (path, mmPerPx, code) => {
  const picture = { width: 100, height: 20, grey: new Uint8Array(2000) };
  expect(() => stitchPhoto(picture, mmPerPx, path)).toThrow(expect.objectContaining({ code }) as Error);
});

test('a picture whose size and values do not agree is refused', () => {
  expect(() =>
    stitchPhoto({ width: 100, height: 20, grey: [1, 2] }, 0.1, [
      [0, 0],
      [9, 9],
    ]),
  ).toThrow(/do not agree/);
});

/** Fourteen pictures of a kind, read once for all that is asked of them. */
const read = (draw: typeof anyPicture) =>
  Array.from({ length: 14 }, (_, i) => {
    const { picture, path, mmPerPx, truth } = draw(7000 + i);
    return { told: stitchPhoto(picture, mmPerPx, path), truth };
  });
let ofAnotherHand: ReturnType<typeof read>;
beforeAll(() => {
  ofAnotherHand = read(otherPicture);
});

test.each([
  ['as a quilter might take it', () => read(anyPicture), 0.85],
  ['of another hand: shiny, tonal, ribbed, limping', () => ofAnotherHand, 0.8],
] as const)('what is called good is good, on pictures %s', (_, pictures, least) => {
  const all = pictures().map(({ told, truth }) => ({
    good: told.trust === 'good',
    right: Math.abs(told.spi / truth.spi - 1) <= 0.02,
  }));
  const good = all.filter((t) => t.good);
  expect(good.length / all.length).toBeGreaterThan(0.4);
  expect(good.filter((t) => t.right).length / good.length).toBeGreaterThan(least);
  expect(all.filter((t) => t.right).length / all.length).toBeGreaterThan(0.7);
});
test('where half or twice as many explain the line nearly as well, the other count is shown', () => {
  const shown = ofAnotherHand.map((p) => p.told).filter((t) => t.other);
  expect(shown.length).toBeGreaterThan(0);
  for (const t of shown) {
    expect(t.other!.stitches).not.toBe(t.stitches);
    expect(t.other!.spots).toHaveLength(t.other!.stitches + 1);
  }
});
