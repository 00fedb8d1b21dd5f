import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type postgres from 'postgres';
import { battings } from '@/core/tables/battings';
import { fabrics } from '@/core/tables/fabrics';
import { features } from '@/core/tables/features';
import { fibres } from '@/core/tables/fibres';
import { symptoms } from '@/core/tables/symptoms';
import { techniques } from '@/core/tables/techniques';

const LOCK = 7_303_014;
const folder = () => join(process.cwd(), 'src/data/migrations');

/** The numbered files, in order. */
export const migrationFiles = (): string[] =>
  readdirSync(folder())
    .filter((name) => /^\d{4}_[a-z0-9_]+\.sql$/.test(name))
    .sort();

/**
 * Brings the database to this version: each new file once, all in one transaction under a lock, then
 * the ids of the core's tables.
 * With `until`, files after that name are left for later (a test makes an old database so).
 * @throws when the database holds a migration this version does not know (it is newer).
 */
export async function migrate(sql: postgres.Sql, until = '9999'): Promise<string[]> {
  const files = migrationFiles();
  return sql.begin(async (tx) => {
    await tx`select pg_advisory_xact_lock(${LOCK})`;
    await tx`create table if not exists migration (name text primary key, at timestamptz not null default now())`;
    const done = (await tx<{ name: string }[]>`select name from migration`).map((row) => row.name);
    const unknown = done.filter((name) => !files.includes(name));
    if (unknown.length > 0)
      throw new Error(`The database is newer than this program: it has ${unknown.join(', ')}.`);
    const fresh = files.filter((name) => !done.includes(name) && name <= until);
    for (const name of fresh) {
      await tx.unsafe(readFileSync(join(folder(), name), 'utf8'));
      await tx`insert into migration (name) values (${name})`;
    }
    const known = {
      fibre: fibres,
      fabric_kind: fabrics,
      batting_kind: battings,
      feature: features,
      technique: techniques,
      symptom: symptoms,
    };
    for (const [name, { ids }] of Object.entries(known))
      await tx`insert into ${tx(name)} (id) select unnest(${ids as string[]}::text[]) on conflict do nothing`;
    return fresh;
  }) as Promise<string[]>;
}
