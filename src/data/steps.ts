import type { Part } from '@/core/hours/step';
import { asJson, type Sql } from './sql';

/** A step that was sewn. */
export interface NewStep {
  id: string;
  quiltId: string;
  pass: number;
  coneId: string;
  stabilise: boolean;
  minutes: number | null;
  parts: readonly Part[] | null;
  stitches: number;
  needleFittedId: string | null;
  /** What it wore of the needle, in stitches through plain cotton. */
  worn?: number;
  at?: Date;
  /** Its effect as it was written, to see whether it still is what the log says. */
  applied?: string;
}

/** Notes a step as sewn; false when it, or its whole pass, was sewn before. */
export async function insertStep(sql: Sql, s: NewStep): Promise<boolean> {
  const rows = await sql`
    insert into step_sewn (id, quilt_id, pass, cone_id, stabilise, minutes, parts, stitches, needle_fitted_id, worn, at, applied)
    select ${s.id}, ${s.quiltId}, ${s.pass}, ${s.coneId}, ${s.stabilise}, ${s.minutes},
           ${asJson(sql, s.parts)}, ${s.stitches}, ${s.needleFittedId},
           ${s.worn ?? 0}, ${s.at ?? new Date()}, ${s.applied ?? null}
    where not exists (select 1 from step_sewn where quilt_id = ${s.quiltId} and pass = ${s.pass} and cone_id is null)
    on conflict do nothing returning id`;
  return rows.length === 1;
}

/** Steps that can teach the hours, newest first: timed, with an honest prediction, not left out. */
export const readLoggedSteps = (
  sql: Sql,
  most: number,
): Promise<{ id: string; minutes: number; parts: Part[]; at: Date; by: string }[]> => sql`
  select id, minutes, parts, at, by_person as by from step_sewn
  where minutes is not null and parts is not null and not left_out order by at desc limit ${most}`;

/** A step as the tables have it. */
export interface StoredStep {
  id: string;
  pass: number;
  coneId: string | null;
  stabilise: boolean;
  stitches: number;
  worn: number;
  needleFittedId: string | null;
  applied: string | null;
  /** Told by an entry of the log. */
  ofLog: boolean;
}

/** The sewn steps of a quilt. */
export const readStepsOf = (sql: Sql, quiltId: string): Promise<StoredStep[]> => sql<StoredStep[]>`
  select s.id, s.pass, s.cone_id, s.stabilise, s.stitches, s.worn, s.needle_fitted_id, s.applied,
         exists (select from log_entry e where e.id = s.id) as of_log
  from step_sewn s where s.quilt_id = ${quiltId}`;

/** Takes a sewn step out, and what it sewed in each zone with it. */
export const deleteStep = (sql: Sql, id: string) => sql`delete from step_sewn where id = ${id}`;

/** Steps of a quilt that were sewn before the log began, or came in with a saved studio; without a cone: a whole pass. */
export const readSewnBeforeLog = (
  sql: Sql,
  quiltId: string,
): Promise<{ pass: number; coneId: string | null; stabilise: boolean }[]> => sql`
  select s.pass, s.cone_id, s.stabilise from step_sewn s
  where s.quilt_id = ${quiltId} and not exists (select from log_entry e where e.id = s.id)`;
