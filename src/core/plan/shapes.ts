import { type MultiPolygon, type Polygon, rect, type XY } from '../geometry/polygon';

/** Ways to lay zones on a quilt, in inches from its top left corner. */

/** The frame between a rectangle and the same drawn in by `d`, as four strips without the corners. */
export const strips = (x: number, y: number, w: number, h: number, d: number): MultiPolygon => [
  [rect(x + d, y, w - 2 * d, d)],
  [rect(x + d, y + h - d, w - 2 * d, d)],
  [rect(x, y + d, d, h - 2 * d)],
  [rect(x + w - d, y + d, d, h - 2 * d)],
];

/** The four corner squares of side `d` of a rectangle at x, y, w wide and h high (in). */
export const corners = (x: number, y: number, w: number, h: number, d: number): MultiPolygon => [
  [rect(x, y, d, d)],
  [rect(x + w - d, y, d, d)],
  [rect(x, y + h - d, d, d)],
  [rect(x + w - d, y + h - d, d, d)],
];

/** A whole frame as one ring with a hole. */
export const frame = (x: number, y: number, w: number, h: number, d: number): MultiPolygon => [
  [rect(x, y, w, h), rect(x + d, y + d, w - 2 * d, h - 2 * d)],
];

/** The blocks of a grid laid in a rectangle with sashing of width `s` round each. */
export const blocks = (
  x: number,
  y: number,
  w: number,
  h: number,
  columns: number,
  rows: number,
  s: number,
): MultiPolygon => {
  const bw = (w - s * (columns + 1)) / columns;
  const bh = (h - s * (rows + 1)) / rows;
  return Array.from({ length: rows * columns }, (_, i): Polygon => {
    const c = i % columns;
    const r = Math.floor(i / columns);
    return [rect(x + s + c * (bw + s), y + s + r * (bh + s), bw, bh)];
  });
};

/** What is left of a rectangle round the blocks of a grid. */
export const sashing = (
  x: number,
  y: number,
  w: number,
  h: number,
  columns: number,
  rows: number,
  s: number,
): MultiPolygon => [[rect(x, y, w, h), ...blocks(x, y, w, h, columns, rows, s).map((b) => b[0]!)]];

/** A regular shape round a centre. */
export const round = (cx: number, cy: number, r: number, sides = 24): XY[] =>
  Array.from({ length: sides }, (_, i): XY => {
    const a = (i / sides) * 2 * Math.PI;
    return [Number((cx + r * Math.cos(a)).toFixed(3)), Number((cy + r * Math.sin(a)).toFixed(3))];
  });

/** A lantern to sit in a block: roof, glass and foot as one outline. */
export const lantern = (x: number, y: number, w: number, h: number): XY[] =>
  (
    [
      [0.5, 0.06],
      [0.68, 0.27],
      [0.8, 0.27],
      [0.76, 0.4],
      [0.76, 0.82],
      [0.82, 0.94],
      [0.18, 0.94],
      [0.24, 0.82],
      [0.24, 0.4],
      [0.2, 0.27],
      [0.32, 0.27],
    ] as const
  ).map(([u, v]): XY => [Number((x + u * w).toFixed(3)), Number((y + v * h).toFixed(3))]);

/** The area of some shapes with rings cut out of the shape each lies in. */
export const without = (shapes: MultiPolygon, cut: readonly (readonly XY[])[]): MultiPolygon =>
  shapes.map((shape, i) => (cut[i] ? [...shape, cut[i]] : shape));
