/** The cones on the shelf of Saltmarsh Longarm Room. Sizes are read from the labels by the core. */
export interface DemoCone {
  line: string;
  colour: string;
  hex?: string;
  /** Of thread that changes along its length. */
  hexes?: readonly string[];
  runIn?: number;
  fibre: string;
  label: string;
  role: 'top' | 'bobbin' | 'both';
  remainingM: number;
  labelNeedleNm?: readonly [number, number];
}

const line = (
  name: string,
  fibre: string,
  label: string,
  role: DemoCone['role'],
  colours: readonly (readonly [string, string | undefined, number])[],
  labelNeedleNm?: readonly [number, number],
): DemoCone[] =>
  colours.map(([colour, hex, remainingM]) => ({
    line: name,
    colour,
    hex,
    fibre,
    label,
    role,
    remainingM,
    labelNeedleNm,
  }));

export const demoShelf: readonly DemoCone[] = [
  ...line('Heron Poly 40', 'polyester-filament', 'Tex 27 / 40 wt', 'top', [
    ['Mulberry', '#6e3b63', 2850],
    ['Slate', '#3e5a70', 210],
    ['Sandbar', '#cdbf9f', 2400],
    ['Tar', '#2a2d33', 3100],
    ['Buoy Red', '#b5502f', 1650],
  ]),
  ...line('Heron Poly 60', 'polyester-filament', 'Tex 18 / 60 wt', 'both', [
    ['Honey', '#e0b64f', 4200],
    ['Fog', '#b9c6c9', 5000],
    ['Dune', '#d2c5a6', 4600],
    ['Night', '#33485a', 3900],
    ['Heather', '#7a5a86', 2300],
  ]),
  ...line('Gossamer 100', 'polyester-filament', 'Tex 11 / 100 wt', 'both', [
    ['Mist', '#c3ccca', 4800],
    ['Oat', '#ddcfb1', 5200],
    ['Ink', '#27364a', 4100],
    ['Rosehip', '#8c2f4b', 3000],
  ]),
  ...line('Teal Cotton 50/2', 'cotton', '50/2', 'both', [
    ['Sage', '#8a9a7b', 1900],
    ['Chalk', '#efe9da', 2200],
  ]),
  ...line(
    'Teal Cotton 50/3',
    'cotton',
    '50/3',
    'both',
    [
      ['Deep Teal', '#2f6f73', 1200],
      ['Kelp', '#4c6b55', 1500],
    ],
    [90, 110],
  ),
  ...line('Bosun Cotton 30', 'cotton', 'Tex 40 / 30 wt', 'top', [
    ['Amber', '#c98a2b', 850],
    ['Harbour Blue', '#31587a', 900],
  ]),
  ...line('Rope Cotton 12', 'cotton', '12 wt', 'top', [['Rust', '#b0452f', 420]], [110, 130]),
  ...line('Clearwater', 'nylon-mono', '83 den', 'top', [['Clear', undefined, 1500]]),
  ...line('Brasswork', 'metallic', '297 den', 'top', [['Old Gold', '#c9a94a', 480]], [90, 110]),
  ...line('Drift', 'rayon', '120/2 den', 'top', [['Sea Glass', '#7fa6a0', 1100]]),
];

export const demoNeedles = [
  { nm: 80, eye: 'standard', point: 'sharp', stock: 6 },
  { nm: 90, eye: 'standard', point: 'sharp', stock: 12 },
  { nm: 90, eye: 'standard', point: 'micro-sharp', stock: 5 },
  { nm: 100, eye: 'standard', point: 'sharp', stock: 18 },
  { nm: 100, eye: 'standard', point: 'micro-sharp', stock: 8 },
  { nm: 100, eye: 'large', point: 'sharp', stock: 5 },
  { nm: 110, eye: 'standard', point: 'sharp', stock: 10 },
  { nm: 110, eye: 'standard', point: 'light-ball', stock: 4 },
  { nm: 120, eye: 'standard', point: 'sharp', stock: 4 },
  { nm: 125, eye: 'large', point: 'sharp', stock: 3 },
] as const;

export const demoMachine = {
  name: 'The Long Arm',
  shank: 'Round shank, flat side none; see the machine’s manual',
  maxSpm: 2200,
  idleMinSpm: 100,
  idleMaxSpm: 900,
  minSpi: 4,
  maxSpi: 18,
  modes: ['idling', 'resting', 'manual'],
  feet: ['open-toe', 'ruler', 'bowl', 'couching', 'closed'],
  bobbinOdMm: 25,
  bobbinCoreMm: 7.6,
  bobbinWidthMm: 10,
  throatIn: 20,
  deadIn: 5.5,
  frameIn: 132,
  rollInThroat: true,
  couchingHoleMm: 3,
};

/** Six battings on the shelf: name and kind. */
export const demoBattings: readonly (readonly [string, string])[] = [
  ['Drumlin Cotton, needled', 'cotton-needled'],
  ['Drumlin 80/20', 'cotton-80-20'],
  ['Fleecewater Wool', 'wool'],
  ['Reedbed Bamboo', 'bamboo-blend'],
  ['Cloudbank Low Poly', 'polyester-low'],
  ['Unmarked end of roll', 'unknown'],
];

export const demoRulers = [
  { name: 'Long straight edge', shape: 'straight', thicknessMm: 6, radiusIn: null, notes: '' },
  { name: 'Pier arc, 6 in', shape: 'arc', thicknessMm: 6, radiusIn: 6, notes: '' },
  { name: 'Porthole circle, 2 in', shape: 'circle', thicknessMm: 6, radiusIn: 2, notes: '' },
  { name: 'Old rotary ruler', shape: 'straight', thicknessMm: 3, radiusIn: null, notes: 'For cutting only.' },
] as const;

export const demoYarns = [
  {
    name: 'Kelp bouclé',
    hex: '#5d6b4f',
    diameterMm: 3.2,
    skeinM: 45,
    skeins: 2.5,
    place: 'yarn basket',
    price: 7.5,
    notes: '',
  },
  {
    name: 'Foam chainette',
    hex: '#e9e5d8',
    diameterMm: 2.1,
    skeinM: 90,
    skeins: 1,
    place: 'yarn basket',
    price: 6,
    notes: '',
  },
  {
    name: 'Tarred twine',
    hex: '#2e2b29',
    diameterMm: 1.6,
    skeinM: null,
    skeins: 1,
    place: 'drawer',
    price: null,
    notes: 'End of a ball.',
  },
];

/** Marks on the speed dial and stitches a minute; on the top tension dial and gf. */
export const demoSpeedDial = [
  { mark: 2, value: 360 },
  { mark: 4, value: 810 },
  { mark: 6, value: 1290 },
  { mark: 8, value: 1710 },
];
export const demoTopDial = [
  { mark: 2, value: 58 },
  { mark: 3, value: 82 },
  { mark: 4, value: 109 },
  { mark: 5, value: 141 },
];

export const demoBobbins = [
  { line: 'Heron Poly 60', colour: 'Dune', count: 5, metresEach: 152 },
  { line: 'Heron Poly 60', colour: 'Night', count: 2, metresEach: 152 },
  { line: 'Gossamer 100', colour: 'Mist', count: 3, metresEach: 249 },
];
