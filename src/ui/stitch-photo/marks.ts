import type { XY } from '@/core/geometry/polygon';

/** What can mark the scale: a thing laid on the cloth, and how long it is, mm. */
export const SCALES = [
  { id: 'inch', label: 'one inch of a ruler', mm: 25.4 },
  { id: 'two-inches', label: 'two inches of a ruler', mm: 50.8 },
  { id: 'cm', label: 'one centimetre', mm: 10 },
  { id: 'five-cm', label: 'five centimetres', mm: 50 },
  { id: 'coin', label: 'a coin, across', mm: null },
] as const;
export type ScaleId = (typeof SCALES)[number]['id'];

/** Millimetres to the pixel from two marks and what lies between them; null while they are not two places. */
export function mmPerPx(marks: readonly XY[], mm: number | null): number | null {
  const [a, b] = marks;
  if (!a || !b || mm === null || !(mm > 0)) return null;
  const px = Math.hypot(a[0] - b[0], a[1] - b[1]);
  return px < 4 ? null : mm / px;
}

/** The holes with one moved to a place. */
export const moved = (holes: readonly XY[], at: number, to: XY): XY[] =>
  holes.map((h, i) => (i === at ? to : h));

/** The holes with one more, put between the two it lies nearest to. */
export function added(holes: readonly XY[], spot: XY): XY[] {
  const off = (a: XY, b: XY) =>
    Math.hypot(a[0] - spot[0], a[1] - spot[1]) +
    Math.hypot(b[0] - spot[0], b[1] - spot[1]) -
    Math.hypot(a[0] - b[0], a[1] - b[1]);
  let best = 0;
  for (let i = 0; i + 1 < holes.length; i++)
    if (off(holes[i]!, holes[i + 1]!) < off(holes[best]!, holes[best + 1]!)) best = i;
  return [...holes.slice(0, best + 1), spot, ...holes.slice(best + 1)];
}
