import type { XY } from '../geometry/polygon';
import { resampled } from './smooth';

/** Sharper turns within a step are points, and no curve. */
const POINT = Math.PI / 3;
/** Gentler than this, against the spacing, is straight. */
const STRAIGHT = 40;
const SHARE = 0.05;

/** The radius a twentieth of the bent length lies below, inches; null where nothing bends. @param spacing points are compared so much of it apart. */
export function radiusOf(lines: readonly (readonly XY[])[], spacing: number): number | null {
  const step = spacing / 6;
  const bends: { radius: number; length: number }[] = [];
  for (const line of lines) {
    const p = resampled(line, step);
    for (let i = 1; i + 1 < p.length; i++) {
      const [ax, ay] = [p[i]![0] - p[i - 1]![0], p[i]![1] - p[i - 1]![1]];
      const [bx, by] = [p[i + 1]![0] - p[i]![0], p[i + 1]![1] - p[i]![1]];
      const turn = Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
      if (turn > POINT) continue;
      const length = (Math.hypot(ax, ay) + Math.hypot(bx, by)) / 2;
      const radius = length / Math.max(1e-9, turn);
      if (radius < STRAIGHT * spacing) bends.push({ radius, length });
    }
  }
  bends.sort((a, b) => a.radius - b.radius);
  const all = bends.reduce((s, b) => s + b.length, 0);
  let so = 0;
  for (const b of bends) {
    so += b.length;
    if (so >= SHARE * all) return b.radius;
  }
  return null;
}
