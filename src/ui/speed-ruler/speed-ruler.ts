import { scaleLinear } from 'd3-scale';
import { box, type Drawing, line, type Mark, n } from '@/ui/draw/mark';

export interface SpeedNumbers {
  /** Below this, in/s, idling shortens the stitches; 0 when the mode does not idle. */
  idleInPerS: number;
  /** The usual hand speed for the technique. */
  handInPerS: number;
  /** Above this the needle falls behind. */
  limitInPerS: number;
}

const BAR = { y: 32, h: 22, left: 10 };

/** Hand speed on a linear scale in in/s: hatched below idle, plain where regulated, cross-hatched beyond the machine. */
export function speedRuler(s: SpeedNumbers, width = 350): Drawing {
  const end = Math.max(3, Math.ceil(Math.max(s.limitInPerS * 1.35, s.handInPerS * 1.2)));
  const x = scaleLinear([0, end], [BAR.left, BAR.left + width - 24]);
  const limit = Math.min(end, s.limitInPerS);
  const marks: Mark[] = [
    { d: box(x(0), BAR.y, x(s.idleInPerS) - x(0), BAR.h), fill: 'var(--weld-tint)' },
    hatch(x(0), x(s.idleInPerS), 6, false),
    { d: box(x(s.idleInPerS), BAR.y, x(limit) - x(s.idleInPerS), BAR.h), fill: 'var(--verdigris-tint)' },
    { d: box(x(limit), BAR.y, x(end) - x(limit), BAR.h), fill: 'var(--madder-tint)' },
    hatch(x(limit), x(end), 6, true),
    { d: box(x(0), BAR.y, x(end) - x(0), BAR.h), stroke: 'var(--ink)', width: 1.3 },
    { d: line(x(s.idleInPerS), BAR.y, x(s.idleInPerS), BAR.y + BAR.h), stroke: 'var(--ink)', width: 1.3 },
    { d: `M${n(x(s.handInPerS))} ${BAR.y + 3}l7 8-7 8-7-8z`, fill: 'var(--ink)' },
    { d: line(x(limit), BAR.y - 20, x(limit), BAR.y + BAR.h + 5), stroke: 'var(--indigo)', width: 3 },
    { d: `M${n(x(limit))} ${BAR.y - 20}h12l-4 6 4 6h-12z`, fill: 'var(--indigo)' },
  ];
  const labels: Drawing['labels'] = [
    {
      x: x(s.handInPerS) - 10 < 90 ? x(0) : x(s.handInPerS) - 10,
      y: BAR.y - 8,
      anchor: x(s.handInPerS) - 10 < 90 ? 'start' : 'end',
      text: `usual hand ${Number(s.handInPerS.toFixed(1))}`,
      size: 14,
    },
    {
      x: x(limit) + 16,
      y: BAR.y - 8,
      text: `${s.limitInPerS.toFixed(1)} limit`,
      size: 14,
      weight: 700,
      colour: 'var(--indigo)',
    },
    ...(s.idleInPerS > 0
      ? [
          {
            x: x(0),
            y: BAR.y + BAR.h + 36,
            text: 'stitches shorten',
            weight: 600,
            colour: 'var(--weld-text)',
          },
        ]
      : []),
    {
      // Beside the words before it where the idle is slow.
      x: Math.max(
        (x(s.idleInPerS) + x(limit)) / 2,
        s.idleInPerS > 0 ? x(0) + SHORTEN_PX + REGULATED_PX / 2 : 0,
      ),
      y: BAR.y + BAR.h + 36,
      anchor: 'middle',
      text: s.idleInPerS > 0 ? 'regulated' : '',
      weight: 600,
      colour: 'var(--verdigris)',
    },
    {
      x: x(end),
      y: BAR.y + BAR.h + 36,
      anchor: 'end',
      text: 'needle falls behind',
      weight: 600,
      colour: 'var(--madder)',
    },
  ];
  for (const v of x.ticks(Math.min(end, 8))) {
    marks.push({ d: line(x(v), BAR.y + BAR.h, x(v), BAR.y + BAR.h + 6), stroke: 'var(--ink)', width: 1.2 });
    labels.push({ x: x(v), y: BAR.y + BAR.h + 19, anchor: 'middle', text: String(v) });
  }
  return { width, height: 94, marks, labels };
}

/** How wide the words are drawn. */
const [SHORTEN_PX, REGULATED_PX] = [122, 66];

function hatch(x0: number, x1: number, step: number, crossed: boolean): Mark {
  let d = '';
  for (let x = x0 + step; x < x1; x += step) {
    const run = Math.min(BAR.h, x - x0);
    d += line(x, BAR.y, x - run, BAR.y + run);
    if (crossed) d += line(x, BAR.y + BAR.h, x - run, BAR.y + BAR.h - run);
  }
  return { d, stroke: crossed ? 'var(--madder)' : 'var(--weld)', width: crossed ? 0.9 : 1.4, opacity: 0.8 };
}
