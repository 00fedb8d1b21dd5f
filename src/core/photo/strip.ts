import type { XY } from '../geometry/polygon';
/** A grey picture, 0 (black) to 255, row by row. */
export interface GreyPicture {
  width: number;
  height: number;
  grey: ArrayLike<number>;
}

/** A line of stitches laid straight: how much its thread stands out from the cloth, step by step. */
export interface Profile {
  /**
   * Contrast of thread to cloth at each step, grey values, above 0 where it looks like the thread does on the whole: over
   * its width, at its core, and along its edges, where it narrows towards a hole.
   */
  bands: Float64Array[];
  /** Where each step lies in the picture, px. */
  spots: XY[];
  /** Millimetres from step to step, along the thread. */
  stepMm: number;
  lengthMm: number;
  /** Mean contrast over its noise: below 1 there is no line to be seen. */
  clear: number;
}

/** Steps along the line, px. */
const STEP_PX = 0.5;
/** The thread is looked for so far to either side of the line drawn, mm. */
const BESIDE_MM = 1.3;
/** Light and shade of the cloth change over such lengths, mm. */
const SHADE_MM = 6;
/** Nodes of the thread's own line stand so far apart, mm. */
const NODE_MM = 1.2;

/** The core and the edge of the thread, in its half widths. */
const CORE = 0.6;
const EDGE = 1.4;

const clamp = (x: number, lo: number, hi: number) => Math.min(hi, Math.max(lo, x));

function bilinear({ width, height, grey }: GreyPicture, x: number, y: number): number {
  const cx = clamp(x, 0, width - 1.001);
  const cy = clamp(y, 0, height - 1.001);
  const x0 = Math.floor(cx);
  const y0 = Math.floor(cy);
  const fx = cx - x0;
  const fy = cy - y0;
  const at = (i: number, j: number) => grey[j * width + i]!;
  return (
    (at(x0, y0) * (1 - fx) + at(x0 + 1, y0) * fx) * (1 - fy) +
    (at(x0, y0 + 1) * (1 - fx) + at(x0 + 1, y0 + 1) * fx) * fy
  );
}

/** A polyline in even steps. */
function evenly(path: readonly XY[], step: number): XY[] {
  const lengths = path.slice(1).map((p, i) => Math.hypot(p[0] - path[i]![0], p[1] - path[i]![1]));
  const total = lengths.reduce((a, b) => a + b, 0);
  const count = Math.max(2, Math.round(total / step) + 1);
  const spots: XY[] = [];
  let [leg, gone] = [0, 0];
  for (let k = 0; k < count; k++) {
    const at = (total * k) / (count - 1);
    while (leg < lengths.length - 1 && gone + lengths[leg]! < at) gone += lengths[leg++]!;
    const [a, b] = [path[leg]!, path[leg + 1]!];
    const f = lengths[leg]! > 0 ? clamp((at - gone) / lengths[leg]!, 0, 1) : 0;
    spots.push([a[0] + (b[0] - a[0]) * f, a[1] + (b[1] - a[1]) * f]);
  }
  return spots;
}

/** Mean over a window of so many steps to either side; at the ends over what there is. */
export function smoothed(values: ArrayLike<number>, half: number): Float64Array {
  const n = values.length;
  const sums = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) sums[i + 1] = sums[i]! + values[i]!;
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const a = Math.max(0, i - half);
    const b = Math.min(n, i + half + 1);
    out[i] = (sums[b]! - sums[a]!) / (b - a);
  }
  return out;
}

const normals = (spots: readonly XY[]): XY[] =>
  spots.map((_, i) => {
    const [a, b] = [spots[Math.max(0, i - 3)]!, spots[Math.min(spots.length - 1, i + 3)]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    return [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
  });

/**
 * Follows the thread near a line drawn roughly along it, and reads how much it stands out from the cloth beside it.
 * The line drawn runs from the first hole to the last; mmPerPx is the picture's scale.
 */
export function profileAlong(picture: GreyPicture, mmPerPx: number, path: readonly XY[]): Profile {
  const drawn = evenly(path, STEP_PX);
  const beside = Math.max(4, Math.round(BESIDE_MM / mmPerPx));
  const offsets = Array.from({ length: 2 * beside + 1 }, (_, i) => i - beside);
  const across = normals(drawn);
  const rows = offsets.map((o) =>
    Float64Array.from(drawn, ([x, y], i) => bilinear(picture, x + across[i]![0] * o, y + across[i]![1] * o)),
  );
  // Dips at the holes must not draw the line aside: what is followed is smoothed over several stitches.
  const long = Math.round(SHADE_MM / 2 / mmPerPx / STEP_PX);
  const calm = rows.map((r) => smoothed(r, long));
  const cloth = drawn.map((_, s) => {
    const column = calm.map((r) => r[s]!).sort((a, b) => a - b);
    return column[Math.floor(column.length / 2)]!;
  });
  const energy = (sign: 1 | -1) =>
    drawn.reduce((sum, _, s) => sum + Math.max(...calm.map((r) => sign * (r[s]! - cloth[s]!))), 0);
  const sign = energy(1) >= energy(-1) ? 1 : -1;
  const line = followed(calm, cloth, sign, Math.max(1, Math.round(NODE_MM / mmPerPx / STEP_PX)));
  const spots = drawn.map<XY>(([x, y], i) => [
    x + across[i]![0] * (line[i]! - beside),
    y + across[i]![1] * (line[i]! - beside),
  ]);
  const half = threadHalfPx(rows, cloth, line, sign, beside);
  const within = [
    [0, half],
    [0, half * CORE],
    [half * CORE, half * EDGE],
  ] as const;
  const own = within.map(() => new Float64Array(drawn.length));
  const ground = new Float64Array(drawn.length);
  drawn.forEach((_, s) => {
    const mean = (from: number, to: number) => {
      let sum = 0;
      let n = 0;
      for (let o = 0; o < rows.length; o++) {
        // A row counts by how much of it lies between, so that a line between rows does not flicker.
        const d = Math.abs(o - line[s]!);
        const part = clamp(Math.min(to - d, d - from) + 0.5, 0, 1);
        sum += part * rows[o]![s]!;
        n += part;
      }
      return n > 0 ? sum / n : cloth[s]!;
    };
    within.forEach(([from, to], k) => (own[k]![s] = mean(from === 0 ? -1 : from, to)));
    ground[s] = mean(half * 2 + 1, Infinity);
  });
  const even = smoothed(ground, long);
  const bands = own.map((o) => o.map((v, s) => sign * (v - even[s]!)));
  const [whole] = bands as [Float64Array];
  const rough = Math.sqrt(ground.reduce((sum, g, s) => sum + (g - even[s]!) ** 2, 0) / ground.length);
  const lengthPx = spots
    .slice(1)
    .reduce((sum, p, i) => sum + Math.hypot(p[0] - spots[i]![0], p[1] - spots[i]![1]), 0);
  return {
    bands,
    spots,
    stepMm: (lengthPx * mmPerPx) / Math.max(1, spots.length - 1),
    lengthMm: lengthPx * mmPerPx,
    clear: whole.reduce((a, b) => a + b, 0) / whole.length / Math.max(0.5, rough),
  };
}

/** The row the thread lies in at every step: the strongest line that bends little (dynamic programming over nodes). */
function followed(
  rows: readonly Float64Array[],
  cloth: readonly number[],
  sign: 1 | -1,
  apart: number,
): Float64Array {
  const steps = cloth.length;
  const nodes = Math.max(2, Math.ceil(steps / apart));
  const at = (k: number) => Math.min(steps - 1, Math.round((k * (steps - 1)) / (nodes - 1)));
  const strength = (k: number, o: number) => {
    const s = at(k);
    return (
      (sign *
        ((rows[o - 1] ?? rows[o]!)[s]! + 2 * rows[o]![s]! + (rows[o + 1] ?? rows[o]!)[s]! - 4 * cloth[s]!)) /
      4
    );
  };
  const bend = Math.max(1, Math.abs(strength(0, (rows.length - 1) >> 1))) * 0.25;
  let best = rows.map((_, o) => strength(0, o));
  const from: number[][] = [];
  for (let k = 1; k < nodes; k++) {
    const own: number[] = [];
    best = rows.map((_, o) => {
      let top = -Infinity;
      let where = o;
      for (let p = Math.max(0, o - 3); p <= Math.min(rows.length - 1, o + 3); p++) {
        const value = best[p]! - bend * (p - o) ** 2;
        if (value > top) {
          top = value;
          where = p;
        }
      }
      own[o] = where;
      return top + strength(k, o);
    });
    from.push(own);
  }
  const picked = new Array<number>(nodes);
  picked[nodes - 1] = best.indexOf(Math.max(...best));
  for (let k = nodes - 1; k > 0; k--) picked[k - 1] = from[k - 1]![picked[k]!]!;
  const line = Float64Array.from({ length: steps }, (_, s) => {
    const x = (s / (steps - 1)) * (nodes - 1);
    const k = Math.min(nodes - 2, Math.floor(x));
    return picked[k]! + (picked[k + 1]! - picked[k]!) * (x - k);
  });
  return smoothed(line, apart * 2);
}

/** Half the thread's width: where its contrast has fallen to half, px. */
function threadHalfPx(
  rows: readonly Float64Array[],
  cloth: readonly number[],
  line: Float64Array,
  sign: 1 | -1,
  beside: number,
): number {
  const mean = Array.from({ length: beside }, (_, d) => {
    let sum = 0;
    let n = 0;
    for (let s = 0; s < line.length; s += 2)
      for (const o of [Math.round(line[s]! - d), Math.round(line[s]! + d)]) {
        const row = rows[o];
        if (!row) continue;
        sum += sign * (row[s]! - cloth[s]!);
        n++;
      }
    return n > 0 ? sum / n : 0;
  });
  const half = mean.findIndex((v) => v < mean[0]! / 2);
  return clamp(half < 0 ? beside / 3 : half, 1, beside / 2.5);
}
