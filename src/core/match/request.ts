import type { ModeRule } from '../stitch/regulate';
import type { StitchMachine } from '../stitch/machine';
import type { Eye, Point } from '../tables/needles';
import type { BobbinSize } from '../usage/usage';
import type { FaultRecord } from '../faults/rates';
import type { Use, VisibilityWish } from '../fields/lists';

export interface MatchZone {
  /** Its cloths; a name is as the person knows it. */
  top: readonly { fabric: string; name?: string; hex?: string; share?: number }[];
  features?: readonly string[];
  backing: string;
  battingId: string;
  /** The rating on this batting's own label, inches; its kind's when left out. */
  battingMaxGapIn?: number;
  technique: string;
  spacingIn?: number;
  smallestRadiusIn?: number;
  areaIn2?: number;
  lengthIn?: number;
  visibility: VisibilityWish;
  use: Use;
}

export interface MatchThread {
  id: string;
  tex: number;
  fibre: string;
  hex?: string;
  remainingM?: number;
  role?: 'top' | 'bobbin' | 'both';
  labelNeedleNm?: readonly [number, number];
  /** As the person knows it; ids stand in when left out. */
  name?: string;
  /** Bobbins of this thread wound and ready, where the studio counts them. */
  bobbinsWound?: number;
}

/** Whether a thread may be used above or below. */
export const serves = (t: MatchThread, role: 'top' | 'bobbin'): boolean =>
  (t.role ?? 'both') === 'both' || t.role === role;

export interface MatchNeedle {
  nm: number;
  eye: Eye;
  point: Point;
}

export interface MatchMachine extends StitchMachine {
  feet: readonly string[];
  bobbinMm: BobbinSize;
}

export interface MatchPreferences {
  bobbin?: 'fine' | 'same';
  labelRule?: 'obey' | 'weigh';
  modeRule?: ModeRule;
  floorSpi?: number;
  /** One stitch length for all work, where the studio prefers so. */
  oneSpi?: number;
}

export interface MatchRequest {
  zone: MatchZone;
  machine: MatchMachine;
  threads: readonly MatchThread[];
  needles?: readonly MatchNeedle[];
  preferences?: MatchPreferences;
  /** Parts the quilter holds; the rest adapts. */
  hold?: { topId?: string; bobbinId?: string; nm?: number; spi?: number };
  /** The top threads standing for the quilt's other zones, with the zone's letter. */
  others?: readonly { zone: string; topId: string }[];
  /** Metres of each thread that the quilt's other zones will take, by thread id. */
  claimedM?: Readonly<Record<string, number>>;
  /** The studio's own log: faults and stitches by top thread, and of all its work. */
  record?: FaultRecord;
  limit?: number;
}
