'use client';
import { useDrag } from '@use-gesture/react';
import { useState } from 'react';
import type { CalendarJob } from '@/actions/calendar';
import { DAY_PX, show } from './days';

/** A quilt at the frame: from when it goes on to when it is done, moved by dragging or with the arrows; its promise as a flag. */
export function Bar({
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
      {job.dueDay >= today && <Flag job={job} left={x(job.dueDay) + DAY_PX - 3} top={y + 4} />}
    </>
  );
}

/** The day promised. */
function Flag({ job, left, top }: { job: CalendarJob; left: number; top: number }) {
  const colour = job.chance < 0.8 ? 'var(--madder)' : 'var(--verdigris)';
  return (
    <svg aria-hidden className="absolute" width="16" height="40" style={{ left, top }}>
      <path d="M2 0v40M2 0h12l-4 6 4 6H2" fill={colour} stroke={colour} strokeWidth="1.6" />
    </svg>
  );
}
