import { boundsOf, contains, type MultiPolygon, type XY } from './polygon';

/** Nearer than this along a step two crossings are one, as a share of it. */
const SAME = 1e-9;

/** Where a step crosses the edges of a shape, as shares of the step, rising. */
function crossingsOf(a: XY, b: XY, edges: readonly (readonly [XY, XY])[]): number[] {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const [low, high] = [Math.min(a[1], b[1]), Math.max(a[1], b[1])];
  const [left, right] = [Math.min(a[0], b[0]), Math.max(a[0], b[0])];
  const at: number[] = [];
  for (const [p, q] of edges) {
    if (Math.max(p[1], q[1]) < low || Math.min(p[1], q[1]) > high) continue;
    if (Math.max(p[0], q[0]) < left || Math.min(p[0], q[0]) > right) continue;
    const [ex, ey] = [q[0] - p[0], q[1] - p[1]];
    const across = dx * ey - dy * ex;
    if (Math.abs(across) < 1e-15) continue;
    const t = ((p[0] - a[0]) * ey - (p[1] - a[1]) * ex) / across;
    const u = ((p[0] - a[0]) * dy - (p[1] - a[1]) * dx) / across;
    if (t > SAME && t < 1 - SAME && u >= 0 && u <= 1) at.push(t);
  }
  return at.sort((x, y) => x - y);
}

/**
 * What of some lines lies inside a shape: each line cut where it crosses an edge, holes left free.
 * @param lines runs of points, in the unit of the shape.
 * @returns runs of two points and more; nothing of a line outside.
 */
export function clipLines(lines: readonly (readonly XY[])[], shape: MultiPolygon): XY[][] {
  const edges = shape.flatMap((polygon) =>
    polygon.flatMap((ring) => ring.map((p, i) => [p, ring[(i + 1) % ring.length]!] as const)),
  );
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const outside = (a: XY, b: XY) =>
    Math.max(a[0], b[0]) < x0 ||
    Math.min(a[0], b[0]) > x1 ||
    Math.max(a[1], b[1]) < y0 ||
    Math.min(a[1], b[1]) > y1;
  const out: XY[][] = [];
  for (const line of lines) {
    let run: XY[] | null = null;
    const end = () => {
      if (run && run.length > 1) out.push(run);
      run = null;
    };
    for (let i = 1; i < line.length; i++) {
      const [a, b] = [line[i - 1]!, line[i]!];
      if (outside(a, b)) {
        end();
        continue;
      }
      const cuts = [0, ...crossingsOf(a, b, edges), 1];
      for (let k = 1; k < cuts.length; k++) {
        const at = (t: number): XY => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
        if (!contains(shape, at((cuts[k - 1]! + cuts[k]!) / 2))) {
          end();
          continue;
        }
        run ??= [at(cuts[k - 1]!)];
        run.push(at(cuts[k]!));
      }
    }
    end();
  }
  return out;
}

/** The length of some lines together, in their unit. */
export const linesLength = (lines: readonly (readonly XY[])[]): number =>
  lines.reduce(
    (sum, line) =>
      sum + line.slice(1).reduce((n, p, i) => n + Math.hypot(p[0] - line[i]![0], p[1] - line[i]![1]), 0),
    0,
  );
