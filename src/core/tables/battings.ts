import { table } from './lookup';

/** A kind of batting. `maxGapIn` is the widest unquilted gap its label usually allows. */
export interface Batting {
  id: string;
  label: string;
  loftMm: number;
  /** Share of the loft that remains under a stitch. */
  compression: number;
  maxGapIn: number;
  gapRangeIn: readonly [number, number];
  shrinkPct: number;
  gM2: number;
  note: string;
}

const batt = (
  id: string,
  label: string,
  loftMm: number,
  compression: number,
  maxGapIn: number,
  gapRangeIn: [number, number],
  shrinkPct: number,
  gM2: number,
  note = '',
): Batting => ({ id, label, loftMm, compression, maxGapIn, gapRangeIn, shrinkPct, gM2, note });

export const battings = table<Batting>('Batting', [
  batt('cotton-needled', 'needled cotton', 2.5, 0.25, 8, [6, 10], 3, 150, 'Lies flat.'),
  batt('cotton-80-20', 'cotton 80/20', 3.2, 0.24, 6, [6, 8], 3, 160),
  batt('cotton-unscrimmed', 'cotton without scrim', 2.5, 0.25, 3, [2, 4], 5, 140),
  batt('bamboo-blend', 'bamboo blend', 2.8, 0.24, 8, [8, 8], 3, 150),
  batt('wool', 'wool', 8, 0.18, 4, [3, 4], 3, 150, 'Raises texture.'),
  batt('silk-batt', 'silk', 3, 0.22, 4, [4, 4], 4, 100),
  batt('polyester-low', 'low polyester', 4.5, 0.2, 10, [6, 10], 0, 110),
  batt('polyester-mid', 'mid polyester', 8, 0.17, 8, [8, 8], 0, 140),
  batt('polyester-high', 'high polyester', 15, 0.14, 4, [4, 6], 0, 200),
  batt(
    'flannel-as-batting',
    'flannel as batting',
    0.6,
    0.7,
    12,
    [12, 12],
    7,
    170,
    'Prewash hot, several times.',
  ),
  batt('fleece-as-batting', 'fleece as batting', 2.5, 0.3, 10, [10, 10], 1, 220),
  // Two layers of a kind not named: the sum of two common ones under the strictest rating of any.
  batt(
    'two-layers',
    'two layers',
    6.4,
    0.24,
    2,
    [2, 2],
    5,
    320,
    'Strictest quilting distance until both layers are named.',
  ),
  batt('unknown', 'unknown batting', 4, 0.22, 2, [2, 2], 5, 150, 'Strictest limit until the label is found.'),
]);
