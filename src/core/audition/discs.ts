import type { MultiPolygon, XY } from '../geometry/polygon';
import type { Random } from '../statistics/random';
import { type Field, fieldOf } from './field';
import { straightInside } from './join';

/** A round place a figure is drawn in. */
export interface Disc {
  c: XY;
  r: number;
}

/** Points of a grid to a disc's width; and what discs leave free of one another, against their radius. */
const FINE = 14;
const AIR = 0.03;
/** Discs further apart than this, against the smaller one's radius, are not joined. */
const LINK = 1.6;

/**
 * Round places packed into a shape, row by row, large ones first and smaller ones between them.
 * @param radii largest to smallest, inches.
 */
export function packed(shape: MultiPolygon, radii: readonly number[], random: Random): Disc[] {
  const most = radii[0]!;
  const field = fieldOf(shape, (2 * most) / FINE);
  const clear = Float64Array.from(field.inside);
  const discs: Disc[] = [];
  for (const [k, radius] of radii.entries())
    for (let j = 0; j < field.ny; j++)
      for (let i = 0; i < field.nx; i++) {
        // The smallest fill what is left to its full width.
        const r = k === 0 ? radius : Math.min(radii[k - 1]!, clear[j * field.nx + i]!);
        if (clear[j * field.nx + i]! < radius) continue;
        const own = k === 0 ? r * (0.94 + 0.06 * random.uniform()) : r;
        const disc = { c: field.at(i, j), r: own };
        discs.push(disc);
        keepClear(field, clear, disc, most);
      }
  return discs;
}

/** Takes from every point near a disc what the disc leaves free of it. */
function keepClear({ nx, ny, cell, at }: Field, clear: Float64Array, { c, r }: Disc, most: number) {
  const [left, top] = at(0, 0);
  const reach = r + 2 * most;
  const [i0, i1] = [(c[0] - reach - left) / cell, (c[0] + reach - left) / cell];
  const [j0, j1] = [(c[1] - reach - top) / cell, (c[1] + reach - top) / cell];
  for (let j = Math.max(0, Math.ceil(j0)); j <= Math.min(ny - 1, j1); j++)
    for (let i = Math.max(0, Math.ceil(i0)); i <= Math.min(nx - 1, i1); i++) {
      const dx = left + i * cell - c[0];
      const dy = top + j * cell - c[1];
      const d = Math.sqrt(dx * dx + dy * dy) - r;
      if (d < clear[j * nx + i]!) clear[j * nx + i] = d;
    }
}

/** A disc with those that are reached from it. */
export interface Branch extends Disc {
  /** Where the needle comes in, as an angle about its middle. */
  entry: number;
  children: Branch[];
}

const gap = (a: Disc, b: Disc) => Math.hypot(a.c[0] - b.c[0], a.c[1] - b.c[1]) - a.r - b.r;
const angleTo = (a: Disc, b: Disc) => Math.atan2(b.c[1] - a.c[1], b.c[0] - a.c[0]);
/** The place on a disc's rim at an angle. */
export const onRim = ({ c, r }: Disc, angle: number, share = 1): XY => [
  c[0] + share * r * Math.cos(angle),
  c[1] + share * r * Math.sin(angle),
];

/** Discs as trees: each joined to its nearest by the smallest steps, every step inside the shape (Prim). */
export function treesOf(discs: readonly Disc[], shape: MultiPolygon): Branch[] {
  const left = new Set(discs.keys());
  const roots: Branch[] = [];
  const width = 2 * Math.max(...discs.map((d) => d.r), 0);
  const cells = new Map<string, number[]>();
  const cellOf = (d: Disc) => [Math.floor(d.c[0] / (2 * width)), Math.floor(d.c[1] / (2 * width))] as const;
  discs.forEach((d, i) => {
    const k = cellOf(d).join();
    cells.set(k, [...(cells.get(k) ?? []), i]);
  });
  const near = (d: Disc) => {
    const [x, y] = cellOf(d);
    return [-1, 0, 1].flatMap((a) => [-1, 0, 1].flatMap((b) => cells.get(`${x + a},${y + b}`) ?? []));
  };
  while (left.size > 0) {
    const first = left.values().next().value!;
    left.delete(first);
    const root: Branch = { ...discs[first]!, entry: Math.PI, children: [] };
    roots.push(root);
    // Steps that may be taken, the smallest first.
    const steps: { from: Branch; to: number; d: number }[] = [];
    const offer = (from: Branch) => {
      for (const to of near(from)) {
        if (!left.has(to)) continue;
        const d = gap(from, discs[to]!);
        if (d > LINK * Math.min(from.r, discs[to]!.r)) continue;
        insertSorted(steps, { from, to, d });
      }
    };
    offer(root);
    while (steps.length > 0) {
      const { from, to } = steps.pop()!;
      if (!left.has(to)) continue;
      const disc = discs[to]!;
      const toward = angleTo(from, disc);
      const [a, b] = [onRim(from, toward), onRim(disc, toward + Math.PI)];
      if (gap(from, disc) > AIR * from.r * 4 && !isFree(a, b, discs, from, disc, shape)) continue;
      left.delete(to);
      const child: Branch = { ...disc, entry: toward + Math.PI, children: [] };
      from.children.push(child);
      offer(child);
    }
  }
  return roots;
}

/** Kept with the smallest last. */
function insertSorted<T extends { d: number }>(list: T[], item: T) {
  let [low, high] = [0, list.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    if (list[mid]!.d > item.d) low = mid + 1;
    else high = mid;
  }
  list.splice(low, 0, item);
}

/** Whether the step between two discs meets no third and stays inside. */
function isFree(a: XY, b: XY, discs: readonly Disc[], from: Disc, to: Disc, shape: MultiPolygon): boolean {
  const mid: XY = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const half = Math.hypot(a[0] - b[0], a[1] - b[1]) / 2;
  const met = discs.some(
    (d) => d.c !== from.c && d.c !== to.c && Math.hypot(d.c[0] - mid[0], d.c[1] - mid[1]) < d.r + half * 0.9,
  );
  return !met && straightInside(shape, a, b, from.r / 6);
}

/** A figure in a disc: its outer line from where the needle comes in and round to it again, and what is sewn inside after. */
export interface Figure {
  outer: XY[];
  inner: XY[];
}
export type DrawFigure = (disc: Branch, spacing: number, random: Random) => Figure;

/** A tree of discs as one line: in at the rim, round the figure, out to each next disc where it is nearest, and home. */
export function sewnTree(root: Branch, figure: DrawFigure, spacing: number, random: Random): XY[] {
  const out: XY[] = [];
  const go = (disc: Branch) => {
    const { outer, inner } = figure(disc, spacing, random);
    // Each child leaves from the point of the figure that is nearest to it.
    const from = new Map<number, Branch[]>();
    for (const child of disc.children) {
      const door = onRim(child, child.entry);
      let [best, least] = [0, Infinity];
      outer.forEach((p, i) => {
        const d = Math.hypot(p[0] - door[0], p[1] - door[1]);
        if (d < least) [best, least] = [i, d];
      });
      from.set(best, [...(from.get(best) ?? []), child]);
    }
    outer.forEach((p, i) => {
      out.push(p);
      for (const child of from.get(i) ?? []) {
        go(child);
        out.push(p);
      }
    });
    out.push(...inner);
  };
  go(root);
  return out;
}

const around = (disc: Branch, n: number, radius: number): XY[] =>
  Array.from({ length: n + 1 }, (_, k) => onRim(disc, disc.entry + (k / n) * 2 * Math.PI, radius));
const points = (disc: Disc, spacing: number) =>
  Math.max(18, Math.min(72, Math.round((2 * Math.PI * disc.r) / (spacing / 7))));

/** One round of thread. */
export const pebble: DrawFigure = (disc, spacing) => ({
  outer: around(disc, points(disc, spacing), 1 - AIR),
  inner: [],
});

/** Figures that fill their place stay so far from its rim, against the spacing: what lies beside it does too. */
const APART = 0.4;
const within = (disc: Disc, spacing: number) => Math.max(0.6 * disc.r, disc.r - APART * spacing);

/** A thread that winds in and comes out beside itself, a spacing from its own turns all the way. */
export const swirl: DrawFigure = (disc, spacing) => {
  const n = points(disc, spacing);
  const rim = within(disc, spacing);
  const at = (turned: number, r: number) => onRim({ c: disc.c, r }, disc.entry - turned);
  const step = (2 * Math.PI) / n;
  const wind = (from: number): XY[] => {
    const arm: XY[] = [];
    for (let t = 0; ; t += step) {
      const r = from - (spacing * t) / Math.PI;
      if (r < 0.25 * spacing) return arm;
      arm.push(at(t, r));
    }
  };
  const into = wind(rim);
  // Where there is no room for a turn and a way out beside it, it is one round.
  if (into.length < n) return { outer: around(disc, n, rim / disc.r), inner: [] };
  const back = wind(rim - spacing).reverse();
  return { outer: into.slice(0, n), inner: [...into.slice(n), ...back, at(0, rim)] };
};

/** Closed shapes within one another that share their tip. @param half half their width at a share of their length, against it. */
const nested =
  (half: (u: number) => number, bend: (u: number) => number, vein = false): DrawFigure =>
  (disc, spacing) => {
    const n = points(disc, spacing);
    const long = 2 * within(disc, spacing);
    const tip = onRim(disc, disc.entry, long / 2 / disc.r);
    const axis = disc.entry + Math.PI;
    const [cos, sin] = [Math.cos(axis), Math.sin(axis)];
    const wide = Math.max(...Array.from({ length: 21 }, (_, k) => half(k / 20)));
    const at = (u: number, v: number, scale: number): XY => {
      const [x, y] = [u * long * scale, (v * scale + bend(u * scale)) * long];
      return [tip[0] + x * cos - y * sin, tip[1] + x * sin + y * cos];
    };
    const round = (scale: number) =>
      Array.from({ length: n + 1 }, (_, k) => {
        const t = (k / n) * 2 * Math.PI;
        const u = (1 - Math.cos(t)) / 2;
        return at(u, Math.sign(Math.sin(t)) * half(u), scale);
      });
    const inner: XY[] = [];
    // Each next one so much smaller that a spacing lies between them at their widest.
    const less = spacing / (2 * wide * long);
    for (let scale = 1 - 2 * less; scale > 1.2 * less; scale -= 2 * less) inner.push(...round(scale));
    if (vein) {
      const line = Array.from({ length: 9 }, (_, k) => at((k / 8) * 0.85, 0, 1));
      inner.push(...line, ...line.reverse());
    }
    return { outer: round(1), inner };
  };

const flat = () => 0;
/** A drop: pointed where it begins, round at its end. */
export const teardrop = nested(
  (u) => 0.4 * Math.sqrt(Math.max(0, u * (1 - u))) * 2 * Math.sqrt(u) * 0.92,
  flat,
);
/** A leaf: pointed at both ends, with its vein. */
export const leaf = nested((u) => 0.42 * Math.sin(Math.PI * u) ** 0.9, flat, true);
/** A flame: pointed at both ends, swung to one side and back. */
export const flame = nested(
  (u) => 0.3 * Math.sin(Math.PI * Math.pow(u, 0.8)),
  (u) => 0.1 * Math.sin(2 * Math.PI * u),
);
/** A drop whose tip is bent over. */
export const paisley = nested(
  (u) => 0.36 * Math.sqrt(Math.max(0, u * (1 - u))) * 2 * Math.sqrt(u) * 0.92,
  (u) => 0.16 * Math.sin(Math.PI * u) * (1 - u),
);
