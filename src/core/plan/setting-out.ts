import type { Technique } from '../tables/techniques';

/** Minutes of setting out one figure, and of each change of place (judgement; the log corrects them). */
export const FIGURE_MIN = 1.5;
export const MOVE_MIN = 0.5;
/** Marking: a tick, an inch of a spine, an inch of a full drawing (judgement). */
const TICK_MIN = 0.1;
const SPINE_MIN_PER_IN = 0.1;
const FULL_MIN_PER_IN = 0.15;
const LEAST_TICK_IN = 0.25;

/** What of a zone's shape says how much is set out and marked in it. */
export interface SetOut {
  /** Separate pieces of it. */
  pieces: number;
  /** Length of its edges, inches. */
  edgeIn: number;
  spacingIn: number;
  sewnIn: number;
}

/** What marking is reckoned from: the zone, and how long the spine of a figure runs where it is known. */
type Marked = Omit<SetOut, 'pieces'> & { spineIn?: number };

/** Minutes of marking what a technique asks for: ticks along the edge, a spine down the middle, or all of it. */
export function markingMin(
  { marks }: Pick<Technique, 'marks'>,
  // A spine runs about a quarter of the edge of a piece as wide as it is long, and nearly half of a strip's.
  { edgeIn, spacingIn, sewnIn, spineIn = edgeIn / 4 }: Marked,
): number {
  switch (marks) {
    case 'ticks':
      return TICK_MIN * (edgeIn / 2 / Math.max(spacingIn, LEAST_TICK_IN));
    case 'spine':
      return SPINE_MIN_PER_IN * spineIn;
    case 'full':
      return FULL_MIN_PER_IN * sewnIn;
    default:
      return 0;
  }
}

/**
 * Minutes nobody counts: thinking a figure out, marking it, and moving from place to place.
 * @param moves places a line is begun at. @example settingOutMin({ figure: true, marks: 'none' }, { pieces: 4, edgeIn: 100, spacingIn: 1, sewnIn: 500 }, 4) // 8
 */
export const settingOutMin = (t: Pick<Technique, 'figure' | 'marks'>, zone: SetOut, moves: number): number =>
  (t.figure ? FIGURE_MIN * zone.pieces : 0) + MOVE_MIN * moves + markingMin(t, zone);
