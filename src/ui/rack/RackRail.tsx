import { Flag } from 'lucide-react';
import { Link } from '@/ui/kit/Link';
import { format, parseISO } from 'date-fns';
import type { RackQuilt } from '@/actions/rack';
import type { Rail } from '@/core/rack/rack';
import { Sourced } from '@/ui/kit/Sourced';
import { SpoolGlyph } from '@/ui/spool/SpoolGlyph';

/** Quilts hung on one rail; a year's worth of promises is counted, not drawn. */
const MOST_HANGING = 24;

/** A week of the rack: its hours, and a spool on a peg for every quilt due. */
export function RackRail({ rail }: { rail: Rail<RackQuilt> }) {
  return (
    <section
      aria-label={rail.title}
      className="grid min-h-[228px] grid-cols-[150px_1fr] max-sm:mb-4 max-sm:grid-cols-1"
    >
      <div>
        <h2 className="text-[22px]">{rail.title}</h2>
        <p className="mt-1 text-ink2">{rail.dates}</p>
        <Hours rail={rail} />
      </div>
      {rail.quilts.length === 0 ? (
        <p className="self-center border-b-[9px] border-[#8a6547] pb-4 text-ink2">
          No quilt is due. What comes in hangs here by its date.
        </p>
      ) : (
        <ul className="flex flex-wrap content-start">
          {rail.quilts.slice(0, MOST_HANGING).map((q) => (
            <li key={q.quilt.id} className="w-[159px] pb-3 max-sm:mt-4">
              <Hanging q={q} />
            </li>
          ))}
          {rail.quilts.length > MOST_HANGING && (
            <li className="w-[159px] self-center px-1.5 text-ink2">
              and {rail.quilts.length - MOST_HANGING} more; Find (Ctrl K) takes you to any of them
            </li>
          )}
          <li
            aria-hidden
            className="h-[127px] min-w-0 flex-1 border-b-[9px] border-[#8a6547] max-sm:hidden"
          />
        </ul>
      )}
    </section>
  );
}

function Hours({ rail }: { rail: Rail<RackQuilt> }) {
  const most = Math.max(rail.hoursLeft.value, rail.hoursAtFrame ?? 0, 1);
  const w = 118;
  const x = (h: number) => 1 + (h / most) * w;
  const over = rail.hoursAtFrame !== null && rail.hoursLeft.value > rail.hoursAtFrame;
  return (
    <div className="mt-2.5">
      <p className="whitespace-nowrap">
        <span className="text-[18px] font-bold">
          <Sourced of={rail.hoursLeft}>{rail.hoursLeft.value.toFixed(1)} h</Sourced>
        </span>{' '}
        <span className="text-ink2">to sew</span>
      </p>
      <svg width="128" height="20" aria-hidden>
        <path
          d={`M1 10H${x(rail.hoursLeft.value)}`}
          stroke="var(--ink)"
          strokeWidth={3}
          strokeDasharray="8 4"
        />
        {rail.hoursAtFrame !== null && (
          <path
            d={`M${x(rail.hoursAtFrame)} 2v16`}
            stroke={over ? 'var(--madder)' : 'var(--verdigris)'}
            strokeWidth={2.5}
          />
        )}
      </svg>
      <p className={over ? 'font-medium text-madder' : 'text-ink2'}>
        {rail.hoursAtFrame === null
          ? 'no hours set'
          : over
            ? `only ${rail.hoursAtFrame} h at the frame`
            : `of ${rail.hoursAtFrame} h at the frame`}
      </p>
    </div>
  );
}

function Hanging({ q }: { q: RackQuilt }) {
  const { quilt } = q;
  const page = quilt.step;
  return (
    <Link href={`/quilts/${quilt.id}/${page}`} className="group block">
      <span className="block border-b-[9px] border-[#8a6547] px-1.5 pt-1.5">
        <SpoolGlyph
          width={94}
          height={112}
          bands={q.bands}
          fill={q.fill}
          peg
          away={quilt.onFrameSince !== null}
          flag={q.daysOver > 0}
        />
      </span>
      <span className="block px-1.5 pt-2 leading-[1.3]">
        <b className="block font-slab text-20 leading-[1.1] font-semibold group-hover:underline">
          {quilt.name}
        </b>
        <span className="block">{quilt.client}</span>
        {q.daysOver > 0 ? (
          <span className="flex items-center gap-1.5 font-bold text-madder">
            <Flag size={14} aria-hidden fill="currentColor" /> {q.daysOver}{' '}
            {q.daysOver === 1 ? 'day' : 'days'} over
          </span>
        ) : (
          <span className="block">due {format(parseISO(quilt.dueOn), 'EEE d MMM')}</span>
        )}
        <span className="block text-ink2">{q.status}</span>
      </span>
    </Link>
  );
}
