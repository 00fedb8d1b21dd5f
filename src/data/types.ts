import type { Use, VisibilityWish } from '@/core/match/request';
import type { MultiPolygon } from '@/core/geometry/polygon';
import type { Mode } from '@/core/stitch/machine';
import type { Basis } from '@/core/thread/label-forms';
import type { Direction } from '@/core/tension/next';
import type { Verdict } from '@/core/tension/probit';
import type { FootId } from '@/core/tables/techniques';
import type { Eye, Point } from '@/core/tables/needles';
import type { ModeRule } from '@/core/stitch/regulate';

export type Step = 'take-in' | 'match' | 'test' | 'quilt' | 'hand-back';

export interface Studio {
  name: string;
  town: string;
  units: 'inch' | 'metric' | 'both';
  hoursPerWeek: number;
  bobbinSchool: 'fine' | 'same';
  labelRule: 'obey' | 'weigh';
  modeRule: ModeRule;
  floorSpi: number;
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
}

export interface Cone {
  id: string;
  line: string;
  colour: string;
  hex: string | null;
  fibre: string;
  label: string;
  tex: number;
  texBasis: Basis;
  role: 'top' | 'bobbin' | 'both';
  remainingM: number | null;
  needleMinNm: number | null;
  needleMaxNm: number | null;
}

export interface DrawerNeedle {
  nm: number;
  eye: Eye;
  point: Point;
  stock: number;
}

export interface Quilt {
  id: string;
  name: string;
  client: string;
  widthIn: number;
  lengthIn: number;
  use: Use;
  batting: string;
  battingKind: string;
  backing: string;
  backingKind: string;
  backingHex: string | null;
  machineId: string;
  takenInOn: string;
  dueOn: string;
  step: Step;
  passes: number | null;
  passesSewn: number;
  onFrameSince: string | null;
  waitsFor: string;
}

export interface ZoneFabric {
  kind: string;
  name: string;
  hex: string;
  share: number;
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
  fabrics: ZoneFabric[];
  features: string[];
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
  topGf: number;
  bobbinGf: number;
  ratio: number;
  ratioSd: number;
  chosenAt: Date;
  /** What a finished search proved, null before. */
  provenTopGf: number | null;
  provenBobbinGf: number | null;
  provenAt: Date | null;
  rounds: number;
}

export interface TestRound {
  id: string;
  setupId: string;
  n: number;
  topGf: number;
  bobbinGf: number;
  verdicts: Partial<Record<Direction, Verdict>>;
  note: string;
  sewnAt: Date;
}

export type FaultStatus = 'open' | 'mended' | 'left';

export interface Fault {
  id: string;
  quiltId: string;
  zoneId: string | null;
  zoneLetter: string | null;
  n: number;
  xIn: number | null;
  yIn: number | null;
  pass: number | null;
  direction: Direction | null;
  note: string;
  status: FaultStatus;
  noticedAt: Date;
  version: number;
  symptoms: string[];
}
