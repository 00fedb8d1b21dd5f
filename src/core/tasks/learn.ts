import type { Range } from '../statistics/log-normal';
import { Z80 } from '../statistics/normal';
import { TASKS, type TaskSize } from '../tables/tasks';

/** A task that was timed: how long it took, and what was predicted for it then. */
export interface TimedTask {
  task: string;
  minutes: number;
  predictedMin: number;
}

/** What the studio's clock says of a task: its factor on the usual minutes, as the middle of ln and its spread. */
export interface TaskFactor {
  mean: number;
  /** Spread of the factor itself, and of one time about it. */
  sd: number;
  timeSd: number;
  times: number;
}
export type TaskFactors = ReadonlyMap<string, TaskFactor>;

/** Prior spread of the ln factor of an act (judgement). */
const PRIOR_SD = 0.3;
/** Shorter than this was a slip of the finger, minutes. */
const LEAST_MIN = 0.5;

const timeSd = (task: string) => Math.log(TASKS.get(task).range[1]) / Z80;

/**
 * Factors of tasks from the times they took: each a ln-factor with prior 0 ± 0.30, each time about it with the task's own
 * spread; exact for that model. Unknown tasks and times under half a minute say nothing.
 */
export function learnTasks(timed: readonly TimedTask[]): TaskFactors {
  const sums = new Map<string, { n: number; sum: number }>();
  for (const t of timed) {
    if (!TASKS.find(t.task) || t.minutes < LEAST_MIN || !(t.predictedMin > 0)) continue;
    const s = sums.get(t.task) ?? { n: 0, sum: 0 };
    sums.set(t.task, { n: s.n + 1, sum: s.sum + Math.log(t.minutes / t.predictedMin) });
  }
  return new Map(
    [...sums].map(([task, { n, sum }]) => {
      const noise = timeSd(task) ** -2;
      const precision = PRIOR_SD ** -2 + n * noise;
      return [
        task,
        { mean: (sum * noise) / precision, sd: precision ** -0.5, timeSd: timeSd(task), times: n },
      ];
    }),
  );
}

/** Minutes of a task on a quilt of this size, as the studio's clock has them: middle and 80 % range; the usual range while it was never timed. */
export function taskMinutes(id: string, size: TaskSize, factors: TaskFactors = new Map()): Range {
  const { minutes, range } = TASKS.get(id, 'tasks');
  const usual = minutes(size);
  const f = factors.get(id);
  if (!f) return { low: usual * range[0], mid: usual, high: usual * range[1] };
  const mid = usual * Math.exp(f.mean);
  const spread = Math.exp(Z80 * Math.hypot(f.sd, f.timeSd));
  return { low: mid / spread, mid, high: mid * spread };
}
