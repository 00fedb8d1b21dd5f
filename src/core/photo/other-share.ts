import { deltaE, labOf } from '../colour/delta-e';
import type { XY } from '../geometry/polygon';

/** A colour picture, four bytes a pixel. */
export interface ColourPicture {
  width: number;
  height: number;
  rgba: ArrayLike<number>;
}

/** Threads nearer in colour than this cannot be told apart at a hole, ΔE. */
const TOLD_APART = 18;
/** Pixels this near to a thread’s colour, and so much nearer than to the other’s, are that thread. */
const NEAR = 22;
const NEARER = 6;
/** Looked at so far round a hole, mm. */
const ROUND_MM = 0.35;
/** A hole shows the other thread when this share of what is thread there is the other’s. */
const SHOWS = 0.25;

const hexAt = (p: ColourPicture, x: number, y: number): string => {
  const i = (Math.min(p.height - 1, Math.max(0, y)) * p.width + Math.min(p.width - 1, Math.max(0, x))) * 4;
  return `#${[0, 1, 2]
    .map((c) =>
      Math.round(p.rgba[i + c]!)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
};

/**
 * Share of the holes at which the other thread’s colour shows, 0 to 1: a proposal for the verdict, never the verdict.
 * Null where the two threads are too alike in colour to be told apart, or where there is no hole.
 * @param own the colour of the face’s own thread, @param other of the one that should stay inside; #rrggbb.
 */
export function otherShare(
  picture: ColourPicture,
  mmPerPx: number,
  holes: readonly XY[],
  own: string,
  other: string,
): number | null {
  const [a, b] = [labOf(own), labOf(other)];
  if (holes.length === 0 || deltaE(a, b) < TOLD_APART) return null;
  const reach = Math.max(1, Math.round(ROUND_MM / mmPerPx));
  const showing = holes.filter(([x, y]) => {
    let mine = 0;
    let its = 0;
    for (let dy = -reach; dy <= reach; dy++)
      for (let dx = -reach; dx <= reach; dx++) {
        const lab = labOf(hexAt(picture, Math.round(x) + dx, Math.round(y) + dy));
        const [toOwn, toOther] = [deltaE(lab, a), deltaE(lab, b)];
        if (toOther < NEAR && toOther + NEARER < toOwn) its++;
        else if (toOwn < NEAR) mine++;
      }
    return its > 0 && its / (its + mine) >= SHOWS;
  });
  return showing.length / holes.length;
}

/** What a share of the holes speaks for, in words. */
export const otherWords = (share: number): string =>
  share < 0.1
    ? 'the other thread hardly shows: that would be balanced'
    : share < 0.5
      ? 'a hint of the other thread at some holes'
      : 'the other thread shows at most holes';
