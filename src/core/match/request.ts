import type { ModeRule } from '../stitch/regulate';
import type { StitchMachine } from '../stitch/machine';
import type { Eye, Point } from '../tables/needles';
import type { BobbinSize } from '../usage/usage';

export type VisibilityWish = 'sink' | 'texture' | 'show';
export type Use = 'bed' | 'baby' | 'wall' | 'show' | 'garment' | 'other';

export interface MatchZone {
  top: readonly { fabric: string; hex?: string; share?: number }[];
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
}

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
  limit?: number;
}
