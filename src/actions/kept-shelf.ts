import { readAllCones } from '@/data/cones';
import { readMark } from '@/data/log-mark';
import type { Sql } from '@/data/sql';
import type { Cone } from '@/data/types';
import { keepLast } from './keep-last';

export interface KeptShelf {
  /** Every cone, put away or not. */
  all: readonly Cone[];
  /** Those in use; by line and colour. */
  inUse: Cone[];
  /** Changes with every change of a cone. */
  mark: string;
}

const MOST_KEPT = 2;
const kept = keepLast<KeptShelf>(MOST_KEPT);

/** The shelf as it is now; read anew only when a cone was changed. The same shelf is the same object. */
export async function keptShelf(sql: Sql): Promise<KeptShelf> {
  const mark = await readMark(sql, 'cone');
  const known = kept.get(mark);
  if (known) return known;
  const all = await readAllCones(sql);
  return kept.put(mark, { all, inUse: all.filter((c) => !c.archivedAt), mark });
}

/** The cones in use, and those put away that these cards name. */
export function shelfWith(shelf: KeptShelf, cards: readonly { topId: string; bobbinId: string }[]): Cone[] {
  const named = new Set(cards.flatMap((s) => [s.topId, s.bobbinId]));
  const away = shelf.all.some((c) => c.archivedAt && named.has(c.id));
  return away ? shelf.all.filter((c) => !c.archivedAt || named.has(c.id)) : shelf.inUse;
}

/** Works something out once for the same list. */
export function onceFor<L extends object, V>(work: (list: L) => V): (list: L) => V {
  const done = new WeakMap<L, { value: V }>();
  return (list) => {
    const known = done.get(list);
    if (known) return known.value;
    const value = work(list);
    done.set(list, { value });
    return value;
  };
}
