'use client';
import { useState } from 'react';
import type { CalendarJob } from '@/actions/calendar';
import { doors } from '@/actions/doors';
import { dateOfDay } from '@/core/calendar/days';
import { ButtonLink } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { Link } from '@/ui/kit/Link';
import { Problems } from '@/ui/kit/Problems';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { Bar } from './Bar';
import { DayColumns } from './DayColumns';
import { HEAD_PX, ROW_PX, show } from './days';
import { TableLane } from './TableLane';

const MOST_DAYS = 120;
const chanceWord = (c: number) => (c >= 0.8 ? 'text-verdigris' : c >= 0.5 ? 'text-weld-text' : 'text-madder');

/** The frame by day: each quilt a stretch from when it goes on to when it is done, with its promise and the chance of it; and the table's own days. */
export function CalendarScreen({
  today,
  week,
  table,
  machines,
  jobs,
}: {
  today: number;
  /** Hours of each weekday at the frame, and at the table. */
  week: readonly number[];
  table: readonly number[];
  machines: { id: string; name: string }[];
  jobs: CalendarJob[];
}) {
  const [open, setOpen] = useState<CalendarJob | null>(null);
  const { send, problems } = useActionForm(doors.setDays, () => toast('The calendar is laid anew.'));
  if (jobs.length === 0) return <NothingWaits />;
  const last = Math.min(
    today + MOST_DAYS,
    Math.max(...jobs.map((j) => Math.max(j.handDay, j.dueDay, j.sureDay))) + 3,
  );
  const move = (j: CalendarJob, by: number) =>
    send({
      quiltId: j.id,
      version: j.quilt.version,
      startsOn: dateOfDay(Math.max(today, j.startDay + by)),
    });
  return (
    <div className="px-6 pt-4 pb-8">
      <CalendarHead week={week} table={table} late={jobs.filter((j) => j.chance < 0.8).length} />
      <Problems problems={problems} />
      {machines.map((m) => (
        <MachineLane
          key={m.id}
          name={m.name}
          jobs={jobs.filter((j) => j.machineId === m.id)}
          {...{ today, last, week }}
          onOpen={setOpen}
          onMove={move}
        />
      ))}
      <TableLane jobs={jobs} {...{ today, last }} week={table} />
      <ul className="mt-3 flex flex-wrap gap-5 text-13 text-ink2">
        <li>stretch: likely at the frame</li>
        <li>dashed end: off the frame by then 8 times in 10</li>
        <li>flag: the day promised</li>
        <li>◂ before the frame, ▸ after it, at the table</li>
      </ul>
      {open && <DaysDialog job={open} onClose={() => setOpen(null)} />}
    </div>
  );
}

const NothingWaits = () => (
  <Empty
    title="Nothing waits for the frame"
    act={
      <ButtonLink look="act" href="/take-in">
        Take in a quilt
      </ButtonLink>
    }
  >
    What is taken in is laid on the frame here, day by day, and you see which promises hold.
  </Empty>
);

const sum = (hours: readonly number[]) => hours.reduce((a, b) => a + b, 0);

function CalendarHead({
  week,
  table,
  late,
}: {
  week: readonly number[];
  table: readonly number[];
  /** Promises that are not sure enough. */
  late: number;
}) {
  const file =
    'inline-flex min-h-11 items-center rounded border-[1.5px] border-rule bg-cloth px-4 font-semibold';
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-24">Calendar of the frame</h1>
        <a href="/calendar/file" download className={file}>
          iCalendar file
        </a>
        <a href="/calendar/file?as=csv" download className={file}>
          CSV
        </a>
      </div>
      <p className="mt-1 text-ink2">
        {sum(week)} hours at the frame a week, {sum(table)} at the table. Drag a quilt, or move it with the
        arrows, to say when it may begin.
        {late > 0 && (
          <b className="text-madder">
            {' '}
            {late} {late === 1 ? 'promise is' : 'promises are'} less sure than 8 in 10.
          </b>
        )}
      </p>
    </>
  );
}

/** One machine's frame, its quilts one under the other. */
function MachineLane({
  name,
  jobs,
  today,
  last,
  week,
  onOpen,
  onMove,
}: {
  name: string;
  jobs: readonly CalendarJob[];
  today: number;
  last: number;
  week: readonly number[];
  onOpen: (job: CalendarJob) => void;
  onMove: (job: CalendarJob, days: number) => void;
}) {
  return (
    <section aria-label={name} className="mt-4 border-t-2 border-ink pt-2">
      <h2 className="text-20">{name}</h2>
      <div className="mt-2 grid grid-cols-[230px_minmax(0,1fr)]">
        <ol style={{ paddingTop: HEAD_PX }}>
          {jobs.map((j) => (
            <JobRow key={j.id} job={j} />
          ))}
        </ol>
        <DayColumns
          label={`Days of ${name}`}
          {...{ today, last, week }}
          height={HEAD_PX + jobs.length * ROW_PX}
        >
          {jobs.map((j, i) => (
            <Bar
              key={j.id + j.quilt.version}
              job={j}
              today={today}
              y={HEAD_PX + i * ROW_PX}
              onOpen={() => onOpen(j)}
              onMove={(by) => onMove(j, by)}
            />
          ))}
        </DayColumns>
      </div>
    </section>
  );
}

const JobRow = ({ job: j }: { job: CalendarJob }) => (
  <li style={{ height: ROW_PX }} className="border-b pr-3 leading-tight">
    <Link href={`/quilts/${j.id}/quilt`} className="font-semibold hover:underline">
      {j.quilt.name}
    </Link>
    <span className="block text-13">
      {j.overdue ? (
        <b className="text-madder">overdue since {show(j.dueDay, 'd MMM')}</b>
      ) : (
        <>
          due {show(j.dueDay, 'EEE d MMM')}:{' '}
          <b className={chanceWord(j.chance)}>{Math.round(j.chance * 100)} %</b>
        </>
      )}
      <span className="text-ink2"> · {j.hours.mid.toFixed(1)} h</span>
    </span>
  </li>
);

/** When a quilt may begin and for when it is promised. */
function DaysDialog({ job, onClose }: { job: CalendarJob; onClose: () => void }) {
  return (
    <RecordDialog
      title={job.quilt.name}
      about={`${job.quilt.client}. Likely off the frame ${show(job.endDay, 'EEE d MMM')}, 8 times in 10 by ${show(job.sureDay, 'EEE d MMM')}; ready to hand over ${show(job.handDay, 'EEE d MMM')}.`}
      onClose={onClose}
      specs={[
        {
          name: 'startsOn',
          label: 'May begin',
          kind: 'date',
          hint: 'empty: as soon as the frame is free',
        },
        { name: 'dueOn', label: 'Promised for', kind: 'date' },
      ]}
      initial={{ startsOn: job.quilt.startsOn, dueOn: job.quilt.dueOn }}
      fixed={{ quiltId: job.id, version: job.quilt.version }}
      act={(input) => {
        const form = input as { dueOn: string | null };
        // A promise that is past stays as it is unless it is moved.
        return doors.setDays(form.dueOn === job.quilt.dueOn ? { ...form, dueOn: null } : form);
      }}
      onDone={onClose}
      submit="Lay it so"
    />
  );
}
