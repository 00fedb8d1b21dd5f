import { createHash } from 'node:crypto';
import type postgres from 'postgres';
import type { Sql } from './sql';

/** One filling of a form: its key, what it asks for, and who asks. */
export interface Filling {
  key: string;
  action: string;
  actorId: string;
  /** What was sent, as text: kept as a hash. */
  body: string;
}

/** A key that was used before, for another form or with other words. */
export class KeyReused extends Error {}

/** Carries an answer that does not stand out of its transaction, so that the database forgets all it wrote. */
class NotStanding<T> extends Error {
  constructor(readonly answer: T) {
    super('refused: nothing of it stays');
  }
}

/**
 * Runs `act` in one transaction, as whoever acts. An answer that does not stand (a refusal, a conflict) takes with it
 * everything that was written before it was given, and is answered all the same.
 */
export async function wholeOrNothing<T extends object>(
  sql: postgres.Sql,
  actorId: string,
  act: (tx: Sql) => Promise<T>,
  stands: (answer: T) => boolean,
): Promise<T> {
  try {
    return (await sql.begin(async (tx) => {
      await tx`select set_config('tidy_spool.actor', ${actorId}, true)`;
      const answer = await act(tx);
      if (!stands(answer)) throw new NotStanding(answer);
      return answer;
    })) as T;
  } catch (error) {
    if (error instanceof NotStanding) return error.answer as T;
    throw error;
  }
}

/**
 * Runs `act` once for a key, in one transaction: a repeat with the same key gets the first answer again
 * and nothing is stored twice. Only answers for which `stands` says yes are kept, with what they wrote, so that a
 * refused form leaves nothing and may be corrected and sent again. Two at once: the second waits for the first. Whoever
 * asks is noted by the database on every entry made meanwhile.
 */
export function once<T extends object>(
  sql: postgres.Sql,
  { key, action, actorId, body }: Filling,
  act: (tx: Sql) => Promise<T>,
  stands: (answer: T) => boolean,
): Promise<T> {
  return wholeOrNothing(
    sql,
    actorId,
    async (tx) => {
      await tx`select pg_advisory_xact_lock(hashtextextended(${key}, 0))`;
      const hash = createHash('sha256').update(body).digest('hex');
      const [seen] = await tx<{ result: T; action: string; body: string | null }[]>`
        select result, action, body from receipt where key = ${key}`;
      if (seen) {
        if (seen.action !== action || (seen.body !== null && seen.body !== hash)) throw new KeyReused();
        return seen.result;
      }
      const answer = await act(tx);
      if (stands(answer))
        await tx`insert into receipt (key, action, body, result) values (${key}, ${action}, ${hash}, ${tx.json(answer as postgres.JSONValue)})`;
      return answer;
    },
    stands,
  );
}

/** Nobody sends a form again after a month. */
export const pruneReceipts = (sql: Sql) => sql`delete from receipt where at < now() - interval '30 days'`;
