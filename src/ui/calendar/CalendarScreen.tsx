'use client';
import { useDrag } from '@use-gesture/react';
import { format, parseISO } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import { useState } from 'react';
import { toast } from '@/ui/kit/toast';
import type { CalendarJob } from '@/actions/calendar';
import { doors } from '@/actions/doors';
import { dateOfDay } from '@/core/calendar/days';
import { Empty } from '@/ui/kit/Empty';
import { ButtonLink } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { useActionForm } from '@/ui/kit/use-action-form';

const DAY_PX = 40;
const ROW_PX = 52;
const MOST_DAYS = 120;
const show = (day: number, pattern: string) => format(parseISO(dateOfDay(day)), pattern);
const chanceWord = (c: number) => (c >= 0.8 ? 'text-verdigris' : c >= 0.5 ? 'text-weld-text' : 'text-madder');

/** The frame by day: each quilt a stretch from when it goes on to when it is done, with its promise and the chance of it. */
export function CalendarScreen({
  today,
  week,
  machines,
  jobs,
}: {
  today: number;
  week: number[];
  machines: { id: string; name: string }[];
  jobs: CalendarJob[];
}) {
  const [open, setOpen] = useState<CalendarJob | null>(null);
  const { send, problems } = useActionForm(doors.setDays, () => toast('The calendar is laid anew.'));
  if (jobs.length === 0)
    return (
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
  const last = Math.min(
    today + MOST_DAYS,
    Math.max(...jobs.map((j) => Math.max(j.endDay, j.dueDay, j.sureDay))) + 3,
  );
  const days = Array.from({ length: last - today + 1 }, (_, i) => today + i);
  const late = jobs.filter((j) => j.chance < 0.8);
  return (
    <div className="px-6 pt-4 pb-8">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-24">Calendar of the frame</h1>
        <a
          href="/calendar/file"
          download
          className="inline-flex min-h-11 items-center rounded border-[1.5px] border-rule bg-cloth px-4 font-semibold"
        >
          iCalendar file
        </a>
        <a
          href="/calendar/file?as=csv"
          download
          className="inline-flex min-h-11 items-center rounded border-[1.5px] border-rule bg-cloth px-4 font-semibold"
        >
          CSV
        </a>
      </div>
      <p className="mt-1 text-ink2">
        {week.reduce((a, b) => a + b, 0)} hours at the frame a week. Drag a quilt, or move it with the arrows,
        to say when it may begin.
        {late.length > 0 && (
          <b className="text-madder">
            {' '}
            {late.length} {late.length === 1 ? 'promise is' : 'promises are'} less sure than 8 in 10.
          </b>
        )}
      </p>
      <Problems problems={problems} />
      {machines.map((m) => {
        const own = jobs.filter((j) => j.machineId === m.id);
        return (
          <section key={m.id} aria-label={m.name} className="mt-4 border-t-2 border-ink pt-2">
            <h2 className="text-20">{m.name}</h2>
            <div className="mt-2 grid grid-cols-[230px_minmax(0,1fr)]">
              <ol style={{ paddingTop: 40 }}>
                {own.map((j) => (
                  <li key={j.id} style={{ height: ROW_PX }} className="border-b pr-3 leading-tight">
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
                ))}
              </ol>
              <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={`Days of ${m.name}`}>
                <div
                  className="relative"
                  style={{ width: days.length * DAY_PX, height: 40 + own.length * ROW_PX }}
                >
                  {days.map((d, i) => (
                    <div
                      key={d}
                      className={`absolute top-0 bottom-0 border-l ${(week[((d % 7) + 7) % 7] ?? 0) === 0 ? 'bg-sunk' : ''}`}
                      style={{ left: i * DAY_PX, width: DAY_PX }}
                    >
                      <span
                        className={`block text-center whitespace-nowrap text-13 leading-tight ${d === today ? 'font-bold text-indigo' : 'text-ink2'}`}
                      >
                        {show(d, 'EEEEE')}
                        <br />
                        {show(d, 'd')}
                        {/* Two months beside each other would run into one. */}
                        {(show(d, 'd') === '1' || (i === 0 && show(d + 1, 'd') !== '1')) &&
                          ` ${show(d, 'MMM')}`}
                      </span>
                    </div>
                  ))}
                  {own.map((j, i) => (
                    <Bar
                      key={j.id + j.quilt.version}
                      job={j}
                      today={today}
                      y={40 + i * ROW_PX}
                      onOpen={() => setOpen(j)}
                      onMove={(by) =>
                        send({
                          quiltId: j.id,
                          version: j.quilt.version,
                          startsOn: dateOfDay(Math.max(today, j.startDay + by)),
                        })
                      }
                    />
                  ))}
                </div>
              </div>
            </div>
          </section>
        );
      })}
      <ul className="mt-3 flex flex-wrap gap-5 text-13 text-ink2">
        <li>stretch: likely at the frame</li>
        <li>dashed end: done by then 8 times in 10</li>
        <li>flag: the day promised</li>
      </ul>
      {open && (
        <RecordDialog
          title={open.quilt.name}
          about={`${open.quilt.client}. Likely done ${show(open.endDay, 'EEE d MMM')}, 8 times in 10 by ${show(open.sureDay, 'EEE d MMM')}.`}
          onClose={() => setOpen(null)}
          specs={[
            {
              name: 'startsOn',
              label: 'May begin',
              kind: 'date',
              hint: 'empty: as soon as the frame is free',
            },
            { name: 'dueOn', label: 'Promised for', kind: 'date' },
          ]}
          initial={{ startsOn: open.quilt.startsOn, dueOn: open.quilt.dueOn }}
          fixed={{ quiltId: open.id, version: open.quilt.version }}
          act={(input) => {
            const form = input as { dueOn: string | null };
            // A promise that is past stays as it is unless it is moved.
            return doors.setDays(form.dueOn === open.quilt.dueOn ? { ...form, dueOn: null } : form);
          }}
          onDone={() => setOpen(null)}
          submit="Lay it so"
        />
      )}
    </div>
  );
}

function Bar({
  job,
  today,
  y,
  onOpen,
  onMove,
}: {
  job: CalendarJob;
  today: number;
  y: number;
  onOpen: () => void;
  onMove: (days: number) => void;
}) {
  const [by, setBy] = useState(0);
  const drag = useDrag(
    ({ movement: [mx], last, tap }) => {
      const days = Math.round(mx / DAY_PX);
      if (tap) return;
      setBy(last ? 0 : days);
      if (last && days !== 0) onMove(days);
    },
    { filterTaps: true, axis: 'x' },
  );
  const x = (day: number) => (day - today) * DAY_PX;
  const due = x(job.dueDay) + DAY_PX;
  return (
    <>
      <span
        aria-hidden
        className="absolute border-y border-r border-dashed border-walnut"
        style={{
          left: x(job.startDay + by),
          top: y + 10,
          width: (job.sureDay - job.startDay + 1) * DAY_PX - 4,
          height: 32,
        }}
      />
      <button
        type="button"
        {...drag()}
        aria-label={`${job.quilt.name}: ${show(job.startDay, 'd MMM')} to ${show(job.endDay, 'd MMM')}; arrows move it, Enter opens`}
        onClick={onOpen}
        onKeyDown={(e) => {
          const step = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
          if (step === undefined) return;
          e.preventDefault();
          onMove(step);
        }}
        className={`absolute touch-none truncate rounded border px-2 text-left text-13 font-semibold ${job.onFrame ? 'border-indigo bg-indigo text-on-act' : 'border-walnut bg-walnut-tint'}`}
        style={{
          left: x(job.startDay + by) + 1,
          top: y + 10,
          width: (job.endDay - job.startDay + 1) * DAY_PX - 4,
          height: 32,
        }}
      >
        {job.quilt.name}
      </button>
      {job.dueDay >= today && (
        <svg aria-hidden className="absolute" width="16" height="40" style={{ left: due - 3, top: y + 4 }}>
          <path
            d="M2 0v40M2 0h12l-4 6 4 6H2"
            fill={job.chance < 0.8 ? 'var(--madder)' : 'var(--verdigris)'}
            stroke={job.chance < 0.8 ? 'var(--madder)' : 'var(--verdigris)'}
            strokeWidth="1.6"
          />
        </svg>
      )}
    </>
  );
}
