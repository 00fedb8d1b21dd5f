'use client';
import { useMemo, useSyncExternalStore } from 'react';
import { type Listed, useRest } from '@/ui/kit/use-rest';
import { namesFor } from './thread-names';

const never = () => () => {};

/** The options of a list of threads: the one chosen with the page, all of them once it is there. */
export function ThreadOptions({
  list,
  not,
  chosen,
}: {
  list: Listed;
  not: 'top' | 'bobbin';
  chosen?: string;
}) {
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const packed = useRest(list);
  const threads = useMemo(() => namesFor(packed, not), [packed, not]);
  return (here ? threads : threads.filter((t) => t.id === chosen)).map((t) => (
    <option key={t.id} value={t.id}>
      {t.name}
    </option>
  ));
}
