import { asJson, type Sql } from './sql';
import type { MeasuredStitches } from '@/core/fields/measured';
import type { ColourTrial, Cure } from './types';
import type { CureKind } from '@/core/fields/lists';

export const readCures = (sql: Sql, setupId: string): Promise<Cure[]> => sql<Cure[]>`
  select id, kind, outcome, at from cure where setup_id = ${setupId} order by at, id`;

export const insertCure = (sql: Sql, c: Omit<Cure, 'at'> & { setupId: string }) => sql`
  insert into cure (id, setup_id, kind, outcome) values (${c.id}, ${c.setupId}, ${c.kind}, ${c.outcome})`;

/** How each quick cure fared in this studio. */
export const readCureCounts = (sql: Sql): Promise<{ kind: CureKind; tried: number; better: number }[]> => sql<
  { kind: CureKind; tried: number; better: number }[]
>`select kind, count(*)::int as tried, count(*) filter (where outcome = 'better')::int as better
  from cure group by kind order by kind`;

export const readTrials = (sql: Sql, zoneId: string): Promise<ColourTrial[]> => sql<ColourTrial[]>`
  select id, zone_id, cone_ids, chosen_id, photograph_id, note, at, version from colour_trial
  where zone_id = ${zoneId} order by at desc`;

export const insertTrial = (sql: Sql, t: Pick<ColourTrial, 'id' | 'zoneId' | 'coneIds' | 'note'>) => sql`
  insert into colour_trial (id, zone_id, cone_ids, note) values (${t.id}, ${t.zoneId}, ${t.coneIds}, ${t.note})`;

/** Keeps what came of a trial when it is still as it was seen. */
export async function updateTrial(
  sql: Sql,
  t: Pick<ColourTrial, 'id' | 'version' | 'chosenId' | 'photographId' | 'note'>,
): Promise<boolean> {
  const rows = await sql`
    update colour_trial set chosen_id = ${t.chosenId}, photograph_id = coalesce(${t.photographId}, photograph_id),
      note = ${t.note}, version = version + 1
    where id = ${t.id} and version = ${t.version} returning id`;
  return rows.length === 1;
}

/** Adds to a round what was noted, photographed or measured of it afterwards; false when there is no such round. */
export async function amendRound(
  sql: Sql,
  id: string,
  to: { note?: string; photographId?: string; measured?: MeasuredStitches },
): Promise<boolean> {
  const rows = await sql`
    update test_round set note = coalesce(${to.note ?? null}, note),
      photograph_id = coalesce(${to.photographId ?? null}::uuid, photograph_id),
      measured = coalesce(${asJson(sql, to.measured)}::jsonb, measured)
    where id = ${id} returning id`;
  return rows.length === 1;
}

/** Whether every one of these cones is known. */
export async function knowsCones(sql: Sql, ids: readonly string[]): Promise<boolean> {
  const rows = await sql`select id from cone where id in ${sql(ids as string[])}`;
  return rows.length === ids.length;
}
