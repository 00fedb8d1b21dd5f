import { format, parseISO } from 'date-fns';
import type { TodayView } from '@/actions/today';
import { Link } from '@/ui/kit/Link';
import { TaskList } from './TaskList';

/** Work away from the frame, quilt by quilt, each task with a clock of its own. */
export function TableWork({
  table,
  hours,
  askedAt,
}: {
  table: TodayView['table'];
  hours: TodayView['tableHours'];
  askedAt: number;
}) {
  const over = hours.waiting > hours.aWeek;
  return (
    <section aria-label="Away from the frame" className="mt-7">
      <h2 className="border-t-2 border-ink pt-2 text-20">Away from the frame</h2>
      <p className={over ? 'font-medium text-madder' : 'text-ink2'}>
        {hours.waiting < 0.1
          ? 'Nothing at the table waits for what goes on within a week.'
          : `${hours.waiting.toFixed(1)} h at the table wait for what goes on within a week; a week has ${hours.aWeek.toFixed(0)} h.`}
      </p>
      {table.map((t) => (
        <section key={t.quilt.id} id={t.quilt.id} aria-label={t.quilt.name} className="mt-3">
          <h3 className="text-16">
            <Link href={`/quilts/${t.quilt.id}`} className="hover:underline">
              {t.quilt.name}
            </Link>{' '}
            <span className="font-sans font-normal text-ink2">
              {t.quilt.client}
              {t.loads ? `, on the frame about ${format(parseISO(t.loads), 'EEE d MMM')}` : ', quilted'}
            </span>
          </h3>
          <TaskList tasks={t.tasks} askedAt={askedAt} />
        </section>
      ))}
      <p className="mt-3 text-13 text-ink2">
        What stands here is what this studio does by its offer. Found undone though the client was to do it:
        put it into the offer, and have it agreed first.
      </p>
    </section>
  );
}
