/** A pattern of the demo: drawn here by rule, an inch to the unit. */
export interface DemoPattern {
  name: string;
  words: string;
  widthIn: number;
  svg: string;
}

type At = (t: number) => readonly [x: number, y: number];

/** One line through the places of a rule, from 0 to 1. */
const drawn = (at: At, steps = 160): string =>
  Array.from({ length: steps + 1 }, (_, i) => {
    const [x, y] = at(i / steps);
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(4)} ${y.toFixed(4)}`;
  }).join('');

const svgOf = (widthIn: number, heightIn: number, d: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${widthIn}in" height="${heightIn}in" viewBox="0 0 ${widthIn} ${heightIn}"><path fill="none" stroke="#000" stroke-width="0.02" d="${d}"/></svg>`;

const { PI, sin, cos } = Math;
const pattern = (
  name: string,
  words: string,
  [widthIn, heightIn]: readonly [number, number],
  d: string,
): DemoPattern => ({ name, words, widthIn, svg: svgOf(widthIn, heightIn, d) });

/** A curl that goes in and comes out again, so that the line goes on: round a middle, so many turns. */
const curl =
  (cx: number, cy: number, r: number, turns: number, from: number): At =>
  (t) => {
    const inward = t < 0.5 ? 2 * t : 2 - 2 * t;
    const angle = from + turns * 2 * PI * inward + (t < 0.5 ? 0 : 0.35);
    const radius = r * (1 - 0.82 * inward);
    return [cx + radius * cos(angle), cy + radius * sin(angle)];
  };

/** A leaf on a stem: out along one side and back along the other. */
const leaf = (x: number, y: number, angle: number, long: number): string => {
  const [c, s] = [cos(angle), sin(angle)];
  const place = (u: number, v: number) =>
    `${(x + u * c - v * s).toFixed(4)} ${(y + u * s + v * c).toFixed(4)}`;
  const side = (w: number) => `${place(0.3 * long, w)} ${place(0.75 * long, w)}`;
  return `C${side(0.34 * long)} ${place(long, 0)}C${place(0.75 * long, -0.34 * long)} ${place(0.3 * long, -0.34 * long)} ${place(0, 0)}`;
};

/** A dozen of our own, none of anybody else's. */
export const demoPatterns: readonly DemoPattern[] = [
  pattern(
    'Slack water',
    'water calm airy',
    [8, 3],
    drawn((t) => [8 * t, 1.5 - 1.5 * sin(2 * PI * t)]),
  ),
  pattern(
    'Short chop',
    'water lively',
    [4, 2],
    drawn((t) => [4 * t, 1 - 0.62 * sin(2 * PI * t) - 0.38 * sin(6 * PI * t)]),
  ),
  pattern(
    'Rope coil',
    'loops harbour baby',
    [5, 3],
    drawn((t) => [5 * t - 1.1 * sin(4 * PI * t) * sin(PI * t), 1.5 - 1.5 * cos(4 * PI * t)], 220),
  ),
  pattern(
    'Marram',
    'grass dunes points',
    [6, 4],
    `M0 4C0.4 2.4 0.8 1.1 1.3 0C1.2 1.5 1.5 2.9 2 4C2.3 2.8 2.7 1.9 3.2 1.2C3.1 2.3 3.4 3.2 4 4C4.3 2.2 4.7 1.3 5.4 0.5C5.2 1.9 5.4 3.1 6 4`,
  ),
  pattern(
    'Drifting leaves',
    'leaf autumn tree',
    [9, 5],
    `M0 2.5C1 3.4 1.6 3.2 2.2 2.6${leaf(2.2, 2.6, -1.1, 2.3)}C3.4 2.2 4 2.4 4.6 2.9${leaf(4.6, 2.9, 1, 2.1)}C5.8 3 6.4 2.8 6.9 2.4${leaf(6.9, 2.4, -0.9, 2.3)}C7.9 2 8.4 2.1 9 2.5`,
  ),
  pattern(
    'Wind curls',
    'swirl wind modern',
    [7, 4],
    `M0 3C0.8 3.9 1.7 3.7 2.6 3.35${drawn(curl(2.1, 1.9, 1.5, 1.4, 1.2), 200).replace('M', 'L')}C3.4 3.6 4.2 3.2 5 3.6C5.8 4 6.4 3.4 7 3`,
  ),
  pattern('Church windows', 'arches quiet traditional', [4, 4], `M0 4C0 1.6 1.2 0.6 2 0C2.8 0.6 4 1.6 4 4`),
  pattern('Stepping stones', 'modern straight bricks', [6, 3], `M0 0H2V1.5H4V3H6V1.5H6V0`),
  pattern(
    'Gulls',
    'birds sea open',
    [10, 3],
    `M0 2.4C1.2 2.2 1.8 0.6 3 0.4C3.9 0.4 4.5 1.4 5 2.4C5.4 1.2 6.1 0.4 7 0.6C8.2 0.9 8.8 2.2 10 2.4`,
  ),
  pattern(
    'Net',
    'diamonds net harbour',
    [3, 3],
    drawn((t) => [3 * t, 1.5 + 1.5 * (t < 0.25 ? -4 * t : t < 0.75 ? 4 * t - 2 : 4 - 4 * t)], 60),
  ),
  pattern(
    'Pebble path',
    'round dense bubbles',
    [4, 2],
    drawn(
      (t) => [
        4 * t - 0.62 * sin(8 * PI * t) * sin(PI * t),
        1 - cos(8 * PI * t) * (0.75 + 0.25 * sin(2 * PI * t)),
      ],
      320,
    ),
  ),
  pattern(
    'Flame border',
    'flames points warm',
    [3, 5],
    `M0 5C0.05 3.4 0.9 2.6 1.1 0C2 1.6 2.4 2.7 2 3.7C2.3 3.5 2.5 3.2 2.6 2.8C2.9 3.6 3 4.3 3 5`,
  ),
];
