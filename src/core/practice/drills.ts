import type { XY } from '../geometry/polygon';
import { table } from '../tables/lookup';

/** The field a drill is drawn in, inches. */
export const FIELD_IN = { widthIn: 8, heightIn: 5 } as const;

/** A drill: a line to follow, and what it trains. */
export interface Drill {
  id: string;
  label: string;
  /** What to do, in one sentence. */
  does: string;
  /** The technique whose speed it tells. */
  technique: string;
  /** Line to follow, inches in the field. */
  line: readonly XY[];
  /** The needle has to rest in these places before it goes on. */
  rests: readonly XY[];
  /** A ruler's edge or a line that is there already, to keep beside. */
  beside: readonly XY[];
}

const MIDDLE = FIELD_IN.heightIn / 2;
const [LEFT, RIGHT] = [0.6, FIELD_IN.widthIn - 0.6];
const { PI, sin, cos } = Math;

const along = (at: (t: number) => XY, steps = 240): XY[] =>
  Array.from({ length: steps + 1 }, (_, i) => at(i / steps));
const x = (t: number) => LEFT + (RIGHT - LEFT) * t;
const wave = (t: number, lift = 0): XY => [x(t), MIDDLE + lift - 0.8 * sin(6 * PI * t)];
const FOOT_IN = 0.25;

/** Round after round, each begun where the last ended. */
const rounds = (n: number, r: number): XY[] =>
  Array.from({ length: n }, (_, k) =>
    along((t) => {
      const cx = LEFT + r + k * 2 * r;
      return [cx - r * cos(2 * PI * t), MIDDLE - r * sin(2 * PI * t) * (k % 2 ? -1 : 1)];
    }, 60).concat(
      k < n - 1
        ? along(
            (t) => [LEFT + 2 * r * k + r - r * cos(PI * t), MIDDLE - r * sin(PI * t) * (k % 2 ? -1 : 1)],
            30,
          )
        : [],
    ),
  ).flat();

const drop = (x0: number, up: boolean): XY[] =>
  along((t) => {
    const r = 1.5 * sin(PI * t);
    const a = (up ? -PI / 2 : PI / 2) + 1.1 * (t - 0.5);
    return [x0 + r * cos(a), MIDDLE + r * sin(a)];
  }, 60);

const drill = (
  id: string,
  label: string,
  technique: string,
  does: string,
  line: readonly XY[],
  rest: Partial<Pick<Drill, 'rests' | 'beside'>> = {},
): Drill => ({ id, label, technique, does, line, rests: [], beside: [], ...rest });

const ZIGZAG = Array.from({ length: 9 }, (_, i): XY => [x(i / 8), MIDDLE + (i % 2 ? -1 : 1)]);

export const DRILLS = table<Drill>('Drill', [
  drill('line', 'Straight line', 'grid', 'From left to right in one go, even all the way.', [
    [LEFT, MIDDLE],
    [RIGHT, MIDDLE],
  ]),
  drill(
    'wave',
    'Wave',
    'overlapping-waves',
    'Three waves, as round at the top as at the bottom.',
    along(wave),
  ),
  drill(
    'circle',
    'Circle',
    'swirls',
    'Once round, and meet where you began.',
    along((t) => [4 - 1.6 * cos(2 * PI * t), MIDDLE - 1.6 * sin(2 * PI * t)]),
  ),
  drill(
    'pebbles',
    'Pebbles',
    'pebbles',
    'Round, and half round to the next: six of a size.',
    rounds(6, 0.55),
  ),
  drill(
    'swirls',
    'Swirl',
    'swirls',
    'In to the middle, and out again beside it.',
    along((t) => {
      const inward = t < 0.5 ? 2 * t : 2 - 2 * t;
      const r = 2 * (1 - 0.85 * inward) - (t < 0.5 ? 0 : 0.16);
      const a = PI + 4 * PI * inward;
      return [4 + r * cos(a), MIDDLE + r * sin(a)];
    }),
  ),
  drill(
    'feather',
    'Feather',
    'feathers',
    'Plumes up and down from one spine, all of a size.',
    Array.from({ length: 6 }, (_, k) => drop(LEFT + 0.8 + k * 1.05, k % 2 === 0)).flat(),
  ),
  drill(
    'comb',
    'Comb',
    'comb',
    'Up, a little on, down: the teeth keep their distance.',
    Array.from({ length: 12 }, (_, k): XY[] => {
      const at = x(k / 11);
      return k % 2
        ? [
            [at, MIDDLE - 1.4],
            [at, MIDDLE + 1.4],
          ]
        : [
            [at, MIDDLE + 1.4],
            [at, MIDDLE - 1.4],
          ];
    }).flat(),
  ),
  drill('points', 'Points', 'ruler-lines', 'Rest in every point before you turn.', ZIGZAG, {
    rests: ZIGZAG.slice(1, -1),
  }),
  drill(
    'ruler',
    'Along a ruler',
    'ruler-lines',
    'A foot’s width beside the edge, neither nearer nor further.',
    [
      [LEFT, MIDDLE + 1],
      [RIGHT, MIDDLE - 1],
    ],
    {
      beside: [
        [LEFT, MIDDLE + 1 + FOOT_IN],
        [RIGHT, MIDDLE - 1 + FOOT_IN],
      ],
    },
  ),
  drill(
    'echo',
    'Echo',
    'echo',
    'Keep a quarter inch from the line that is there.',
    along((t) => wave(t, FOOT_IN)),
    { beside: along((t) => wave(t)) },
  ),
]);
