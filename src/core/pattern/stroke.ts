import type { XY } from '../geometry/polygon';

/** A straight piece, or a cubic curve with its two handles between its ends. */
export type Piece = readonly [XY, XY] | readonly [XY, XY, XY, XY];

/** Pieces sewn one after the other without lifting; a closed one ends where it began. */
export interface Stroke {
  pieces: readonly Piece[];
  closed: boolean;
}

/** What one element draws, by the name it has in its file. */
export interface Shape {
  name: string | null;
  strokes: Stroke[];
}

/** A drawing as its file holds it, y downwards. */
export interface Drawing {
  strokes: Stroke[];
  /** Inches of one of its units; null where the file does not say. */
  unitIn: number | null;
}

/** Where a piece of a stroke begins (drawing units). */
export const startOf = (p: Piece): XY => p[0];
/** Where a piece of a stroke ends (drawing units). */
export const endOf = (p: Piece): XY => p[p.length - 1]!;
/** The straight distance between two points, in their own unit. */
export const apart = (a: XY, b: XY): number => Math.hypot(b[0] - a[0], b[1] - a[1]);

/** The same stroke sewn from its end. */
export const reversed = (s: Stroke): Stroke => ({
  ...s,
  pieces: s.pieces.map((p) => [...p].reverse() as unknown as Piece).reverse(),
});

/**
 * A circular arc as cubic curves of at most a quarter turn; off by less than 0.03 % of its radius.
 * @param from @param to radians; `to` before `from` turns the other way.
 */
export function arc(centre: XY, radius: XY, from: number, to: number, turn = 0): Piece[] {
  const n = Math.max(1, Math.ceil(Math.abs(to - from) / (Math.PI / 2) - 1e-9));
  const step = (to - from) / n;
  const handle = (4 / 3) * Math.tan(step / 4);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const place = (x: number, y: number): XY => {
    const [u, v] = [x * radius[0], y * radius[1]];
    return [centre[0] + u * cos - v * sin, centre[1] + u * sin + v * cos];
  };
  return Array.from({ length: n }, (_, i): Piece => {
    const [a, b] = [from + i * step, from + (i + 1) * step];
    return [
      place(Math.cos(a), Math.sin(a)),
      place(Math.cos(a) - handle * Math.sin(a), Math.sin(a) + handle * Math.cos(a)),
      place(Math.cos(b) + handle * Math.sin(b), Math.sin(b) - handle * Math.cos(b)),
      place(Math.cos(b), Math.sin(b)),
    ];
  });
}
