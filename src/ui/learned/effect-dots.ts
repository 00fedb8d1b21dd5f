import { scaleLinear } from 'd3-scale';
import { Z80 } from '@/core/statistics/normal';
import { box, type Drawing, line, type Mark } from '@/ui/draw/mark';

/** One effect as it is drawn: its name, and mean and sd on the logarithm. */
export interface Dot {
  name: string;
  mean: number;
  sd: number;
  /** How many entries of the log it rests on. */
  rests: number;
}

const ROW = 26;
const NAME_PX = 210;
const HEAD = 26;

/** Effects as dots with their 80 % intervals, on a scale of what they multiply by; 1 is no effect. */
export function effectDots(dots: readonly Dot[], width = 640): Drawing {
  const reach = Math.max(0.2, ...dots.map((d) => Math.abs(d.mean) + Z80 * d.sd));
  const x = scaleLinear([-reach, reach], [NAME_PX, width - 50]);
  const height = HEAD + dots.length * ROW + 4;
  const at = (i: number) => HEAD + i * ROW + ROW / 2;
  const ticks = [0.5, 0.7, 0.8, 0.9, 1, 1.1, 1.25, 1.5, 2].filter((f) => Math.abs(Math.log(f)) <= reach);
  const marks: Mark[] = [
    ...ticks.map((f) => ({
      d: line(x(Math.log(f)), HEAD - 4, x(Math.log(f)), height),
      stroke: f === 1 ? 'var(--ink)' : 'var(--rule)',
      width: f === 1 ? 1.4 : 1,
    })),
    ...dots.flatMap((d, i): Mark[] => [
      {
        d: line(x(d.mean - Z80 * d.sd), at(i), x(d.mean + Z80 * d.sd), at(i)),
        stroke: 'var(--indigo)',
        width: 2.4,
      },
      { d: box(x(d.mean) - 4.5, at(i) - 4.5, 9, 9), fill: 'var(--indigo)' },
    ]),
  ];
  return {
    width,
    height,
    marks,
    labels: [
      ...ticks.map((f) => ({ x: x(Math.log(f)), y: 14, anchor: 'middle' as const, text: `× ${f}` })),
      ...dots.map((d, i) => ({ x: 0, y: at(i) + 5, text: d.name.slice(0, 30), size: 14 })),
      ...dots.map((d, i) => ({
        x: width,
        y: at(i) + 5,
        anchor: 'end' as const,
        text: String(d.rests),
        colour: 'var(--ink2)',
      })),
    ],
  };
}
