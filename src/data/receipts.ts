import type postgres from 'postgres';
import type { Sql } from './sql';

/** One filling of a form: its key, what it asks for, and who asks. */
export interface Filling {
  key: string;
  action: string;
  actorId: string;
}

/**
 * Runs `act` once for a key, in one transaction: a repeat with the same key gets the first answer again
 * and nothing is stored twice. Only answers for which `keep` says yes are kept, so that a refused form may
 * be corrected and sent again. Two at once: the second waits for the first. Whoever asks is noted by the database on
 * every entry made meanwhile.
 */
export function once<T extends object>(
  sql: postgres.Sql,
  { key, action, actorId }: Filling,
  act: (tx: Sql) => Promise<T>,
  keep: (answer: T) => boolean,
): Promise<T> {
  return sql.begin(async (tx) => {
    await tx`select pg_advisory_xact_lock(hashtextextended(${key}, 0)), set_config('tidy_spool.actor', ${actorId}, true)`;
    const [seen] = await tx<{ result: T }[]>`select result from receipt where key = ${key}`;
    if (seen) return seen.result;
    const answer = await act(tx);
    if (keep(answer))
      await tx`insert into receipt (key, action, result) values (${key}, ${action}, ${tx.json(answer as postgres.JSONValue)})`;
    return answer;
  }) as Promise<T>;
}
