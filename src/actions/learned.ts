import { readMark } from '@/data/log-mark';
import type { Sql } from '@/data/sql';

/** So many fits are kept: one for each log, and some for databases that come and go in tests. */
const MOST_KEPT = 12;
const kept = new Map<string, unknown>();

/** What a log teaches, fitted anew only when the log has changed. */
export async function learnedFrom<T>(
  sql: Sql,
  log: Parameters<typeof readMark>[1],
  fit: () => Promise<T>,
): Promise<T> {
  const key = `${log} ${await readMark(sql, log)}`;
  if (kept.has(key)) return kept.get(key) as T;
  const value = await fit();
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, value);
  return value;
}
