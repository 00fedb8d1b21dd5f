import type { Judged } from '@/core/practice/judge';
import type { Mode } from '@/core/stitch/machine';
import type { XY } from '@/core/geometry/polygon';
import type { Sql } from './sql';

/** A drill as it was drawn and judged. */
export interface PracticeRun {
  id: string;
  drill: string;
  mode: Mode;
  spi: number;
  judged: Judged;
  path: XY[];
  at: Date;
}

/** The runs of the studio that stand, oldest first, the latest so many of each drill, without their lines. */
export const readPractice = (sql: Sql, most = 200): Promise<Omit<PracticeRun, 'path'>[]> => sql<
  Omit<PracticeRun, 'path'>[]
>`
  select id, drill, mode, spi, judged, at from (
    select *, row_number() over (partition by drill order by at desc, id desc) as n
    from practice_run where taken_back_at is null) r
  where n <= ${most} order by at, id`;

/** The first line drawn of a drill, and the latest. */
export async function readFirstAndLatest(
  sql: Sql,
  drill: string,
): Promise<{ first: PracticeRun; latest: PracticeRun } | null> {
  const rows = await sql<PracticeRun[]>`
    (select id, drill, mode, spi, judged, path, at from practice_run
     where drill = ${drill} and taken_back_at is null order by at, id limit 1)
    union all
    (select id, drill, mode, spi, judged, path, at from practice_run
     where drill = ${drill} and taken_back_at is null order by at desc, id desc limit 1)`;
  return rows.length < 2 || rows[0]!.id === rows[1]!.id ? null : { first: rows[0]!, latest: rows[1]! };
}

export const insertRun = (sql: Sql, r: Omit<PracticeRun, 'at'>) => sql`
  insert into practice_run (id, drill, mode, spi, judged, path)
  values (${r.id}, ${r.drill}, ${r.mode}, ${r.spi}, ${sql.json(r.judged as never)}, ${sql.json(r.path as never)})`;

/** Takes a run back, or lets it stand again; false when it is not there. */
export async function setTakenBack(sql: Sql, id: string, back: boolean): Promise<boolean> {
  const rows = await sql`
    update practice_run set taken_back_at = ${back ? new Date() : null} where id = ${id} returning id`;
  return rows.length === 1;
}
