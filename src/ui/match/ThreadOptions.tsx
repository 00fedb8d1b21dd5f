'use client';
import { useMemo, useSyncExternalStore } from 'react';

/** A thread to choose from a list, by name. */
export interface NamedThread {
  id: string;
  name: string;
  role: 'top' | 'bobbin' | 'both';
}

/** Names as one text, since a studio may have thousands. */
export const packNames = (threads: readonly NamedThread[]): string =>
  JSON.stringify(threads.map(({ id, name, role }) => [id, name, role]));

/** The threads of a packed text that serve as top, or as bobbin, thread. */
export const namesFor = (packed: string, not: 'top' | 'bobbin'): NamedThread[] =>
  (JSON.parse(packed) as [string, string, NamedThread['role']][])
    .map(([id, name, role]) => ({ id, name, role }))
    .filter((t) => t.role !== not);

const never = () => () => {};

/** The options of a list of threads: the one chosen with the page, all of them once it is there. */
export function ThreadOptions({
  packed,
  not,
  chosen,
}: {
  packed: string;
  not: 'top' | 'bobbin';
  chosen?: string;
}) {
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const threads = useMemo(() => namesFor(packed, not), [packed, not]);
  return (here ? threads : threads.filter((t) => t.id === chosen)).map((t) => (
    <option key={t.id} value={t.id}>
      {t.name}
    </option>
  ));
}
