import { PREFERENCES } from '@/core/fields/preferences';
import { stored, usualValues } from '@/core/fields/stored';
import { ZONE } from '@/core/fields/zone';
import { CONE } from '@/core/fields/cone';
import type {
  BobbinStock,
  ChosenSetup,
  Cone,
  DrawerNeedle,
  Fault,
  FittedNeedle,
  Machine,
  Quilt,
  Ruler,
  Preferences,
  Zone,
} from '@/data/types';
import { rect } from '@/core/geometry/polygon';
import { demoMachine } from '@/demo/shelf';

/** Rows as the database gives them, for component tests: any part may be put in its place. */

export const aCone = (part: Partial<Cone> = {}): Cone => ({
  ...(stored(CONE, {}) as unknown as Cone),
  id: 'cone-fog',
  line: 'Heron Poly 60',
  colour: 'Fog',
  hex: '#b9c6c9',
  fibre: 'polyester-filament',
  label: 'Tex 18 / 60 wt',
  tex: 18,
  texBasis: 'tex',
  role: 'both',
  remainingM: 5000,
  remainingSource: 'weighed',
  remainingAt: new Date('2026-11-20T10:00:00Z'),
  needleMinNm: null,
  needleMaxNm: null,
  sheen: 'satin',
  fullG: null,
  fullM: 5500,
  tareG: 38,
  place: 'middle shelf',
  notes: '',
  price: null,
  archivedAt: null,
  version: 3,
  ...part,
});

export const aFault = (part: Partial<Fault> = {}): Fault => ({
  id: 'f1',
  quiltId: 'quilt-1',
  zoneId: 'zone-a',
  zoneLetter: 'A',
  n: 1,
  xIn: 12,
  yIn: 3.5,
  pass: 2,
  direction: 'left',
  note: 'Over the seam',
  status: 'open',
  severity: null,
  known: {},
  photographId: null,
  word: '',
  who: null,
  noticedAt: new Date('2026-11-20T14:05:00'),
  version: 4,
  symptoms: ['skipped'],
  ...part,
});

export const aZone = (part: Partial<Zone> = {}): Zone => ({
  ...stored(ZONE, { name: 'Harbour border', technique: 'swirls', spacingIn: 0.5, visibility: 'sink' }),
  id: 'zone-a',
  quiltId: 'quilt-1',
  letter: 'A',
  geometry: [[rect(0, 0, 64, 8)]],
  yarn: null,
  pattern: null,
  fabrics: [
    {
      fabricId: 'fabric-1',
      kind: 'quilting-cotton',
      name: 'Haze blue',
      hex: '#bac8cb',
      share: 1,
      role: 'ground',
      sewnOver: true,
      busyness: null,
    },
  ],
  features: [],
  version: 1,
  ...part,
});

/** What the stored machine has beside the demo’s own numbers. */
type OfARow =
  | 'needleStops'
  | 'ownTieOff'
  | 'id'
  | 'rollStartIn'
  | 'rulerFootMm'
  | 'footOffsetIn'
  | 'couchingHoleMm'
  | 'kind'
  | 'throatHeightIn'
  | 'regulated'
  | 'dragN'
  | 'otherHoursWeek'
  | 'version';

export const aMachine = (part: Partial<Machine> = {}): Machine => ({
  ...(demoMachine as Omit<Machine, OfARow>),
  needleStops: 'both',
  ownTieOff: false,
  id: 'machine-1',
  shank: 'Round shank',
  rollStartIn: 2.5,
  rulerFootMm: 6,
  footOffsetIn: 0.25,
  couchingHoleMm: 3,
  kind: 'frame',
  throatHeightIn: 5,
  regulated: 'sensor',
  dragN: null,
  otherHoursWeek: 0,
  version: 1,
  ...part,
});

export const aQuilt = (part: Partial<Quilt> = {}): Quilt => ({
  id: 'quilt-1',
  name: 'Harbour Lights',
  clientId: 'client-1',
  client: 'Odile Marsh',
  withdrawnOn: null,
  withdrawnWhy: '',
  depositMinor: null,
  depositOn: null,
  approval: 'not-asked',
  bleedGrade: null,
  approvedOn: null,
  delivery: 'collect',
  shipValueMinor: null,
  tracking: '',
  marksOff: null,
  widthIn: 64,
  lengthIn: 80,
  use: 'bed',
  battingId: 'batting-1',
  batting: 'Drumlin 80/20',
  battingKind: 'cotton-80-20',
  battingMaxGapIn: null,
  backingId: 'fabric-9',
  backing: 'Driftwood dot',
  backingKind: 'quilting-cotton',
  backingHex: '#dcc7b0',
  machineId: 'machine-1',
  takenInOn: '2026-11-03',
  dueOn: '2026-11-27',
  step: 'match',
  passes: null,
  begun: null,
  wash: null,
  sewn: [],
  handedBackOn: null,
  onFrameSince: null,
  waitsFor: '',
  widthsIn: null,
  lengthsIn: null,
  wishes: '',
  watch: '',
  care: '',
  turnRule: 'auto',
  turned: false,
  depthsIn: null,
  orderByHand: null,
  zonesByHand: {},
  backingClothIn: null,
  prewash: false,
  startsOn: null,
  version: 1,
  ...part,
});

export const aNeedle = (part: Partial<DrawerNeedle> = {}): DrawerNeedle => ({
  id: 'needle-100',
  nm: 100,
  eye: 'standard',
  point: 'sharp',
  coated: false,
  stock: 7,
  version: 2,
  ...part,
});

export const aFitted = (part: Partial<FittedNeedle> = {}): FittedNeedle => ({
  id: 'fitted-1',
  machineId: 'machine-1',
  nm: 100,
  eye: 'standard',
  point: 'sharp',
  coated: false,
  stitches: 120_000,
  worn: 0,
  life: 400_000,
  fittedAt: new Date('2026-11-20T10:00:00Z'),
  ...part,
});

export const aBobbin = (part: Partial<BobbinStock> = {}): BobbinStock => ({
  id: 'bobbin-1',
  coneId: 'cone-fog',
  line: 'Heron Poly 60',
  colour: 'Fog',
  hex: '#b9c6c9',
  tex: 18,
  fibre: 'polyester-filament',
  kind: 'wound',
  metresEach: 120,
  count: 3,
  version: 5,
  ...part,
});

export const aRuler = (part: Partial<Ruler> = {}): Ruler => ({
  id: 'ruler-1',
  name: 'Quay arc',
  shape: 'arc',
  thicknessMm: 6,
  radiusIn: 6,
  notes: '',
  version: 1,
  ...part,
});

export const somePreferences = (part: Partial<Preferences> = {}): Preferences => ({
  ...stored(PREFERENCES, usualValues(PREFERENCES)),
  name: 'Saltmarsh Longarm Room',
  town: 'Brackhaven',
  units: 'inch',
  bobbinSchool: 'fine',
  labelRule: 'weigh',
  modeRule: 'by-technique',
  floorSpi: 8,
  needleSchool: 'per-thread',
  oneNeedleNm: null,
  spiSchool: 'by-curve',
  oneSpi: null,
  ditchSchool: 'before-fills',
  evenness: 3,
  motifSchool: 'by-size',
  endsSchool: 'lock',
  rollingSchool: 'least-time',
  tensionSchool: 'both',
  bastingSchool: 'edges',
  changeTroubleMin: 6,
  footSchool: 'split',
  prewashSchool: 'ask',
  gapShare: 1,
  lowM: 200,
  needleWarnShare: 0.85,
  marginIn: 4,
  testMarginIn: 6,
  currency: 'EUR',
  dayHours: [6, 6, 6, 6, 6, 0, 0],
  version: 9,
  ...part,
});

export const aSetup = (part: Partial<ChosenSetup> = {}): ChosenSetup => ({
  id: 'setup-1',
  zoneId: 'zone-a',
  version: 1,
  topId: 'cone-fog',
  bobbinId: 'cone-mist',
  needleNm: 100,
  needleEye: 'standard',
  needlePoint: 'sharp',
  foot: 'open-toe',
  spi: 11,
  mode: 'idling',
  idleSpm: 300,
  handInPerS: 1.5,
  maxInPerS: 3,
  topGf: 100,
  bobbinGf: 20,
  ratio: 5,
  ratioModel: null,
  ratioSd: 0.35,
  chosenAt: new Date('2026-11-18T10:00:00Z'),
  provenTopGf: null,
  provenBobbinGf: null,
  provenAt: null,
  restedOn: null,
  turnedBack: null,
  rounds: 0,
  ...part,
});

/** What a form last sent to a server action. */
export const lastSent = (action: unknown): Record<string, unknown> =>
  (action as jest.Mock).mock.calls.at(-1)?.[0] as Record<string, unknown>;

/** The same without the key by which it counts once. */
export function lastTold(action: unknown): Record<string, unknown> {
  const { key, ...told } = lastSent(action);
  expect(key).toMatch(/^[0-9a-f-]{36}$/);
  return told;
}

/** The next answer of a server action: a refusal at a field. */
export const refuseNext = (action: unknown, path: string, message: string) =>
  (action as jest.Mock).mockResolvedValueOnce({ ok: false, problems: [{ path, message }] });
