import type { CalendarJob } from '@/actions/calendar';
import { stretchesOf } from '@/core/calendar/table';
import { Link } from '@/ui/kit/Link';
import { DAY_PX, HEAD_PX, show } from './days';
import { DayColumns } from './DayColumns';

const ROW_PX = 40;

const hoursText = (h: number) => (h < 1 ? `${Math.round(60 * h)} min` : `${h.toFixed(1)} h`);

/** What is done at the table before the frame and after it, day by day, while other quilts are sewn. */
export function TableLane({
  jobs,
  today,
  last,
  week,
}: {
  jobs: readonly CalendarJob[];
  today: number;
  last: number;
  week: readonly number[];
}) {
  const rows = jobs
    .map((job) => ({ job, stretches: stretchesOf(job) }))
    .filter(({ stretches }) => stretches.length > 0);
  if (rows.length === 0) return null;
  return (
    <section aria-label="At the table" className="mt-4 border-t-2 border-ink pt-2">
      <h2 className="text-20">At the table</h2>
      <div className="mt-2 grid grid-cols-[230px_minmax(0,1fr)]">
        <ol style={{ paddingTop: HEAD_PX }}>
          {rows.map(({ job, stretches }) => (
            <li key={job.id} style={{ height: ROW_PX }} className="border-b pr-3 leading-tight">
              <Link href={`/today#${job.id}`} className="font-semibold hover:underline">
                {job.quilt.name}
              </Link>
              <span className="block text-13 text-ink2">
                {stretches.map((s) => `${hoursText(s.hours)} ${s.when}`).join(', ')}
                {job.table.driesDays > 0 && `, dries ${job.table.driesDays} days`}
              </span>
            </li>
          ))}
        </ol>
        <DayColumns
          label="Days at the table"
          {...{ today, last, week }}
          height={HEAD_PX + rows.length * ROW_PX}
        >
          {rows.flatMap(({ job, stretches }, i) =>
            stretches.map((s) => (
              <span
                key={job.id + s.when}
                role="img"
                aria-label={`${job.quilt.name}, ${s.when} the frame: ${show(s.from, 'd MMM')} to ${show(s.to, 'd MMM')}`}
                className={`absolute rounded border border-walnut text-center text-13 leading-5 ${s.when === 'before' ? 'bg-walnut-tint' : 'bg-cloth'}`}
                style={{
                  left: (s.from - today) * DAY_PX + 2,
                  top: HEAD_PX + i * ROW_PX + 8,
                  width: (s.to - s.from + 1) * DAY_PX - 5,
                  height: 22,
                }}
              >
                {s.when === 'before' ? '◂' : '▸'}
              </span>
            )),
          )}
        </DayColumns>
      </div>
    </section>
  );
}
