import { readLengthMm } from '../exchange/read-number';
import { mmToIn } from '../units/length';
import type { Piece } from './in-hand';

/**
 * Pieces as they are written down: “72 × 90; 1 m x 2 m”. Null when one cannot be read.
 * @example readPieces('72 x 90; 40 × 80')!.length // 2
 */
export function readPieces(text: string): Piece[] | null {
  const parts = text
    .split(/[;\n]/u)
    .map((p) => p.trim())
    .filter(Boolean);
  const read = parts.map((p) => {
    const [a, b, more] = p.split(/\s*[x×*]\s*/iu);
    const sides = [a, b].map((s) => (s === undefined ? null : readLengthMm(s, '.', 'in')));
    return more !== undefined || sides.some((s) => s === null || s <= 0)
      ? null
      : { widthIn: mmToIn(sides[0]!), lengthIn: mmToIn(sides[1]!) };
  });
  return read.every((p) => p !== null) ? read : null;
}
