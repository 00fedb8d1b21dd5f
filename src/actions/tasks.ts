import 'reflect-metadata';
import { v7 as uuidv7 } from 'uuid';
import { learnTasks, type TaskFactors, taskMinutes } from '@/core/tasks/learn';
import type { Range } from '@/core/statistics/log-normal';
import { TASKS, type Task, type TaskSize } from '@/core/tables/tasks';
import { readQuilt } from '@/data/quilts';
import type { Sql } from '@/data/sql';
import {
  putTaskTime,
  readOfferedTasks,
  readTaskTime,
  readTaskTimes,
  readTimedTasks,
  type TaskTime,
} from '@/data/tasks';
import type { Quilt } from '@/data/types';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Maybe, Num, OneOf, QuiltId, Version } from './rules';
import { MEANWHILE, save } from './save';

/** What of a quilt its tasks follow from. */
export function taskSize(quilt: Pick<Quilt, 'widthIn' | 'lengthIn' | 'backingClothIn'>): TaskSize {
  const across = quilt.backingClothIn ?? USUAL_IN;
  const seams = Math.max(0, Math.ceil(Math.min(quilt.widthIn, quilt.lengthIn) / across) - 1);
  return {
    widthIn: quilt.widthIn,
    lengthIn: quilt.lengthIn,
    pieces: Math.round((quilt.widthIn * quilt.lengthIn) / PIECE_IN2),
    backingSeams: seams,
    backingSeamIn: seams * Math.max(quilt.widthIn, quilt.lengthIn),
  };
}
const USUAL_IN = 44;
/** A piece of a top has about so many square inches (judgement). */
const PIECE_IN2 = 16;

/** What the studio's own clock says of its tasks. */
export const readTaskFactors = async (sql: Sql): Promise<TaskFactors> =>
  learnTasks(await readTimedTasks(sql));

/** A task of a quilt away from the frame, as it stands. */
export interface QuiltTask {
  quiltId: string;
  task: string;
  label: string;
  when: Task['when'];
  driesDays: number;
  minutes: Range;
  /** From so many times this studio timed it; 0: the usual minutes. */
  times: number;
  state: TaskTime['state'];
  runningSince: Date | null;
  spentMin: number;
  version: number;
}

/** What stands in a quilt's offer, else what a studio usually does itself. */
const tasksOf = (offered: readonly string[] | undefined): readonly Task[] =>
  offered ? offered.flatMap((id) => TASKS.find(id) ?? []) : TASKS.rows.filter((t) => t.usual);

/** The tasks of quilts that wait, by quilt: those of the offer that stands, with their minutes as this studio's clock has them. */
export async function readTasks(
  sql: Sql,
  quilts: readonly Pick<Quilt, 'id' | 'widthIn' | 'lengthIn' | 'backingClothIn'>[],
): Promise<Map<string, QuiltTask[]>> {
  const [offered, timed, factors] = await Promise.all([
    readOfferedTasks(sql),
    readTaskTimes(sql),
    readTaskFactors(sql),
  ]);
  return new Map(
    quilts.map((q) => {
      const size = taskSize(q);
      return [
        q.id,
        tasksOf(offered.get(q.id)).map((t): QuiltTask => {
          const clock = timed.find((x) => x.quiltId === q.id && x.task === t.id);
          return {
            quiltId: q.id,
            task: t.id,
            label: t.label,
            when: t.when,
            driesDays: t.driesDays,
            minutes: taskMinutes(t.id, size, factors),
            times: factors.get(t.id)?.times ?? 0,
            state: clock?.state ?? 'open',
            runningSince: clock?.runningSince ?? null,
            spentMin: clock?.minutes ?? 0,
            version: clock?.version ?? 0,
          };
        }),
      ];
    }),
  );
}

const ACTS = ['start', 'pause', 'done', 'reopen', 'not-here'] as const;

export class WorkTask {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @OneOf(TASKS.ids, 'This task is not known. Reload the page.') task!: string;
  @OneOf(ACTS, 'Start, pause, done, open again, or not done here.') act!: (typeof ACTS)[number];
  @Version() version!: number;
  /** For one that is done without the clock. */
  @Maybe() @Num(0.5, 6000, 'Minutes') minutes?: number | null;
}

const MOST_MIN = 6000;
/** A clock that was forgotten ran no longer than a day's work, minutes. */
const LONGEST_RUN_MIN = 600;

/** Starts, pauses or ends the clock of a task, or says that it is not done here. */
export const workTask = (context: Context, input: unknown): Promise<Result<{ minutes: number }>> =>
  save<WorkTask, { minutes: number }>(
    context,
    'work-task',
    WorkTask,
    input,
    async (tx, form) => {
      const quilt = await readQuilt(tx, form.quiltId);
      if (!quilt) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
      const was = await readTaskTime(tx, form.quiltId, form.task);
      const ran = was?.runningSince
        ? Math.min(
            LONGEST_RUN_MIN,
            Math.max(0, (context.now.getTime() - was.runningSince.getTime()) / 60_000),
          )
        : 0;
      const minutes = Math.min(MOST_MIN, form.minutes ?? (was?.minutes ?? 0) + ran);
      const next: TaskTime = {
        id: was?.id ?? uuidv7(),
        quiltId: form.quiltId,
        task: form.task,
        predictedMin: was?.predictedMin ?? taskMinutes(form.task, taskSize(quilt)).mid,
        version: was?.version ?? 0,
        minutes,
        runningSince: form.act === 'start' ? context.now : null,
        doneAt: form.act === 'done' ? context.now : null,
        state: STATE_AFTER[form.act],
      };
      return (await putTaskTime(tx, next, form.version)) ? done({ minutes }) : conflict(MEANWHILE);
    },
    { task_time_quilt_id_fkey: ['quiltId', 'This quilt is not known. Go back to the Rack.'] },
  );

const STATE_AFTER: Readonly<Record<(typeof ACTS)[number], TaskTime['state']>> = {
  start: 'running',
  pause: 'open',
  done: 'done',
  reopen: 'open',
  'not-here': 'not-here',
};
