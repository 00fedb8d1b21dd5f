import { EYE_SHARE, type Eye } from '@/core/tables/needles';
import { box, type Drawing, type Mark, n, polyline } from '@/ui/draw/mark';
import { threadMarks } from '@/ui/draw/thread-mark';

export interface MagnifiedThread {
  name: string;
  hex: string;
  mm: number;
  /** Eye ratio with the needle chosen. */
  ratio: number;
}

/** px per mm: a rope of 0.5 mm and a Nm 140 blade both stay on the page. */
export const PX_PER_MM = 96;
const ROW = 104;
const LEFT = 14;

/**
 * Threads under a magnifier, all at one scale, each run through the eye of the needle chosen: the blade
 * from the side, the eye cut out, the thread at its own thickness, and a bar of 1 mm.
 */
export function magnifier(
  threads: readonly MagnifiedThread[],
  needle: { nm: number; eye: Eye },
  width = 620,
): Drawing {
  const blade = (needle.nm / 100) * PX_PER_MM;
  const eye = EYE_SHARE[needle.eye] * blade;
  const marks: Mark[] = [];
  const labels: Drawing['labels'] = [];
  threads.forEach((t, i) => {
    const y = 28 + i * ROW + ROW / 2;
    const x0 = width - 190;
    const end = width - 20;
    const r = eye / 2;
    // The blade lies across the thread's end with its eye along the thread.
    marks.push(
      {
        d: `${box(x0, y - blade / 2, end - x0, blade)}M${n(x0 + 36 + r)} ${n(y - r)}H${n(end - 36 - r)}a${n(r)} ${n(r)} 0 0 1 0 ${n(eye)}H${n(x0 + 36 + r)}a${n(r)} ${n(r)} 0 0 1 0 ${n(-eye)}Z`,
        fill: 'var(--steel)',
        stroke: 'var(--ink)',
        width: 1.2,
      },
      ...threadMarks(wavy(LEFT, x0 + 36 + r, y), t.hex, t.mm * PX_PER_MM, 'butt'),
      ...threadMarks(`M${n(x0 + 36 + r)} ${n(y)}H${n(end - 36 - r)}`, t.hex, t.mm * PX_PER_MM, 'butt'),
    );
    labels.push({
      x: LEFT,
      y: y - ROW / 2 + 16,
      text: `${t.name} · ${t.mm.toFixed(3)} mm · fills ${t.ratio.toFixed(2)} of the eye`,
      size: 14,
      weight: 600,
    });
  });
  const height = 28 + threads.length * ROW + 10;
  marks.push({
    d: `M${LEFT} 12h${PX_PER_MM}M${LEFT} 7v10M${LEFT + PX_PER_MM} 7v10`,
    stroke: 'var(--ink)',
    width: 1.5,
  });
  labels.push({ x: LEFT + PX_PER_MM + 8, y: 16.5, text: '1 mm' });
  return { width, height, marks, labels };
}

/** A thread lying loosely, for the eye to judge its thickness. */
const wavy = (x0: number, x1: number, y: number): string =>
  polyline(
    Array.from({ length: 41 }, (_, i) => {
      const u = i / 40;
      return [x0 + (x1 - x0) * u, y + 5 * Math.sin(u * Math.PI * 3) * (1 - u)] as const;
    }),
  );
