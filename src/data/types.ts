import type { BobbinFields } from '@/core/fields/bobbin';
import type { BattingFields, FabricFields } from '@/core/fields/cloth';
import type { ConeFields, ConeRemaining } from '@/core/fields/cone';
import type { MachineFields } from '@/core/fields/machine';
import type { NeedleFields } from '@/core/fields/needle';
import type { PreferenceFields } from '@/core/fields/preferences';
import type { CalibrationFields, CalibrationPoint } from '@/core/fields/calibration';
import type { FaultFields } from '@/core/fields/fault';
import type { MeasuredStitches } from '@/core/fields/measured';
import type { RoundFields } from '@/core/fields/round';
import type { ZoneFabricFields, ZoneFields } from '@/core/fields/zone';
import type { RatesFields } from '@/core/fields/offer';
import type { RulerFields } from '@/core/fields/ruler';
import type { YarnFields } from '@/core/fields/yarn';
import type {
  ConeUseWhy,
  CureKind,
  CureOutcome,
  Direction,
  FaultState,
  Step,
  TurnRule,
} from '@/core/fields/lists';
import type {
  AgreedFields,
  ClientFields,
  ConditionFields,
  PreparedFields,
  QuiltFields,
} from '@/core/fields/quilt';
import type { ZonePattern } from './patterns';
export type { StudioPattern, ZonePattern } from './patterns';
export type { PracticeRun, SentDrill } from './practice';
export type { ServiceEntry } from './care';
export type { Device, Invitation, Person, Session } from './people';
import type { BegunPlan } from '@/core/plan/begun';
import type { MultiPolygon } from '@/core/geometry/polygon';
import type { Mode } from '@/core/stitch/machine';
import type { RestsOn } from '@/core/tension/rests-on';
import type { Verdict } from '@/core/tension/probit';
import type { FootId } from '@/core/tables/techniques';
import type { Eye, Point } from '@/core/tables/needles';

/** What the studio decides for itself. */
export interface Preferences extends PreferenceFields {
  version: number;
}

/** What the studio charges. */
export interface Rates extends RatesFields {
  version: number;
}

export interface Machine extends MachineFields {
  id: string;
  version: number;
}

export interface Cone extends ConeFields, ConeRemaining {
  id: string;
  remainingAt: Date | null;
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

export interface DrawerNeedle extends NeedleFields {
  id: string;
  version: number;
}

/** The needle in a machine. */
export interface FittedNeedle extends Omit<NeedleFields, 'stock'> {
  id: string;
  machineId: string;
  stitches: number;
  /** The same in stitches through plain cotton: each counts by the wear of what it met. */
  worn: number;
  life: number;
  fittedAt: Date;
}

export interface BobbinStock extends Omit<BobbinFields, 'metresEach'> {
  id: string;
  coneId: string;
  line: string;
  colour: string;
  hex: string | null;
  tex: number;
  fibre: string;
  metresEach: number;
  version: number;
}

export interface StudioFabric extends FabricFields {
  id: string;
  shipped: boolean;
  version: number;
}

export interface StudioBatting extends BattingFields {
  id: string;
  shipped: boolean;
  version: number;
}

export interface Ruler extends RulerFields {
  id: string;
  version: number;
}

export interface Yarn extends YarnFields {
  id: string;
  version: number;
}

export interface StoredCalibration extends CalibrationFields {
  id: string;
  machineId: string;
  points: CalibrationPoint[];
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

export interface ZoneFabric extends ZoneFabricFields {
  kind: string;
  name: string;
}

export interface Zone extends Omit<ZoneFields, 'yarnId'> {
  id: string;
  quiltId: string;
  letter: string;
  geometry: MultiPolygon;
  /** The yarn that is couched here. */
  yarn: Pick<Yarn, 'id' | 'name' | 'diameterMm' | 'hex' | 'skeinM' | 'skeins'> | null;
  fabrics: ZoneFabric[];
  features: string[];
  /** The pattern laid in it; null where it is quilted otherwise. */
  pattern: ZonePattern | null;
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

export interface TestRound extends RoundFields {
  id: string;
  setupId: string;
  n: number;
  verdicts: Partial<Record<Direction, Verdict>>;
  /** What else was seen, symptom ids. */
  seen: string[];
  photographId: string | null;
  measured: MeasuredStitches | null;
  sewnAt: Date;
  /** Who sewed it; null while the studio is one person. */
  who: string | null;
}

export interface Fault extends FaultFields {
  id: string;
  quiltId: string;
  zoneLetter: string | null;
  n: number;
  status: FaultState;
  /** What was known of the set-up when it was noted, as the fault knowledge names it. */
  known: Record<string, string | number | boolean | string[]>;
  /** The word it was accepted with, when it is left as it is. */
  word: string;
  noticedAt: Date;
  /** Who noted it; null while the studio is one person. */
  who: string | null;
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
    | 'pattern'
    | 'machine'
    /** A fault or flaw by any of its names. */
    | 'sign'
    /** A word of the trade. */
    | 'term'
    /** A preference of the studio. */
    | 'setting'
    /** A drill of the practice page. */
    | 'drill';
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
  /** The strictest distance of battings that are joined; worked out when it is kept. */
  joinedGapIn: number | null;
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
export type { HandBackOf } from './hand-back';
