import { table } from './lookup';
import type { Point } from './needles';

/** A kind of cloth, as the models see it. Generic values, editable per item by the studio. */
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
  point: Point;
  advice: string;
}

const cloth = (
  id: string,
  label: string,
  [thicknessMm, gM2, firmness, stretch, keepsHoles, wear, shrinkPct]: [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ],
  advice = '',
  point: Point = 'sharp',
): Fabric => ({ id, label, thicknessMm, gM2, firmness, stretch, keepsHoles, wear, shrinkPct, point, advice });

export const fabrics = table<Fabric>('Fabric', [
  cloth('quilting-cotton', 'quilting cotton', [0.3, 145, 1, 0, 1, 1, 3]),
  cloth('batik', 'batik', [0.26, 140, 1.25, 0, 2, 0.85, 2], 'Dense weave: micro-sharp.', 'micro-sharp'),
  cloth(
    'lawn-voile',
    'lawn or voile',
    [0.18, 75, 0.8, 0, 2, 1, 2],
    'Small needle, fine thread.',
    'micro-sharp',
  ),
  cloth('linen', 'linen', [0.45, 190, 1.3, 0, 1, 0.9, 4], 'Slubs can push the needle aside.'),
  cloth('flannel', 'flannel', [0.6, 170, 0.9, 1, 0, 1, 7], 'Prewash hot; sheds lint.'),
  cloth('denim', 'denim', [0.8, 340, 1.8, 0, 1, 0.7, 3], 'Larger needle, slow over seams.'),
  cloth('canvas', 'canvas', [0.7, 300, 1.9, 0, 1, 0.7, 3]),
  cloth('sateen-wide', 'wide sateen backing', [0.28, 130, 1.05, 0, 2, 1, 3], '', 'micro-sharp'),
  cloth(
    'satin',
    'satin',
    [0.22, 120, 1, 0, 3, 1, 1],
    'Unpicking leaves holes: test elsewhere first.',
    'micro-sharp',
  ),
  cloth('lame', 'lamé', [0.2, 90, 0.9, 1, 3, 0.6, 0], 'Cool iron.', 'micro-sharp'),
  cloth('silk', 'silk', [0.2, 80, 0.9, 0, 3, 1, 2], '', 'micro-sharp'),
  cloth('jersey-knit', 'jersey knit', [0.55, 180, 0.8, 3, 1, 1, 5], 'Light ball; stabilise.', 'light-ball'),
  cloth(
    'plush',
    'plush',
    [1.6, 260, 0.7, 3, 0, 1, 1],
    'Stretch across, selvages at the sides; hides stitches.',
    'light-ball',
  ),
  cloth('fleece', 'fleece', [1.8, 220, 0.6, 2, 0, 1, 1], '', 'light-ball'),
  cloth('wool-felted', 'felted wool', [1.2, 320, 1.1, 1, 0, 0.95, 6], 'Raised edges: bowl foot.'),
  cloth('velvet', 'velvet', [1.1, 250, 0.9, 1, 1, 0.95, 2], 'The pile creeps.'),
  cloth('polyester-woven', 'woven polyester', [0.25, 120, 1, 1, 2, 0.95, 0], '', 'micro-sharp'),
  cloth('unknown', 'unknown cloth', [0.4, 160, 1.2, 1, 2, 0.9, 5], 'Treated cautiously until it is known.'),
]);
