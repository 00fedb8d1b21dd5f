import { intersection } from 'polyclip-ts';
import { Crossings } from '../geometry/crossings';
import { boundsOf, contains, type MultiPolygon, type XY } from '../geometry/polygon';
import { straightInside } from './join';
import { backAndForth, Edge, type Rows, rowsIn, type Sewn } from './rows';
import { evened, resampled } from './smooth';

/** Bands are about so deep, against the spacing. */
const DEEP = 6;
/** Turns are rounded over so much of the spacing. */
const ROUND = 0.7;
/** How far a plume leans over its half of a band, against the band's depth. */
const LEAN = 0.9;

interface Band {
  from: number;
  to: number;
}

/** Bands across a shape's shorter way, evenly deep. */
function bandsOf(shape: MultiPolygon, spacing: number, isAcross: boolean): Band[] {
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const [from, to] = isAcross ? [y0, y1] : [x0, x1];
  const n = Math.max(1, Math.round((to - from) / (DEEP * spacing)));
  return Array.from({ length: n }, (_, i) => ({
    from: from + ((to - from) * i) / n,
    to: from + ((to - from) * (i + 1)) / n,
  }));
}

/** A step straight to the next part is no longer than this, against the spacing; longer ways go along the edge. */
const STEP = 5;

/** Lines sewn one after another: from the end of each over to the nearest next, straight or along the edge. */
function chained(shape: MultiPolygon, parts: readonly XY[][], spacing: number): Sewn {
  const edge = new Edge(shape);
  const left = new Set(parts);
  const lines: XY[][] = [];
  let travelIn = 0;
  const sewn = new Crossings(parts);
  const ways: XY[][] = [];
  const isFree = (way: readonly XY[]) => !sewn.meets(way) && !ways.some((w) => new Crossings([w]).meets(way));
  const wayTo = (from: XY, to: XY): { d: number; by: XY[] } | null => {
    const d = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (d < STEP * spacing && straightInside(shape, from, to, spacing / 12) && isFree([from, to]))
      return { d, by: [] };
    const [a, b] = [edge.place(from), edge.place(to)];
    if (a.ring !== b.ring) return null;
    const by = [edge.point(a), ...edge.between(a, b), edge.point(b)];
    return isFree([from, ...by, to]) ? { d: edge.far(a, b), by } : null;
  };
  while (left.size > 0) {
    const first = left.values().next().value!;
    left.delete(first);
    const now = [...first];
    for (;;) {
      const end = now.at(-1)!;
      let best: { line: XY[]; own: XY[]; d: number; by: XY[] } | null = null;
      for (const line of left)
        for (const own of [line, [...line].reverse()]) {
          const way = wayTo(end, own[0]!);
          if (way && way.d < (best?.d ?? Infinity)) best = { line, own, ...way };
        }
      if (!best) break;
      left.delete(best.line);
      travelIn += best.d;
      ways.push([end, ...best.by, best.own[0]!]);
      now.push(...best.by, ...best.own);
    }
    lines.push(now);
  }
  return { lines, travelIn };
}

/** What of a shape lies in an upright rectangle, each part by itself. */
function clipped(
  shape: MultiPolygon,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
): MultiPolygon {
  const open = shape.map((polygon) => polygon.map((ring) => ring.map(([x, y]): [number, number] => [x, y])));
  const band: [number, number][][] = [
    [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ],
  ];
  // The library closes its rings; ours are open.
  return intersection(open, band).map((polygon) => polygon.map((ring) => ring.slice(0, -1)));
}

/** A shape filled band by band with teeth that stand side by side. @param plumes two halves that lean away from a spine. */
export function teethLines(shape: MultiPolygon, spacing: number, plumes: boolean): Sewn {
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const isAcross = x1 - x0 >= y1 - y0;
  let travelIn = 0;
  const parts = bandsOf(shape, spacing, isAcross).flatMap(({ from, to }) => {
    const mid = (from + to) / 2;
    const halves = plumes ? [[from, mid] as const, [mid, to] as const] : [[from, to] as const];
    return halves.flatMap(([a, b]) => {
      const piece = clipped(shape, isAcross ? [x0, a, x1, b] : [a, y0, b, y1]);
      return piece.flatMap((polygon) => {
        const rows = rowsIn(
          [polygon],
          toothRows([polygon], spacing, isAcross, plumes ? { spine: mid, deep: to - from } : null),
        );
        const sewn = backAndForth([polygon], rows);
        travelIn += Math.max(0, sewn.travelIn - spacing * rows.length);
        return sewn.lines.map((l) => rounded([polygon], l, spacing));
      });
    });
  });
  const whole = chained(shape, parts, spacing);
  return { lines: whole.lines, travelIn: travelIn + whole.travelIn };
}

/** The turns of a line rounded; where that would leave the shape, they stay. */
function rounded(shape: MultiPolygon, line: readonly XY[], spacing: number): XY[] {
  const even = resampled(line, spacing / 8);
  return evened(even, ROUND * spacing, false).map((p, i) => (contains(shape, p) ? p : even[i]!));
}

/** Teeth of one band: straight across it, or leaning ever more away from the spine. */
function toothRows(
  shape: MultiPolygon,
  spacing: number,
  isAcross: boolean,
  plume: { spine: number; deep: number } | null,
): Rows {
  const angle = isAcross ? Math.PI / 2 : 0;
  if (!plume) return { apart: spacing, angle, step: spacing / 4 };
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const middle = isAcross ? (y0 + y1) / 2 : (x0 + x1) / 2;
  const lean = (along: number) => {
    const t = Math.abs(middle + along - plume.spine) / (plume.deep / 2);
    return LEAN * (plume.deep / 2) * (t - 0.55 * t * t);
  };
  return {
    apart: spacing,
    angle,
    step: spacing / 4,
    aside: (u) => (isAcross ? -1 : 1) * lean(u),
    most: LEAN * plume.deep,
  };
}
