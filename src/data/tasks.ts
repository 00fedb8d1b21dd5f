import type { TimedTask } from '@/core/tasks/learn';
import type { Sql } from './sql';

/** A task of a quilt with its clock. */
export interface TaskTime {
  id: string;
  quiltId: string;
  task: string;
  state: 'open' | 'running' | 'done' | 'not-here';
  runningSince: Date | null;
  minutes: number;
  predictedMin: number;
  doneAt: Date | null;
  version: number;
}

const COLUMNS = [
  'id',
  'quiltId',
  'task',
  'state',
  'runningSince',
  'minutes',
  'predictedMin',
  'doneAt',
  'version',
];

/** The tasks with a clock of quilts that are still here. */
export const readTaskTimes = (sql: Sql): Promise<TaskTime[]> => sql<TaskTime[]>`
  select ${sql(COLUMNS.map((c) => `t.${c}`))} from task_time t join quilt q on q.id = t.quilt_id
  where q.handed_back_on is null and q.withdrawn_on is null`;

export async function readTaskTime(sql: Sql, quiltId: string, task: string): Promise<TaskTime | null> {
  const [row] = await sql<TaskTime[]>`
    select ${sql(COLUMNS)} from task_time where quilt_id = ${quiltId} and task = ${task}`;
  return row ?? null;
}

/** Keeps a task as it stands now, when it is still as it was seen; false when changed meanwhile. */
export async function putTaskTime(sql: Sql, t: TaskTime, seen: number): Promise<boolean> {
  const rows = await sql`
    insert into task_time (id, quilt_id, task, state, running_since, minutes, predicted_min, done_at)
    select ${t.id}, ${t.quiltId}, ${t.task}, ${t.state}, ${t.runningSince}, ${t.minutes}, ${t.predictedMin}, ${t.doneAt}
    where ${seen} = 0 or exists (select from task_time where quilt_id = ${t.quiltId} and task = ${t.task})
    on conflict (quilt_id, task) do update set state = excluded.state, running_since = excluded.running_since,
      minutes = excluded.minutes, done_at = excluded.done_at, version = task_time.version + 1
    where task_time.version = ${seen} returning id`;
  return rows.length === 1;
}

/** Times that teach: what was done with a clock, the newest first. */
export const readTimedTasks = (sql: Sql, most = 400): Promise<TimedTask[]> => sql<TimedTask[]>`
  select task, minutes, predicted_min from task_time where state = 'done' and minutes > 0 order by done_at desc limit ${most}`;

/** The tasks of the offer that stands for each quilt that is still here. */
export const readOfferedTasks = async (sql: Sql): Promise<Map<string, string[]>> =>
  new Map(
    (
      await sql<{ quiltId: string; tasks: string[] }[]>`
    select o.quilt_id, o.tasks from offer o join quilt q on q.id = o.quilt_id
    where o.state in ('offered', 'agreed') and q.handed_back_on is null and q.withdrawn_on is null`
    ).map((r) => [r.quiltId, r.tasks]),
  );
