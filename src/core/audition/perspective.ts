import { Matrix, solve } from 'ml-matrix';
import { type XY } from '../geometry/polygon';
import { CoreError } from '../notes';

/** A plane seen from aside: nine numbers, row by row, the last 1. */
export type Perspective = readonly number[];

/** Three corners nearer to one line than this share of the picture are no corners. */
const FLAT = 1e-4;

const turn = (a: XY, b: XY, c: XY) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Whether four points go round an open quadrilateral that folds nowhere. */
export function isOpenQuad(corners: readonly XY[]): boolean {
  if (corners.length !== 4 || corners.some((p) => !p.every(Number.isFinite))) return false;
  const turns = corners.map((p, i) => turn(p, corners[(i + 1) % 4]!, corners[(i + 2) % 4]!));
  return turns.every((t) => t > FLAT) || turns.every((t) => t < -FLAT);
}

/**
 * The perspective that takes four points to four others (a homography, from its eight linear equations).
 * @throws CoreError `corners-folded` where either four are not the corners of an open quadrilateral.
 */
export function perspectiveOf(from: readonly XY[], to: readonly XY[]): Perspective {
  if (!isOpenQuad(from) || !isOpenQuad(to))
    throw new CoreError(
      'corners-folded',
      'The four corners must go round the quilt, none on the line between two others.',
      'corners',
    );
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y],
      [0, 0, 0, x, y, 1, -v * x, -v * y],
    ];
  });
  const right = Matrix.columnVector(to.flatMap(([u, v]) => [u, v]));
  return [...solve(new Matrix(rows), right).to1DArray(), 1];
}

/** Where a point comes to. */
export function seenAt([a, b, c, d, e, f, g, h, i]: Perspective, [x, y]: XY): XY {
  const w = g! * x + h! * y + i!;
  return [(a! * x + b! * y + c!) / w, (d! * x + e! * y + f!) / w];
}

/** The same for a page, as `matrix3d` of CSS. */
export const matrix3d = ([a, b, c, d, e, f, g, h, i]: Perspective): string =>
  `matrix3d(${[a, d, 0, g, b, e, 0, h, 0, 0, 1, 0, c, f, 0, i].join(',')})`;
