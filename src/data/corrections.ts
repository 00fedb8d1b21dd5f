import type { Changes, Laid } from '@/core/correction/correction';
import type { LockedPlan } from './quilts';
import { asJson, type Sql } from './sql';

/** What moved with a correction: zones that went with the size, and the plan that was locked. */
export interface Moved {
  zonesBefore?: Laid[];
  zonesAfter?: Laid[];
  plan?: LockedPlan;
}

/** One correction of a quilt. */
export interface Correction {
  id: string;
  quiltId: string;
  n: number;
  changed: Changes;
  moved: Moved;
  said: string[];
  at: Date;
  undoneAt: Date | null;
  /** Who made it; null while the studio is one person. */
  who: string | null;
}

/** Corrections of a quilt, the newest first. */
export const readCorrections = (sql: Sql, quiltId: string): Promise<Correction[]> => sql`
  select id, quilt_id, n, changed, moved, said, at, undone_at, who(by_person) as who from quilt_change where quilt_id = ${quiltId} order by n desc`;

export async function readCorrection(sql: Sql, id: string): Promise<Correction | null> {
  const [row] = await sql<Correction[]>`
    select id, quilt_id, n, changed, moved, said, at, undone_at, who(by_person) as who from quilt_change where id = ${id}`;
  return row ?? null;
}

export const insertCorrection = (
  sql: Sql,
  c: Pick<Correction, 'id' | 'quiltId' | 'changed' | 'moved' | 'said' | 'at'>,
) => sql`
  insert into quilt_change (id, quilt_id, n, changed, moved, said, at)
  select ${c.id}, ${c.quiltId}, coalesce(max(n), 0) + 1, ${asJson(sql, c.changed)}, ${asJson(sql, c.moved)},
         ${c.said}, ${c.at}
  from quilt_change where quilt_id = ${c.quiltId}`;

export const setCorrectionUndone = (sql: Sql, id: string, at: Date | null, moved: Moved) => sql`
  update quilt_change set undone_at = ${at}, moved = ${asJson(sql, moved)} where id = ${id}`;
