import { CONDITION } from '@/core/fields/quilt';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Condition } from './types';

const FIELDS = columnsOf(CONDITION);

/** What was found on a quilt, in the order it was noted. */
export const readConditions = (sql: Sql, quiltId: string): Promise<Condition[]> => sql<Condition[]>`
  select id, quilt_id, n, photograph_id, version, ${sql(FIELDS)} from condition
  where quilt_id = ${quiltId} and removed_at is null order by n`;

/** Notes a thing, under the next number of its quilt. */
export async function insertCondition(sql: Sql, c: Omit<Condition, 'n' | 'version'>): Promise<void> {
  const [next] = await sql<{ n: number }[]>`
    select coalesce(max(n), 0) + 1 as n from condition where quilt_id = ${c.quiltId}`;
  const row = { ...c, n: next!.n };
  await sql`insert into condition ${sql(row, 'id', 'quiltId', 'n', 'photographId', ...FIELDS)}`;
}

/** Says a thing anew; false when it was changed meanwhile. */
export async function updateCondition(sql: Sql, c: Omit<Condition, 'n' | 'quiltId'>): Promise<boolean> {
  const rows = await sql`
    update condition set ${sql(c, 'photographId', ...FIELDS)}, version = version + 1
    where id = ${c.id} and version = ${c.version} returning id`;
  return rows.length === 1;
}

/** Takes a thing off the list, or puts it back. */
export async function setConditionRemoved(sql: Sql, id: string, removed: boolean): Promise<boolean> {
  const rows = await sql`
    update condition set removed_at = ${removed ? new Date() : null}, version = version + 1 where id = ${id} returning id`;
  return rows.length === 1;
}

/** How many things found on a quilt its client was never told of, by quilts that are still here. */
export const readConditionsWaiting = async (sql: Sql): Promise<ReadonlyMap<string, number>> =>
  new Map(
    (
      await sql<{ quiltId: string; n: number }[]>`
    select c.quilt_id, count(*)::int as n from condition c join quilt q on q.id = c.quilt_id
    where c.state = 'found' and c.removed_at is null and q.handed_back_on is null and q.withdrawn_on is null
    group by c.quilt_id`
    ).map((r) => [r.quiltId, r.n]),
  );
