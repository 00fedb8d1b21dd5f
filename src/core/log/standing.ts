import type { LogEntry } from './entry';

type Undoing = Pick<LogEntry, 'id' | 'kind' | 'undoes'>;

/**
 * Entries that stand: one is gone when any taking back that stands names it, and a taking back can itself be taken back.
 * Whatever order they come in, the answer is the same. A ring of takings back, which no device can write, stands.
 */
export function standing<T extends Undoing>(entries: readonly T[]): T[] {
  const undoneBy = new Map<string, T[]>();
  for (const e of entries) {
    if (e.kind !== 'undone' || !e.undoes) continue;
    const others = undoneBy.get(e.undoes);
    if (others) others.push(e);
    else undoneBy.set(e.undoes, [e]);
  }
  const known = new Map<string, boolean>();
  const stands = (id: string): boolean => {
    const told = known.get(id);
    if (told !== undefined) return told;
    known.set(id, true);
    const yes = !(undoneBy.get(id) ?? []).some((u) => stands(u.id));
    known.set(id, yes);
    return yes;
  };
  return entries.filter((e) => e.kind !== 'undone' && stands(e.id));
}
