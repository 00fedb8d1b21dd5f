import { CoreError } from '../notes';
import { eulerPaths } from './euler';
import type { XY } from '../geometry/polygon';
import { besideOf, type Graph } from './graph';
import { cheapestPairing } from './pairing';

export interface RouteRequest {
  /** Lines to sew, inches. */
  edges: readonly { a: XY; b: XY }[];
  /** What a start costs, in inches of sewing; half of it falls to each end. */
  startCostIn?: number;
  /** Places where a line may begin or end for nothing: the quilt's own edge. */
  freeEnds?: readonly XY[];
}

export interface Route {
  paths: { points: XY[] }[];
  starts: number;
  /** Everything sewn, and what of it is sewn again, inches. */
  sewnIn: number;
  againIn: number;
  /** Proven cheapest. */
  exact: boolean;
}

/** What a start costs where nothing else is said, inches of sewing. */
export const START_COST_IN = 8;
/** Ends nearer than this are one place, inches. */
const SAME_IN = 1e-4;

/** Lines as a graph: ends nearer than a hair are one place. */
export function graphOf(edges: RouteRequest['edges']): Graph {
  const points: XY[] = [];
  const at = new Map<string, number>();
  const place = (p: XY): number => {
    const [x, y] = [Math.round(p[0] / SAME_IN), Math.round(p[1] / SAME_IN)];
    for (const dx of [0, -1, 1])
      for (const dy of [0, -1, 1]) {
        const found = at.get(`${x + dx} ${y + dy}`);
        if (found !== undefined) return found;
      }
    at.set(`${x} ${y}`, points.length);
    return points.push(p) - 1;
  };
  return {
    points,
    edges: edges.flatMap(({ a, b }, i) => {
      if (![...a, ...b].every(Number.isFinite))
        throw new CoreError('not-a-number', 'A line needs two places, in inches.', `edges.${i}`);
      const [u, v] = [place(a), place(b)];
      return u === v ? [] : [{ u, v, lengthIn: Math.hypot(a[0] - b[0], a[1] - b[1]) }];
    }),
  };
}

/** Edges of each connected part. */
function partsOf(graph: Graph): number[][] {
  const beside = besideOf(graph);
  const seen = new Set<number>();
  const parts: number[][] = [];
  graph.edges.forEach((_, first) => {
    if (seen.has(first)) return;
    const part: number[] = [];
    const open = [first];
    seen.add(first);
    while (open.length > 0) {
      const e = open.pop()!;
      part.push(e);
      for (const node of [graph.edges[e]!.u, graph.edges[e]!.v])
        for (const next of beside.get(node)!)
          if (!seen.has(next)) {
            seen.add(next);
            open.push(next);
          }
    }
    parts.push(part.sort((a, b) => a - b));
  });
  return parts;
}

/** Shortest walks along edges from a node (Dijkstra 1959): length to each node and the edge it is reached by. */
export function walksFrom(graph: Graph, beside: ReadonlyMap<number, number[]>, start: number) {
  const length = new Map([[start, 0]]);
  const by = new Map<number, number>();
  const done = new Set<number>();
  const heap: [number, number][] = [[0, start]];
  while (heap.length > 0) {
    let least = 0;
    for (let i = 1; i < heap.length; i++) if (heap[i]![0] < heap[least]![0]) least = i;
    const [d, node] = heap[least]!;
    heap[least] = heap.at(-1)!;
    heap.pop();
    if (done.has(node)) continue;
    done.add(node);
    for (const e of beside.get(node)!) {
      const { u, v, lengthIn } = graph.edges[e]!;
      const other = u === node ? v : u;
      if (d + lengthIn < (length.get(other) ?? Infinity)) {
        length.set(other, d + lengthIn);
        by.set(other, e);
        heap.push([d + lengthIn, other]);
      }
    }
  }
  return { length, by };
}

/**
 * A line through every edge with the fewest starts and the least sewn again: the price is starts × the price of a
 * start (nothing at the quilt's own edge) + length sewn again. Each connected part needs one path at least; its odd
 * nodes are paired by walks or left as ends, the cheapest way exactly; then Euler's path, straight on preferred.
 * @throws CoreError `not-a-number`, `nothing-to-sew`.
 * @example route({ edges: [{ a: [0, 0], b: [4, 0] }, { a: [4, 0], b: [4, 4] }] }).starts // 1
 */
export function route(request: RouteRequest): Route {
  const { startCostIn = START_COST_IN, freeEnds = [] } = request;
  const graph = graphOf(request.edges);
  if (graph.edges.length === 0)
    throw new CoreError('nothing-to-sew', 'There is no line to sew here.', 'edges');
  const isFree = graph.points.map((p) =>
    freeEnds.some((f) => Math.hypot(f[0] - p[0], f[1] - p[1]) <= 2 * SAME_IN),
  );
  const endPrice = (node: number) => (isFree[node] ? 0 : startCostIn / 2);
  const beside = besideOf(graph);
  const out: Route = { paths: [], starts: 0, sewnIn: 0, againIn: 0, exact: true };
  for (const part of partsOf(graph)) {
    const degree = new Map<number, number>();
    for (const e of part)
      for (const node of [graph.edges[e]!.u, graph.edges[e]!.v])
        degree.set(node, (degree.get(node) ?? 0) + 1);
    const odd = [...degree].filter(([, d]) => d % 2 === 1).map(([node]) => node);
    const walks = odd.map((node) => walksFrom(graph, beside, node));
    const nodes = [...degree.keys()];
    const start = nodes.reduce((a, b) => (endPrice(b) < endPrice(a) ? b : a));
    const pairing = cheapestPairing(
      walks.map((w) => odd.map((node) => w.length.get(node)!)),
      odd.map(endPrice),
      2 * endPrice(start),
    );
    const again: number[] = [];
    for (const [a, b] of pairing.walked) {
      for (let node = odd[b]!; node !== odd[a]!;) {
        const e = walks[a]!.by.get(node)!;
        again.push(e);
        node = graph.edges[e]!.u === node ? graph.edges[e]!.v : graph.edges[e]!.u;
      }
    }
    const ends = pairing.ends.map((i) => odd[i]!);
    const paths = eulerPaths(graph, [...part, ...again], ends, start);
    out.paths.push(...paths.map((path) => ({ points: path.map((node) => graph.points[node]!) })));
    out.starts += paths.length;
    out.againIn += again.reduce((sum, e) => sum + graph.edges[e]!.lengthIn, 0);
    out.sewnIn += part.reduce((sum, e) => sum + graph.edges[e]!.lengthIn, 0);
    out.exact &&= pairing.exact;
  }
  out.sewnIn += out.againIn;
  return out;
}
