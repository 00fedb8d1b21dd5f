import { contains, type MultiPolygon, type XY } from '../geometry/polygon';
import type { Random } from '../statistics/random';
import { resampled } from './smooth';

/** Where one closed line goes over into another: both are cut open there, from a point to a later one. */
interface Bridge {
  rings: readonly [number, number];
  /** First point of each cut. */
  from: readonly [number, number];
  /** Points each cut is long; 0 where the needle goes over and comes back the same way. */
  long: readonly [number, number];
  /** The cuts run the same way. */
  aligned: boolean;
}

/** Points of a ring lie so close, against the spacing. */
const STEP = 1 / 8;
/** Neighbouring lines are joined over at most this, against the spacing. */
const NEAR = 1.45;
/** A cut is so long, against the spacing. */
const CUT = 0.45;
/** Through a neck the needle goes so far and comes back, against the spacing. */
const THROUGH = 10;

const apart = (a: XY, b: XY) => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** Sets of rings that hang together. */
class Groups {
  private readonly of: number[];
  constructor(n: number) {
    this.of = Array.from({ length: n }, (_, i) => i);
  }
  find(i: number): number {
    while (this.of[i] !== i) i = this.of[i] = this.of[this.of[i]!]!;
    return i;
  }
  join(a: number, b: number): boolean {
    const [x, y] = [this.find(a), this.find(b)];
    this.of[x] = y;
    return x !== y;
  }
}

/** Pairs of places where two rings lie near each other, nearest first. */
function nearPairs(
  rings: readonly (readonly XY[])[],
  within: number,
): { a: [number, number]; b: [number, number]; d: number }[] {
  const cells = new Map<string, [number, number][]>();
  const cellOf = ([x, y]: XY) => [Math.floor(x / within), Math.floor(y / within)] as const;
  rings.forEach((ring, r) =>
    ring.forEach((p, i) => {
      const key = cellOf(p).join();
      const list = cells.get(key);
      if (list) list.push([r, i]);
      else cells.set(key, [[r, i]]);
    }),
  );
  const best = new Map<string, { a: [number, number]; b: [number, number]; d: number }[]>();
  rings.forEach((ring, r) =>
    ring.forEach((p, i) => {
      const [cx, cy] = cellOf(p);
      let nearest = new Map<number, { b: [number, number]; d: number }>();
      for (let dx = -1; dx <= 1; dx++)
        for (let dy = -1; dy <= 1; dy++)
          for (const [s, k] of cells.get(`${cx + dx},${cy + dy}`) ?? []) {
            if (s <= r) continue;
            const d = apart(p, rings[s]![k]!);
            if (d <= within && d < (nearest.get(s)?.d ?? Infinity))
              nearest = nearest.set(s, { b: [s, k], d });
          }
      for (const [s, { b, d }] of nearest) {
        const key = `${r},${s}`;
        const list = best.get(key);
        if (list) list.push({ a: [r, i], b, d });
        else best.set(key, [{ a: [r, i], b, d }]);
      }
    }),
  );
  // Of each two rings the places that are about as near as any.
  return [...best.values()]
    .flatMap((list) => {
      const least = Math.min(...list.map((x) => x.d));
      return list.filter((x) => x.d <= least * 1.08);
    })
    .sort((x, y) => x.d - y.d);
}

/** Whether a straight step lies inside a shape all along. */
export function straightInside(shape: MultiPolygon, a: XY, b: XY, step: number): boolean {
  const n = Math.max(2, Math.ceil(apart(a, b) / step));
  for (let i = 1; i < n; i++)
    if (!contains(shape, [a[0] + ((b[0] - a[0]) * i) / n, a[1] + ((b[1] - a[1]) * i) / n])) return false;
  return true;
}

/**
 * Closed lines that lie side by side made into as few as can be sewn without lifting: neighbours are cut open and led
 * into one another; through a neck the needle goes over and back.
 * @param spacing inches between neighbouring lines. @returns closed lines, their points evenly apart.
 */
export function joined(
  closed: readonly (readonly XY[])[],
  spacing: number,
  shape: MultiPolygon,
  random: Random,
): XY[][] {
  const rings = closed.map((r) => resampled(r, spacing * STEP, true));
  const groups = new Groups(rings.length);
  const used = rings.map((r) => new Uint8Array(r.length));
  const bridges: Bridge[] = [];
  const cutOf = (r: number) =>
    Math.min(Math.max(2, Math.round(CUT / STEP)), Math.floor(rings[r]!.length / 4));
  const free = (r: number, from: number, long: number) => {
    const n = rings[r]!.length;
    for (let k = -1; k <= long + 1; k++) if (used[r]![(from + k + n) % n]) return false;
    return true;
  };
  const take = (bridge: Bridge) => {
    bridge.rings.forEach((r, e) => {
      const n = rings[r]!.length;
      for (let k = 0; k <= bridge.long[e]!; k++) used[r]![(bridge.from[e]! + k) % n] = 1;
    });
    bridges.push(bridge);
  };
  const pairs = nearPairs(rings, spacing * NEAR);
  // About as near is as good: which of them is left to chance, so that the joins do not lie in a row.
  const shuffled = pairs
    .map((p) => ({ ...p, rank: p.d * (1 + 0.04 * random.uniform()) }))
    .sort((x, y) => x.rank - y.rank);
  for (const { a, b } of shuffled) {
    if (groups.find(a[0]) === groups.find(b[0])) continue;
    const long = [cutOf(a[0]), cutOf(b[0])] as const;
    const [na, nb] = [rings[a[0]]!.length, rings[b[0]]!.length];
    const end = rings[a[0]]![(a[1] + long[0]) % na]!;
    const at = (k: number) => rings[b[0]]![((k % nb) + nb) % nb]!;
    // The other ring's cut runs on from there, or ends there, as its line runs.
    const aligned = apart(end, at(b[1] + long[1])) <= apart(end, at(b[1] - long[1]));
    const from = [a[1], aligned ? b[1] : (b[1] - long[1] + nb) % nb] as const;
    if (!free(a[0], from[0], long[0]) || !free(b[0], from[1], long[1])) continue;
    groups.join(a[0], b[0]);
    take({ rings: [a[0], b[0]], from, long, aligned });
  }
  for (const bridge of through(rings, groups, used, spacing, shape)) take(bridge);
  return walked(rings, bridges, used);
}

/** Ways through necks, over and back, for what no neighbour joins. */
function* through(
  rings: readonly (readonly XY[])[],
  groups: Groups,
  used: readonly Uint8Array[],
  spacing: number,
  shape: MultiPolygon,
): Generator<Bridge> {
  for (;;) {
    const roots = new Set(rings.map((_, i) => groups.find(i)));
    if (roots.size < 2) return;
    const first = groups.find(0);
    let best: { a: [number, number]; b: [number, number]; d: number } | null = null;
    rings.forEach((ring, r) => {
      if (groups.find(r) !== first) return;
      rings.forEach((other, s) => {
        if (groups.find(s) === first) return;
        for (let i = 0; i < ring.length; i += 2)
          for (let k = 0; k < other.length; k += 2) {
            const d = apart(ring[i]!, other[k]!);
            if (
              d < (best?.d ?? THROUGH * spacing) &&
              !used[r]![i] &&
              !used[s]![k] &&
              straightInside(shape, ring[i]!, other[k]!, spacing / 8)
            )
              best = { a: [r, i], b: [s, k], d };
          }
      });
    });
    const found = best as { a: [number, number]; b: [number, number] } | null;
    if (!found) {
      return;
    }
    groups.join(found.a[0], found.b[0]);
    yield { rings: [found.a[0], found.b[0]], from: [found.a[1], found.b[1]], long: [0, 0], aligned: true };
  }
}

/** The lines walked round: along a ring, over each bridge into the next and back. */
function walked(
  rings: readonly (readonly XY[])[],
  bridges: readonly Bridge[],
  used: readonly Uint8Array[],
): XY[][] {
  const at = rings.map(() => new Map<number, { bridge: Bridge; end: 0 | 1 }>());
  for (const bridge of bridges)
    for (const end of [0, 1] as const) {
      const r = bridge.rings[end];
      at[r]!.set(bridge.from[end], { bridge, end });
      at[r]!.set((bridge.from[end] + bridge.long[end]) % rings[r]!.length, { bridge, end });
    }
  const seen = new Set<number>();
  const go = (r: number, start: number, way: 1 | -1, steps: number, points: XY[]) => {
    seen.add(r);
    const ring = rings[r]!;
    const n = ring.length;
    for (let k = 0; k <= steps; k++) {
      const i = (((start + way * k) % n) + n) % n;
      points.push(ring[i]!);
      const hit = at[r]!.get(i);
      if (!hit) continue;
      const { bridge, end } = hit;
      const other = (1 - end) as 0 | 1;
      const s = bridge.rings[other];
      if (seen.has(s)) continue;
      const [from, long] = [bridge.from[other], bridge.long[other]];
      const m = rings[s]!.length;
      // In by the side of its cut that lies opposite, away from the cut, and round to its other side.
      const byFirst = (i === bridge.from[end]) === bridge.aligned;
      go(s, byFirst ? from : (from + long) % m, byFirst ? -1 : 1, m - long, points);
      if (bridge.long[end] === 0) points.push(ring[i]!);
      else k += bridge.long[end] - 1;
    }
  };
  const out: XY[][] = [];
  rings.forEach((ring, r) => {
    if (seen.has(r)) return;
    const points: XY[] = [];
    go(r, Math.max(0, used[r]!.indexOf(0)), 1, ring.length, points);
    out.push(points);
  });
  return out;
}
