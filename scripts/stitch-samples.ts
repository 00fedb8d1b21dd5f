// Draws the four sample photographs of stitches that ship with the app, a centimetre marked on each.
import { mkdirSync, writeFileSync } from 'node:fs';
import { PNG } from 'pngjs';
import { stitchPicture, type StitchPictureKind } from '@/core/testing/stitch-picture';

const usual: StitchPictureKind = {
  spi: 11,
  cv: 0.05,
  stitches: 18,
  mmPerPx: 0.06,
  skewDeg: 0,
  thread: 90,
  cloth: 200,
  threadMm: 0.35,
  hole: 50,
  blurPx: 1.2,
  noise: 4,
  weave: 5,
  falloff: 0.15,
  stray: 4,
};
/** Each: the kind, and the tint of its light parts. */
const SAMPLES: readonly (readonly [Partial<StitchPictureKind>, readonly [number, number, number]])[] = [
  [{}, [1, 0.97, 0.9]],
  [{ spi: 9, cv: 0.16, skewDeg: 7, thread: 215, cloth: 105 }, [0.86, 0.95, 1]],
  [{ spi: 13, skewDeg: -9, blurPx: 2, noise: 8, cloth: 150, thread: 70 }, [0.95, 1, 0.92]],
  [{ spi: 10, cv: 0.09, cloth: 150, thread: 168, noise: 12, blurPx: 2.2, hole: 14 }, [1, 0.94, 0.94]],
];

mkdirSync('public/samples', { recursive: true });
SAMPLES.forEach(([part, tint], n) => {
  const { picture, mmPerPx } = stitchPicture({ ...usual, ...part }, 40 + n);
  const png = new PNG({ width: picture.width, height: picture.height });
  picture.grey.forEach((v, i) => png.data.set([v * tint[0], v * tint[1], v * tint[2], 255], i * 4));
  const cm = Math.round(10 / mmPerPx);
  const [x0, y] = [20, picture.height - 14];
  const put = (x: number, row: number) => png.data.set([32, 38, 43, 255], (row * png.width + x) * 4);
  for (let x = x0; x <= x0 + cm; x++) for (const row of [y, y + 1]) put(x, row);
  for (let row = y - 8; row < y + 9; row++) for (const x of [x0, x0 + 1, x0 + cm - 1, x0 + cm]) put(x, row);
  writeFileSync(`public/samples/stitches-${n + 1}.png`, PNG.sync.write(png));
});
