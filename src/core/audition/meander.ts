import { boundsOf, contains, type MultiPolygon, type XY } from '../geometry/polygon';
import type { Random } from '../statistics/random';
import { depthIn } from './field';
import { joined } from './join';
import { curved, resampled } from './smooth';

/** A point of the lattice a meander turns on. */
interface Node {
  i: number;
  j: number;
  p: XY;
  next: Node | null;
  before: Node | null;
}

/** Points stay so far from the edge, against their distance. */
const MARGIN = 0.4;
/** How far a point is moved from its place, against their distance. */
const STRAY = 0.16;
/** More turns than this no hand sews in one zone. */
const MOST_NODES = 250_000;

const key = (i: number, j: number) => i * 100_003 + j;
const link = (a: Node, b: Node) => {
  a.next = b;
  b.before = a;
};

/** The lattice's points inside a shape, turned by chance. */
function latticeIn(shape: MultiPolygon, pitch: number, random: Random): Map<number, Node> {
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const turn = (random.uniform() - 0.5) * 0.7;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const depth = depthIn(shape);
  const reach = Math.ceil(Math.hypot(x1 - x0, y1 - y0) / 2 / pitch) + 1;
  const nodes = new Map<number, Node>();
  if (reach * reach * 4 > MOST_NODES * 6) return nodes;
  for (let i = -reach; i <= reach; i++)
    for (let j = -reach; j <= reach; j++) {
      const [u, v] = [(i + 0.5) * pitch, (j + 0.5) * pitch];
      const p: XY = [cx + u * cos - v * sin, cy + u * sin + v * cos];
      if (p[0] < x0 || p[0] > x1 || p[1] < y0 || p[1] > y1) continue;
      if (contains(shape, p) && depth(p) >= MARGIN * pitch)
        nodes.set(key(i, j), { i, j, p, next: null, before: null });
    }
  return nodes;
}

const ROUND_A_BLOCK = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
] as const;

/** A walk round a random tree of blocks of four points: every point once, and home again. */
function walkBlocks(nodes: ReadonlyMap<number, Node>, random: Random): void {
  const blocks = new Map<number, Node[]>();
  for (const n of nodes.values()) {
    if (n.i & 1 || n.j & 1) continue;
    const four = ROUND_A_BLOCK.map(([a, b]) => nodes.get(key(n.i + a, n.j + b)));
    if (four.every((x) => x !== undefined)) blocks.set(key(n.i, n.j), four as Node[]);
  }
  for (const four of blocks.values()) four.forEach((n, k) => link(n, four[(k + 1) % 4]!));
  const seen = new Set<number>();
  for (const start of blocks.keys()) {
    if (seen.has(start)) continue;
    seen.add(start);
    const grown = [blocks.get(start)!];
    while (grown.length > 0) {
      // Mostly on from the newest: long ways that turn back on themselves, not a star.
      const at = random.uniform() < 0.7 ? grown.length - 1 : Math.floor(random.uniform() * grown.length);
      const here = grown[at]!;
      const ways = (
        [
          [2, 0],
          [-2, 0],
          [0, 2],
          [0, -2],
        ] as const
      ).filter(([di, dj]) => {
        const k = key(here[0]!.i + di, here[0]!.j + dj);
        return blocks.has(k) && !seen.has(k);
      });
      if (ways.length === 0) {
        grown.splice(at, 1);
        continue;
      }
      const [di, dj] = random.pick(ways);
      const there = blocks.get(key(here[0]!.i + di, here[0]!.j + dj))!;
      seen.add(key(there[0]!.i, there[0]!.j));
      openBetween(here, there, di, dj);
      grown.push(there);
    }
  }
}

/** Two walks side by side made into one: the sides that face each other are let go, their ends joined crosswise. */
function openBetween(here: readonly Node[], there: readonly Node[], di: number, dj: number) {
  // The corners of a block in its order: 0 top left, 1 top right, 2 bottom right, 3 bottom left.
  const [a, b] = di > 0 ? [1, 2] : di < 0 ? [3, 0] : dj > 0 ? [2, 3] : [0, 1];
  const [c, d] = di > 0 ? [3, 0] : di < 0 ? [1, 2] : dj > 0 ? [0, 1] : [2, 3];
  link(here[a]!, there[d]!);
  link(there[c]!, here[b]!);
}

const SIDES = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const;

/** Points no block took in: two beside a step at once, then one by one, a step turned aside. */
function takeInRest(nodes: ReadonlyMap<number, Node>): void {
  const free = new Set([...nodes.values()].filter((n) => n.next === null));
  const at = (n: Node, di: number, dj: number) => nodes.get(key(n.i + di, n.j + dj));
  const insert = (a: Node, parts: readonly Node[]) => {
    const after = a.next!;
    [a, ...parts, after].reduce((x, y) => (link(x, y), y));
    parts.forEach((n) => free.delete(n));
  };
  /** The steps beside a free point: along one side of it, from a point next to it to another. */
  const beside = (c: Node, take: (from: Node, isAhead: boolean, other: Node, way: XY) => boolean): boolean =>
    SIDES.some(([di, dj]) => {
      const a = at(c, -di, -dj);
      if (!a?.next) return false;
      return [a, a.before!].some((from) => {
        const other = from === a ? from.next! : from;
        const [ei, ej] = [other.i - a.i, other.j - a.j];
        if (Math.abs(ei) + Math.abs(ej) !== 1 || ei * di + ej * dj !== 0) return false;
        return take(from, from === a, other, [di, dj]);
      });
    });
  const pair = (c: Node): boolean =>
    beside(c, (from, isAhead, other, [di, dj]) => {
      const d = at(other, di, dj);
      if (!d || !free.has(d)) return false;
      insert(from, isAhead ? [c, d] : [d, c]);
      return true;
    });
  const crossed = new Set<number>();
  const single = (c: Node): boolean =>
    beside(c, (from, _, other) => {
      const square = key(Math.min(c.i, other.i), Math.min(c.j, other.j));
      if (crossed.has(square)) return false;
      crossed.add(square);
      insert(from, [c]);
      return true;
    });
  for (let more = true; more;) {
    more = false;
    for (const c of [...free]) if (free.has(c) && pair(c)) more = true;
    if (more) continue;
    // Where no walk has begun, two points beside each other begin one.
    for (const c of free) {
      const d = SIDES.map(([di, dj]) => at(c, di, dj)).find((x) => x && free.has(x));
      if (!d || SIDES.some(([di, dj]) => at(c, di, dj)?.next || at(d, di, dj)?.next)) continue;
      link(c, d);
      link(d, c);
      free.delete(c);
      free.delete(d);
      more = true;
      break;
    }
  }
  for (let more = true; more;) {
    more = false;
    for (const c of [...free]) if (single(c)) more = true;
  }
}

/** The walks of a lattice, one after another, each point a little out of its place. */
function walksOf(nodes: ReadonlyMap<number, Node>, pitch: number, random: Random): XY[][] {
  const seen = new Set<Node>();
  const out: XY[][] = [];
  const stray = () => (random.uniform() * 2 - 1) * STRAY * pitch;
  for (const start of nodes.values()) {
    if (seen.has(start) || !start.next) continue;
    const walk: XY[] = [];
    for (let n = start; !seen.has(n); n = n.next!) {
      seen.add(n);
      walk.push([n.p[0] + stray(), n.p[1] + stray()]);
    }
    out.push(walk);
  }
  return out;
}

/** A line that wanders through a shape and never crosses itself. @param pitch distance of its turns, inches. */
export function meanderLines(shape: MultiPolygon, pitch: number, random: Random): XY[][] {
  const nodes = latticeIn(shape, pitch, random);
  walkBlocks(nodes, random);
  takeInRest(nodes);
  const walks = walksOf(nodes, pitch, random).map((w) => curved(w, true));
  return joined(walks, pitch, shape, random);
}

/** Of the way between two loops, against the pitch; and how large a loop is. */
const BETWEEN = 7;
const LOOP = 0.28;

/** A loop beside a line, tangent to it. */
const loopAt = (p: XY, [tx, ty]: XY, side: number, r: number): XY[] =>
  Array.from({ length: 23 }, (_, k): XY => {
    const t = ((k + 1) / 24) * 2 * Math.PI;
    const [along, aside] = [r * Math.sin(t), side * r * (1 - Math.cos(t))];
    return [p[0] + tx * along - ty * aside, p[1] + ty * along + tx * aside];
  });

/** A meander with a loop every so often. */
export function loopLines(shape: MultiPolygon, pitch: number, random: Random): XY[][] {
  return meanderLines(shape, pitch, random).map((line) => {
    const even = resampled(line, pitch / 12, true);
    const every = Math.round(BETWEEN * 12);
    const out: XY[] = [];
    even.forEach((p, i) => {
      out.push(p);
      if (i % every !== Math.floor(every / 2) || even.length < every) return;
      const [a, b] = [even[(i - 2 + even.length) % even.length]!, even[(i + 2) % even.length]!];
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const [tx, ty] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
      const first = random.uniform() < 0.5 ? 1 : -1;
      const loop = [first, -first]
        .map((side) => loopAt(p, [tx, ty], side, LOOP * pitch))
        .find((points) => points.every((q) => contains(shape, q)));
      if (loop) out.push(...loop, p);
    });
    return [...out, out[0]!];
  });
}
