import { table } from './lookup';

/** How a thread runs, where it runs worse than plain ones. */
export interface Running {
  code: string;
  /** What it costs beside a thread that runs well, 0–1 (judgement). */
  cost: number;
  text: string;
  act?: string;
  /** Worth a caution, or only a remark. */
  mind: boolean;
}

/** A kind of thread fibre and finish: one row is the whole truth about it. Generic values of textile engineering. */
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
  /** One clear strand: without a colour of its own it takes that of the cloth. */
  mono: boolean;
  /** What repeated washing does to it, 0 nothing – 1 ruins it (judgement); `note` says what. */
  washRisk: number;
  eye: 'standard' | 'large';
  /** Sizes such thread is made in, tex; beyond them a label was misread (judgement). */
  texRange: readonly [number, number];
  /** It softens under a hot iron. */
  softensHot: boolean;
  /** It stretches as it feeds, so that its first tension stays between 45 and 55 gf. */
  stretches: boolean;
  /** It dissolves in the wash. */
  dissolves: boolean;
  /** Its ends are buried: tiny stitches do not hold it. */
  buryEnds: boolean;
  /** It winds and feeds well on a bobbin. */
  bobbin: boolean;
  running: Running | null;
  /** Stitches per inch fewer than usual, and the share of the usual hand speed it is sewn at. */
  fewerSpi: number;
  handFactor: number;
  note: string;
}

const USUAL = {
  mono: false,
  washRisk: 0,
  eye: 'standard',
  texRange: [5, 250],
  softensHot: false,
  stretches: false,
  dissolves: false,
  buryEnds: false,
  bobbin: true,
  running: null,
  fewerSpi: 0,
  handFactor: 1,
  note: '',
} as const;
const fibre = (own: Omit<Fibre, keyof typeof USUAL> & Partial<Fibre>): Fibre => ({ ...USUAL, ...own });

const FRAYS: Running = {
  code: 'soft',
  cost: 0.15,
  text: 'Softer than polyester: it frays sooner.',
  mind: false,
};
const STRETCHES: Running = {
  code: 'mono-stretches',
  cost: 0.2,
  text: 'Stretches as it feeds.',
  act: 'Low tension, and let it hang loose.',
  mind: true,
};
const TWISTS: Running = {
  code: 'metallic-slow',
  cost: 0.6,
  text: 'Twists and shreds easily.',
  act: 'Sew slowly and draw it off upright.',
  mind: true,
};

export const fibres = table<Fibre>('Fibre', [
  fibre({
    id: 'polyester-filament',
    label: 'polyester filament',
    densityGCm3: 1.38,
    packing: 0.62,
    tenacityCnTex: 38,
    tenacityRange: [33, 42],
    lint: 0,
    needleWear: 1,
    surface: 'filament',
    note: 'Hot iron ok.',
  }),
  fibre({
    id: 'polyester-corespun',
    label: 'polyester core-spun',
    densityGCm3: 1.38,
    packing: 0.58,
    tenacityCnTex: 42,
    tenacityRange: [38, 46],
    lint: 1,
    needleWear: 1,
    surface: 'spun',
  }),
  fibre({
    id: 'polyester-spun',
    label: 'spun polyester',
    densityGCm3: 1.38,
    packing: 0.52,
    tenacityCnTex: 33,
    tenacityRange: [28, 36],
    lint: 2,
    needleWear: 0.9,
    surface: 'spun',
  }),
  fibre({
    id: 'cotton',
    label: 'cotton',
    densityGCm3: 1.52,
    packing: 0.57,
    tenacityCnTex: 24,
    tenacityRange: [20, 28],
    lint: 2,
    needleWear: 0.9,
    surface: 'spun',
    note: 'Shrinks a little.',
  }),
  fibre({
    id: 'rayon',
    label: 'rayon',
    densityGCm3: 1.5,
    packing: 0.62,
    tenacityCnTex: 16,
    tenacityRange: [14, 20],
    lint: 1,
    needleWear: 1,
    surface: 'filament',
    note: 'Weak when wet; no bleach.',
    washRisk: 0.6,
    running: FRAYS,
  }),
  fibre({
    id: 'silk',
    label: 'silk',
    densityGCm3: 1.34,
    packing: 0.62,
    tenacityCnTex: 30,
    tenacityRange: [26, 34],
    lint: 0,
    needleWear: 1,
    surface: 'filament',
    note: 'Cool wash.',
    washRisk: 0.3,
  }),
  fibre({
    id: 'nylon-mono',
    label: 'nylon monofilament',
    densityGCm3: 1.14,
    packing: 1,
    tenacityCnTex: 45,
    tenacityRange: [40, 50],
    lint: 0,
    needleWear: 1,
    surface: 'filament',
    note: 'Softens under a hot iron; stretches, low tension.',
    mono: true,
    texRange: [3, 60],
    softensHot: true,
    stretches: true,
    running: STRETCHES,
    bobbin: false,
  }),
  fibre({
    id: 'polyester-mono',
    label: 'polyester monofilament',
    densityGCm3: 1.38,
    packing: 1,
    tenacityCnTex: 40,
    tenacityRange: [35, 45],
    lint: 0,
    needleWear: 1,
    surface: 'filament',
    mono: true,
    texRange: [3, 60],
    running: STRETCHES,
    bobbin: false,
  }),
  fibre({
    id: 'metallic',
    label: 'metallic',
    buryEnds: true,
    densityGCm3: 1.5,
    packing: 0.6,
    tenacityCnTex: 15,
    tenacityRange: [10, 20],
    lint: 1,
    needleWear: 0.5,
    surface: 'filament',
    note: 'Wash cool, and little: rubbing dulls the metal.',
    eye: 'large',
    texRange: [12, 150],
    washRisk: 0.5,
    running: TWISTS,
    bobbin: false,
    fewerSpi: 1,
    handFactor: 0.6,
  }),
  fibre({
    id: 'wool-blend',
    label: 'wool blend',
    densityGCm3: 1.25,
    packing: 0.45,
    tenacityCnTex: 11,
    tenacityRange: [8, 14],
    lint: 3,
    needleWear: 0.9,
    surface: 'spun',
    note: 'Wash cool: it shrinks and felts.',
    eye: 'large',
    texRange: [20, 500],
    washRisk: 0.5,
  }),
  fibre({
    id: 'soluble',
    label: 'water-soluble',
    densityGCm3: 1.3,
    packing: 0.55,
    tenacityCnTex: 12,
    tenacityRange: [12, 12],
    lint: 1,
    needleWear: 1,
    surface: 'spun',
    note: 'For basting; keep dry.',
    dissolves: true,
    bobbin: false,
  }),
]);
