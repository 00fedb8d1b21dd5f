import { readLengthMm } from '../exchange/read-number';
import { mmToIn } from '../units/length';
import type { Piece } from './in-hand';

/** A piece as it is written down: its sides, and what it is called where that is said. */
export interface WrittenPiece extends Piece {
  name: string;
}

/**
 * Pieces as they are written down: “72 × 90; 1 m x 2 m; 40 × 80 wool”. Null when one cannot be read.
 * @example readPieces('72 x 90; 40 × 80 wool')!.map((p) => p.name) // ['', 'wool']
 */
export function readPieces(text: string): WrittenPiece[] | null {
  const parts = text
    .split(/[;\n]/u)
    .map((p) => p.trim())
    .filter(Boolean);
  const read = parts.map((part) => pieceOf(part, '') ?? named(part));
  return read.every((p) => p !== null) ? read : null;
}

function named(part: string): WrittenPiece | null {
  // The shortest beginning that is two sides; the rest is its name.
  const words = part.split(/\s+/u);
  for (let n = words.length - 1; n >= 1; n--) {
    const piece = pieceOf(words.slice(0, n).join(' '), words.slice(n).join(' '));
    if (piece) return piece;
  }
  return null;
}

function pieceOf(part: string, name: string): WrittenPiece | null {
  const [a, b, more] = part.split(/\s*[x×*]\s*/iu);
  const sides = [a, b].map((s) => (s === undefined ? null : readLengthMm(s, '.', 'in')));
  return more !== undefined || sides.some((s) => s === null || s <= 0)
    ? null
    : { widthIn: mmToIn(sides[0]!), lengthIn: mmToIn(sides[1]!), name };
}
