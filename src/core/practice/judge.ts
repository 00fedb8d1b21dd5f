import { edgeDistance, type XY } from '../geometry/polygon';
import { type PathPoint, type Regulated, regulated, type RegulatorRequest } from '../machine/regulator';
import { tQuantile } from '../statistics/normal';
import { type Drill, DRILLS } from './drills';

/** What a drill came to. */
export interface Judged extends Regulated {
  /** Mean distance from the line, and what nineteen twentieths keep to, inches. */
  offIn: number;
  widestIn: number;
  /** Share of the line that was come by within a quarter inch. */
  donePct: number;
  /** Unevenness of the hands' speed, coefficient of variation. */
  speedCvPct: number;
  /**
   * Tremor: the root mean square of what is left beside a fifth of a second's curve, thousandths of an inch; null where
   * the hand was looked at too seldom to tell.
   */
  wobbleMil: number | null;
  /** Of the points to rest in, how many were rested in; null where there are none. */
  rested: { of: number; in: number } | null;
  /** One thing to try next. */
  tryNext: string;
}

/** In manual mode the needle is set for hands that move so fast, in/s. */
const MANUAL_IN_PER_S = 2;

/** A drawn drill as the regulator is asked about it. */
export const drillRequest = (
  machine: RegulatorRequest['machine'],
  mode: RegulatorRequest['mode'],
  spi: number,
  path: readonly PathPoint[],
): RegulatorRequest => ({ machine, mode, spi, manualSpm: MANUAL_IN_PER_S * spi * 60, path });

const NEAR_IN = 0.25;
const STEP_MS = 20;
/** Hands keep so far under what the needle can follow. */
const HEADROOM = 0.9;
/** A rest is slower than this near its point, in/s. */
const REST_IN_PER_S = 0.4;
const REST_NEAR_IN = 0.2;

/** The distance of a point from a line of points. */
const awayFrom = (at: XY, line: readonly XY[]): number =>
  line.reduce((best, p, i) => (i === 0 ? best : Math.min(best, edgeDistance(at, line[i - 1]!, p))), Infinity);

/** A path at even times. */
function resampled(path: readonly PathPoint[]): XY[] {
  const out: XY[] = [];
  let i = 1;
  for (let t = path[0]!.tMs; t <= path.at(-1)!.tMs; t += STEP_MS) {
    while (path[i]!.tMs < t) i++;
    const [a, b] = [path[i - 1]!, path[i]!];
    const k = Math.max(0, Math.min(1, (t - a.tMs) / (b.tMs - a.tMs)));
    out.push([a.xIn + (b.xIn - a.xIn) * k, a.yIn + (b.yIn - a.yIn) * k]);
  }
  return out;
}

/** Points of a line at even distances. */
function spread(line: readonly XY[], stepIn: number): XY[] {
  const out: XY[] = [line[0]!];
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const n = Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / stepIn);
    for (let k = 1; k <= n; k++) out.push([a[0] + ((b[0] - a[0]) * k) / n, a[1] + ((b[1] - a[1]) * k) / n]);
  }
  return out;
}

/** What is left when a parabola is laid through eleven places, which bends as a curve does (Savitzky and Golay, 1964). */
const PARABOLA = [-36, 9, 44, 69, 84, 89, 84, 69, 44, 9, -36].map((w) => w / 429);

function wobbleOf(points: readonly XY[]): number {
  const half = (PARABOLA.length - 1) / 2;
  let [sum, n] = [0, 0];
  for (let i = half; i < points.length - half; i++) {
    const [x, y] = [0, 1].map((k) =>
      PARABOLA.reduce((s, w, m) => s + w * points[i - half + m]![k as 0 | 1], 0),
    );
    sum += (points[i]![0] - x!) ** 2 + (points[i]![1] - y!) ** 2;
    n++;
  }
  return n > 0 ? 1000 * Math.sqrt(sum / n) : 0;
}

/**
 * What a drawn drill came to, through the regulator of a machine: evenness, speed, what the needle could not follow, facets;
 * how well the line was kept, tremor, rests in the points; and one thing to try next.
 * @throws CoreError `unknown-id` for the drill, and what `regulated` refuses a path for.
 */
export function judge(drillId: string, request: RegulatorRequest): Judged {
  const drill = DRILLS.get(drillId, 'drill');
  const sewn = regulated(request);
  const points = resampled(request.path);
  const path = request.path.map((p): XY => [p.xIn, p.yIn]);
  const off = spread(path, 0.05)
    .map((p) => awayFrom(p, drill.line))
    .sort((a, b) => a - b);
  const goals = spread(drill.line, 0.1);
  const speeds = points
    .slice(1)
    .map((p, i) => (Math.hypot(p[0] - points[i]![0], p[1] - points[i]![1]) / STEP_MS) * 1000);
  const mean = speeds.reduce((a, b) => a + b, 0) / (speeds.length || 1);
  const variance = speeds.reduce((s, v) => s + (v - mean) ** 2, 0) / (speeds.length || 1);
  const told: Omit<Judged, 'tryNext'> = {
    ...sewn,
    offIn: off.reduce((a, b) => a + b, 0) / off.length,
    widestIn: off[Math.floor(0.95 * (off.length - 1))]!,
    donePct: (100 * goals.filter((g) => awayFrom(g, path) <= NEAR_IN).length) / goals.length,
    speedCvPct: mean > 0 ? (100 * Math.sqrt(variance)) / mean : 0,
    wobbleMil: isSeldom(request.path) ? null : wobbleOf(points),
    rested: restsOf(drill, points, speeds),
  };
  const most = (HEADROOM * request.machine.maxSpm) / 60 / request.spi;
  return { ...told, tryNext: tryNext(told, drill, most) };
}

/** A tremor of eight in a second is seen by looks no further apart than this, ms. */
const SELDOM_MS = 30;

/** Whether half of the looks at a hand lie too far apart to see its tremor. */
function isSeldom(path: readonly PathPoint[]): boolean {
  const apart = path.slice(1).map((p, i) => p.tMs - path[i]!.tMs);
  return apart.sort((a, b) => a - b)[Math.floor(apart.length / 2)]! > SELDOM_MS;
}

const restsOf = ({ rests }: Drill, points: readonly XY[], speeds: readonly number[]): Judged['rested'] =>
  rests.length === 0
    ? null
    : {
        of: rests.length,
        in: rests.filter((r) =>
          speeds.some(
            (v, i) =>
              v < REST_IN_PER_S && Math.hypot(points[i]![0] - r[0], points[i]![1] - r[1]) < REST_NEAR_IN,
          ),
        ).length,
      };

/** The one thing that would help most. */
function tryNext(j: Omit<Judged, 'tryNext'>, drill: Drill, most: number): string {
  if (j.donePct < 80) return 'Go the whole way once, however slowly: the end is where the hands tire.';
  if (j.outsidePct > 10 && j.meanInPerS > 0.8 * most)
    return `The needle could not follow ${Math.round(j.outsidePct)} % of it: stay under ${most.toFixed(1)} in/s, and count aloud.`;
  if (j.rested && j.rested.in < j.rested.of)
    return 'Stop in every point and count one before you turn: the needle catches up, and the point stays sharp.';
  if (j.widestIn > 0.2)
    return drill.beside.length > 0
      ? 'Look at the gap and not at the needle, half an inch ahead.'
      : 'Look half an inch ahead of the needle, to where you are going.';
  if (j.facetedPct > 15)
    return 'Slower in the tight places, or one stitch more to the inch: the curves show corners.';
  if (j.speedCvPct > 35) return 'Keep one speed: hum something slow, and move with it.';
  if (j.wobbleMil !== null && j.wobbleMil > 10)
    return 'Loosen the grip, elbows at your sides: move from the body, not from the wrists.';
  return 'That is even. Draw it a third smaller, or a little faster.';
}

/** How a number moved from the first runs to the latest. */
export interface Trend {
  first: number;
  latest: number;
  /** Better or worse with 95 % certainty, else not to be told yet. */
  word: 'better' | 'worse' | 'unsure';
  runs: number;
}

/**
 * Whether a drill is done better than at first: the first third of its runs against the latest third, by Welch's t test.
 * @param values oldest first; the less the better. Fewer than six runs tell nothing.
 */
export function trendOf(values: readonly number[]): Trend | null {
  const n = Math.floor(values.length / 3);
  if (n < 1) return null;
  const stat = (xs: readonly number[]) => {
    const mean = xs.reduce((a, b) => a + b, 0) / xs.length;
    return { mean, v: xs.reduce((s, x) => s + (x - mean) ** 2, 0) / Math.max(1, xs.length - 1) / xs.length };
  };
  const [a, b] = [stat(values.slice(0, n)), stat(values.slice(-n))];
  const out = { first: a.mean, latest: b.mean, runs: values.length };
  if (n < 2 || a.v + b.v <= 0) return { ...out, word: 'unsure' };
  const freedom = (a.v + b.v) ** 2 / (a.v ** 2 / (n - 1) + b.v ** 2 / (n - 1));
  const t = (a.mean - b.mean) / Math.sqrt(a.v + b.v);
  const sure = tQuantile(0.975, freedom);
  return { ...out, word: t > sure ? 'better' : t < -sure ? 'worse' : 'unsure' };
}

/** The usual speed of a hand in a technique, as its drills tell it; null from fewer than three. */
export function usualSpeed(speeds: readonly number[]): { inPerS: number; sdLn: number; runs: number } | null {
  if (speeds.length < 3) return null;
  const ln = speeds.map(Math.log);
  const mean = ln.reduce((a, b) => a + b, 0) / ln.length;
  const sd = Math.sqrt(ln.reduce((s, x) => s + (x - mean) ** 2, 0) / (ln.length - 1));
  return { inPerS: Math.exp(mean), sdLn: sd, runs: speeds.length };
}
