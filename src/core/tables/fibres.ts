import { table } from './lookup';

/** A kind of thread fibre and finish: generic values of textile engineering, editable per cone later. */
export interface Fibre {
  id: string;
  label: string;
  densityGCm3: number;
  /** Share of the round cross-section that is fibre, 0–1. */
  packing: number;
  tenacityCnTex: number;
  tenacityRange: readonly [number, number];
  /** How much lint it sheds, 0–3. */
  lint: number;
  /** Factor on the needle's life. */
  needleWear: number;
  /** 'spun' surfaces grip more and are counted in Ne; 'filament' ones in denier. */
  surface: 'spun' | 'filament';
  mono: boolean;
  /** What repeated washing does to it, 0 nothing – 1 ruins it (judgement); `note` says what. */
  washRisk: number;
  eye: 'standard' | 'large';
  /** Sizes such thread is made in, tex; beyond them a label was misread (judgement). */
  texRange: readonly [number, number];
  note: string;
}

const fibre = (
  id: string,
  label: string,
  [densityGCm3, packing, tenacityCnTex]: [number, number, number],
  tenacityRange: [number, number],
  lint: number,
  needleWear: number,
  surface: 'spun' | 'filament',
  note = '',
  rest: Partial<Pick<Fibre, 'mono' | 'eye' | 'texRange' | 'washRisk'>> = {},
): Fibre => ({
  id,
  label,
  densityGCm3,
  packing,
  tenacityCnTex,
  tenacityRange,
  lint,
  needleWear,
  surface,
  mono: rest.mono ?? false,
  washRisk: rest.washRisk ?? 0,
  eye: rest.eye ?? 'standard',
  texRange: rest.texRange ?? [5, 250],
  note,
});

export const fibres = table<Fibre>('Fibre', [
  fibre(
    'polyester-filament',
    'polyester filament',
    [1.38, 0.62, 38],
    [33, 42],
    0,
    1,
    'filament',
    'Hot iron ok.',
  ),
  fibre('polyester-corespun', 'polyester core-spun', [1.38, 0.58, 42], [38, 46], 1, 1, 'spun'),
  fibre('polyester-spun', 'spun polyester', [1.38, 0.52, 33], [28, 36], 2, 0.9, 'spun'),
  fibre('cotton', 'cotton', [1.52, 0.57, 24], [20, 28], 2, 0.9, 'spun', 'Shrinks a little.'),
  fibre('rayon', 'rayon', [1.5, 0.62, 16], [14, 20], 1, 1, 'filament', 'Weak when wet; no bleach.', {
    washRisk: 0.6,
  }),
  fibre('silk', 'silk', [1.34, 0.62, 30], [26, 34], 0, 1, 'filament', 'Cool wash.', {
    washRisk: 0.3,
  }),
  fibre(
    'nylon-mono',
    'nylon monofilament',
    [1.14, 1, 45],
    [40, 50],
    0,
    1,
    'filament',
    'Softens under a hot iron; stretches, low tension.',
    { mono: true, texRange: [3, 60] },
  ),
  fibre('polyester-mono', 'polyester monofilament', [1.38, 1, 40], [35, 45], 0, 1, 'filament', '', {
    mono: true,
    texRange: [3, 60],
  }),
  fibre(
    'metallic',
    'metallic',
    [1.5, 0.6, 15],
    [10, 20],
    1,
    0.5,
    'filament',
    'Wash cool, and little: rubbing dulls the metal.',
    { eye: 'large', texRange: [12, 150], washRisk: 0.5 },
  ),
  fibre(
    'wool-blend',
    'wool blend',
    [1.25, 0.45, 11],
    [8, 14],
    3,
    0.9,
    'spun',
    'Wash cool: it shrinks and felts.',
    {
      eye: 'large',
      texRange: [20, 500],
      washRisk: 0.5,
    },
  ),
  fibre('soluble', 'water-soluble', [1.3, 0.55, 12], [12, 12], 1, 1, 'spun', 'For basting; keep dry.'),
]);
