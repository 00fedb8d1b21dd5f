import { union } from 'polyclip-ts';
import { type MultiPolygon, rect, type Ring, type XY } from '../geometry/polygon';
import { seeded } from '../statistics/random';

/** An outline made up for trials, sized in spacings. */
export interface Outline {
  name: string;
  shape: MultiPolygon;
}

const turned = (ring: Ring, by: number): Ring =>
  ring.map(([x, y]): XY => [x * Math.cos(by) - y * Math.sin(by), x * Math.sin(by) + y * Math.cos(by)]);
const round = (n: number, r: (angle: number, k: number) => number, cx = 0, cy = 0): Ring =>
  Array.from({ length: n }, (_, k): XY => {
    const a = (k / n) * 2 * Math.PI;
    return [cx + r(a, k) * Math.cos(a), cy + r(a, k) * Math.sin(a)];
  });

/** Block letters, five by seven squares. */
const LETTERS: Readonly<Record<string, readonly string[]>> = {
  A: ['#####', '#   #', '#   #', '#####', '#   #', '#   #', '#   #'],
  C: ['#####', '#    ', '#    ', '#    ', '#    ', '#    ', '#####'],
  E: ['#####', '#    ', '#    ', '#### ', '#    ', '#    ', '#####'],
  F: ['#####', '#    ', '#    ', '#### ', '#    ', '#    ', '#    '],
  G: ['#####', '#    ', '#    ', '#  ##', '#   #', '#   #', '#####'],
  H: ['#   #', '#   #', '#   #', '#####', '#   #', '#   #', '#   #'],
  J: ['    #', '    #', '    #', '    #', '    #', '#   #', '#####'],
  L: ['#    ', '#    ', '#    ', '#    ', '#    ', '#    ', '#####'],
  O: ['#####', '#   #', '#   #', '#   #', '#   #', '#   #', '#####'],
  P: ['#####', '#   #', '#   #', '#####', '#    ', '#    ', '#    '],
  S: ['#####', '#    ', '#    ', '#####', '    #', '    #', '#####'],
  T: ['#####', '  #  ', '  #  ', '  #  ', '  #  ', '  #  ', '  #  '],
  U: ['#   #', '#   #', '#   #', '#   #', '#   #', '#   #', '#####'],
  Z: ['#####', '    #', '    #', '#####', '#    ', '#    ', '#####'],
};

function letter(rows: readonly string[], size: number): MultiPolygon {
  const squares = rows.flatMap((row, y) =>
    [...row].flatMap((sign, x) => (sign === '#' ? [[rect(x * size, y * size, size, size)]] : [])),
  );
  const [first, ...rest] = squares.map((polygon) =>
    polygon.map((ring) => ring.map(([x, y]): [number, number] => [x, y])),
  );
  return union([first!], ...rest.map((p) => [p])).map((polygon) => polygon.map((ring) => ring.slice(0, -1)));
}

/** Sixty outlines as they lie on quilts: squares, corners, frames, slivers, stars, letters, rounds. Lengths in spacings. */
export function outlines(): Outline[] {
  const random = seeded(7);
  const between = (a: number, b: number) => a + random.uniform() * (b - a);
  const many = (n: number, name: string, of: (i: number) => MultiPolygon): Outline[] =>
    Array.from({ length: n }, (_, i) => ({ name: `${name} ${i + 1}`, shape: of(i) }));
  return [
    ...many(9, 'rectangle', () => [[turned(rect(0, 0, between(6, 22), between(6, 22)), between(0, 1.5))]]),
    ...many(6, 'corner', () => {
      const [w, h, a, b] = [between(12, 20), between(12, 20), between(4, 8), between(4, 8)];
      return [
        [
          turned(
            [
              [0, 0],
              [a, 0],
              [a, h - b],
              [w, h - b],
              [w, h],
              [0, h],
            ],
            between(0, 1.5),
          ),
        ],
      ];
    }),
    ...many(7, 'frame', (i) => {
      const [w, h, t] = [between(16, 26), between(16, 26), between(3, 6)];
      return i % 2
        ? [[round(48, () => w / 2), round(48, () => w / 2 - t)]]
        : [[rect(0, 0, w, h), rect(t, t * between(0.8, 1.2), w - 2.2 * t, h - 2 * t)]];
    }),
    ...many(6, 'sliver', (i) => {
      const [long, wide] = [between(15, 40), between(1.2, 3)];
      return i % 2
        ? [
            [
              turned(
                [
                  [0, 0],
                  [long, wide / 2],
                  [0, 2 * wide],
                ],
                between(0, 3),
              ),
            ],
          ]
        : [[turned(rect(0, 0, long, wide), between(0, 3))]];
    }),
    ...many(8, 'star', (i) => [
      [round(2 * (4 + (i % 5)), (_, k) => (k % 2 ? between(4.5, 6) : between(9, 12)))],
    ]),
    ...Object.entries(LETTERS).map(([name, rows]) => ({
      name: `letter ${name}`,
      shape: letter(rows, between(3, 4.5)),
    })),
    ...many(5, 'triangle', () => [
      [
        turned(
          [
            [0, 0],
            [between(10, 22), between(0, 4)],
            [between(0, 6), between(10, 20)],
          ],
          between(0, 3),
        ),
      ],
    ]),
    ...many(5, 'round', () => {
      const [r, a, b, p] = [between(5, 10), between(0, 0.2), between(0, 0.12), between(0, 6)];
      return [[round(64, (t) => r * (1 + a * Math.sin(2 * t + p) + b * Math.sin(3 * t)))]];
    }),
  ];
}
