'use client';
import { doors } from '@/actions/doors';
import type { QuiltTask } from '@/actions/tasks';
import { learned, predicted } from '@/core/source/known';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { useActionForm } from '@/ui/kit/use-action-form';
import { useNow } from '@/ui/kit/use-now';

/** Tasks of a quilt away from the frame, each with a clock of its own. */
export function TaskList({ tasks, askedAt }: { tasks: readonly QuiltTask[]; askedAt: number }) {
  const { send, pending, problems } = useActionForm(doors.workTask, () => {});
  const now = useNow(tasks.some((k) => k.state === 'running')) || askedAt;
  return (
    <>
      <ul>
        {tasks.map((k) => (
          <Task
            key={k.task}
            task={k}
            now={now}
            pending={pending}
            onAct={(act) => send({ quiltId: k.quiltId, task: k.task, version: k.version, act })}
          />
        ))}
      </ul>
      <Problems problems={problems} />
    </>
  );
}

const minutesText = (m: number) => (m < 60 ? `${Math.round(m)} min` : `${(m / 60).toFixed(1)} h`);

/** One task: how long it usually takes, its clock, and what can be done with it. */
function Task({
  task: k,
  now,
  pending,
  onAct,
}: {
  task: QuiltTask;
  now: number;
  pending: boolean;
  onAct: (act: 'start' | 'pause' | 'done' | 'reopen' | 'not-here') => void;
}) {
  const spent = k.spentMin + (k.runningSince ? Math.max(0, now - k.runningSince.getTime()) / 60_000 : 0);
  const over = k.state === 'done' || k.state === 'not-here';
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-b py-1">
      <span className={`min-w-[200px] flex-1 ${over ? 'text-ink2 line-through' : ''}`}>{k.label}</span>
      <span className="w-36 text-ink2">
        <Sourced of={k.times > 0 ? learned(null) : predicted(null)}>
          {minutesText(k.minutes.low)} to {minutesText(k.minutes.high)}
        </Sourced>
      </span>
      <span className="w-32 font-semibold tabular-nums" aria-live={k.state === 'running' ? 'off' : undefined}>
        {k.state === 'not-here'
          ? 'not done here'
          : spent > 0
            ? `${minutesText(spent)}${k.state === 'running' ? ', going' : ''}`
            : ''}
      </span>
      <span className="flex gap-2 print:hidden">
        {over ? (
          <Button
            look="quiet"
            disabled={pending}
            onClick={() => onAct('reopen')}
            aria-label={`${k.label}: undo`}
          >
            Undo
          </Button>
        ) : (
          <>
            <Button
              disabled={pending}
              onClick={() => onAct(k.state === 'running' ? 'pause' : 'start')}
              aria-label={`${k.label}: ${k.state === 'running' ? 'pause' : 'start'} the clock`}
            >
              {k.state === 'running' ? 'Pause' : 'Start'}
            </Button>
            <Button disabled={pending} onClick={() => onAct('done')} aria-label={`${k.label}: done`}>
              Done
            </Button>
            <Button
              look="quiet"
              disabled={pending}
              onClick={() => onAct('not-here')}
              aria-label={`${k.label}: not here`}
            >
              Not here
            </Button>
          </>
        )}
      </span>
    </li>
  );
}
