import { boundsOf, type MultiPolygon, type XY } from '../geometry/polygon';
import { clipLines } from '../geometry/clip-lines';
import { LAP_MM, type Paper } from '../ruler/marking-strip';
import { inToMm } from '../units/length';

/** One sheet of a drawing at full size: where it lies in the whole, and what of the lines is on it, mm from its corner. */
export interface Sheet {
  row: number;
  column: number;
  lines: XY[][];
  outline: XY[][];
  /** Crosses at which it is laid on its neighbours, mm. */
  marks: XY[];
}

export interface FullSize {
  rows: number;
  columns: number;
  /** What of a sheet is printed on, mm. */
  widthMm: number;
  heightMm: number;
  sheets: Sheet[];
}

/**
 * A drawing cut into sheets at full size, each overlapping its neighbours by a centimetre, with crosses that fall on one
 * another. Sheets on which nothing lies are left out. Lengths in inches in, millimetres out.
 */
export function fullSize(shape: MultiPolygon, lines: readonly (readonly XY[])[], paper: Paper): FullSize {
  const [widthMm, heightMm] = [paper.widthMm - 2 * paper.marginMm, paper.heightMm - 2 * paper.marginMm];
  const { x0, y0, x1, y1 } = boundsOf(shape);
  const [stepX, stepY] = [widthMm - LAP_MM, heightMm - LAP_MM];
  const columns = Math.max(1, Math.ceil((inToMm(x1 - x0) - LAP_MM) / stepX));
  const rows = Math.max(1, Math.ceil((inToMm(y1 - y0) - LAP_MM) / stepY));
  const mm = ([x, y]: XY): XY => [inToMm(x - x0), inToMm(y - y0)];
  const all = lines.map((l) => l.map(mm));
  const rings = shape.flat().map((ring) => [...ring, ring[0]!].map(mm));
  const sheets: Sheet[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [left, top] = [column * stepX, row * stepY];
      const frame: MultiPolygon = [
        [
          [
            [left, top],
            [left + widthMm, top],
            [left + widthMm, top + heightMm],
            [left, top + heightMm],
          ],
        ],
      ];
      const here = (list: readonly (readonly XY[])[]) =>
        clipLines(list, frame).map((l) => l.map(([x, y]): XY => [x - left, y - top]));
      const [own, outline] = [here(all), here(rings)];
      if (own.length === 0 && outline.length === 0) continue;
      const half = LAP_MM / 2;
      const marks = [half, widthMm - half].flatMap((x) => [half, heightMm - half].map((y): XY => [x, y]));
      sheets.push({ row, column, lines: own, outline, marks });
    }
  return { rows, columns, widthMm, heightMm, sheets };
}
