import { clipLines } from '../geometry/clip-lines';
import { boundsOf, type MultiPolygon, type XY } from '../geometry/polygon';

/** A family of like lines: how far apart, how they are turned, and how each leaves the straight. */
export interface Rows {
  apart: number;
  /** The whole family lies so much of a distance further on. */
  shift?: number;
  /** Their direction, radians; 0 across the quilt. */
  angle: number;
  /** How far a line leaves its place, at a point along it; nothing where it is straight. */
  aside?: (along: number, row: number) => number;
  /** The most a line leaves its place. */
  most?: number;
  /** Points of a line that bends lie so far from one another. */
  step: number;
}

/** The lines of a family that lie in a shape, each cut where the shape ends. */
export function rowsIn(
  shape: MultiPolygon,
  { apart, shift = 0, angle, aside, most = 0, step }: Rows,
): XY[][] {
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [w, h] = [(x1 - x0) / 2, (y1 - y0) / 2];
  const along = Math.abs(w * cos) + Math.abs(h * sin) + step;
  const across = Math.abs(w * sin) + Math.abs(h * cos) + most;
  const at = (u: number, v: number): XY => [cx + u * cos - v * sin, cy + u * sin + v * cos];
  const n = Math.ceil(across / apart);
  const steps = aside ? Math.ceil((2 * along) / step) : 1;
  const lines = Array.from({ length: 2 * n }, (_, k) => {
    const row = k - n;
    const v = (row + 0.5 + shift) * apart;
    return Array.from({ length: steps + 1 }, (_, s) => {
      const u = -along + (s / steps) * 2 * along;
      return at(u, v + (aside?.(u, row) ?? 0));
    });
  });
  return clipLines(lines, shape);
}

/** A place on a shape's edge: which ring, and how far along it. */
interface OnEdge {
  ring: number;
  at: number;
}

/** The edge of a shape as one walks along it. */
export class Edge {
  private readonly rings: { points: readonly XY[]; from: number[]; length: number }[];
  constructor(shape: MultiPolygon) {
    this.rings = shape.flat().map((points) => {
      const from = [0];
      points.forEach((p, i) => {
        const q = points[(i + 1) % points.length]!;
        from.push(from.at(-1)! + Math.hypot(q[0] - p[0], q[1] - p[1]));
      });
      return { points, from, length: from.at(-1)! };
    });
  }
  place([x, y]: XY): OnEdge {
    let [best, least]: [OnEdge, number] = [{ ring: 0, at: 0 }, Infinity];
    this.rings.forEach(({ points, from }, ring) =>
      points.forEach((a, i) => {
        const b = points[(i + 1) % points.length]!;
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
        const t = Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1)));
        const d = Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy);
        if (d < least) [best, least] = [{ ring, at: from[i]! + t * (from[i + 1]! - from[i]!) }, d];
      }),
    );
    return best;
  }
  /** A place on the edge as a point. */
  point({ ring, at }: OnEdge): XY {
    const { points, from } = this.rings[ring]!;
    const i = Math.max(0, from.findIndex((f, k) => k > 0 && f >= at) - 1);
    const [a, b] = [points[i]!, points[(i + 1) % points.length]!];
    const t = (at - from[i]!) / (from[i + 1]! - from[i]! || 1);
    return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
  }
  /** How far a point lies from the edge. */
  off(p: XY): number {
    const [x, y] = this.point(this.place(p));
    return Math.hypot(p[0] - x, p[1] - y);
  }
  /** How far it is from one place to another along the edge, the shorter way. */
  far(a: OnEdge, b: OnEdge): number {
    if (a.ring !== b.ring) return Infinity;
    const d = Math.abs(a.at - b.at);
    return Math.min(d, this.rings[a.ring]!.length - d);
  }
  /** The corners passed on the shorter way. */
  between(a: OnEdge, b: OnEdge): XY[] {
    const { points, from, length } = this.rings[a.ring]!;
    const ahead = (b.at - a.at + length) % length;
    const forward = ahead <= length - ahead;
    const way = forward ? ahead : length - ahead;
    return points
      .map((p, i) => ({
        p,
        d: forward ? (from[i]! - a.at + length) % length : (a.at - from[i]! + length) % length,
      }))
      .filter(({ d }) => d > 1e-9 && d < way - 1e-9)
      .sort((x, y) => x.d - y.d)
      .map(({ p }) => p);
  }
}

/** Lines sewn one after another, and what of them goes along the edge from one to the next. */
export interface Sewn {
  lines: XY[][];
  /** Sewn along the edge, or over what is sewn, to come to the next line, inches. */
  travelIn: number;
}

const lengthOf = (line: readonly XY[]) =>
  line.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - line[i]![0], p[1] - line[i]![1]), 0);

/** Rows sewn as they come, back and forth, along the edge from the end of one to the next; begun anew where no edge leads on. */
export function backAndForth(shape: MultiPolygon, rows: readonly XY[][]): Sewn {
  const edge = new Edge(shape);
  const open = rows.map((line) => ({
    line,
    ends: [edge.place(line[0]!), edge.place(line.at(-1)!)] as const,
  }));
  const left = new Set(open.keys());
  const done: typeof open = [];
  const lines: XY[][] = [];
  let travelIn = 0;
  while (left.size > 0) {
    const first = left.values().next().value!;
    left.delete(first);
    done.push(open[first]!);
    const points = [...open[first]!.line];
    let here = open[first]!.ends[1];
    for (;;) {
      const next = nearest(edge, here, open, left) ?? across(edge, here, open, left, done);
      if (!next) break;
      const { k, end, over } = next;
      if (over) {
        const line = over.from === 0 ? over.row.line : [...over.row.line].reverse();
        points.push(...edge.between(here, over.row.ends[over.from]), ...line);
        travelIn += edge.far(here, over.row.ends[over.from]) + lengthOf(line);
        here = over.row.ends[(1 - over.from) as 0 | 1];
      }
      const row = open[k]!;
      points.push(...edge.between(here, row.ends[end]), ...(end === 0 ? row.line : [...row.line].reverse()));
      travelIn += edge.far(here, row.ends[end]);
      here = row.ends[(1 - end) as 0 | 1];
      left.delete(k);
      done.push(row);
    }
    lines.push(points);
  }
  return { lines, travelIn };
}

type Open = { line: XY[]; ends: readonly [OnEdge, OnEdge] };
interface Next {
  k: number;
  end: 0 | 1;
  /** A row sewn before that leads to another edge. */
  over?: { row: Open; from: 0 | 1 };
}

function nearest(edge: Edge, here: OnEdge, open: readonly Open[], left: ReadonlySet<number>): Next | null {
  let [best, least]: [Next | null, number] = [null, Infinity];
  for (const k of left)
    for (const end of [0, 1] as const) {
      const d = edge.far(here, open[k]!.ends[end]);
      if (d < least) [best, least] = [{ k, end }, d];
    }
  return best;
}

/** By way of a row that is sewn already to an edge from which something is left. */
function across(
  edge: Edge,
  here: OnEdge,
  open: readonly Open[],
  left: ReadonlySet<number>,
  done: readonly Open[],
): Next | null {
  let [best, least]: [Next | null, number] = [null, Infinity];
  for (const row of done)
    for (const from of [0, 1] as const) {
      const d = edge.far(here, row.ends[from]);
      const there = row.ends[(1 - from) as 0 | 1];
      if (d >= least || there.ring === here.ring) continue;
      const next = nearest(edge, there, open, left);
      if (next) [best, least] = [{ ...next, over: { row, from } }, d];
    }
  return best;
}
