import { type Seam, seamsOf } from '@/core/geometry/neighbours';
import type { Quilt, Zone } from '@/data/types';

const MOST_KEPT = 30;
const kept = new Map<string, Seam[]>();

/** The seams of a quilt's map: worked out once for each map that is kept, whose version changes with it. */
export function seamsOfMap({ id, version }: Pick<Quilt, 'id' | 'version'>, zones: readonly Zone[]): Seam[] {
  const key = `${id} ${version}`;
  let seams = kept.get(key);
  if (!seams) {
    seams = seamsOf(zones);
    if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
    kept.set(key, seams);
  }
  return seams;
}
