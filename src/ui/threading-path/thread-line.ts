import { n } from '@/ui/draw/mark';

/** Where the thread passes: the spool, five eyelets, the needle. */
export interface ThreadLine {
  /** One curve per gap; the first `done` are solid. */
  gaps: { d: string; solid: boolean }[];
  eyelets: { x: number; y: number; r: number; state: 'done' | 'here' | 'ahead' }[];
}

const SAG = [10, 9, -8, 9, -8, 7];

/** The thread from a spool through the eyelets to a needle, with a slight sag in each gap. */
export function threadLine(
  from: readonly [number, number],
  xs: readonly number[],
  y: number,
  to: readonly [number, number],
  current: number,
): ThreadLine {
  const points = [from, ...xs.map((x) => [x, y] as const), to];
  const gaps = points.slice(1).map(([bx, by], i) => {
    const [ax, ay] = points[i]!;
    const sag = SAG[i % SAG.length]!;
    return {
      d: `M${n(ax)} ${n(ay)}C${n(ax + (bx - ax) * 0.33)} ${n(ay + sag)} ${n(ax + (bx - ax) * 0.67)} ${n(by + sag)} ${n(bx)} ${n(by)}`,
      solid: i <= current,
    };
  });
  const eyelets = xs.map((x, i) => ({
    x,
    y,
    r: i === current ? 16 : 10,
    state: i < current ? ('done' as const) : i === current ? ('here' as const) : ('ahead' as const),
  }));
  return { gaps, eyelets };
}

/** The back half of a ring is drawn behind the thread and the front half before it. */
export const halfRing = (x: number, y: number, r: number, half: 'back' | 'front'): string =>
  `M${n(x)} ${n(y - r)}A${r} ${r} 0 0 ${half === 'back' ? 0 : 1} ${n(x)} ${n(y + r)}`;
