import type { ConditionFields } from '@/core/fields/quilt';
import type { Use, VisibilityWish } from '@/core/fields/lists';
import { type MultiPolygon, type Polygon, rect } from '@/core/geometry/polygon';
import type { Step } from '@/core/fields/lists';
import { blocks, corners, frame, lantern, round, sashing, strips, without } from '@/core/plan/shapes';

export interface DemoZone {
  name: string;
  geometry: MultiPolygon;
  technique: string;
  spacingIn: number;
  smallestRadiusIn?: number;
  lengthIn?: number;
  visibility: VisibilityWish;
  /** kind, name, colour, share */
  fabrics: readonly (readonly [string, string, string, number])[];
  features?: readonly string[];
  /** How far its set-up has come: not chosen, chosen, a search begun, or proven. */
  state: 'open' | 'chosen' | 'searching' | 'proven';
}

export interface DemoQuilt {
  name: string;
  client: string;
  widthIn: number;
  lengthIn: number;
  use: Use;
  batting: string;
  backing: readonly [string, string, string];
  takenInDaysAgo: number;
  /** Days from today; 'week' ones stay inside this week. */
  due: { days: number; week?: boolean };
  step: Step;
  passes?: number;
  passesSewn?: number;
  onFrameDaysAgo?: number;
  waitsFor?: string;
  /** What was found on it when it came. */
  found?: readonly (Pick<ConditionFields, 'kind' | 'side' | 'place' | 'state'> & Partial<ConditionFields>)[];
  /** It went home: so long ago, and how it came out. */
  home?: {
    daysAgo: number;
    widthsIn: [number, number, number];
    lengthsIn: [number, number, number];
    word: string;
  };
  zones: readonly DemoZone[];
}

const lanternBlocks = blocks(10, 10, 44, 60, 3, 4, 2);
const lanterns = lanternBlocks.map(([outer]) => {
  const [[x, y], , [x1, y1]] = outer as unknown as [[number, number], unknown, [number, number]];
  return lantern(x, y, x1 - x, y1 - y);
});

const buoyBlocks = blocks(6, 6, 42, 42, 3, 3, 2);
const buoys = buoyBlocks.map(([outer]) => round(outer![0]![0] + 17 / 3, outer![0]![1] + 17 / 3, 4.2));

const diagonal = (i: number, n: number): Polygon => [
  [
    [6, 6 + (i * 50) / n],
    [50, i === 0 ? 6 : 6 + (i * 50) / n + 6],
    [50, 6 + ((i + 1) * 50) / n + 6],
    [6, i === n - 1 ? 62 : 6 + ((i + 1) * 50) / n],
  ],
];

export const demoQuilts: readonly DemoQuilt[] = [
  {
    name: 'Nine Buoys',
    client: 'Wren Aldous',
    widthIn: 54,
    lengthIn: 54,
    use: 'wall',
    batting: 'Drumlin Cotton, needled',
    backing: ['quilting-cotton', 'Harbour stripe', '#c9d0cf'],
    takenInDaysAgo: 31,
    due: { days: -3 },
    step: 'quilt',
    passes: 9,
    passesSewn: 8,
    zones: [
      {
        name: 'Rope border',
        geometry: frame(0, 0, 54, 54, 6),
        technique: 'ruler-lines',
        spacingIn: 1,
        visibility: 'texture',
        fabrics: [['quilting-cotton', 'Navy twill print', '#31475b', 1]],
        state: 'proven',
      },
      {
        name: 'Buoys',
        geometry: buoys.map((b) => [b]),
        technique: 'echo',
        spacingIn: 0.5,
        visibility: 'show',
        fabrics: [
          ['quilting-cotton', 'Buoy red solid', '#b5502f', 0.7],
          ['quilting-cotton', 'Sailcloth white', '#e9e2d2', 0.3],
        ],
        state: 'proven',
      },
      {
        name: 'Open water',
        geometry: without(buoyBlocks, buoys),
        technique: 'swirls',
        spacingIn: 0.5,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Shallow blue', '#8fb0b8', 1]],
        state: 'proven',
      },
      {
        name: 'Jetties',
        geometry: sashing(6, 6, 42, 42, 3, 3, 2),
        technique: 'ditch',
        spacingIn: 2,
        lengthIn: 640,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Sailcloth white', '#e9e2d2', 1]],
        state: 'proven',
      },
    ],
  },
  {
    name: 'Harbour Lights',
    client: 'Odile Marsh',
    widthIn: 64,
    lengthIn: 80,
    use: 'bed',
    batting: 'Drumlin 80/20',
    backing: ['quilting-cotton', 'Driftwood dot', '#dcc7b0'],
    takenInDaysAgo: 22,
    due: { days: 2, week: true },
    step: 'quilt',
    passes: 11,
    passesSewn: 5,
    onFrameDaysAgo: 2,
    zones: [
      {
        name: 'Harbour border',
        geometry: strips(0, 0, 64, 80, 8),
        technique: 'ruler-arcs',
        spacingIn: 2.5,
        smallestRadiusIn: 2,
        visibility: 'show',
        fabrics: [['quilting-cotton', 'Haze blue', '#bac8cb', 1]],
        state: 'proven',
      },
      {
        name: 'Bollard corners',
        geometry: corners(0, 0, 64, 80, 8),
        technique: 'echo',
        spacingIn: 0.75,
        visibility: 'texture',
        fabrics: [['quilting-cotton', 'Bollard blue', '#4f6678', 1]],
        state: 'proven',
      },
      {
        name: 'Rope border',
        geometry: frame(8, 8, 48, 64, 2),
        technique: 'ruler-lines',
        spacingIn: 1,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Rope cream', '#ddcda8', 1]],
        state: 'proven',
      },
      {
        name: 'Jetty sashing',
        geometry: sashing(10, 10, 44, 60, 3, 4, 2),
        technique: 'ditch',
        spacingIn: 2,
        lengthIn: 980,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Jetty grey', '#7d94a1', 1]],
        features: ['bulky-seams'],
        state: 'proven',
      },
      {
        name: 'Lanterns',
        geometry: lanterns.map((l) => [l]),
        technique: 'outline',
        spacingIn: 2.5,
        lengthIn: 620,
        visibility: 'texture',
        fabrics: [
          ['quilting-cotton', 'Lamp yellow', '#e3bc62', 0.6],
          ['quilting-cotton', 'Ember', '#c9804b', 0.4],
        ],
        state: 'chosen',
      },
      {
        name: 'Night ground',
        geometry: without(lanternBlocks, lanterns),
        technique: 'meander-small',
        spacingIn: 0.6,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Night sea', '#33485a', 1]],
        state: 'open',
      },
    ],
  },
  {
    name: 'Signal Flags',
    client: 'Tam Okello',
    widthIn: 40,
    lengthIn: 52,
    use: 'baby',
    batting: 'Reedbed Bamboo',
    backing: ['flannel', 'Soft flannel', '#e4ddcc'],
    takenInDaysAgo: 16,
    due: { days: 4, week: true },
    step: 'test',
    zones: [
      {
        name: 'Pennants',
        geometry: [[rect(4, 4, 32, 14)], [rect(4, 34, 32, 14)]],
        technique: 'overlapping-waves',
        spacingIn: 1,
        visibility: 'texture',
        fabrics: [
          ['batik', 'Signal blue batik', '#2f6f8e', 0.5],
          ['batik', 'Signal orange batik', '#d98a2b', 0.5],
        ],
        state: 'searching',
      },
      {
        name: 'Halyard',
        geometry: [[rect(4, 18, 32, 16)]],
        technique: 'loops',
        spacingIn: 1,
        visibility: 'sink',
        fabrics: [['batik', 'Signal red batik', '#8c2f4b', 1]],
        state: 'proven',
      },
      {
        name: 'Edge',
        geometry: frame(0, 0, 40, 52, 4),
        technique: 'ruler-lines',
        spacingIn: 1,
        visibility: 'texture',
        fabrics: [['batik', 'Deep water batik', '#27364a', 1]],
        state: 'chosen',
      },
    ],
  },
  {
    name: 'Tide Table',
    client: 'Hester Quill',
    widthIn: 72,
    lengthIn: 72,
    use: 'show',
    batting: 'Fleecewater Wool',
    backing: ['sateen-wide', 'Ecru sateen', '#e2dac8'],
    takenInDaysAgo: 46,
    due: { days: 5, week: true },
    step: 'hand-back',
    passes: 9,
    passesSewn: 9,
    zones: [
      {
        name: 'Compass',
        geometry: [[round(36, 36, 13)]],
        technique: 'feathers',
        spacingIn: 0.5,
        visibility: 'show',
        fabrics: [['linen', 'Bleached linen', '#cfc6b2', 1]],
        state: 'proven',
      },
      {
        name: 'Ground',
        geometry: [[rect(10, 10, 52, 52), round(36, 36, 13)]],
        technique: 'pebbles',
        spacingIn: 0.4,
        visibility: 'sink',
        fabrics: [['linen', 'Bleached linen', '#cfc6b2', 1]],
        state: 'proven',
      },
      {
        name: 'Tide lines',
        geometry: frame(0, 0, 72, 72, 10),
        technique: 'echo',
        spacingIn: 0.5,
        visibility: 'texture',
        fabrics: [['linen', 'Sea-washed linen', '#8fa7a6', 1]],
        state: 'proven',
      },
    ],
  },
  {
    name: 'Ferry Blanket',
    client: 'Bram Fenwick',
    widthIn: 60,
    lengthIn: 70,
    use: 'bed',
    batting: 'Drumlin Cotton, needled',
    backing: ['flannel', 'Deck flannel', '#7d6a58'],
    takenInDaysAgo: 12,
    due: { days: 8 },
    step: 'match',
    found: [{ kind: 'pet-hair', side: 'top', place: 'whole quilt', state: 'done' }],
    zones: [
      {
        name: 'Hull',
        geometry: blocks(0, 0, 60, 70, 5, 6, 1.5),
        technique: 'meander-large',
        spacingIn: 2,
        visibility: 'texture',
        fabrics: [['denim', 'Worn denim', '#3b4a63', 1]],
        features: ['bulky-seams'],
        state: 'chosen',
      },
      {
        name: 'Deck',
        geometry: sashing(0, 0, 60, 70, 5, 6, 1.5),
        technique: 'ditch',
        spacingIn: 3,
        lengthIn: 1450,
        visibility: 'sink',
        fabrics: [['flannel', 'Funnel red flannel', '#a34a32', 1]],
        features: ['bulky-seams'],
        state: 'open',
      },
    ],
  },
  {
    name: 'Slipway',
    client: 'Ines Calder',
    widthIn: 56,
    lengthIn: 68,
    use: 'bed',
    batting: 'Cloudbank Low Poly',
    backing: ['quilting-cotton', 'Moss leaf', '#9aa787'],
    takenInDaysAgo: 19,
    due: { days: 9 },
    step: 'quilt',
    passes: 8,
    passesSewn: 3,
    found: [{ kind: 'wavy-border', side: 'top', place: 'top border', xIn: 26, yIn: 3, state: 'agreed' }],
    zones: [
      {
        name: 'Quay',
        geometry: frame(0, 0, 56, 68, 6),
        technique: 'ruler-lines',
        spacingIn: 1.5,
        visibility: 'texture',
        fabrics: [['quilting-cotton', 'Moss', '#4c6b55', 1]],
        state: 'proven',
      },
      {
        name: 'Planks',
        geometry: [0, 2, 4, 6].map((i) => diagonal(i, 7)),
        technique: 'feathers',
        spacingIn: 1,
        visibility: 'show',
        fabrics: [
          ['quilting-cotton', 'Gorse', '#c9a24a', 0.6],
          ['quilting-cotton', 'Foam', '#ede4d0', 0.4],
        ],
        state: 'proven',
      },
      {
        name: 'Keel lines',
        geometry: [1, 3, 5].map((i) => diagonal(i, 7)),
        technique: 'meander-medium',
        spacingIn: 1,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Foam', '#ede4d0', 1]],
        state: 'proven',
      },
    ],
  },
  {
    name: 'Long Gallery',
    client: 'Orrin Vale',
    widthIn: 18,
    lengthIn: 64,
    use: 'wall',
    batting: 'Drumlin 80/20',
    backing: ['quilting-cotton', 'Plum plain', '#5d4660'],
    takenInDaysAgo: 9,
    due: { days: 11 },
    step: 'match',
    zones: [
      {
        name: 'Windows',
        geometry: blocks(0, 0, 18, 64, 1, 5, 3),
        technique: 'leaves',
        spacingIn: 0.75,
        visibility: 'show',
        fabrics: [
          ['lame', 'Gilt tissue', '#c58aa0', 0.5],
          ['silk', 'Dove silk', '#6f6a8c', 0.5],
        ],
        features: ['metallic-fabric'],
        state: 'chosen',
      },
      {
        name: 'Wall',
        geometry: sashing(0, 0, 18, 64, 1, 5, 3),
        technique: 'micro-fill',
        spacingIn: 0.2,
        visibility: 'sink',
        fabrics: [['silk', 'Dove silk', '#6f6a8c', 1]],
        state: 'chosen',
      },
    ],
  },
  {
    name: 'Salt Pans',
    client: 'Maud Ellery',
    widthIn: 48,
    lengthIn: 60,
    use: 'bed',
    batting: 'Unmarked end of roll',
    backing: ['unknown', 'Client’s own fabric', '#d9d0bd'],
    takenInDaysAgo: 4,
    due: { days: 18 },
    step: 'take-in',
    found: [
      { kind: 'stain', side: 'top', place: 'left border', xIn: 4, yIn: 30, state: 'told', note: 'tea, old' },
      { kind: 'loose-threads', side: 'back', place: 'everywhere', state: 'told' },
    ],
    zones: [
      {
        name: 'Pans',
        geometry: [
          [rect(4, 4, 18, 24)],
          [rect(26, 4, 18, 16)],
          [rect(26, 24, 18, 32)],
          [rect(4, 32, 18, 24)],
        ],
        technique: 'meander-medium',
        spacingIn: 1.5,
        visibility: 'texture',
        fabrics: [['quilting-cotton', 'Salt white', '#e6dcc6', 1]],
        state: 'open',
      },
      {
        name: 'Banks',
        geometry: [
          [
            rect(0, 0, 48, 60),
            rect(4, 4, 18, 24),
            rect(26, 4, 18, 16),
            rect(26, 24, 18, 32),
            rect(4, 32, 18, 24),
          ],
        ],
        technique: 'echo-irregular',
        spacingIn: 1,
        visibility: 'sink',
        fabrics: [['unknown', 'Client’s own fabric', '#b6ab92', 1]],
        state: 'open',
      },
    ],
  },
  {
    name: 'Lantern Row',
    client: 'Piers Amadi',
    widthIn: 36,
    lengthIn: 48,
    use: 'wall',
    batting: 'Drumlin 80/20',
    backing: ['quilting-cotton', 'Plum plain', '#5d4660'],
    takenInDaysAgo: 6,
    due: { days: 23 },
    step: 'take-in',
    waitsFor: 'Backing to come',
    zones: [
      {
        name: 'Felt lanterns',
        geometry: [4, 14, 24].map((x): Polygon => [lantern(x, 14, 9, 20)]),
        technique: 'outline',
        spacingIn: 2,
        lengthIn: 160,
        visibility: 'sink',
        fabrics: [['wool-felted', 'Lamp felt', '#e0b64f', 1]],
        features: ['raised-applique'],
        state: 'open',
      },
      {
        name: 'Dusk',
        geometry: [[rect(0, 0, 36, 48), ...[4, 14, 24].map((x) => lantern(x, 14, 9, 20))]],
        technique: 'meander-small',
        spacingIn: 0.5,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Dusk heather', '#7a5a86', 1]],
        features: ['raised-applique'],
        state: 'open',
      },
    ],
  },
  {
    name: 'Mussel Beds',
    client: 'Wren Aldous',
    widthIn: 58,
    lengthIn: 66,
    use: 'bed',
    batting: 'Drumlin 80/20',
    backing: ['quilting-cotton', 'Shoal blue', '#5f7f92'],
    takenInDaysAgo: 41,
    due: { days: -16 },
    step: 'hand-back',
    passes: 8,
    passesSewn: 8,
    home: {
      daysAgo: 18,
      widthsIn: [57.25, 57.5, 57.25],
      lengthsIn: [65, 65.25, 65.125],
      word: 'Swirls hid the seams; she wants the same density on the next.',
    },
    zones: [
      {
        name: 'Shells',
        geometry: blocks(5, 5, 48, 56, 4, 5, 0),
        technique: 'swirls',
        spacingIn: 1.25,
        smallestRadiusIn: 0.4,
        visibility: 'texture',
        fabrics: [
          ['quilting-cotton', 'Mussel blue', '#3c4a63', 0.6],
          ['quilting-cotton', 'Sand', '#cdbf9d', 0.4],
        ],
        state: 'proven',
      },
      {
        name: 'Tideline border',
        geometry: frame(0, 0, 58, 66, 5),
        technique: 'ruler-lines',
        spacingIn: 1,
        visibility: 'texture',
        fabrics: [['quilting-cotton', 'Shoal blue', '#5f7f92', 1]],
        state: 'proven',
      },
    ],
  },
  {
    name: 'Chandlery',
    client: 'Hester Quill',
    widthIn: 50,
    lengthIn: 50,
    use: 'wall',
    batting: 'Fleecewater Wool',
    backing: ['quilting-cotton', 'Rope plain', '#b9a98a'],
    takenInDaysAgo: 62,
    due: { days: -36 },
    step: 'hand-back',
    passes: 6,
    passesSewn: 6,
    home: {
      daysAgo: 38,
      widthsIn: [49.5, 49.625, 49.5],
      lengthsIn: [49.5, 49.5, 49.375],
      word: 'Two feather spines sewn again; slower from the start next time.',
    },
    zones: [
      {
        name: 'Wreath',
        geometry: [[round(25, 25, 15)]],
        technique: 'feathers',
        spacingIn: 0.75,
        smallestRadiusIn: 0.4,
        visibility: 'show',
        fabrics: [['quilting-cotton', 'Sailcloth', '#e9e2cf', 1]],
        state: 'proven',
      },
      {
        name: 'Ground',
        geometry: without([[rect(0, 0, 50, 50)]], [round(25, 25, 15)]),
        technique: 'meander-small',
        spacingIn: 0.5,
        smallestRadiusIn: 0.2,
        visibility: 'sink',
        fabrics: [['quilting-cotton', 'Sailcloth', '#e9e2cf', 1]],
        state: 'proven',
      },
    ],
  },
];
