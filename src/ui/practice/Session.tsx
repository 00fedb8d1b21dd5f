'use client';
import { useState } from 'react';
import { DRILLS } from '@/core/practice/drills';
import { SESSION_MINUTES, type SessionMinutes, sessionOf } from '@/core/practice/session';
import { TextField } from '@/ui/kit/Field';
import { Link } from '@/ui/kit/Link';
import { Taps } from '@/ui/kit/Taps';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
/** Monday is 1, Sunday 0. */
const numberOf = (i: number) => (i + 1) % 7;

/** A session of so many minutes: which drills, how often; and reminders for one’s own calendar. */
export function Session({ runs, now }: { runs: readonly { drill: string; at: Date }[]; now: number }) {
  const [minutes, setMinutes] = useState<SessionMinutes>(10);
  const [days, setDays] = useState<readonly number[]>([1, 3, 5]);
  const [at, setAt] = useState('18:00');
  const steps = sessionOf(minutes, runs, now);
  const isTime = /^([01]?\d|2[0-3]):[0-5]\d$/.test(at);
  return (
    <details className="mt-3 border-y py-1">
      <summary className="min-h-11 cursor-pointer py-2 font-medium">
        A session: what to draw, and when
      </summary>
      <div className="grid gap-x-8 gap-y-4 pb-3 md:grid-cols-2">
        <div>
          <Taps
            label="Minutes"
            value={String(minutes)}
            onChange={(v) => setMinutes(Number(v) as SessionMinutes)}
            options={SESSION_MINUTES.map((m) => ({ value: String(m), label: String(m) }))}
          />
          <ol className="mt-2">
            {steps.map((s) => (
              <li key={s.drill} className="flex flex-wrap items-baseline gap-x-3 border-b py-1">
                <Link href={`/practice?drill=${s.drill}`} className="font-semibold underline">
                  {DRILLS.get(s.drill).label}
                </Link>
                <span>{s.times} times</span>
                <span className="text-13 text-ink2">{s.why}</span>
              </li>
            ))}
          </ol>
          <p className="mt-1 text-13 text-ink2">
            Shake out the hands between drills. Pain or tingling: stop, and ask somebody who knows.
          </p>
        </div>
        <div>
          <div role="group" aria-label="Days to practise" className="flex flex-wrap gap-1">
            {DAYS.map((name, i) => {
              const d = numberOf(i);
              const on = days.includes(d);
              return (
                <button
                  key={name}
                  type="button"
                  aria-pressed={on}
                  onClick={() => setDays(on ? days.filter((x) => x !== d) : [...days, d])}
                  className="min-h-11 rounded border border-rule bg-cloth px-3 aria-pressed:border-indigo aria-pressed:bg-indigo-tint aria-pressed:font-semibold"
                >
                  {name}
                </button>
              );
            })}
          </div>
          <div className="mt-2 flex flex-wrap items-end gap-3">
            <div className="w-28">
              <TextField
                id="practice-at"
                label="At"
                value={at}
                onChange={(e) => setAt(e.target.value)}
                error={isTime ? undefined : 'A time, such as 18:00.'}
              />
            </div>
            {isTime && days.length > 0 && (
              <a
                className="inline-flex min-h-11 items-center font-semibold underline"
                href={`/practice/reminders?minutes=${minutes}&days=${days.join(',')}&at=${at}`}
              >
                Reminders for the calendar
              </a>
            )}
          </div>
        </div>
      </div>
    </details>
  );
}
