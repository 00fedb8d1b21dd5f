import type { LogEntry } from './entry';

type Undoing = Pick<LogEntry, 'id' | 'kind' | 'undoes'>;

/** Who took an entry back, by the entry. */
function takersOf<T extends Undoing>(entries: readonly T[]): Map<string, T[]> {
  const undoneBy = new Map<string, T[]>();
  for (const e of entries) {
    if (e.kind !== 'undone' || !e.undoes) continue;
    const others = undoneBy.get(e.undoes);
    if (others) others.push(e);
    else undoneBy.set(e.undoes, [e]);
  }
  return undoneBy;
}

/** Whether an entry stands; a ring of takings back, which no device can write, stands. */
function asker<T extends Undoing>(undoneBy: ReadonlyMap<string, readonly T[]>): (id: string) => boolean {
  const known = new Map<string, boolean>();
  const stands = (id: string): boolean => {
    const told = known.get(id);
    if (told !== undefined) return told;
    known.set(id, true);
    const yes = !(undoneBy.get(id) ?? []).some((u) => stands(u.id));
    known.set(id, yes);
    return yes;
  };
  return stands;
}

/**
 * Entries that stand: one is gone when any taking back that stands names it, and a taking back can itself be taken back.
 * Whatever order they come in, the answer is the same.
 */
export function standing<T extends Undoing>(entries: readonly T[]): T[] {
  const stands = asker(takersOf(entries));
  return entries.filter((e) => e.kind !== 'undone' && stands(e.id));
}

/**
 * Entries that were taken back, each with the takings back that stand against it: whoever takes all of those back puts
 * the entry back.
 */
export function takenBack<T extends Undoing>(entries: readonly T[]): { entry: T; by: string[] }[] {
  const undoneBy = takersOf(entries);
  const stands = asker(undoneBy);
  return entries.flatMap((entry) => {
    if (entry.kind === 'undone' || stands(entry.id)) return [];
    return [{ entry, by: undoneBy.get(entry.id)!.flatMap((u) => (stands(u.id) ? [u.id] : [])) }];
  });
}
