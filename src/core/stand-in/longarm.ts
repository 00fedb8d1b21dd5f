import { boundsOf, contains, type MultiPolygon, type XY } from '../geometry/polygon';
import { type PathPoint, type RegulatorRequest, stitchesMade } from '../machine/regulator';
import type { Random } from '../statistics/random';

/** One reading of the machine, as it comes over the link. */
export interface Frame {
  /** Milliseconds since the run began. */
  t: number;
  x: number;
  y: number;
  /** Hand speed, in/s. */
  v: number;
  /** Needle rate, stitches a minute. */
  rate: number;
  /** Stitches since the run began. */
  n: number;
  event?: LinkEvent;
}
export const LINK_EVENTS = ['thread-break', 'bobbin-out', 'stopped'] as const;
export type LinkEvent = (typeof LINK_EVENTS)[number];

const SAMPLE_IN = 0.1;
/** Hands speed up and slow down by about this much, over about so many seconds. */
const [UNEVEN, OVER_S] = [0.18, 1.2];
const FRAME_MS = 50;
/** The needle is lifted over gaps wider than this, inches. */
export const LIFT_IN = 3;
/** Hands slow down to this share where a row turns. */
const AT_TURNS = 0.45;

/** Rows to and fro over a shape within a band, its lines that far apart, inches; each run of points is sewn in one. */
export function rowsOver(
  shape: MultiPolygon,
  spacingIn: number,
  axis: 0 | 1,
  from: number,
  to: number,
): XY[] {
  if (shape.length === 0) return [];
  const box = boundsOf(shape);
  const [low, high] =
    axis === 1
      ? [Math.max(from, box.y0), Math.min(to, box.y1)]
      : [Math.max(from, box.x0), Math.min(to, box.x1)];
  const [a, b] = axis === 1 ? [box.x0, box.x1] : [box.y0, box.y1];
  const rows = Math.max(1, Math.floor((high - low) / spacingIn));
  const out: XY[] = [];
  for (let r = 0; r < rows; r++) {
    const across = low + ((r + 0.5) * (high - low)) / rows;
    const row: XY[] = [];
    for (let s = a; s <= b; s += SAMPLE_IN) {
      const p: XY = axis === 1 ? [s, across] : [across, s];
      if (contains(shape, p)) row.push(p);
    }
    out.push(...(r % 2 === 0 ? row : row.reverse()));
  }
  return out;
}

/** Rows in runs that are sewn without lifting: where the next point lies further off, the needle goes up. */
export function runsOf(points: readonly XY[]): XY[][] {
  const runs: XY[][] = [];
  for (const p of points) {
    const last = runs.at(-1)?.at(-1);
    if (last && Math.hypot(p[0] - last[0], p[1] - last[1]) <= LIFT_IN) runs.at(-1)!.push(p);
    else runs.push([p]);
  }
  return runs.filter((r) => r.length > 2);
}

/** The same rows as hands would move along them, with times: about as fast as usual, slower where a row turns. */
export function asHandsMove(points: readonly XY[], handInPerS: number, random: Random): PathPoint[] {
  let t = 0;
  let wander = 0;
  const out: PathPoint[] = [];
  points.forEach((p, i) => {
    const before = points[i - 1];
    if (before) {
      const step = Math.hypot(p[0] - before[0], p[1] - before[1]);
      if (step < 1e-9) return;
      const next = points[i + 1];
      const turns =
        next !== undefined &&
        (p[0] - before[0]) * (next[0] - p[0]) + (p[1] - before[1]) * (next[1] - p[1]) < 0.2 * step * step;
      const dt0 = step / handInPerS;
      const keep = Math.exp(-dt0 / OVER_S);
      wander = wander * keep + UNEVEN * Math.sqrt(1 - keep ** 2) * random.normal();
      const v = Math.max(0.15 * handInPerS, handInPerS * (1 + wander) * (turns ? AT_TURNS : 1));
      t += (step / v) * 1000;
    }
    out.push({ tMs: Math.max(t, (out.at(-1)?.tMs ?? -1) + 0.5), xIn: p[0], yIn: p[1] });
  });
  return out;
}

/** What the stand-in longarm says over the link while it sews a path: twenty readings a second, and what goes wrong. */
export function* framesOf(
  request: RegulatorRequest,
  faults: readonly { atStitch: number; event: LinkEvent }[] = [],
): Generator<Frame> {
  const made = stitchesMade(request);
  const path = request.path;
  let k = 0;
  let i = 1;
  let told = 0;
  let last = path[0]!;
  const end = path.at(-1)!.tMs;
  for (let t = FRAME_MS; t <= end + FRAME_MS; t += FRAME_MS) {
    const before = k;
    while (k < made.length && made[k]!.tMs <= t) k++;
    while (i < path.length - 1 && path[i]!.tMs < t) i++;
    const [a, b] = [path[i - 1]!, path[i]!];
    const u = Math.min(1, Math.max(0, (t - a.tMs) / Math.max(1e-9, b.tMs - a.tMs)));
    const [x, y] = [a.xIn + u * (b.xIn - a.xIn), a.yIn + u * (b.yIn - a.yIn)];
    const frame: Frame = {
      t,
      x: Math.round(x * 1000) / 1000,
      y: Math.round(y * 1000) / 1000,
      v: Math.round((Math.hypot(x - last.xIn, y - last.yIn) / (FRAME_MS / 1000)) * 1000) / 1000,
      rate: Math.round(((k - before) / FRAME_MS) * 60_000),
      n: k,
    };
    last = { tMs: t, xIn: x, yIn: y };
    const fault = faults[told];
    if (fault && k >= fault.atStitch) {
      told++;
      yield { ...frame, event: fault.event };
    } else yield frame;
  }
}
