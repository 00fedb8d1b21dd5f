import type { Caution, Reason } from '../notes';
import type { Curve } from '../stitch/curve';
import type { Mode } from '../stitch/machine';
import type { FootId } from '../tables/techniques';
import type { Eye, Point } from '../tables/needles';

/** A set-up for one zone, with why and what to mind. */
export interface Setup {
  topId: string;
  bobbinId: string;
  needle: { nm: number; us: number | null; eye: Eye; point: Point };
  foot: FootId;
  spi: number;
  stitchMm: number;
  mode: Mode;
  idleSpm: number;
  maxInPerS: number;
  /** The speed the hands should keep: usual for the technique, and what cloth and thread allow, in/s. */
  handInPerS: number;
  curve: Curve;
  topGf: number;
  bobbinGf: number;
  ratio: number;
  ratioSd: number;
  /** The ratio the models alone expect, nothing learned. */
  ratioModel: number;
  eyeRatio: number;
  flexIndex: number;
  /** Thread for the zone in metres; null when its area is not known. */
  topM: number | null;
  bobbinM: number | null;
  /** Sum of the weighted penalties, 0 ideal. */
  total: number;
  /** 100 is ideal; a set-up with twice the penalties scores lower. */
  score: number;
  /** Weighted penalty by criterion, 0 ideal. */
  parts: Record<string, number>;
  reasons: Reason[];
  /** What this zone causes, and what to do. */
  cautions: Caution[];
  /** Safety that holds for every set-up of its kind; it stands once on the card. */
  safety: Caution[];
}

export interface MatchResult {
  setups: Setup[];
  /** How many set-ups were weighed. */
  weighed: number;
  cautions: Caution[];
}
