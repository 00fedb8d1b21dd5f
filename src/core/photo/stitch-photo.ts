import { CoreError } from '../notes';
import { MM_PER_INCH } from '../units/length';
import type { XY } from '../geometry/polygon';
import { type GreyPicture, profileAlong, smoothed } from './strip';

/** One way to read the line: its stitches and where their holes lie. */
export interface StitchReading {
  stitches: number;
  spi: number;
  meanMm: number;
  /** Evenness: standard deviation of stitch length over its mean, %. */
  cvPct: number;
  longestMm: number;
  shortestMm: number;
  /** Where each hole lies along the line, mm from the first. */
  boundariesMm: number[];
  /** The same holes in the picture, px. */
  spots: XY[];
}

export interface StitchPhoto extends StitchReading {
  /** Good: to be relied on. Look: check the marks by eye. Cannot: no number should be taken from it. */
  trust: 'good' | 'look' | 'cannot';
  /** Why it is not good, in words. */
  reason?: string;
  /** Another count that explains the line nearly as well: half or twice as many, mostly. */
  other?: StitchReading;
}

/** Stitches between these lengths are looked for, mm: 22 to 3.4 to the inch. */
const SHORTEST_MM = 1.15;
const LONGEST_MM = 7.5;
/** Lengths tried, each so much longer than the last. */
const FINER = 1.04;
/** How unlike their neighbours stitches are allowed to be, on the scale of their logarithm. */
const UNEVEN = 0.16;
/** What a hole must show at least, of what the clearest tenth show: more are drawn where it is lower. */
const FAINT = 0.42;
/** Light and shade along the thread longer than this are no stitches, mm. */
const SHADE_MM = 4;
/** Stitch lengths tried lie within this factor of the repeat. */
const AROUND = 1.2;
const TRIED = 4;
/** A stitch is compared in so many places along it. */
const PHASES = 14;
/** Of two counts that explain about as much the one with more stitches stands. */
const ABOUT_AS_WELL = 0.06;
/** Where one stitch explains less of the line than this, the count is not relied on. */
const EXPLAINED = 0.3;
const HARDLY = 0.2;
const CLEAR_AT_ALL = 0.35;
/** Another count is shown where it explains nearly as much of the line. */
const RIVALS = 0.2;
/** Of the holes so many must be clear, and stitches no more uneven than this, %, for a count to be called good. */
const CLEAR_HOLES = 0.9;
const VERY_UNEVEN = 16;
const FEWEST_STEPS = 60;
const FEWEST_STITCHES = 4;

/**
 * Stitches along a line in a picture: their number, length and evenness, from the places where the thread dives. The
 * line is drawn roughly along the thread, from the first hole to the last.
 * @throws CoreError `no-line` with fewer than two points, `no-scale`, `off-picture`, `bad-picture`.
 */
export function stitchPhoto(picture: GreyPicture, mmPerPx: number, path: readonly XY[]): StitchPhoto {
  checkPicture(picture, mmPerPx, path);
  const { bands, spots, stepMm, lengthMm, clear } = profileAlong(picture, mmPerPx, path);
  if (spots.length < FEWEST_STEPS || lengthMm < FEWEST_STITCHES * SHORTEST_MM)
    return nothing('The line is too short, or the picture too coarse, to count stitches.');
  const found = bands
    .map((band) => {
      const level = smoothed(band, Math.round(SHADE_MM / stepMm));
      return band.map((v, i) => v - level[i]!);
    })
    .flatMap((flat) =>
      repeatsOf(flat, stepMm).flatMap(({ steps, alike }) =>
        ([1, -1] as const).map((sign) => {
          const row = bestHoles(
            flat.map((v) => -sign * v),
            stepMm,
            steps,
          );
          return { ...row, alike, sign, explains: explained(flat, row.holes) };
        }),
      ),
    )
    .filter((f) => f.holes.length > FEWEST_STITCHES)
    .sort((a, b) => b.explains - a.explains);
  const most = found[0]?.explains ?? 0;
  const best = found
    .filter((f) => f.explains > most - ABOUT_AS_WELL)
    .sort((a, b) => b.holes.length - a.holes.length || b.explains - a.explains)[0];
  if (!best)
    return nothing(
      clear < CLEAR_AT_ALL
        ? 'The thread does not stand out from the fabric along this line.'
        : 'No even row of holes is to be seen along this line.',
    );
  const turned = found.find((f) => f.sign !== best.sign) ?? best;
  const unlike = found.filter((f) => f.holes.length !== best.holes.length);
  // Candidates come with what explains most first.
  const rival = unlike.find((f) => f.explains > best.explains - RIVALS);
  const near = unlike.find((f) => Math.abs(f.holes.length / best.holes.length - 1) <= 0.25);
  const read = readingOf(best.holes, stepMm, spots);
  const told = judged(best, turned, {
    cvPct: read.cvPct,
    rivalled: near !== undefined && near.explains >= best.explains,
    faint: clear < CLEAR_AT_ALL,
  });
  return { ...read, ...told, ...(rival ? { other: readingOf(rival.holes, stepMm, spots) } : {}) };
}

/** @throws CoreError where nothing can be measured, with what to do. */
function checkPicture({ width, height, grey }: GreyPicture, mmPerPx: number, path: readonly XY[]): void {
  if (!(mmPerPx > 0) || !Number.isFinite(mmPerPx))
    throw new CoreError(
      'no-scale',
      'Mark the scale first: two points and how far apart they are.',
      'mmPerPx',
    );
  if (!(width >= 8) || !(height >= 8) || grey.length !== width * height)
    throw new CoreError('bad-picture', 'The picture’s size and its grey values do not agree.', 'grayBase64');
  if (path.length < 2)
    throw new CoreError('no-line', 'Draw along the stitches, from the first hole to the last.', 'path');
  if (path.some(([x, y]) => !(x >= -1 && y >= -1 && x <= width && y <= height)))
    throw new CoreError('off-picture', 'The line leaves the picture. Draw it again within it.', 'path');
}

const nothing = (reason: string): StitchPhoto => ({
  stitches: 0,
  spi: 0,
  meanMm: 0,
  cvPct: 0,
  longestMm: 0,
  shortestMm: 0,
  boundariesMm: [],
  spots: [],
  trust: 'cannot',
  reason,
});

/** A row of holes, in steps along the line, as stitches. */
function readingOf(holes: readonly number[], stepMm: number, spots: readonly XY[]): StitchReading {
  const mm = holes.map((s) => s * stepMm);
  const lengths = mm.slice(1).map((x, i) => x - mm[i]!);
  const n = lengths.length;
  const meanMm = (mm.at(-1)! - mm[0]!) / n;
  const sd = Math.sqrt(lengths.reduce((s, x) => s + (x - meanMm) ** 2, 0) / Math.max(1, n - 1));
  return {
    stitches: n,
    spi: MM_PER_INCH / meanMm,
    meanMm,
    cvPct: (sd / meanMm) * 100,
    longestMm: Math.max(...lengths),
    shortestMm: Math.min(...lengths),
    boundariesMm: mm.map((x) => x - mm[0]!),
    spots: holes.map((s) => spots[Math.min(spots.length - 1, Math.round(s))]!),
  };
}

interface Holes {
  /** Steps at which the holes lie, to fractions. */
  holes: number[];
  /** What the holes show together, less what faint ones would. */
  score: number;
  /** Share of the holes that are clear. */
  clearShare: number;
  /** Of what holes show, the share at the middles between them. */
  between: number;
}

/** The row of holes that shows most, about one repeat of the profile apart; one more must show more than a faint one. */
function bestHoles(dips: Float64Array, stepMm: number, repeat: number): Holes {
  let best: Holes = { holes: [], score: -Infinity, clearShare: 0, between: 1 };
  const typical = clearest(smoothed(dips, Math.max(1, Math.round(0.15 / stepMm))));
  if (!(typical > 0)) return best;
  for (let period = repeat / AROUND; period <= repeat * AROUND; period *= FINER) {
    if (period < 5 || dips.length / period < FEWEST_STITCHES - 1) continue;
    const shown = smoothed(dips, Math.max(1, Math.round(period * 0.05))).map((v) => v / typical);
    const { holes, score } = laid(shown, period);
    if (score <= best.score) continue;
    const at = holes.map((h) => shown[h]!);
    const middles = holes.slice(1).map((h, i) => shown[Math.round((h + holes[i]!) / 2)]!);
    const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / Math.max(1, xs.length);
    best = {
      holes: holes.map((h) => refined(shown, h)),
      score,
      clearShare: at.filter((v) => v > FAINT).length / at.length,
      between: mean(middles) / Math.max(1e-6, mean(at)),
    };
  }
  return best;
}

/** What the clearest tenth of the dips show. */
function clearest(dips: Float64Array): number {
  const tops = [...dips].filter(
    (v, i) => v > 0 && v >= (dips[i - 1] ?? -Infinity) && v > (dips[i + 1] ?? -Infinity),
  );
  tops.sort((a, b) => b - a);
  return tops[Math.floor(tops.length * 0.1)] ?? 0;
}

/** Lays holes at distances about a period so that they show most (dynamic programming); first and last near the ends. */
function laid(shown: Float64Array, period: number): { holes: number[]; score: number } {
  const n = shown.length;
  const slack = Math.round(period * 0.25);
  const [near, far] = [Math.max(2, Math.round(period * 0.6)), Math.round(period * 1.6)];
  const cost = Float64Array.from(
    { length: far + 1 },
    (_, d) => (Math.log(Math.max(near, d) / period) / UNEVEN) ** 2 / 8,
  );
  const best = new Float64Array(n).fill(-Infinity);
  const from = new Int32Array(n).fill(-1);
  // The ends are where the line was drawn from and to: a hole lies there even when it shows little.
  const worth = (i: number) => Math.max(shown[i]!, i <= slack || i >= n - 1 - slack ? 0 : -1) - FAINT;
  for (let i = 0; i < n; i++) {
    const own = worth(i);
    if (i <= slack) best[i] = own - 4 * (i / period) ** 2;
    // This runs for every place of every picture: the best so far is held at hand.
    let [most, back] = [best[i]! - own, 0];
    for (let d = near, last = Math.min(far, i); d <= last; d++) {
      const value = best[i - d]! - cost[d]!;
      if (value > most) {
        most = value;
        back = d;
      }
    }
    if (back > 0) {
      best[i] = most + own;
      from[i] = i - back;
    }
  }
  let [end, score] = [-1, -Infinity];
  for (let i = Math.max(0, n - 1 - slack); i < n; i++) {
    const value = best[i]! - 4 * ((n - 1 - i) / period) ** 2;
    if (value > score) [end, score] = [i, value];
  }
  const holes: number[] = [];
  for (let i = end; i >= 0; i = from[i]!) holes.unshift(i);
  return { holes, score };
}

/** A hole's place to a fraction of a step, by the parabola through its neighbours. */
function refined(shown: Float64Array, at: number): number {
  const [a, b, c] = [shown[at - 2], shown[at]!, shown[at + 2]];
  if (a === undefined || c === undefined) return at;
  const bend = a - 2 * b + c;
  return bend < 0 ? at + Math.min(2, Math.max(-2, (a - c) / bend)) : at;
}

/** The profile's likeness with itself so many steps on, −1 to 1. */
function likeness(flat: Float64Array, lag: number): number {
  let xy = 0;
  let xx = 0;
  let yy = 0;
  for (let i = 0; i + lag < flat.length; i++) {
    xy += flat[i]! * flat[i + lag]!;
    xx += flat[i]! ** 2;
    yy += flat[i + lag]! ** 2;
  }
  return xy / Math.sqrt(xx * yy || 1);
}

/** Shifts by which the profile is most like itself: one stitch, or several, or parts of one. Likest first. */
function repeatsOf(profile: Float64Array, stepMm: number): { steps: number; alike: number }[] {
  const flat = smoothed(profile, Math.max(1, Math.round(0.12 / stepMm)));
  const [from, to] = [
    Math.round(SHORTEST_MM / stepMm),
    Math.min(Math.round(LONGEST_MM / stepMm), flat.length >> 1),
  ];
  const alike = Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => likeness(flat, from + i));
  return alike
    .flatMap((v, i) =>
      i > 0 && i < alike.length - 1 && v >= alike[i - 1]! && v > alike[i + 1]!
        ? [{ steps: from + i, alike: v }]
        : [],
    )
    .sort((x, y) => y.alike - x.alike)
    .slice(0, TRIED);
}

/** Share of the profile that one stitch, drawn out or together between holes, explains; fewer stitches explain less. */
function explained(flat: Float64Array, holes: readonly number[]): number {
  const sums = new Float64Array(PHASES);
  const counts = new Float64Array(PHASES);
  let [all, inside] = [0, 0];
  const each = (act: (v: number, phase: number) => void) => {
    for (let k = 1; k < holes.length; k++) {
      const [from, to] = [holes[k - 1]!, holes[k]!];
      for (let s = Math.ceil(from); s < to && s < flat.length; s++)
        act(flat[s]!, Math.min(PHASES - 1, Math.floor(((s - from) / (to - from)) * PHASES)));
    }
  };
  each((v, phase) => {
    sums[phase]! += v;
    counts[phase]! += 1;
    all += v * v;
  });
  each((v, phase) => {
    inside += (v - sums[phase]! / counts[phase]!) ** 2;
  });
  const n = holes.length - 1;
  return n < 2 || all === 0 ? 0 : 1 - (inside / all) * (n / (n - 1));
}

/** How far a count may be trusted, and why not further. */
function judged(
  { holes, clearShare, between, alike, explains }: Holes & { alike: number; explains: number },
  turned: Holes,
  { cvPct, rivalled, faint }: { cvPct: number; rivalled: boolean; faint: boolean },
): Pick<StitchPhoto, 'trust' | 'reason'> {
  const sameCount = holes.length === turned.holes.length;
  const look = (why: string) => ({ trust: 'look' as const, reason: `${why}: check the marks by eye.` });
  if (clearShare < 0.5 || alike < 0.05 || explains < HARDLY || (faint && explains < EXPLAINED))
    return { trust: 'cannot', reason: 'The holes do not stand out evenly enough to be counted.' };
  if (faint) return look('The thread hardly stands out from the fabric; shadows and holes were counted');
  if (clearShare < CLEAR_HOLES) return look('Some holes are faint');
  if (between > 0.2) return look('Something shows between the holes too');
  if (rivalled) return look('Another count fits as well');
  if (cvPct > VERY_UNEVEN) return look('The stitches are very uneven, or one was missed');
  if (alike < 0.3 && !sameCount) return look('The stitches are uneven, or the light is');
  if (explains < EXPLAINED) return look('The stitches look little like one another');
  return { trust: 'good' };
}
