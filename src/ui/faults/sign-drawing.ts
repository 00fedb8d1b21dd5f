import { circle, type Drawing, line, type Mark, n, polyline } from '@/ui/draw/mark';
import { threadMarks } from '@/ui/draw/thread-mark';
import { straight, stitchMarks } from '@/ui/test-strip/stitch-side';

/** A sign is drawn in a frame of this size, px. */
export const SIGN = { width: 116, height: 58 };
const [W, H] = [SIGN.width, SIGN.height];
const MID = H / 2;
const TOP = '#6b4a78';
const BOBBIN = '#c79a2e';
const INK = '#20262b';
const STEEL = '#8b9094';
const RED = '#a8382a';
const BATTING = '#fffefb';
const CLOTH = { top: '#b9c6c9', back: '#e2cfb4', machine: '#ede8dc' };
const THICK = 5;
const HOLE = 0.32;
/** A stitch begins so far from its hole, so that each is told from the next. */
const INSET = 3.6;

type Face = keyof typeof CLOTH;

const stroke = (d: string, colour = INK, width = 1.6, dash?: string): Mark => ({
  d,
  stroke: colour,
  width,
  cap: 'round',
  ...(dash ? { dash } : {}),
});
const hole = (x: number, y = MID, r = 2.2): Mark => ({ d: circle(x, y, r), fill: INK, opacity: HOLE });
const thread = (d: string, colour = TOP, width = THICK) => threadMarks(d, colour, width);
const bend = (points: string, colour = TOP, width = THICK) => thread(points, colour, width);

/** A whole line across, as its test stitches are drawn. */
const sewn = (through: 0 | 1 | 2 | 3, face: 'top' | 'back' = 'top', from = 6, to = W - 6, y = MID): Mark[] =>
  stitchMarks({
    along: straight(from, y),
    length: to - from,
    stitch: 15,
    own: face === 'top' ? TOP : BOBBIN,
    other: face === 'top' ? BOBBIN : TOP,
    thread: THICK,
    through,
  });

/** Stitches from hole to hole; what lies between two runs is not sewn. */
const stitches = (holes: readonly number[], colour = TOP, y: (x: number) => number = () => MID): Mark[] => [
  ...holes.map((x) => hole(x, y(x))),
  ...holes
    .slice(1)
    .flatMap((x, i) =>
      thread(line(holes[i]! + INSET, y(holes[i]! + INSET), x - INSET, y(x - INSET)), colour),
    ),
];
const steps = (from: number, lengths: readonly number[]) =>
  lengths.reduce<number[]>((at, l) => [...at, at.at(-1)! + l], [from]);

/** Loose thread wound over itself about a place. */
const tangle = (x: number, y: number, r: number, colour: string): Mark[] =>
  [0, 1, 2].flatMap((k) =>
    thread(
      `M${n(x - r)} ${n(y + k * 3 - 3)}C${n(x - r / 2)} ${n(y - r - k * 2)} ${n(x + r / 2)} ${n(y + r + k)} ${n(x + r)} ${n(y - k * 3 + 2)}`,
      colour,
      3,
    ),
  );

/** Fine ends that spread from a place. */
const frayed = (x: number, y: number, colour: string): Mark[] =>
  [-11, -6, -1, 5, 10].map((dy) =>
    stroke(`M${x} ${y}Q${x + 10} ${y + dy / 3} ${x + 20} ${y + dy}`, colour, 1.4),
  );

/** A needle from above, its point down; `lean` moves the point aside. */
const needle = (x: number, from: number, to: number, lean = 0): Mark[] => [
  {
    d: `M${x - 3.4} ${from}H${x + 3.4}L${n(x + 2 + lean)} ${to - 10}L${n(x + lean)} ${to}L${n(x - 2 + lean)} ${to - 10}Z`,
    fill: STEEL,
    stroke: INK,
    width: 1,
  },
  { d: circle(x + lean * 0.8, to - 13, 1.5), fill: BATTING },
];
const plate = (y = 46): Mark => stroke(line(8, y, W - 8, y), STEEL, 4);

/** What is heard, as it would be drawn over time: a line with what stands out of it. */
const heard = (shape: readonly (readonly [number, number])[]): Mark[] => [
  stroke(polyline(shape), INK, 2),
  ...[10, 15, 20].map((r) =>
    stroke(`M${13 - r * 0.2} ${MID - r * 0.7}A${r} ${r} 0 0 1 ${13 - r * 0.2} ${MID + r * 0.7}`, STEEL, 1.6),
  ),
];
const arrow = (x: number, y: number, dx: number, dy = 0): Mark[] => {
  const size = Math.hypot(dx, dy);
  const [ux, uy] = [dx / size, dy / size];
  const [tx, ty] = [x + dx, y + dy];
  return [
    stroke(line(x, y, tx, ty), RED, 2),
    stroke(
      polyline([
        [tx - 5 * ux + 4 * uy, ty - 5 * uy - 4 * ux],
        [tx, ty],
        [tx - 5 * ux - 4 * uy, ty - 5 * uy + 4 * ux],
      ]),
      RED,
      2,
    ),
  ];
};
const cone = (x: number): Mark[] => [
  { d: `M${x - 7} 8H${x + 7}L${x + 16} 46H${x - 16}Z`, fill: TOP, stroke: INK, width: 1 },
  ...[18, 27, 36].map((y) => stroke(line(x - 6 - y / 5, y, x + 6 + y / 5, y - 3), '#4f3459', 1)),
  stroke(line(x - 20, 48, x + 20, 48), STEEL, 4),
];
const wave = (amplitude: number, times: number) => (x: number) =>
  MID + amplitude * Math.sin((x / W) * 2 * Math.PI * times);

/** Each sign as it looks: on which face, and what is drawn there. Adding one is adding a row. */
const LOOKS: Readonly<Record<string, readonly [Face, () => Mark[]]>> = {
  top_break: [
    'top',
    () => [
      ...stitches(steps(6, [15, 15, 15])),
      ...bend(`M53 ${MID}C64 ${MID} 66 12 80 10`),
      hole(80),
      hole(96),
    ],
  ],
  top_shred: [
    'top',
    () => [...stitches(steps(6, [15, 15, 15])), ...bend(`M53 ${MID}H66`), ...frayed(66, MID, TOP), hole(98)],
  ],
  bobbin_break: [
    'back',
    () => [
      ...stitches(steps(6, [15, 15, 15]), BOBBIN),
      ...bend(`M53 ${MID}C64 ${MID} 66 46 82 48`, BOBBIN),
      hole(82, MID),
      hole(98),
    ],
  ],
  skipped: [
    'top',
    () => [
      ...stitches(steps(6, [14, 14, 40, 14, 14])),
      ...[46, 54, 62].map((x) => stroke(line(x, MID + 8, x, MID + 16), RED, 2)),
    ],
  ],
  eyelash: [
    'back',
    () => [
      ...sewn(0, 'back'),
      ...[20, 35, 50, 65, 80, 95].flatMap((x) =>
        thread(`M${x} ${MID}C${x - 3} ${MID - 12} ${x + 13} ${MID - 20} ${x + 11} ${MID - 8}`, TOP, 2.4),
      ),
    ],
  ],
  loops_all: [
    'back',
    () => [
      ...sewn(0, 'back'),
      ...[20, 35, 50, 65, 80, 95].flatMap((x, i) =>
        thread(
          `M${x - 2} ${MID}C${x - 12} ${MID + (i % 2 ? 22 : -22)} ${x + 12} ${MID + (i % 2 ? 22 : -22)} ${x + 2} ${MID}`,
          TOP,
          3,
        ),
      ),
    ],
  ],
  loops_top: ['top', () => sewn(2)],
  nest_start: [
    'back',
    () => [...tangle(22, MID, 14, TOP), ...tangle(24, MID + 2, 10, BOBBIN), ...sewn(0, 'back', 40)],
  ],
  tail_tangle: [
    'back',
    () => [
      ...thread(`M10 46C20 30 26 44 36 ${MID}`, TOP, 3),
      ...thread(`M12 10C26 20 18 40 36 ${MID}`, BOBBIN, 3),
      ...sewn(0, 'back', 36),
    ],
  ],
  unthread_start: [
    'machine',
    () => [plate(), ...needle(58, 4, 40), ...thread('M82 6C88 20 74 24 84 36', TOP, 3)],
  ],
  no_pickup: ['top', () => [6, 21, 36, 51, 66, 81, 96, 110].map((x) => hole(x, MID, 3))],
  railroad_top: ['top', () => sewn(3)],
  railroad_back: ['back', () => sewn(3, 'back')],
  dots_top: ['top', () => sewn(1)],
  dots_back: ['back', () => sewn(1, 'back')],
  long_stitch: ['top', () => stitches(steps(6, [13, 13, 38, 13, 13, 13]))],
  short_pile: ['top', () => stitches(steps(6, [16, 16, 16, 8, 8, 8, 16, 16]))],
  uneven_len: ['top', () => stitches(steps(6, [21, 9, 15, 8.5, 22, 10, 18]))],
  needle_break: [
    'machine',
    () => [
      plate(),
      ...needle(44, 2, 30).slice(0, 1),
      { d: 'M70 40L88 30L90 34L74 44Z', fill: STEEL, stroke: INK, width: 1 },
      stroke('M40 30L44 26L47 31', RED, 2),
    ],
  ],
  noise_click: [
    'machine',
    () =>
      heard([
        [30, MID],
        [48, MID],
        [50, 10],
        [53, 46],
        [56, MID],
        [80, MID],
        [82, 10],
        [85, 46],
        [88, MID],
        [108, MID],
      ]),
  ],
  noise_pop: [
    'machine',
    () =>
      heard([
        [30, MID],
        [58, MID],
        [62, 6],
        [66, 52],
        [70, 16],
        [74, 40],
        [78, MID],
        [108, MID],
      ]),
  ],
  noise_rough: [
    'machine',
    () =>
      heard(
        Array.from({ length: 27 }, (_, i) => [30 + i * 3, MID + (i % 2 ? 9 : -9) + ((i * 7) % 5)] as const),
      ),
  ],
  jam: [
    'machine',
    () => [
      { d: circle(58, MID, 20), stroke: INK, width: 2 },
      { d: circle(58, MID, 6), fill: STEEL },
      ...tangle(58, MID, 15, TOP),
      stroke(line(88, 12, 104, 46), RED, 3),
      stroke(line(104, 12, 88, 46), RED, 3),
    ],
  ],
  needle_pos: [
    'machine',
    () => [
      plate(44),
      { d: circle(58, 44, 6), fill: BATTING, stroke: INK, width: 1.4 },
      ...needle(70, 2, 42),
      ...arrow(70, 52, -11),
    ],
  ],
  pleats_back: [
    'back',
    () => [
      ...[26, 34, 74, 82].map((x) => stroke(`M${x} 4Q${x + 8} ${MID} ${x} 54`, '#9b7f58', 2.4)),
      ...sewn(0, 'back'),
    ],
  ],
  pucker_line: [
    'top',
    () => [
      ...sewn(0),
      ...[16, 32, 48, 64, 80, 96].flatMap((x) => [
        stroke(`M${x} ${MID - 6}Q${x + 4} ${MID - 14} ${x - 3} 6`, '#6f8287', 1.8),
        stroke(`M${x} ${MID + 6}Q${x - 4} ${MID + 14} ${x + 3} 52`, '#6f8287', 1.8),
      ]),
    ],
  ],
  holes: [
    'top',
    () => [
      ...sewn(0),
      ...[21, 36, 51, 66, 81, 96].flatMap((x) => [
        { d: circle(x, MID, 4.4), fill: INK },
        ...[-9, 9].map((d) => stroke(line(x, MID + d * 0.6, x + d * 0.3, MID + d * 1.6), BATTING, 1.6)),
      ]),
    ],
  ],
  bearding: [
    'top',
    () => [
      ...sewn(0),
      ...[21, 51, 66, 96].flatMap((x) =>
        [-4, 0, 4].map((d) =>
          stroke(`M${x} ${MID}Q${x + d} ${MID - 10} ${x + d * 2.4} ${MID - 17}`, BATTING, 1.8),
        ),
      ),
    ],
  ],
  jump_guide: [
    'machine',
    () => [
      { d: circle(58, MID, 11), stroke: INK, width: 2.6 },
      ...thread('M10 12C44 6 74 6 80 26C84 40 96 48 108 50', TOP, 3.4),
    ],
  ],
  cone_wrap: [
    'machine',
    () => [
      ...cone(50),
      ...thread('M34 44C28 54 74 56 68 45C60 36 40 40 38 50', TOP, 3),
      ...thread('M68 45C84 40 92 20 106 8', TOP, 3),
    ],
  ],
  kinks: [
    'machine',
    () =>
      thread(
        `M4 ${MID}C20 ${MID} 24 6 34 12S26 44 40 ${MID}S58 8 64 20S54 50 72 ${MID}S100 12 112 ${MID}`,
        TOP,
        3.6,
      ),
  ],
  lint_build: [
    'machine',
    () => [
      plate(18),
      ...Array.from({ length: 26 }, (_, i) =>
        stroke(`M${28 + ((i * 37) % 62)} ${28 + ((i * 17) % 20)}q5 -6 9 1`, STEEL, 1.4),
      ),
    ],
  ],
  gummy: [
    'machine',
    () => [
      ...needle(58, 2, 54),
      ...[
        [58, 18],
        [59, 27],
        [57, 36],
      ].map(([x, y]) => ({ d: circle(x! + 3, y!, 3.4), fill: BOBBIN, opacity: 0.85 })),
    ],
  ],
  drag: [
    'machine',
    () => [
      stroke(line(8, 44, W - 8, 44), STEEL, 5),
      { d: 'M38 16H78V34H38Z', fill: BATTING, stroke: INK, width: 2 },
      { d: circle(46, 38, 5), fill: STEEL, stroke: INK, width: 1 },
      { d: circle(70, 38, 5), fill: STEEL, stroke: INK, width: 1 },
      ...arrow(82, 25, 22),
      ...[10, 16, 22].map((x) => stroke(line(x, 18, x + 6, 30), INK, 1.6)),
    ],
  ],
  jogs: [
    'top',
    () =>
      stitches(steps(6, [13, 13, 13, 13, 13, 13, 13]), TOP, (x) => (x > 36 && x < 72 ? MID - 8 : MID + 4)),
  ],
  wobble: ['top', () => stitches(steps(6, [13, 13, 13, 13, 13, 13, 13]), TOP, wave(6, 2.5))],
  misregister: [
    'top',
    () => [
      ...stitches(steps(6, [13, 13, 13]), TOP, () => MID - 9),
      ...stitches(steps(62, [13, 13, 13]), TOP, () => MID + 7),
      stroke(line(50, MID - 9, 60, MID + 7), RED, 2, '3 4'),
    ],
  ],
  flagging: [
    'machine',
    () => [
      plate(48),
      ...needle(58, 2, 34),
      stroke('M8 44C34 44 44 26 58 24C72 26 82 44 108 44', '#6f8287', 4),
      ...arrow(90, 34, 0, -18),
    ],
  ],
  foot_catch: [
    'top',
    () => [
      stroke(line(70, 4, 70, 54), '#6f8287', 6),
      { d: circle(52, MID, 16), stroke: INK, width: 3 },
      ...arrow(84, MID, 18),
      stroke(line(96, 12, 106, 22), RED, 2),
    ],
  ],
  layer_creep: [
    'back',
    () => [
      { d: 'M6 10H84V30H6Z', fill: CLOTH.top, stroke: INK, width: 1 },
      { d: 'M24 30H110V48H24Z', fill: '#cdb48f', stroke: INK, width: 1 },
      ...arrow(40, 20, 22),
      ...arrow(80, 39, -22),
    ],
  ],
  dir_tension: [
    'back',
    () => [
      ...sewn(0, 'back', 8, W - 22, 17),
      ...sewn(1, 'back', 22, W - 8, 42),
      ...arrow(W - 18, 17, 11),
      ...arrow(18, 42, -11),
    ],
  ],
  bobbin_out: [
    'machine',
    () => [
      { d: circle(58, MID, 24), fill: BATTING, stroke: INK, width: 1.6 },
      { d: circle(58, MID, 20), stroke: STEEL, width: 1, dash: '4 4' },
      { d: circle(58, MID, 7), fill: STEEL, stroke: INK, width: 1 },
      ...thread(`M64 ${MID + 4}C80 48 92 48 108 52`, BOBBIN, 2.6),
    ],
  ],
  oil_marks: [
    'top',
    () => [
      ...[
        [30, 24, 9],
        [56, 36, 6],
        [84, 22, 11],
      ].map(([x, y, r]) => ({ d: circle(x!, y!, r!), fill: '#5c4a1f', opacity: 0.45 })),
      ...sewn(0),
    ],
  ],
  reg_dropout: [
    'top',
    () => [
      ...stitches(steps(6, [12, 12, 12])),
      ...stitches(steps(74, [12, 12, 12])),
      stroke(`M44 ${MID}H72`, RED, 2, '2 6'),
      stroke(line(52, 10, 64, 22), RED, 2),
      stroke(line(64, 10, 52, 22), RED, 2),
    ],
  ],
  runs_on: [
    'top',
    () => [
      ...stitches(steps(6, [14, 14, 14, 14])),
      { d: 'M66 10H70V48H66Z', fill: RED },
      ...stitches(steps(74, [8, 8, 8, 8])),
    ],
  ],
  missed_spot: [
    'top',
    () => [
      ...stitches(steps(6, [12, 12])),
      ...stitches(steps(86, [12, 12])),
      stroke(`M42 14H74V44H42Z`, RED, 2, '4 4'),
    ],
  ],
  thread_ends: [
    'top',
    () => [
      ...stitches(steps(6, [14, 14, 14])),
      ...bend(`M48 ${MID}Q64 8 84 20`),
      ...bend(`M48 ${MID}Q70 ${MID + 16} 96 42`),
    ],
  ],
  tear: [
    'top',
    () => [
      ...sewn(0, 'top', 6, W - 6, 44),
      { d: 'M30 18L44 13L58 19L74 12L88 17L74 22L58 28L44 21Z', fill: INK, opacity: 0.75 },
    ],
  ],
  caught: [
    'top',
    () => [
      { d: 'M34 8H86V40L60 52L34 40Z', fill: '#d8cdb6', stroke: INK, width: 1.6 },
      ...sewn(0, 'top', 6, W - 6, 30),
    ],
  ],
  left_in: [
    'top',
    () => [
      ...sewn(0, 'top', 6, W - 6, 44),
      stroke(line(26, 30, 86, 12), STEEL, 2.6),
      { d: circle(88, 11, 4.5), fill: RED },
    ],
  ],
  shadow: [
    'top',
    () => [
      ...sewn(0, 'top', 6, W - 6, 44),
      { d: 'M22 26Q48 8 62 20T100 16', stroke: INK, width: 5, opacity: 0.22, cap: 'round' },
    ],
  ],
};

/** The ids of signs that have a drawing. */
export const drawnSigns: readonly string[] = Object.keys(LOOKS);

/** A sign as it is seen, on its own face; nothing for one that has no drawing. */
export function signDrawing(id: string): (Drawing & { cloth: string }) | null {
  const look = LOOKS[id];
  if (!look) return null;
  return { ...SIGN, cloth: CLOTH[look[0]], marks: look[1](), labels: [] };
}
