import { db } from '@/data/sql';

type Woken = () => void;
interface Live {
  waiting: Map<string, Set<Woken>>;
  listening: Promise<unknown> | null;
}
const holder = globalThis as { tidySpoolLive?: Live };
const live: Live = (holder.tidySpoolLive ??= { waiting: new Map(), listening: null });

const wakeAll = () => {
  for (const set of live.waiting.values()) for (const wake of set) wake();
};

/** Whenever an entry of this quilt was added, by any process; the answer ends it. One connection of the database listens for all. */
export function onEntry(quiltId: string, wake: Woken): () => void {
  live.listening ??= db()
    // Listening again after the line to the database was lost: what came meanwhile is read by everyone.
    .listen('log_entry', (id) => live.waiting.get(id)?.forEach((w) => w()), wakeAll)
    .catch(() => {
      live.listening = null;
    });
  const own = live.waiting.get(quiltId) ?? new Set();
  live.waiting.set(quiltId, own.add(wake));
  return () => {
    own.delete(wake);
    if (own.size === 0) live.waiting.delete(quiltId);
  };
}
