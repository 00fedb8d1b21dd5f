import { mix } from './colour';
import { type Mark, n } from './mark';

/** A thread along a path: a tube of its own thickness with a dark edge and slanted ply lines. */
export function threadMarks(d: string, colour: string, width: number, cap: Mark['cap'] = 'round'): Mark[] {
  return [
    { d, stroke: mix(colour, '#000000', 0.42), width: width + 1.2, cap },
    { d, stroke: colour, width, cap },
    ...(width > 3
      ? [
          {
            d,
            stroke: mix(colour, '#000000', 0.2),
            width,
            dash: `${n(width * 0.16)} ${n(width * 0.42)}`,
            cap: 'butt' as const,
          },
        ]
      : []),
  ];
}
