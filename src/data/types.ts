import type { Role } from '@/core/motifs/motif-table';
import type { MotifSchool } from '@/core/density/motifs';
import type {
  BobbinKind,
  CalibrationKind,
  ConeRole,
  ConeUseWhy,
  CureKind,
  CureOutcome,
  Direction,
  FaultWay,
  FaultState,
  RemainingSource,
  RulerShape,
  Sheen,
  TensionSchool,
  Softness,
  Step,
  TurnRule,
  VisibilityWish,
} from '@/core/fields/lists';
import type {
  AgreedFields,
  ClientFields,
  ConditionFields,
  PreparedFields,
  QuiltFields,
} from '@/core/fields/quilt';
import type { ClothRole } from '@/core/match/request';
import type { BegunPlan } from '@/core/plan/begun';
import type { MultiPolygon } from '@/core/geometry/polygon';
import type { Mode } from '@/core/stitch/machine';
import type { Basis } from '@/core/thread/label-forms';
import type { RestsOn } from '@/core/tension/rests-on';
import type { Verdict } from '@/core/tension/probit';
import type { FootId } from '@/core/tables/techniques';
import type { Eye, Point } from '@/core/tables/needles';
import type { ModeRule } from '@/core/stitch/regulate';

export interface Preferences {
  name: string;
  town: string;
  /** Three letters; all money is of this one. */
  currency: string;
  units: 'inch' | 'metric' | 'both';
  bobbinSchool: 'fine' | 'same';
  labelRule: 'obey' | 'weigh';
  modeRule: ModeRule;
  floorSpi: number;
  needleSchool: 'per-thread' | 'one';
  oneNeedleNm: number | null;
  spiSchool: 'by-curve' | 'one';
  oneSpi: number | null;
  ditchSchool: 'before-fills' | 'everywhere' | 'as-travel';
  evenness: number;
  motifSchool: MotifSchool;
  endsSchool: 'lock' | 'bury';
  rollingSchool: 'least-time' | 'one-way' | 'down-and-up';
  changeTroubleMin: number;
  footSchool: 'split' | 'ruler-foot';
  tensionSchool: TensionSchool;
  bastingSchool: 'edges' | 'edges-and-middle';
  prewashSchool: 'ask' | 'always' | 'never';
  gapShare: number;
  lowM: number;
  needleWarnShare: number;
  marginIn: number;
  testMarginIn: number;
  /** Hours at the frame by weekday, Monday first. */
  dayHours: number[];
  version: number;
}

export interface Machine {
  id: string;
  name: string;
  shank: string;
  maxSpm: number;
  idleMinSpm: number;
  idleMaxSpm: number;
  minSpi: number;
  maxSpi: number;
  modes: Mode[];
  feet: FootId[];
  bobbinOdMm: number;
  bobbinCoreMm: number;
  bobbinWidthMm: number;
  throatIn: number;
  deadIn: number;
  frameIn: number;
  rollInThroat: boolean;
  rollStartIn: number;
  rulerFootMm: number;
  footOffsetIn: number;
  couchingHoleMm: number | null;
  version: number;
}

export interface Cone {
  id: string;
  line: string;
  colour: string;
  hex: string | null;
  /** Its colours along its length, where it has several, and how long each runs. */
  hexes: string[];
  runIn: number | null;
  fibre: string;
  label: string;
  tex: number;
  texBasis: Basis;
  role: ConeRole;
  remainingM: number | null;
  remainingSource: RemainingSource | null;
  remainingAt: Date | null;
  needleMinNm: number | null;
  needleMaxNm: number | null;
  sheen: Sheen | null;
  fullG: number | null;
  fullM: number | null;
  tareG: number | null;
  place: string;
  batch: string;
  notes: string;
  price: number | null;
  archivedAt: Date | null;
  version: number;
}

/** One entry of a cone's ledger; metres below 0 came off, and `leftM` is what stood there after a count. */
export interface ConeUse {
  id: string;
  metres: number;
  why: ConeUseWhy;
  leftM: number | null;
  note: string;
  at: Date;
}

export interface DrawerNeedle {
  id: string;
  nm: number;
  eye: Eye;
  point: Point;
  coated: boolean;
  stock: number;
  version: number;
}

/** The needle in a machine. */
export interface FittedNeedle {
  id: string;
  machineId: string;
  nm: number;
  eye: Eye;
  point: Point;
  coated: boolean;
  stitches: number;
  /** The same in stitches through plain cotton: each counts by the wear of what it met. */
  worn: number;
  life: number;
  fittedAt: Date;
}

export interface BobbinStock {
  id: string;
  coneId: string;
  line: string;
  colour: string;
  hex: string | null;
  tex: number;
  fibre: string;
  kind: BobbinKind;
  metresEach: number;
  count: number;
  version: number;
}

export interface StudioFabric {
  id: string;
  kind: string;
  name: string;
  hex: string | null;
  notes: string;
  shipped: boolean;
  version: number;
}

export interface StudioBatting {
  id: string;
  kind: string;
  name: string;
  loftMm: number | null;
  maxGapIn: number | null;
  ratingText: string;
  shrinkPct: number | null;
  notes: string;
  shipped: boolean;
  version: number;
}

export interface Ruler {
  id: string;
  name: string;
  shape: RulerShape;
  thicknessMm: number;
  radiusIn: number | null;
  notes: string;
  version: number;
}

export interface Yarn {
  id: string;
  name: string;
  hex: string | null;
  diameterMm: number;
  skeinM: number | null;
  skeins: number;
  place: string;
  price: number | null;
  notes: string;
  version: number;
}

export interface StoredCalibration {
  id: string;
  machineId: string;
  kind: CalibrationKind;
  points: { mark: number; value: number }[];
  at: Date;
  version: number;
}

/** A quilt of the old days was not measured in three places. */
type Measures = { widthsIn: QuiltFields['widthsIn'] | null; lengthsIn: QuiltFields['lengthsIn'] | null };

export interface Quilt extends Omit<QuiltFields, keyof Measures>, Measures, AgreedFields {
  id: string;
  clientId: string;
  client: string;
  widthIn: number;
  lengthIn: number;
  batting: string;
  battingKind: string;
  /** The rating on this batting's own label, inches. */
  battingMaxGapIn: number | null;
  backing: string;
  backingKind: string;
  backingHex: string | null;
  machineId: string;
  takenInOn: string;
  step: Step;
  passes: number | null;
  /** What it was begun with; null while its passes are not fixed. */
  begun: BegunPlan | null;
  /** Steps that are sewn; without a thread: the whole pass. */
  sewn: { pass: number; thread: string | null; stabilise: boolean }[];
  handedBackOn: string | null;
  withdrawnOn: string | null;
  withdrawnWhy: string;
  onFrameSince: string | null;
  waitsFor: string;
  wash: 'gentle' | 'tumble' | null;
  turnRule: TurnRule;
  turned: boolean;
  /** Depths of the passes once they are fixed. */
  depthsIn: number[] | null;
  orderByHand: { pass: number; thread: string; stabilise?: boolean }[] | null;
  /** Zones inside a step as they were laid by hand, by the step. */
  zonesByHand: Record<string, string[]>;
  startsOn: string | null;
  version: number;
}

/** A talk at the counter that is not yet a quilt. */
export interface Intake {
  id: string;
  step: number;
  data: Record<string, unknown>;
  quiltId: string | null;
  version: number;
  updatedAt: Date;
}

export interface ZoneFabric {
  fabricId: string;
  kind: string;
  name: string;
  /** Null until someone gives it. */
  hex: string | null;
  share: number;
  role: ClothRole;
  sewnOver: boolean;
  busyness: number | null;
}

export interface Zone {
  id: string;
  quiltId: string;
  letter: string;
  name: string;
  geometry: MultiPolygon;
  technique: string;
  spacingIn: number;
  smallestRadiusIn: number | null;
  lengthIn: number | null;
  visibility: VisibilityWish;
  /** How soft it should stay; nothing is said of it when null. */
  softness: Softness | null;
  /** How often each line is sewn on purpose. */
  retraced: number | null;
  /** What it is in its quilt; null: by its name. */
  role: Role | null;
  /** The yarn that is couched here. */
  yarn: {
    id: string;
    name: string;
    diameterMm: number;
    hex: string | null;
    skeinM: number | null;
    skeins: number;
  } | null;
  fabrics: ZoneFabric[];
  features: string[];
  version: number;
}

export interface ChosenSetup {
  id: string;
  zoneId: string;
  version: number;
  topId: string;
  bobbinId: string;
  needleNm: number;
  needleEye: Eye;
  needlePoint: Point;
  foot: FootId;
  spi: number;
  mode: Mode;
  idleSpm: number;
  maxInPerS: number;
  /** The speed the hands should keep; null on cards of old. */
  handInPerS: number | null;
  topGf: number;
  bobbinGf: number;
  ratio: number;
  ratioSd: number;
  /** The ratio the models alone expected; null on cards of old, which knew nothing else. */
  ratioModel: number | null;
  chosenAt: Date;
  /** What a finished search proved, null before. */
  provenTopGf: number | null;
  provenBobbinGf: number | null;
  provenAt: Date | null;
  /** What the proof rested on; null before. */
  restedOn: RestsOn | null;
  /** A proof that no longer holds, with what has changed since. */
  turnedBack: { provenAt: Date; why: string[] } | null;
  rounds: number;
  /** The tested zone whose balance it begins from. */
  twinLetter?: string;
}

/** What a stitch photograph told. */
export interface MeasuredStitches {
  spi: number;
  cvPct: number;
  longestMm: number;
  shortestMm: number;
  stitches: number;
  trust: 'good' | 'look';
  /** Holes moved by hand. */
  corrected: boolean;
  /** Share of the holes where the other thread's colour shows, where the two differ. */
  otherShare: number | null;
}

export interface TestRound {
  id: string;
  setupId: string;
  n: number;
  topGf: number;
  bobbinGf: number;
  verdicts: Partial<Record<Direction, Verdict>>;
  note: string;
  /** What else was seen, symptom ids. */
  seen: string[];
  photographId: string | null;
  measured: MeasuredStitches | null;
  sewnAt: Date;
}

export interface Fault {
  id: string;
  quiltId: string;
  zoneId: string | null;
  zoneLetter: string | null;
  n: number;
  xIn: number | null;
  yIn: number | null;
  pass: number | null;
  direction: FaultWay | null;
  note: string;
  status: FaultState;
  /** 0 to 3; not said: null. */
  severity: number | null;
  /** What was known of the set-up when it was noted, as the fault knowledge names it. */
  known: Record<string, string | number | boolean | string[]>;
  photographId: string | null;
  /** The word it was accepted with, when it is left as it is. */
  word: string;
  noticedAt: Date;
  version: number;
  symptoms: string[];
}

/** One answer of Find. */
export interface Found {
  kind:
    | 'cone'
    | 'quilt'
    | 'client'
    | 'fabric'
    | 'batting'
    | 'ruler'
    | 'yarn'
    | 'machine'
    /** A fault or flaw by any of its names. */
    | 'sign'
    /** A word of the trade. */
    | 'term'
    /** A preference of the studio. */
    | 'setting';
  id: string;
  name: string;
  detail: string;
  hex: string | null;
}

/** Something that went wrong in the program and was not expected. */
export interface Mishap {
  n: number;
  at: Date;
  place: string;
  message: string;
  stack: string;
}

/** A copy that was made, and whether it could be read back. */
export interface CopyMade {
  file: string;
  at: Date;
  bytes: number;
  verifiedAt: Date | null;
  problem: string;
}

/** A quick cure that was tried. */
export interface Cure {
  id: string;
  kind: CureKind;
  outcome: CureOutcome;
  at: Date;
}

/** Threads sewn beside each other on the margin. */
export interface ColourTrial {
  id: string;
  zoneId: string;
  coneIds: string[];
  chosenId: string | null;
  photographId: string | null;
  note: string;
  at: Date;
  version: number;
}

/** What was answered of a fault, and what it was found to be. */
export interface FaultRecordOf {
  absent: string[];
  facts: Record<string, string>;
  done: { check: string; outcome: string }[];
  cause: string | null;
  ownCause: string;
  remedy: string;
  helped: boolean | null;
  minutesLost: number | null;
  closedAt: Date | null;
  leftOut: boolean;
  version: number;
}

export interface Client extends ClientFields {
  id: string;
  name: string;
}

/** One thing found on a quilt when it arrived. */
export interface Condition extends ConditionFields {
  id: string;
  quiltId: string;
  n: number;
  photographId: string | null;
  version: number;
}

/** What was chosen of a quilt's backing and binding, and which small quilts share its backing. */
export interface Prepared extends PreparedFields {
  withQuilts: string[];
  version: number;
}

/** What a studio has by now, counted, and whether it is the demo. */
export interface Begun {
  machines: number;
  cones: number;
  needles: number;
  bobbins: number;
  quilts: number;
  isDemo: boolean;
}
