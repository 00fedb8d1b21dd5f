import { type Seam, seamsOf } from '@/core/geometry/neighbours';
import { keepLast } from './keep-last';
import type { Quilt, Zone } from '@/data/types';

const MOST_KEPT = 30;
const kept = keepLast<Seam[]>(MOST_KEPT);

/** The seams of a quilt's map: worked out once for each map that is kept, whose version changes with it. */
export function seamsOfMap({ id, version }: Pick<Quilt, 'id' | 'version'>, zones: readonly Zone[]): Seam[] {
  const key = `${id} ${version}`;
  return kept.get(key) ?? kept.put(key, seamsOf(zones));
}
