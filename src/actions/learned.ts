import { readMark } from '@/data/log-mark';
import type { Sql } from '@/data/sql';
import { keepLast } from './keep-last';

/** So many fits are kept: one for each log, and some for databases that come and go in tests. */
const MOST_KEPT = 12;
const kept = keepLast<unknown>(MOST_KEPT);

/** What a log teaches, fitted anew only when the log has changed. */
export async function learnedFrom<T>(
  sql: Sql,
  log: Parameters<typeof readMark>[1],
  fit: () => Promise<T>,
): Promise<T> {
  const key = `${log} ${await readMark(sql, log)}`;
  return (kept.get(key) as T | undefined) ?? (kept.put(key, await fit()) as T);
}
