import { MM_PER_INCH } from '../units/length';
import type { XY } from '../geometry/polygon';

export interface Stitches {
  stitches: number;
  spi: number;
  cvPct: number;
  longestMm: number;
  shortestMm: number;
}

/**
 * Stitches between holes as they lie in the picture, after one was moved, put in or taken out by hand.
 * Null with fewer than three holes. @param mmPerPx above 0.
 */
export function stitchesBetween(holes: readonly XY[], mmPerPx: number): Stitches | null {
  if (holes.length < 3) return null;
  const lengths = holes
    .slice(1)
    .map((h, i) => Math.hypot(h[0] - holes[i]![0], h[1] - holes[i]![1]) * mmPerPx);
  const mean = lengths.reduce((a, b) => a + b, 0) / lengths.length;
  const sd = Math.sqrt(lengths.reduce((s, x) => s + (x - mean) ** 2, 0) / Math.max(1, lengths.length - 1));
  return {
    stitches: lengths.length,
    spi: MM_PER_INCH / mean,
    cvPct: (sd / mean) * 100,
    longestMm: Math.max(...lengths),
    shortestMm: Math.min(...lengths),
  };
}
