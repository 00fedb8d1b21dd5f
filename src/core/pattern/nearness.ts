import type { XY } from '../geometry/polygon';

/** A spot along the sewing: where, which way, in which run and how far along it. */
export interface Spot {
  at: XY;
  /** Radians, without regard to forward or back. */
  way: number;
  run: number;
  along: number;
}

/** Spots at even distances along runs of points. */
export function spotsOf(runs: readonly (readonly XY[])[], step: number): Spot[] {
  const spots: Spot[] = [];
  for (const [run, points] of runs.entries()) {
    let along = 0;
    let next = step / 2;
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1]!, points[i]!];
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
      const way = Math.atan2(b[1] - a[1], b[0] - a[0]);
      for (; next <= along + length; next += step) {
        const t = (next - along) / length;
        spots.push({ at: [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])], way, run, along: next });
      }
      along += length;
    }
  }
  return spots;
}

/**
 * The share of the spots that lie within a distance of another part of the sewing that goes the same way, or back.
 * @param within the distance, in the unit of the spots. @param angle radians the two ways may differ by.
 * @param apart how far along the same run the other part must be. @param earlier only what was sewn before counts.
 */
export function nearShare(
  spots: readonly Spot[],
  { within, angle, apart, earlier }: { within: number; angle: number; apart: number; earlier: boolean },
): number {
  if (spots.length === 0) return 0;
  const cells = new Map<string, number[]>();
  const cell = ({ at }: Spot) => [Math.floor(at[0] / within), Math.floor(at[1] / within)] as const;
  const near = (spot: Spot, found: (other: number) => boolean) => {
    const [x, y] = cell(spot);
    for (let i = x - 1; i <= x + 1; i++)
      for (let j = y - 1; j <= y + 1; j++) if (cells.get(`${i} ${j}`)?.some(found)) return true;
    return false;
  };
  const put = (spot: Spot, i: number) => {
    const key = cell(spot).join(' ');
    const list = cells.get(key);
    if (list) list.push(i);
    else cells.set(key, [i]);
  };
  if (!earlier) spots.forEach(put);
  let count = 0;
  for (const [i, spot] of spots.entries()) {
    const fits = (k: number) => {
      const other = spots[k]!;
      if (other.run === spot.run && Math.abs(other.along - spot.along) < apart) return false;
      if (Math.hypot(other.at[0] - spot.at[0], other.at[1] - spot.at[1]) > within) return false;
      // Half a turn apart is the same line.
      return Math.abs(Math.sin(other.way - spot.way)) <= Math.sin(angle);
    };
    if (near(spot, fits)) count++;
    if (earlier) put(spot, i);
  }
  return count / spots.length;
}
