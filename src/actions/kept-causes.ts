import { type FaultBook, faultBook } from '@/core/faults/diagnose';
import { symptoms } from '@/core/tables/symptoms';
import { readEpisodes } from '@/data/fault-evidence';
import { readMark } from '@/data/log-mark';
import type { Sql } from '@/data/sql';
import { keepLast } from './keep-last';

const MOST_KEPT = 2;
const kept = keepLast<{ book: FaultBook; episodes: number }>(MOST_KEPT);

/** The figures of faults as the studio's confirmed episodes have moved them; worked out anew only when one was added, changed or left out. */
export async function keptCauses(sql: Sql): Promise<{ book: FaultBook; episodes: number }> {
  const mark = await readMark(sql, 'fault_evidence');
  const known = kept.get(mark);
  if (known) return known;
  // A flaw noted beside a fault has no cause of its own to be learned.
  const episodes = (await readEpisodes(sql)).map((e) => ({
    ...e,
    seen: e.seen.filter((s) => symptoms.find(s)),
  }));
  return kept.put(mark, { book: faultBook(episodes), episodes: episodes.length });
}
