import type { XY } from '../geometry/polygon';
import { besideOf } from './graph';
import { graphOf, walksFrom } from './route';
import type { Line } from './lines';

/** A way on from a place where the line cannot go on as it was laid. */
export interface WayOn {
  kind: 'retrace' | 'echo' | 'tie-off';
  /** Its price in inches of sewing; the cheapest comes first. */
  costIn: number;
  /** The walk along sewn lines to where work goes on, inches. */
  points: XY[];
  /** Where the next unsewn line begins. */
  to: XY;
}

/** An echo beside a line that shows is a little longer than the line (judgement). */
const ECHO_LONGER = 1.1;
/** Sewing over a line that shows thickens it: worth so many times its length (judgement). */
const ROPE = 1.5;

const dist = (a: XY, b: XY) => Math.hypot(a[0] - b[0], a[1] - b[1]);

/**
 * The ways on from a place: over lines that are sewn to the nearest that is not, beside them, or by tying off and
 * beginning anew there. Cheapest first; none where everything is sewn.
 * @param lines all lines of the pass. @param unsewn those that are left, by their index. @param at where the needle is, inches.
 * @param startCostIn what a start costs, inches of sewing. @param shows whether a line sewn twice is seen.
 */
export function waysOn(
  lines: readonly Line[],
  unsewn: ReadonlySet<number>,
  at: XY,
  startCostIn: number,
  shows: boolean,
): WayOn[] {
  if (unsewn.size === 0) return [];
  const graph = graphOf(lines);
  const beside = besideOf(graph);
  const nodes = graph.points.map((p, i) => ({ i, p }));
  const here = nodes.reduce((a, b) => (dist(b.p, at) < dist(a.p, at) ? b : a)).i;
  const { length, by } = walksFrom(graph, beside, here);
  const open = new Set(
    [...unsewn].flatMap((e) => (graph.edges[e] ? [graph.edges[e]!.u, graph.edges[e]!.v] : [])),
  );
  const reached = [...open].filter((n) => length.has(n)).sort((a, b) => length.get(a)! - length.get(b)!)[0];
  const nearest = [...open].sort((a, b) => dist(graph.points[a]!, at) - dist(graph.points[b]!, at))[0]!;
  const ways: WayOn[] = [{ kind: 'tie-off', costIn: startCostIn, points: [], to: graph.points[nearest]! }];
  if (reached !== undefined) {
    const walk: XY[] = [graph.points[reached]!];
    for (let node = reached; node !== here;) {
      const { u, v } = graph.edges[by.get(node)!]!;
      node = u === node ? v : u;
      walk.push(graph.points[node]!);
    }
    const points = walk.reverse();
    const along = length.get(reached)!;
    const to = graph.points[reached]!;
    ways.push({ kind: 'retrace', costIn: along * (shows ? ROPE : 1), points, to });
    if (along > 0) ways.push({ kind: 'echo', costIn: along * ECHO_LONGER, points, to });
  }
  return ways.sort((a, b) => a.costIn - b.costIn);
}

/**
 * The same route begun at another place: turned round where it ends there, run on from there where it is closed, else
 * begun twice, which costs a start more.
 */
export function begunAt(paths: readonly { points: readonly XY[] }[], at: XY): { points: XY[] }[] {
  let best = { path: 0, point: 0, d: Infinity };
  paths.forEach(({ points }, path) =>
    points.forEach((p, point) => {
      const d = dist(p, at);
      if (d < best.d - 1e-9) best = { path, point, d };
    }),
  );
  const own = paths[best.path];
  if (!own) return [];
  const { points } = own;
  const rest = paths.filter((_, i) => i !== best.path).map((p) => ({ points: [...p.points] }));
  const last = points.length - 1;
  if (best.point === 0) return [{ points: [...points] }, ...rest];
  if (best.point === last) return [{ points: [...points].reverse() }, ...rest];
  const before = points.slice(0, best.point + 1);
  const after = points.slice(best.point);
  if (dist(points[0]!, points[last]!) < 1e-6) return [{ points: [...after, ...before.slice(1)] }, ...rest];
  return [{ points: [...after] }, { points: [...before].reverse() }, ...rest];
}
