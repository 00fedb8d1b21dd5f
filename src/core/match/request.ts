import type { PreferenceFields } from '../fields/preferences';
import type { ZoneFields } from '../fields/zone';
import type { StitchMachine } from '../stitch/machine';
import type { Eye, Point } from '../tables/needles';
import type { BobbinSize } from '../usage/usage';
import type { FaultRecord } from '../faults/rates';
import type { ClothRole, TableRegulation, Use, VisibilityWish } from '../fields/lists';

export interface MatchCloth {
  fabric: string;
  name?: string;
  hex?: string;
  share?: number;
  role?: ClothRole;
  /** False: the stitching leaves it alone, and its colour counts for nothing. */
  sewnOver?: boolean;
  /** 0 solid, 1 tone on tone, 2 print, 3 loud print; of the studio's own cloth, not of the kind. */
  busyness?: number;
}

/** A yarn that is couched. */
export interface MatchYarn {
  diameterMm: number;
  hex?: string;
}

/** What is kept of a zone, with what is not given left out. */
type Given<T> = { [K in keyof T]: Exclude<T[K], null> };
type ZoneOwn = 'technique' | 'spacingIn' | 'smallestRadiusIn' | 'lengthIn' | 'visibility' | 'role';

/** A zone as it is matched: whatever is kept of a zone may be weighed, and what Match knows by another shape. */
export interface MatchZone extends Partial<Given<Omit<ZoneFields, ZoneOwn>>> {
  /** Its cloths; a name is as the person knows it. */
  top: readonly MatchCloth[];
  features?: readonly string[];
  backing: string;
  battingId: string;
  /** The rating on this batting's own label, inches; its kind's when left out. */
  battingMaxGapIn?: number;
  technique: string;
  spacingIn?: number;
  smallestRadiusIn?: number;
  areaIn2?: number;
  /** Places a line is begun at, by its route or its pieces; 1 where it is not said. */
  starts?: number;
  lengthIn?: number;
  visibility: VisibilityWish;
  use: Use;
}

export interface MatchThread {
  id: string;
  tex: number;
  fibre: string;
  hex?: string;
  /** Its colours along its length, where it has several. */
  hexes?: readonly string[];
  /** How long each of them runs, inches. */
  runIn?: number;
  remainingM?: number;
  role?: 'top' | 'bobbin' | 'both';
  labelNeedleNm?: readonly [number, number];
  /** As the person knows it; ids stand in when left out. */
  name?: string;
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
  /** Hole of its couching foot, mm. */
  couchingHoleMm?: number | null;
  /** It stands on a table and the quilt is moved under it. */
  table?: { regulated: TableRegulation };
}

/** What the studio prefers: each of its preferences may be obeyed, and those that Match knows by another name. */
export interface MatchPreferences extends Partial<Omit<PreferenceFields, 'oneSpi'>> {
  bobbin?: 'fine' | 'same';
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
  /** The top threads and needles standing for the quilt's other zones, with the zone's letter. */
  others?: readonly { zone: string; topId: string; needleNm?: number }[];
  /** The backing's colour. */
  backingHex?: string;
  /** How it will be washed; tumbled is the usual case for what is used. */
  wash?: 'gentle' | 'tumble';
  /** How often each line is sewn on purpose. */
  retraced?: number;
  /** The yarn that is couched. */
  yarn?: MatchYarn;
  /** Bobbins wound and ready, by thread, where the studio counts them. */
  wound?: readonly { id: string; bobbins: number }[];
  /** Speeds of this hand in place of the usual ones, by technique, in/s. */
  ownInPerS?: Readonly<Record<string, number>>;
  /** Share of the batting's rating that is used. */
  gapShare?: number;
  /** Metres of each thread that the quilt's other zones will take, by thread id. */
  claimedM?: Readonly<Record<string, number>>;
  /** The studio's own log: faults and stitches by top thread, and of all its work. */
  record?: FaultRecord;
  /** What the studio's finished searches say of a pair: offset on ln R and its spread. Stays on this side of a wire. */
  learned?: (pair: {
    topId: string;
    bobbinId: string;
    needleNm: number;
  }) => { mean: number; sd: number } | undefined;
  limit?: number;
}
