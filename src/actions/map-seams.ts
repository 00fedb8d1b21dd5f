import { type Seam, seamsOf } from '@/core/geometry/neighbours';
import { keepLast } from './keep-last';
import type { Zone } from '@/data/types';

const MOST_KEPT = 30;
const kept = keepLast<Seam[]>(MOST_KEPT);

/** The seams of a map, worked out once for each; a copy of the studio that is taken back may bring another of the same version. */
export function seamsOfMap(zones: readonly Pick<Zone, 'id' | 'geometry'>[]): Seam[] {
  const key = JSON.stringify(zones.map((z) => [z.id, z.geometry]));
  return kept.get(key) ?? kept.put(key, seamsOf(zones));
}
