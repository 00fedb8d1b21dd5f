import { Link } from '@/ui/kit/Link';
import type { Step } from '@/core/fields/lists';
import { SpoolGlyph } from '@/ui/spool/SpoolGlyph';
import type { Band } from '@/ui/spool/spool';
import { halfRing, threadLine } from './thread-line';

export interface StepFact {
  step: Step;
  label: string;
  fact: string;
  href: string | null;
}

const WIDTH = 1000;
const EYELETS = [110, 306, 502, 698, 874];
const Y = 27;

/** A quilt's five steps as eyelets on one thread: the way through the quilt. */
export function ThreadingPath(props: {
  name: string;
  about: string;
  steps: readonly StepFact[];
  current: Step;
  colour: string;
  bands: readonly Band[];
  fill: number;
}) {
  const { name, about, steps, colour } = props;
  const current = steps.findIndex((s) => s.step === props.current);
  const { gaps, eyelets } = threadLine([0, 20], EYELETS, Y, [960, Y - 2], current);
  return (
    <header className="relative flex h-[88px] border-b bg-cloth pl-5 max-sm:h-auto max-sm:flex-wrap">
      <div className="w-[190px] shrink-0 pt-3.5 max-sm:w-[calc(100%-78px)]">
        <h1 className="truncate text-24">{name}</h1>
        <p className="mt-1 truncate text-ink2">{about}</p>
      </div>
      <div className="w-[58px] shrink-0 pt-2.5">
        <SpoolGlyph width={48} height={66} bands={props.bands} fill={props.fill} />
      </div>
      <nav
        aria-label={`Steps of ${name}`}
        className="relative min-w-0 flex-1 max-sm:h-[70px] max-sm:flex-none max-sm:basis-full"
      >
        <svg
          viewBox={`0 0 ${WIDTH} 84`}
          preserveAspectRatio="none"
          className="absolute inset-0 h-[84px] w-full overflow-visible"
          aria-hidden
        >
          {gaps.map((g, i) => (
            <path
              key={i}
              d={g.d}
              fill="none"
              stroke={colour}
              strokeWidth={g.solid ? 3.4 : 2.6}
              strokeDasharray={g.solid ? undefined : '10 6'}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </svg>
        <svg
          className="absolute top-0 h-[84px] w-5 overflow-visible max-sm:hidden"
          style={{ left: '96%' }}
          viewBox="0 0 20 84"
          aria-hidden
        >
          <g transform={`translate(0 ${Y - 2})`}>
            <path
              d="M-4.500 -22h9v8l-1.500 3v26l-3 12-3-12v-26l-1.500-3z"
              fill="var(--cloth)"
              stroke="var(--ink)"
              strokeWidth="1.800"
              strokeLinejoin="round"
            />
            <ellipse cx="0" cy="12" rx="1.200" ry="3.200" fill="var(--ink)" />
          </g>
        </svg>
        <ol>
          {steps.map((s, i) => {
            const e = eyelets[i]!;
            const here = e.state === 'here';
            const ring = (
              <svg
                width="40"
                height="54"
                viewBox="-20 0 40 54"
                className="mx-auto block overflow-visible"
                aria-hidden
              >
                <path
                  d={halfRing(0, Y, e.r, 'front')}
                  fill="none"
                  stroke={e.state === 'ahead' ? 'var(--rule)' : 'var(--ink)'}
                  strokeWidth={here ? 4 : 2.6}
                />
                <path
                  d={halfRing(0, Y, e.r, 'back')}
                  fill="none"
                  stroke={e.state === 'ahead' ? 'var(--rule)' : 'var(--ink)'}
                  strokeWidth={here ? 4 : 2.6}
                />
              </svg>
            );
            const words = (
              <>
                {ring}
                <span
                  className={`-mt-[7px] block leading-tight max-sm:text-13 ${here ? 'text-[17px] font-bold' : 'font-medium'} ${e.state === 'ahead' ? 'text-ink2' : ''}`}
                >
                  {s.label}
                </span>
                <span className="block truncate text-13 leading-tight text-ink2 max-sm:sr-only">
                  {s.fact}
                </span>
              </>
            );
            const place =
              'absolute top-0 w-[136px] -translate-x-1/2 text-center h-[84px] max-sm:h-[66px] max-sm:w-[68px]';
            return (
              <li key={s.step}>
                {s.href ? (
                  <Link
                    href={s.href}
                    aria-current={here ? 'step' : undefined}
                    className={`${place} hover:underline`}
                    style={{ left: `${(EYELETS[i]! / WIDTH) * 100}%` }}
                  >
                    {words}
                  </Link>
                ) : (
                  <span className={place} style={{ left: `${(EYELETS[i]! / WIDTH) * 100}%` }}>
                    {words}
                  </span>
                )}
              </li>
            );
          })}
        </ol>
      </nav>
    </header>
  );
}
