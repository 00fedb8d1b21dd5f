import { type Drawing, type Label, type Mark, n } from '@/ui/draw/mark';
import { mix } from '@/ui/draw/colour';

/** px per mm under the glass: a thread of 0.1 mm is still seen, and 4 cm of cloth fit across. */
export const LOUPE_PX_PER_MM = 12;
export const LOUPE = { width: 520, height: 220 } as const;

export interface LaidThread {
  hex: string;
  mm: number;
  name: string;
}

/** A stitch shows this much of its length; at its ends the thread dips into the cloth. */
const SEEN = 0.94;

/**
 * Threads laid across the cloth as lines of stitching, each at its own thickness and all at one scale, with a bar of
 * 1 cm. Lines wave a little, so that they are not taken for a stripe of the print.
 */
export function laidThreads(threads: readonly LaidThread[], stitchMm: number): Drawing {
  const { width, height } = LOUPE;
  const marks: Mark[] = [];
  const labels: Label[] = [];
  const length = stitchMm * LOUPE_PX_PER_MM;
  const gap = (height - 40) / Math.max(1, threads.length);
  threads.forEach((t, i) => {
    const y = 16 + gap * (i + 0.5);
    const d = wave(y, width);
    const w = t.mm * LOUPE_PX_PER_MM;
    const dash = `${n(length * SEEN)} ${n(length * (1 - SEEN))}`;
    marks.push(
      { d, stroke: mix(t.hex, '#000000', 0.45), width: w + 0.8, dash, cap: 'butt', opacity: 0.55 },
      { d, stroke: t.hex, width: w, dash, cap: 'butt' },
    );
    labels.push({ x: 8, y: y - w / 2 - 7, text: t.name, size: 13, weight: 600 });
  });
  const bar = 10 * LOUPE_PX_PER_MM;
  marks.push({
    d: `M${n(width - 12 - bar)} ${height - 12}h${n(bar)}m0 -4v8m${n(-bar)} -8v8`,
    stroke: 'var(--ink)',
    width: 1.5,
  });
  labels.push({ x: width - 18 - bar, y: height - 8, text: '1 cm', anchor: 'end' });
  return { width, height, marks, labels };
}

function wave(y: number, width: number): string {
  const step = 26;
  let d = `M0 ${n(y)}`;
  for (let x = 0; x < width; x += step * 2) d += `q${step / 2} -7 ${step} 0t${step} 0`;
  return d;
}

/** Where on the screen a picture lies so that a place of it is in the middle of the glass, at the loupe's scale. */
export function pictureUnderLoupe(
  picture: { width: number; height: number },
  acrossIn: number,
  mark: { x: number; y: number },
): { x: number; y: number; width: number; height: number } {
  const width = acrossIn * 25.4 * LOUPE_PX_PER_MM;
  const height = (width * picture.height) / picture.width;
  return {
    x: LOUPE.width / 2 - mark.x * width,
    y: LOUPE.height / 2 - mark.y * height,
    width,
    height,
  };
}
