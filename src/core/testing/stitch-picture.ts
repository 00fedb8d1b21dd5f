import type { XY } from '../geometry/polygon';
import { gaussian, seeded } from './fault-world';

export interface StitchPictureKind {
  spi: number;
  /** Evenness of the stitches, 0.1 is 10 %. */
  cv: number;
  stitches: number;
  mmPerPx: number;
  skewDeg: number;
  thread: number;
  cloth: number;
  threadMm: number;
  /** How much darker the hole is than the cloth, grey values; below 0 the cloth shows light. */
  hole: number;
  blurPx: number;
  noise: number;
  weave: number;
  /** Light falls off by this share over the picture. */
  falloff: number;
  /** A glint in the middle of each stitch, as on a shiny thread, grey values. */
  glint?: number;
  /** A second weave, of so many mm from rib to rib, as strong as the first. */
  ribMm?: number;
  /** Each second stitch longer by this share, as when a machine drags one way. */
  limp?: number;
  /** How far the drawn line strays from the thread, px. */
  stray: number;
}

/** A drawn photograph of a line of stitches with the truth beside it: cloth with weave, thread that shades and dips. */
export function stitchPicture(kind: StitchPictureKind, seed: number) {
  const random = seeded(seed);
  const mean = 25.4 / kind.spi;
  const lengths = Array.from({ length: kind.stitches }, () =>
    Math.max(mean * 0.35, mean * (1 + kind.cv * gaussian(random))),
  ).map((l, i) => l * (1 + (kind.limp ?? 0) * (i % 2 ? 1 : -1)));
  const holes = lengths.reduce<number[]>((at, l) => [...at, at.at(-1)! + l], [0]);
  const total = holes.at(-1)!;
  const angle = (kind.skewDeg * Math.PI) / 180;
  const margin = 3;
  const width = Math.ceil((total * Math.cos(angle) + 2 * margin) / kind.mmPerPx);
  const height = Math.ceil((total * Math.abs(Math.sin(angle)) + 2 * margin + 2) / kind.mmPerPx);
  const y0 = angle >= 0 ? margin + 1 : margin + 1 + total * Math.sin(-angle);
  const sharp = new Float64Array(width * height);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const weft = Float64Array.from({ length: width }, (_, i) => {
    const x = i * kind.mmPerPx - margin;
    return Math.sin(x * 16) + (kind.ribMm ? 1.5 * Math.sin((2 * Math.PI * x) / kind.ribMm) : 0);
  });
  let k = 0;
  for (let j = 0; j < height; j++) {
    const y = j * kind.mmPerPx - y0;
    const warp = Math.sin(y * 16);
    for (let i = 0; i < width; i++, k++) {
      const x = i * kind.mmPerPx - margin;
      const s = x * cos + y * sin;
      const d = Math.abs(-x * sin + y * cos);
      let v = kind.cloth + kind.weave * (weft[i]! + warp);
      // Beyond a millimetre from the line there is cloth only.
      if (d > 1) {
        sharp[k] = v * (1 - kind.falloff * (i / width));
        continue;
      }
      let at = s >= 0 && s < total ? 0 : -1;
      if (at === 0) while (holes[at + 1]! <= s) at++;
      if (at >= 0) {
        const f = (s - holes[at]!) / (holes[at + 1]! - holes[at]!);
        const rise = Math.sin(Math.PI * f) ** 0.5;
        const half = (kind.threadMm / 2) * (0.55 + 0.45 * rise);
        if (d < half) {
          const round = Math.sqrt(1 - (d / half) ** 2);
          const twist = 0.06 * Math.sin((s / 0.4) * 2 * Math.PI + d * 6);
          v = kind.thread * (0.62 + 0.3 * rise * round + 0.08 * round + twist);
          v += (kind.glint ?? 0) * round * Math.exp(-((f - 0.5) ** 2) / (2 * 0.12 ** 2));
        }
      }
      const nearest = at >= 0 ? Math.min(s - holes[at]!, holes[at + 1]! - s) : s < 0 ? -s : s - total;
      v -= kind.hole * Math.exp(-(nearest ** 2 + d ** 2) / (2 * 0.16 ** 2));
      sharp[k] = v * (1 - kind.falloff * (i / width));
    }
  }
  const grey = new Uint8Array(width * height);
  const radius = Math.ceil(kind.blurPx * 2.5);
  const weights = Array.from({ length: 2 * radius + 1 }, (_, i) =>
    kind.blurPx > 0 ? Math.exp(-((i - radius) ** 2) / (2 * kind.blurPx ** 2)) : 1,
  );
  const sum = weights.reduce((a, b) => a + b, 0);
  const pass = (from: Float64Array, dx: number, dy: number) => {
    const to = new Float64Array(from.length);
    for (let j = 0, n = 0; j < height; j++)
      for (let i = 0; i < width; i++, n++)
        for (let r = -radius; r <= radius; r++) {
          const x = Math.min(width - 1, Math.max(0, i + dx * r));
          const y = Math.min(height - 1, Math.max(0, j + dy * r));
          to[n]! += (weights[r + radius]! / sum) * from[y * width + x]!;
        }
    return to;
  };
  const blurred = radius > 0 ? pass(pass(sharp, 1, 0), 0, 1) : sharp;
  blurred.forEach((v, n) => {
    grey[n] = Math.min(255, Math.max(0, Math.round(v + kind.noise * gaussian(random))));
  });
  const spot = (s: number, stray: number): XY => [
    (margin + s * Math.cos(angle)) / kind.mmPerPx,
    (y0 + s * Math.sin(angle)) / kind.mmPerPx + stray,
  ];
  const path = Array.from({ length: 6 }, (_, n) =>
    spot((total * n) / 5, n === 0 || n === 5 ? 0 : kind.stray * (2 * random() - 1)),
  );
  const trueMean = total / kind.stitches;
  const sd = Math.sqrt(lengths.reduce((s, l) => s + (l - trueMean) ** 2, 0) / (kind.stitches - 1));
  return {
    picture: { width, height, grey },
    path,
    mmPerPx: kind.mmPerPx,
    truth: { stitches: kind.stitches, spi: 25.4 / trueMean, cvPct: (sd / trueMean) * 100, holes },
  };
}

/** A picture as a quilter might take it, by chance. */
export function anyPicture(seed: number) {
  const random = seeded(seed * 7919 + 1);
  const between = (a: number, b: number) => a + (b - a) * random();
  const light = random() < 0.5;
  const cloth = between(70, 190);
  const apart = between(22, 90) * (light ? 1 : -1);
  return stitchPicture(
    {
      spi: between(7, 14),
      cv: between(0.03, 0.16),
      stitches: Math.round(between(10, 30)),
      mmPerPx: between(0.05, 0.13),
      skewDeg: between(-15, 15),
      cloth,
      thread: Math.min(250, Math.max(20, cloth + apart)) / 0.85,
      threadMm: between(0.25, 0.5),
      hole: between(10, 60),
      blurPx: between(0, 1.6),
      noise: between(1, 9),
      weave: between(1, 7),
      falloff: between(0, 0.3),
      stray: between(0, 3),
    },
    seed,
  );
}

/** Pictures of another hand: shiny or tonal thread, ribbed cloth, a limping machine, longer lines, finer and longer stitches. */
export function otherPicture(seed: number) {
  const random = seeded(seed * 104729 + 3);
  const between = (a: number, b: number) => a + (b - a) * random();
  const cloth = between(50, 215);
  const apart = between(4, 70) * (random() < 0.5 ? 1 : -1);
  return stitchPicture(
    {
      spi: between(6, 17),
      cv: between(0.02, 0.2),
      stitches: Math.round(between(8, 48)),
      mmPerPx: between(0.04, 0.14),
      skewDeg: between(-25, 25),
      cloth,
      thread: Math.min(250, Math.max(15, cloth + apart)) / 0.85,
      threadMm: between(0.2, 0.6),
      hole: random() < 0.2 ? between(-30, 0) : between(4, 50),
      blurPx: between(0.3, 2),
      noise: between(1, 12),
      weave: between(0, 9),
      falloff: between(0, 0.5),
      stray: between(0, 5),
      glint: random() < 0.5 ? between(10, 60) : 0,
      ribMm: random() < 0.35 ? between(0.8, 3) : undefined,
      limp: random() < 0.2 ? between(0.05, 0.18) : 0,
    },
    seed,
  );
}
