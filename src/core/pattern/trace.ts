import type { XY } from '../geometry/polygon';
import { apart, endOf, type Piece, startOf, type Stroke } from './stroke';

/** A run of the needle as points close enough together, with what it bends by and where it turns. */
export interface Trace {
  points: XY[];
  closed: boolean;
  /** Radius of each bit of curve, and how long the bit is. */
  bends: { radius: number; length: number }[];
  /** Turns at corners, radians, above `CORNER`. */
  corners: number[];
}

/** From this turn on two pieces meet in a corner and not in a curve of short lines. */
const CORNER = Math.PI / 6;
const MOST_STEPS = 400;

/** A stroke flattened so that no chord leaves its curve by more than `tolerance`. */
export function trace({ pieces, closed }: Stroke, tolerance: number): Trace {
  const out: Tracing = { points: [startOf(pieces[0]!)], closed, bends: [], corners: [], joints: [] };
  for (const [i, piece] of pieces.entries()) {
    if (piece.length === 2) out.points.push(piece[1]);
    else follow(piece, tolerance, out);
    const next = pieces[i + 1] ?? (closed ? pieces[0] : undefined);
    if (next) meet(piece, next, out);
  }
  endJoints(out);
  const { points, bends, corners } = out;
  return { points, closed, bends, corners };
}

/** A trace while it is made, with the joints of the short lines a curve is drawn with, one after another. */
interface Tracing extends Trace {
  joints: { turn: number; length: number }[];
}

/** So many joints to each side tell of a bend: coordinates are rounded, and one turn alone is mostly that. */
const BESIDE = 3;

/** The joints so far are a curve: each bends as those about it do together. */
function endJoints(out: Tracing) {
  const { joints } = out;
  joints.forEach(({ length }, i) => {
    const about = joints.slice(Math.max(0, i - BESIDE), i + BESIDE + 1);
    const turn = Math.abs(about.reduce((sum, j) => sum + j.turn, 0)) / about.length;
    const mean = about.reduce((sum, j) => sum + j.length, 0) / about.length;
    if (turn > 1e-6) out.bends.push({ radius: mean / (2 * Math.tan(turn / 2)), length });
  });
  out.joints = [];
}

/** Points along a cubic curve, and the radius of each bit of it. */
function follow(curve: Piece & { length: 4 }, tolerance: number, out: Tracing) {
  const [a, b, c, d] = curve as readonly [XY, XY, XY, XY];
  const second = (p: XY, q: XY, r: XY) => Math.hypot(p[0] - 2 * q[0] + r[0], p[1] - 2 * q[1] + r[1]);
  const bend = 6 * Math.max(second(a, b, c), second(b, c, d));
  const n = Math.min(MOST_STEPS, Math.max(8, Math.ceil(Math.sqrt(bend / (8 * tolerance)))));
  const at = (t: number, k: 0 | 1) => {
    const u = 1 - t;
    return u * u * u * a[k] + 3 * u * u * t * b[k] + 3 * u * t * t * c[k] + t * t * t * d[k];
  };
  const speed = (t: number, k: 0 | 1) => {
    const u = 1 - t;
    return 3 * (u * u * (b[k] - a[k]) + 2 * u * t * (c[k] - b[k]) + t * t * (d[k] - c[k]));
  };
  const change = (t: number, k: 0 | 1) =>
    6 * ((1 - t) * (c[k] - 2 * b[k] + a[k]) + t * (d[k] - 2 * c[k] + b[k]));
  let before = a;
  for (let i = 1; i <= n; i++) {
    const now: XY = i === n ? d : [at(i / n, 0), at(i / n, 1)];
    const t = (i - 0.5) / n;
    const [vx, vy] = [speed(t, 0), speed(t, 1)];
    const cross = Math.abs(vx * change(t, 1) - vy * change(t, 0));
    if (cross > 0) out.bends.push({ radius: Math.hypot(vx, vy) ** 3 / cross, length: apart(before, now) });
    out.points.push(now);
    before = now;
  }
}

/** How two pieces meet: in a corner, or as two of the short lines a curve is drawn with. */
function meet(one: Piece, next: Piece, out: Tracing) {
  const [u, v] = [heading([...one].reverse()), heading(next)];
  if (!u || !v) return;
  // The first looks back from the meeting.
  const turn = Math.atan2(u[1] * v[0] - u[0] * v[1], -(u[0] * v[0] + u[1] * v[1]));
  const isJoint = one.length === 2 && next.length === 2 && Math.abs(turn) <= CORNER;
  if (!isJoint) endJoints(out);
  if (Math.abs(turn) > CORNER) out.corners.push(Math.abs(turn));
  else if (isJoint) {
    const length = (apart(startOf(one), endOf(one)) + apart(startOf(next), endOf(next))) / 2;
    out.joints.push({ turn, length });
  }
}

/** The way a piece sets out; null where it goes nowhere. */
function heading(piece: readonly XY[]): XY | null {
  const [from, ...rest] = piece;
  const to = rest.find((p) => apart(from!, p) > 1e-12);
  return to ? [to[0] - from![0], to[1] - from![1]] : null;
}
