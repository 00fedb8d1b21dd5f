import type { Frame } from '@/core/stand-in/longarm';
import type { Judged } from '@/core/practice/judge';
import type { Mode } from '@/core/stitch/machine';
import type { XY } from '@/core/geometry/polygon';
import { asJson, type Sql } from './sql';

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

/** The runs of a person that stand, oldest first, the latest so many of each drill, without their lines. */
export const readPractice = (
  sql: Sql,
  personId: string,
  most = 200,
): Promise<Omit<PracticeRun, 'path'>[]> => sql<Omit<PracticeRun, 'path'>[]>`
  select id, drill, mode, spi, judged, at from (
    select *, row_number() over (partition by drill order by at desc, id desc) as n
    from practice_run where taken_back_at is null and by_person = ${personId}) r
  where n <= ${most} order by at, id`;

/** The first line a person drew of a drill, and the latest. */
export async function readFirstAndLatest(
  sql: Sql,
  personId: string,
  drill: string,
): Promise<{ first: PracticeRun; latest: PracticeRun } | null> {
  const rows = await sql<PracticeRun[]>`
    (select id, drill, mode, spi, judged, path, at from practice_run
     where drill = ${drill} and taken_back_at is null and by_person = ${personId} order by at, id limit 1)
    union all
    (select id, drill, mode, spi, judged, path, at from practice_run
     where drill = ${drill} and taken_back_at is null and by_person = ${personId} order by at desc, id desc limit 1)`;
  return rows.length < 2 || rows[0]!.id === rows[1]!.id ? null : { first: rows[0]!, latest: rows[1]! };
}

export const insertRun = (sql: Sql, r: Omit<PracticeRun, 'at'>) => sql`
  insert into practice_run (id, drill, mode, spi, judged, path)
  values (${r.id}, ${r.drill}, ${r.mode}, ${r.spi}, ${asJson(sql, r.judged)}, ${asJson(sql, r.path)})`;

/** A drill as a machine sent it, not judged yet. */
export interface SentDrill {
  id: string;
  machine: string;
  beganAt: Date;
  frames: Frame[];
}

/** Adds readings to a drill that is being sewn, those that are new; returns all of it. What is older than a day goes. */
export async function addSent(
  sql: Sql,
  { id, machine }: Pick<SentDrill, 'id' | 'machine'>,
  frames: readonly Frame[],
): Promise<Frame[]> {
  await sql`delete from practice_sent where began_at < now() - interval '1 day'`;
  await sql`insert into practice_sent (id, machine) values (${id}, ${machine}) on conflict (id) do nothing`;
  const [before] = await sql<
    { frames: Frame[] }[]
  >`select frames from practice_sent where id = ${id} for update`;
  const last = before!.frames.at(-1)?.t ?? -1;
  const all = [...before!.frames, ...frames.filter((f) => f.t > last)];
  await sql`update practice_sent set frames = ${asJson(sql, all)} where id = ${id}`;
  return all;
}

/** Drills sewn on a machine within the last day, newest first. */
export const readSent = (sql: Sql, most = 5): Promise<SentDrill[]> => sql<SentDrill[]>`
  select id, machine, began_at, frames from practice_sent
  where began_at > now() - interval '1 day' and jsonb_array_length(frames) >= 10
  order by began_at desc limit ${most}`;

/** Takes a run back, or lets it stand again; false when it is not there. */
export async function setTakenBack(sql: Sql, id: string, back: boolean): Promise<boolean> {
  const rows = await sql`
    update practice_run set taken_back_at = ${back ? new Date() : null} where id = ${id} returning id`;
  return rows.length === 1;
}
