import { scaleLinear } from 'd3-scale';
import { EYE_BEST, EYE_USABLE } from '@/core/needle/eye';
import { EYE_SHARE, type Eye } from '@/core/tables/needles';
import { box, type Drawing, line, n } from '@/ui/draw/mark';
import { threadMarks } from '@/ui/draw/thread-mark';

export interface GaugeNumbers {
  nm: number;
  eye: Eye;
  threadMm: number;
  ratio: number;
}

/** What the ratio of thread to eye means, in one word. */
export const eyeWord = (ratio: number): 'roomy' | 'clear' | 'snug' | 'rubs' =>
  ratio < EYE_BEST[0] ? 'roomy' : ratio <= EYE_BEST[1] ? 'clear' : ratio <= EYE_USABLE[1] ? 'snug' : 'rubs';

/** px per mm: a Nm 140 blade still fits. */
const PER_MM = 38;
const SCALE_END = 0.8;
const WORD_COLOUR = {
  roomy: 'var(--weld-text)',
  clear: 'var(--verdigris)',
  snug: 'var(--weld-text)',
  rubs: 'var(--madder)',
};

/** The blade lying on its side with its eye, and the thread through it, all at one scale. */
export function needleGauge(g: GaugeNumbers, colour: string, width = 350): Drawing {
  const y = 30;
  const half = (g.nm / 200) * PER_MM;
  const eye = (EYE_SHARE[g.eye] * g.nm * PER_MM) / 100;
  const r = eye / 2;
  const x0 = 4;
  const xe = 56;
  const d = g.threadMm * PER_MM;
  const blade = `M${x0} ${n(y - half)}H${xe + 56}C${xe + 74} ${n(y - half)} ${xe + 82} ${n(y - 8)} ${xe + 100} ${y}C${xe + 82} ${n(y + 8)} ${xe + 74} ${n(y + half)} ${xe + 56} ${n(y + half)}H${x0}ZM${n(xe + r)} ${n(y - r)}H${n(xe + 54 - r)}a${n(r)} ${n(r)} 0 0 1 0 ${n(eye)}H${n(xe + r)}a${n(r)} ${n(r)} 0 0 1 0 ${n(-eye)}Z`;
  const bar = { x: 180, w: width - 184, y: 38, h: 11 };
  const x = scaleLinear([0, SCALE_END], [bar.x, bar.x + bar.w]).clamp(true);
  const zone = (from: number, to: number, fill: string) => ({
    d: box(x(from), bar.y, x(to) - x(from), bar.h),
    fill,
  });
  const word = eyeWord(g.ratio);
  return {
    width,
    height: 68,
    marks: [
      ...threadMarks(
        `M${xe + 18} ${y}C${xe + 32} ${y + 3} ${xe + 32} ${y + 16} ${xe + 40} ${n(y + half + 6)}S${xe + 50} ${n(y + half + 10)} ${xe + 58} ${n(y + half + 11)}`,
        colour,
        d,
      ),
      { d: blade, fill: 'var(--steel)', stroke: 'var(--ink)', width: 1.4 },
      { d: line(x0 + 4, y, xe - 4, y), stroke: 'var(--rule)', width: half * 0.5, cap: 'butt', opacity: 0.45 },
      ...threadMarks(
        `M${x0} ${y}H${xe + 14}C${xe + 18} ${y} ${xe + 22} ${y} ${xe + 26} ${y + 2}`,
        colour,
        d,
        'butt',
      ),
      zone(0, EYE_USABLE[0], 'var(--madder-tint)'),
      zone(EYE_USABLE[0], EYE_BEST[0], 'var(--weld-tint)'),
      zone(EYE_BEST[0], EYE_BEST[1], 'var(--verdigris-tint)'),
      zone(EYE_BEST[1], EYE_USABLE[1], 'var(--weld-tint)'),
      zone(EYE_USABLE[1], SCALE_END, 'var(--madder-tint)'),
      { d: box(bar.x, bar.y, bar.w, bar.h), stroke: 'var(--ink)', width: 1.2 },
      {
        d: [EYE_USABLE[0], EYE_BEST[0], EYE_BEST[1], EYE_USABLE[1]]
          .map((v) => line(x(v), bar.y, x(v), bar.y + bar.h))
          .join(''),
        stroke: 'var(--ink)',
        width: 1,
      },
      { d: `M${n(x(g.ratio))} ${bar.y - 2}l6 7.500-6 7.500-6-7.500z`, fill: 'var(--ink)' },
      { d: line(bar.x, 29, bar.x + 50, 29), stroke: 'var(--walnut)', width: 2, dash: '9 5', cap: 'butt' },
    ],
    labels: [
      { x: bar.x, y: 23, text: g.ratio.toFixed(2), size: 24, weight: 700 },
      { x: bar.x + 60, y: 14, text: 'of the eye filled:' },
      { x: bar.x + 60, y: 30, text: word, size: 14, weight: 700, colour: WORD_COLOUR[word] },
      { x: x(EYE_USABLE[0] / 2), y: bar.y + 26, anchor: 'middle', text: 'loose', colour: 'var(--madder)' },
      {
        x: x((EYE_BEST[0] + EYE_BEST[1]) / 2),
        y: bar.y + 26,
        anchor: 'middle',
        text: 'clear',
        colour: 'var(--verdigris)',
      },
      { x: bar.x + bar.w, y: bar.y + 26, anchor: 'end', text: 'rubs', colour: 'var(--madder)' },
    ],
  };
}
