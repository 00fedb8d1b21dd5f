import type { Graph } from './graph';

/**
 * Paths that cover each of the given edges once (Hierholzer 1873): the odd nodes are the ends. Ends are joined two by
 * two by edges that are not sewn, one tour is found, and cut where they lie. Where several ways go on, the straightest
 * is taken.
 */
export function eulerPaths(
  graph: Graph,
  edgeIds: readonly number[],
  ends: readonly number[],
  start: number,
): number[][] {
  const links = edgeIds.map((e) => ({ ...graph.edges[e]!, sewn: true }));
  for (let i = 0; i + 1 < ends.length; i += 2)
    links.push({ u: ends[i]!, v: ends[i + 1]!, lengthIn: 0, sewn: false });
  const beside = new Map<number, number[]>();
  links.forEach(({ u, v }, i) => {
    for (const node of u === v ? [u] : [u, v]) beside.set(node, [...(beside.get(node) ?? []), i]);
  });
  const used = new Array<boolean>(links.length).fill(false);
  const other = (i: number, node: number) => (links[i]!.u === node ? links[i]!.v : links[i]!.u);
  const turn = (from: number | null, node: number, to: number) => {
    if (from === null) return 0;
    const [p, q, r] = [graph.points[from]!, graph.points[node]!, graph.points[to]!];
    const angle = Math.atan2(r[1] - q[1], r[0] - q[0]) - Math.atan2(q[1] - p[1], q[0] - p[0]);
    return Math.abs(Math.atan2(Math.sin(angle), Math.cos(angle)));
  };
  const tour: { node: number; by: number | null }[] = [];
  const stack: { node: number; by: number | null; from: number | null }[] = [
    { node: ends[0] ?? start, by: null, from: null },
  ];
  while (stack.length > 0) {
    const { node, by, from } = stack.at(-1)!;
    const open = (beside.get(node) ?? []).filter((i) => !used[i]);
    if (open.length === 0) {
      tour.push({ node, by });
      stack.pop();
      continue;
    }
    const sewn = open.filter((i) => links[i]!.sewn);
    const next = (sewn.length > 0 ? sewn : open).reduce((a, b) =>
      turn(from, node, other(b, node)) < turn(from, node, other(a, node)) ? b : a,
    );
    used[next] = true;
    stack.push({ node: other(next, node), by: next, from: links[next]!.sewn ? node : null });
  }
  tour.reverse();
  // Each step carries the link it came by; where that is not sewn, one path ends and the next begins.
  const paths: number[][] = [];
  let path: number[] = [tour[0]!.node];
  for (let i = 1; i < tour.length; i++) {
    if (links[tour[i]!.by!]!.sewn) path.push(tour[i]!.node);
    else {
      if (path.length > 1) paths.push(path);
      path = [tour[i]!.node];
    }
  }
  if (path.length > 1) {
    // A tour that was cut somewhere runs on over its own beginning.
    const first = paths[0];
    if (ends.length > 0 && first && first[0] === path.at(-1) && !ends.includes(path.at(-1)!))
      paths[0] = [...path, ...first.slice(1)];
    else paths.push(path);
  }
  return paths;
}
