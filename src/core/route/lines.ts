import Flatbush from 'flatbush';
import type { MultiPolygon, XY } from '../geometry/polygon';

/** A straight line to sew, inches. */
export interface Line {
  a: XY;
  b: XY;
}

/** Places nearer than this are one, inches: seams are not drawn finer. */
const NEAR_IN = 0.03;
/** How far an arc bows out of its chord, as a share of it, at most (judgement: a quarter is a full curve). */
const BOW = 0.25;

const lengthOf = ({ a, b }: Line) => Math.hypot(b[0] - a[0], b[1] - a[1]);
const at = ({ a, b }: Line, u: number): XY => [a[0] + u * (b[0] - a[0]), a[1] + u * (b[1] - a[1])];

const edgesOf = (shape: MultiPolygon): Line[] =>
  shape.flat().flatMap((ring) => ring.map((a, i): Line => ({ a, b: ring[(i + 1) % ring.length]! })));

/** Every place where another line ends on this one splits it, so that lines meet only at their ends. */
function split(lines: readonly Line[]): Line[] {
  const ends = lines.flatMap(({ a, b }) => [a, b]);
  if (ends.length === 0) return [];
  const index = new Flatbush(ends.length);
  for (const [x, y] of ends) index.add(x, y, x, y);
  index.finish();
  return lines.flatMap((line) => {
    const { a, b } = line;
    const length = lengthOf(line);
    if (length < NEAR_IN) return [];
    const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
    const cuts = index
      .search(
        Math.min(a[0], b[0]) - NEAR_IN,
        Math.min(a[1], b[1]) - NEAR_IN,
        Math.max(a[0], b[0]) + NEAR_IN,
        Math.max(a[1], b[1]) + NEAR_IN,
      )
      .flatMap((i) => {
        const [x, y] = ends[i]!;
        const off = Math.abs((x - a[0]) * uy - (y - a[1]) * ux);
        const along = (x - a[0]) * ux + (y - a[1]) * uy;
        return off <= NEAR_IN && along > NEAR_IN && along < length - NEAR_IN ? [along] : [];
      })
      .sort((p, q) => p - q)
      .filter((v, i, all) => i === 0 || v - all[i - 1]! > NEAR_IN);
    const stops = [0, ...cuts, length];
    return stops
      .slice(1)
      .map((to, i): Line => ({ a: at(line, stops[i]! / length), b: at(line, to / length) }));
  });
}

/** Lines that lie on one another, once. */
function once(lines: readonly Line[]): Line[] {
  const seen = new Set<string>();
  const key = ([x, y]: XY) => `${Math.round(x / NEAR_IN / 2)} ${Math.round(y / NEAR_IN / 2)}`;
  return lines.filter(({ a, b }) => {
    const both = [key(a), key(b)].sort().join(' | ');
    return !seen.has(both) && seen.add(both);
  });
}

/** An arc from corner to corner, bowed into its own piece, as two straight lines over its crown. */
const bowed = (line: Line, [cx, cy]: XY): Line[] => {
  const [mx, my] = at(line, 0.5);
  const reach = Math.hypot(cx - mx, cy - my) || 1;
  const deep = Math.min(BOW * lengthOf(line), reach / 2);
  const crown: XY = [mx + ((cx - mx) / reach) * deep, my + ((cy - my) / reach) * deep];
  return [
    { a: line.a, b: crown },
    { a: crown, b: line.b },
  ];
};

/** An edge in equal parts, each about as wide as an arc. */
const chords = (line: Line, chordIn: number): Line[] => {
  const n = Math.max(1, Math.round(lengthOf(line) / chordIn));
  return Array.from({ length: n }, (_, i) => ({ a: at(line, i / n), b: at(line, (i + 1) / n) }));
};

const middleOf = (ring: readonly XY[]): XY => [
  ring.reduce((s, [x]) => s + x, 0) / ring.length,
  ring.reduce((s, [, y]) => s + y, 0) / ring.length,
];

/** Which lines a technique sews in a shape: along its edges, each once, or arcs from corner to corner in each piece. */
export type LineKind = 'edges' | 'arcs';

/**
 * The lines of a technique in a zone, inches, meeting only at their ends. What lies on the quilt's own edge is not sewn:
 * the binding holds it.
 * @param quilt its size, inches. @param chordIn arcs are about so wide: a long edge has several.
 */
export function linesOf(
  shape: MultiPolygon,
  kind: LineKind,
  quilt: { widthIn: number; lengthIn: number },
  chordIn = Infinity,
): Line[] {
  const onEdge = ({ a, b }: Line) =>
    [0, quilt.widthIn].some((x) => Math.abs(a[0] - x) < NEAR_IN && Math.abs(b[0] - x) < NEAR_IN) ||
    [0, quilt.lengthIn].some((y) => Math.abs(a[1] - y) < NEAR_IN && Math.abs(b[1] - y) < NEAR_IN);
  if (kind === 'edges') return once(split(edgesOf(shape))).filter((l) => !onEdge(l));
  return shape.flatMap(([outer]) =>
    outer
      ? edgesOf([[outer]])
          .flatMap((line) => chords(line, chordIn))
          .flatMap((line) => bowed(line, middleOf(outer)))
      : [],
  );
}

/**
 * What of some lines lies in a pass: cut at its borders. A line along a border belongs to the pass that begins there.
 * @param axis 0: passes side by side, 1: down the quilt. @param isLast the last pass keeps its far border.
 */
export function inBand(
  lines: readonly Line[],
  axis: 0 | 1,
  from: number,
  to: number,
  isLast: boolean,
): Line[] {
  return lines.flatMap((line): Line[] => {
    const [p, q] = [line.a[axis], line.b[axis]];
    if (Math.abs(p - q) < 1e-9) return (p >= from && p < to) || (isLast && p === to) ? [line] : [];
    const [u0, u1] = [(from - p) / (q - p), (to - p) / (q - p)].sort((x, y) => x - y) as [number, number];
    const [low, high] = [Math.max(0, u0), Math.min(1, u1)];
    const part: Line = { a: at(line, low), b: at(line, high) };
    return high > low && lengthOf(part) > NEAR_IN ? [part] : [];
  });
}

/** Places of some lines that lie on the quilt's own edge: a line may begin or end there for nothing. */
export const freeEndsOf = (
  lines: readonly Line[],
  { widthIn, lengthIn }: { widthIn: number; lengthIn: number },
): XY[] =>
  lines
    .flatMap(({ a, b }) => [a, b])
    .filter(([x, y]) => x < NEAR_IN || y < NEAR_IN || x > widthIn - NEAR_IN || y > lengthIn - NEAR_IN);
