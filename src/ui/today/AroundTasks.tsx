import type { QuiltTask } from '@/actions/tasks';
import { Link } from '@/ui/kit/Link';
import { TaskList } from './TaskList';

const sumOf = (tasks: readonly QuiltTask[]) => tasks.reduce((s, t) => s + t.minutes.mid, 0);
const hours = (minutes: number) =>
  minutes < 60 ? `${Math.round(minutes)} min` : `${(minutes / 60).toFixed(1)} h`;

/** What is done to a quilt before the frame and after it, as its offer has it. */
export function AroundTasks({
  tasks,
  quiltId,
  askedAt,
}: {
  tasks: readonly QuiltTask[];
  quiltId: string;
  askedAt: number;
}) {
  const parts = [
    ['Before the frame', tasks.filter((t) => t.when === 'before')],
    ['After the frame', tasks.filter((t) => t.when === 'after')],
  ] as const;
  return (
    <div className="mt-3">
      {parts.map(([title, own]) => (
        <section key={title} aria-label={title} className="mt-2">
          <h3 className="text-16">
            {title}: {own.length === 0 ? 'nothing here' : hours(sumOf(own))}
          </h3>
          <TaskList tasks={own} askedAt={askedAt} />
        </section>
      ))}
      <p className="mt-3 text-ink2">
        The client does the rest. What this studio does stands in{' '}
        <Link href={`/quilts/${quiltId}/offer`} className="text-indigo underline">
          the offer
        </Link>
        ; found undone, put it in and have it agreed first.
      </p>
    </div>
  );
}
