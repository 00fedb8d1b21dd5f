import { insertMishap } from '@/data/mishaps';
import { db } from '@/data/sql';
import { say } from '@/serve/say';
import { refuse, type Result } from './result';

/** The database cannot be reached, or is just going down or coming up. */
const NO_DATABASE =
  /ECONNREFUSED|ECONNRESET|CONNECTION_|CONNECT_TIMEOUT|57P0[123]|08\d{3}|the database system is/;

/** Whether an error says that the database is away for the moment, and nothing else. */
export const isAway = (error: unknown): boolean => NO_DATABASE.test(told(error));

const told = (error: unknown) => `${(error as { code?: string })?.code ?? ''} ${String(error)}`;

/**
 * An unexpected throw: written to the log with its stack, under a number, and told in an honest sentence. It is never
 * reported as a lost connection; only a database that does not answer is.
 */
export async function mishap(place: string, error: unknown): Promise<Result<never>> {
  say.error({ err: error, place }, 'a mishap');
  if (isAway(error))
    return refuse(
      'The studio’s database did not answer; try again in a moment. Nothing was stored, and nothing you typed is lost.',
    );
  const n = await insertMishap(db(), place, error).catch(() => null);
  return refuse(
    `The program made a mistake${n === null ? '' : `, number ${n} in its log`}. Nothing was stored; what you typed is still here. Sending it again may not help: quote the number to whoever looks after the program.`,
  );
}
