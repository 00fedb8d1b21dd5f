import type { Shine, Weave } from './cloth-looks';
import { table } from './lookup';
import type { Point } from './needles';

/** A kind of cloth, as the models see it: one row is the whole truth about it. Generic values, editable per item. */
export interface Fabric {
  id: string;
  label: string;
  thicknessMm: number;
  gM2: number;
  /** Sideways stiffness against the needle; quilting cotton is 1. */
  firmness: number;
  /** 0 none – 3 stretchy. */
  stretch: number;
  /** How well it keeps needle holes, 0 heals – 3 every hole stays. */
  keepsHoles: number;
  /** Factor on the needle's life. */
  wear: number;
  shrinkPct: number;
  /** The point it asks for where the drawer has it; a sharp does for all others. */
  point: Point;
  /** Widths it is usually sold in, inches, the commonest first. */
  usualWidthsIn: readonly number[];
  /** Washed before it is used: always, or asked. */
  prewash: 'always' | 'asked';
  /** It has a nap or pile that runs one way. */
  nap: boolean;
  /** How much it creeps and drags under the foot, 0–3. */
  creeps: number;
  /** It may go into a tumble dryer. */
  tumbles: boolean;
  /** It stands up from the quilt: only a very fine thread sinks into it. */
  standsUp: boolean;
  /** So light, sheer or smooth that a thick blade marks it for good: Nm 70 to 90, whatever the blade bends. */
  fineNeedle: boolean;
  /** It is knitted: the needle stays at the size its stretch allows. */
  knit: boolean;
  /** How it looks and feels to someone who does not know its name; nothing for what is not known. */
  looks: { weave: Weave; shine: Shine } | null;
  advice: string;
}

const USUAL = {
  stretch: 0,
  keepsHoles: 1,
  wear: 1,
  point: 'sharp',
  usualWidthsIn: [44],
  prewash: 'asked',
  nap: false,
  creeps: 0,
  tumbles: true,
  standsUp: false,
  knit: false,
  fineNeedle: false,
  advice: '',
} as const;

type Own = Pick<Fabric, 'id' | 'label' | 'thicknessMm' | 'gM2' | 'firmness' | 'shrinkPct' | 'looks'>;
const cloth = (own: Own & Partial<Fabric>): Fabric => ({ ...USUAL, ...own });

export const fabrics = table<Fabric>('Fabric', [
  cloth({
    id: 'quilting-cotton',
    label: 'quilting cotton',
    thicknessMm: 0.3,
    gM2: 145,
    firmness: 1,
    shrinkPct: 3,
    looks: { weave: 'plain', shine: 'matt' },
  }),
  cloth({
    id: 'batik',
    label: 'batik',
    thicknessMm: 0.26,
    gM2: 140,
    firmness: 1.25,
    keepsHoles: 2,
    wear: 0.85,
    shrinkPct: 2,
    point: 'micro-sharp',
    looks: { weave: 'dense', shine: 'matt' },
    advice: 'Dense weave: micro-sharp.',
  }),
  cloth({
    id: 'lawn-voile',
    fineNeedle: true,
    label: 'lawn or voile',
    thicknessMm: 0.18,
    gM2: 75,
    firmness: 0.8,
    keepsHoles: 2,
    shrinkPct: 2,
    usualWidthsIn: [54, 44],
    looks: { weave: 'plain', shine: 'matt' },
    advice: 'Small needle, fine thread.',
  }),
  cloth({
    id: 'linen',
    label: 'linen',
    thicknessMm: 0.45,
    gM2: 190,
    firmness: 1.3,
    wear: 0.9,
    shrinkPct: 4,
    usualWidthsIn: [54, 44],
    looks: { weave: 'plain', shine: 'matt' },
    advice: 'Slubs can push the needle aside.',
  }),
  cloth({
    id: 'flannel',
    label: 'flannel',
    thicknessMm: 0.6,
    gM2: 170,
    firmness: 0.9,
    stretch: 1,
    keepsHoles: 0,
    shrinkPct: 7,
    prewash: 'always',
    looks: { weave: 'brushed', shine: 'matt' },
    advice: 'Prewash hot; sheds lint.',
  }),
  cloth({
    id: 'denim',
    label: 'denim',
    thicknessMm: 0.8,
    gM2: 340,
    firmness: 1.8,
    wear: 0.7,
    shrinkPct: 3,
    usualWidthsIn: [58, 44],
    looks: { weave: 'twill', shine: 'matt' },
    advice: 'Larger needle, slow over seams.',
  }),
  cloth({
    id: 'canvas',
    label: 'canvas',
    thicknessMm: 0.7,
    gM2: 300,
    firmness: 1.9,
    wear: 0.7,
    shrinkPct: 3,
    usualWidthsIn: [58, 44],
    looks: { weave: 'dense', shine: 'matt' },
  }),
  cloth({
    id: 'sateen-wide',
    label: 'wide sateen backing',
    thicknessMm: 0.28,
    gM2: 130,
    firmness: 1.05,
    keepsHoles: 2,
    shrinkPct: 3,
    usualWidthsIn: [108],
    looks: { weave: 'satin', shine: 'sheen' },
  }),
  cloth({
    id: 'satin',
    fineNeedle: true,
    label: 'satin',
    thicknessMm: 0.22,
    gM2: 120,
    firmness: 1,
    keepsHoles: 3,
    shrinkPct: 1,
    usualWidthsIn: [58],
    tumbles: false,
    looks: { weave: 'satin', shine: 'shiny' },
    advice: 'Unpicking leaves holes: test elsewhere first.',
  }),
  cloth({
    id: 'lame',
    fineNeedle: true,
    label: 'lamé',
    thicknessMm: 0.2,
    gM2: 90,
    firmness: 0.9,
    stretch: 1,
    keepsHoles: 3,
    wear: 0.6,
    shrinkPct: 0,
    tumbles: false,
    looks: { weave: 'plain', shine: 'metal' },
    advice: 'Cool iron.',
  }),
  cloth({
    id: 'silk',
    fineNeedle: true,
    label: 'silk',
    thicknessMm: 0.2,
    gM2: 80,
    firmness: 0.9,
    keepsHoles: 3,
    shrinkPct: 2,
    tumbles: false,
    looks: { weave: 'plain', shine: 'shiny' },
  }),
  cloth({
    id: 'jersey-knit',
    label: 'jersey knit',
    thicknessMm: 0.55,
    gM2: 180,
    firmness: 0.8,
    stretch: 3,
    shrinkPct: 5,
    point: 'light-ball',
    usualWidthsIn: [60],
    knit: true,
    looks: { weave: 'knit', shine: 'matt' },
    advice: 'Light ball; stabilise.',
  }),
  cloth({
    id: 'plush',
    label: 'plush',
    thicknessMm: 1.6,
    gM2: 260,
    firmness: 0.7,
    stretch: 3,
    keepsHoles: 0,
    shrinkPct: 1,
    usualWidthsIn: [60, 90],
    nap: true,
    creeps: 3,
    looks: { weave: 'pile', shine: 'sheen' },
    advice: 'Stretch across, selvages at the sides; hides stitches.',
  }),
  cloth({
    id: 'fleece',
    label: 'fleece',
    thicknessMm: 1.8,
    gM2: 220,
    firmness: 0.6,
    stretch: 2,
    keepsHoles: 0,
    shrinkPct: 1,
    usualWidthsIn: [60],
    nap: true,
    creeps: 2,
    looks: { weave: 'pile', shine: 'matt' },
  }),
  cloth({
    id: 'wool-felted',
    label: 'felted wool',
    thicknessMm: 1.2,
    gM2: 320,
    firmness: 1.1,
    stretch: 1,
    keepsHoles: 0,
    wear: 0.95,
    shrinkPct: 6,
    usualWidthsIn: [54],
    prewash: 'always',
    nap: true,
    tumbles: false,
    standsUp: true,
    looks: { weave: 'felted', shine: 'matt' },
    advice: 'Raised edges: bowl foot.',
  }),
  cloth({
    id: 'velvet',
    label: 'velvet',
    thicknessMm: 1.1,
    gM2: 250,
    firmness: 0.9,
    stretch: 1,
    wear: 0.95,
    shrinkPct: 2,
    usualWidthsIn: [54],
    nap: true,
    creeps: 2,
    tumbles: false,
    looks: { weave: 'pile', shine: 'sheen' },
    advice: 'The pile creeps.',
  }),
  cloth({
    id: 'polyester-woven',
    label: 'woven polyester',
    thicknessMm: 0.25,
    gM2: 120,
    firmness: 1,
    stretch: 1,
    keepsHoles: 2,
    wear: 0.95,
    shrinkPct: 0,
    usualWidthsIn: [58],
    looks: { weave: 'plain', shine: 'sheen' },
  }),
  cloth({
    id: 'unknown',
    label: 'unknown fabric',
    thicknessMm: 0.4,
    gM2: 160,
    firmness: 1.2,
    stretch: 1,
    keepsHoles: 2,
    wear: 0.9,
    shrinkPct: 5,
    looks: null,
    advice: 'Treated cautiously until it is known.',
  }),
]);
