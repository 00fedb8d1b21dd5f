import { HABIT, type HabitFields } from '@/core/fields/habit';
import type { Judged } from '@/core/practice/judge';
import { columnsOf } from './columns';
import type { Sql } from './sql';

const FIELDS = columnsOf(HABIT);

/** How a person works at the machine; null while she never said. */
export async function readHabit(
  sql: Sql,
  personId: string,
): Promise<(HabitFields & { version: number }) | null> {
  const [row] = await sql<(HabitFields & { version: number })[]>`
    select ${sql(FIELDS)}, version from habit where person_id = ${personId}`;
  return row ?? null;
}

/** Keeps it when it is still as it was seen; false when changed meanwhile. */
export async function putHabit(
  sql: Sql,
  personId: string,
  fields: HabitFields,
  seen: number,
): Promise<boolean> {
  const row = { ...fields, personId };
  // A page that saw something kept does not keep anew what is gone.
  if (seen > 0 && (await readHabit(sql, personId)) === null) return false;
  const rows = await sql`
    insert into habit ${sql(row, 'personId', ...FIELDS)}
    on conflict (person_id) do update set ${sql(row, ...FIELDS)}, version = habit.version + 1
    where habit.version = ${seen} returning version`;
  return rows.length === 1;
}

/** Hours a person's hands sewed in each technique, by the steps she logged: each step's minutes shared out by what was predicted. */
export const readHoursByTechnique = (
  sql: Sql,
  personId: string,
): Promise<{ technique: string; hours: number; steps: number }[]> => sql`
  select p ->> 'technique' as technique, count(distinct s.id)::int as steps,
         sum(s.minutes * (p ->> 'handsMin')::float8 / nullif(t.total, 0)) / 60 as hours
  from step_sewn s
  cross join lateral jsonb_array_elements(s.parts) p
  cross join lateral (
    select sum((x ->> 'handsMin')::float8 + (x ->> 'actsMin')::float8 + coalesce((x ->> 'setMin')::float8, 0)) as total
    from jsonb_array_elements(s.parts) x) t
  where s.minutes is not null and s.parts is not null and not s.left_out and s.by_person = ${personId}
  group by 1`;

/** The drills of a person that stand, oldest first. */
export const readDrillsOf = (
  sql: Sql,
  personId: string,
): Promise<{ drill: string; judged: Judged; at: Date }[]> => sql`
  select drill, judged, at from practice_run
  where taken_back_at is null and by_person = ${personId} order by at, id`;

/** How uneven stitches on her photographs of tests were, per cent, by technique; oldest first. */
export const readTestedStitches = (
  sql: Sql,
  personId: string,
): Promise<{ technique: string; cvPct: number }[]> => sql`
  select z.technique, (r.measured ->> 'cvPct')::float8 as cv_pct
  from test_round r join setup s on s.id = r.setup_id join zone z on z.id = s.zone_id
  where r.by_person = ${personId} and r.measured ->> 'cvPct' is not null order by r.id`;
