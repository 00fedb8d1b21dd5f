import type { Density } from '../density/density';
import type { MultiPolygon } from '../geometry/polygon';
import type { HoursBelief } from '../hours/factors';
import type { Part } from '../hours/step';
import type { TableMachine } from '../machine/table';
import type { Caution } from '../notes';
import type { OrderRequest } from '../order/cells';
import type { Passes, PassesRequest } from '../passes/passes';
import type { Sandwich } from '../sandwich/sandwich';
import type { Range } from '../statistics/log-normal';
import type { EndsAdvice, EndsRequest, EndsSchool } from '../stitch/ends';
import type { FootId } from '../tables/techniques';
import type { Thread } from '../thread/thread';
import type { BobbinSize } from '../usage/usage';
import type { WayThrough } from './ways';

/** A zone with the set-up that stands for it, if any. */
export interface PlannedZone {
  id: string;
  letter: string;
  geometry: MultiPolygon;
  technique: string;
  spacingIn: number;
  lengthIn?: number;
  /** Starts of a pattern that is laid in it. */
  patternStarts?: number;
  sandwich: Sandwich;
  setup: {
    top: Thread & { id: string };
    bobbin: Thread & { id: string };
    spi: number;
    maxInPerS: number;
    /** The speed its card tells the hands to keep, and the foot it is sewn with. */
    handInPerS?: number;
    foot?: FootId;
    needleNm?: number;
  } | null;
  features?: readonly string[];
  /** How busy its fabrics are, 0–3, where it is known. */
  busyness?: number;
}

export interface WorkPlanRequest {
  quilt: { widthIn: number; lengthIn: number };
  zones: readonly PlannedZone[];
  battingId: string;
  battingMaxGapIn?: number;
  /** Share of the batting's rating that is used. */
  gapShare?: number;
  backing: string;
  frame: PassesRequest['frame'];
  marginIn: number;
  turn: 'auto' | 'never';
  bobbinMm: BobbinSize;
  evenness: number;
  ditchSchool: 'before-fills' | 'everywhere' | 'as-travel';
  ends: EndsSchool;
  /** Where the machine stops its needle, and whether it ties off by itself. */
  machineEnds?: EndsRequest['machine'];
  /** What the quilt is for: for a show, ends are buried. */
  use?: string;
  /** What the log says of the quilter's hours. */
  belief: HoursBelief;
  /** The passes as they were begun: they stand, whatever the machine is now. */
  begun?: { depthsIn: readonly number[]; turned: boolean };
  /** One foot to a group of zones, or the ruler foot for all where a ruler is used. */
  footSchool?: 'split' | 'ruler-foot';
  /** Zones inside a step as the quilter laid them, by the step. */
  zonesByHand?: Readonly<Record<string, readonly string[]>>;
  /** Minutes of basting a pass. */
  basteMin?: number;
  /** It is quilted on a table: no passes, and the quilt itself is moved. */
  table?: TableMachine;
}

export interface ZonePlan {
  id: string;
  areaIn2: number;
  sewnIn: number;
  /** What the model alone predicts for hands and stops. */
  work: Part;
  /** Minutes as the studio's log has them, middle and 80 % range. */
  minutes: Range;
  stitches: number;
  topM: number;
  bobbinM: number;
  /** Share of the zone in each pass, adding up to 1. */
  shares: number[];
  /** How it is got round, and how its lines begin and end. */
  way: WayThrough;
  ends: EndsAdvice;
}

export interface ThreadPlan {
  id: string;
  topM: number;
  bobbinM: number;
  bobbins: number;
  capacityM: number;
}

export interface RunOut {
  coneId: string;
  /** Which bobbin of that thread, from 1. */
  n: number;
  pass: number;
  /** Share of the pass, 0–1, and the spread of the place to either side. */
  share: number;
  spread: number;
}

export interface WorkPlan {
  passes: Passes | null;
  density: Density;
  zones: ZonePlan[];
  threads: ThreadPlan[];
  runOuts: RunOut[];
  /** What the order of work is chosen from. */
  order: Omit<OrderRequest, 'rollMin' | 'changeMin' | 'changeTroubleMin'>;
  cautions: Caution[];
}

/** Shares of a zone in a pass that are too small to be work of their own. */
export const SLIVER = 0.005;
