import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { Sql } from '@/data/sql';

/** Free tries for one name from one address, and for one address whoever it says it is; then a pause. Seconds. */
const OF_A_NAME = { points: 5, duration: 900, blockDuration: 300 } as const;
const OF_AN_ADDRESS = { points: 30, duration: 900, blockDuration: 900 } as const;

/** Postgres.js as the package asks for a database: a question with its values, answered with rows. */
const asClient = (sql: Sql) => ({
  query: async ({ text, values }: { text: string; values: unknown[] }) => {
    const rows = await sql.unsafe(text, values as never[]);
    return { rows: [...rows].map((r) => ({ ...r })), rowCount: rows.count };
  },
});

/** Tries at the door, counted in the database, so that every process says the same. */
export class Tries {
  private readonly byName: RateLimiterPostgres;
  private readonly byAddress: RateLimiterPostgres;
  constructor(sql: Sql) {
    const shared = {
      storeClient: asClient(sql),
      storeType: 'client',
      tableName: 'throttle',
      tableCreated: true,
      clearExpiredByTimeout: false,
    };
    this.byName = new RateLimiterPostgres({ ...shared, ...OF_A_NAME, keyPrefix: 'name' });
    this.byAddress = new RateLimiterPostgres({ ...shared, ...OF_AN_ADDRESS, keyPrefix: 'from' });
  }

  /** Takes one try; seconds to wait when there is none left, 0 when it may be tried. */
  async take(name: string, from: string): Promise<number> {
    for (const [limiter, key] of [
      [this.byAddress, from],
      [this.byName, keyOf(name, from)],
    ] as const) {
      try {
        await limiter.consume(key);
      } catch (no) {
        if (no instanceof RateLimiterRes) return Math.max(1, Math.ceil(no.msBeforeNext / 1000));
        throw no;
      }
    }
    return 0;
  }

  /** It worked: the tries of this name from there are forgotten. */
  async worked(name: string, from: string): Promise<void> {
    await this.byName.delete(keyOf(name, from));
  }
}

const keyOf = (name: string, from: string) => `${from} ${name.trim().toLowerCase()}`.slice(0, 200);
