'use client';
import { differenceInCalendarDays, format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import type { AskedDay } from '@/actions/offer-day';
import type { Problem } from '@/actions/result';
import { doors } from '@/actions/doors';
import { inTen } from '@/core/statistics/chance';
import { Button } from '@/ui/kit/Button';
import { unanswered } from '@/ui/kit/unanswered';

const PAUSE_MS = 250;
const day = (iso: string) => format(parseISO(iso), 'EEE d MMM');
const hours = (h: number) => (h < 10 ? h.toFixed(1) : String(Math.round(h)));

/** The fields a day can be promised by, out of what is said so far. */
const asked = (form: Record<string, unknown>) => ({
  use: form.use,
  widthsIn: form.widthsIn,
  lengthsIn: form.lengthsIn,
  dueOn: form.dueOn,
  battingId: form.battingId,
  backingId: form.backingId,
  machineId: form.machineId,
  plan: form.plan === 'like' ? 'bordered' : form.plan,
  borderIn: form.borderIn ?? 6,
  columns: form.columns ?? null,
  rows: form.rows ?? null,
  sashIn: form.sashIn ?? null,
  found: ((form.conditions as { kind: string | null; sizeIn: unknown }[]) ?? []).map((c) => ({
    kind: c.kind ?? '',
    sizeIn: typeof c.sizeIn === 'number' ? c.sizeIn : null,
  })),
});

type Answer = { of: string; value: AskedDay } | { of: string; problem: Problem };

/** When it can be ready, from the calendar as it stands: the day to promise, and what the day asked for would take. */
export function DayOffered({
  form,
  onPick,
}: {
  form: Record<string, unknown>;
  onPick: (day: string) => void;
}) {
  const question = JSON.stringify(asked(form));
  const [answer, setAnswer] = useState<Answer | null>(null);
  useEffect(() => {
    let gone = false;
    const timer = setTimeout(() => {
      doors
        .askDay(JSON.parse(question))
        .then((r) => {
          if (!gone)
            setAnswer(r.ok ? { of: question, value: r.value } : { of: question, problem: r.problems[0]! });
        })
        .catch((error: unknown) => {
          if (!gone) setAnswer({ of: question, problem: unanswered(error) });
        });
    }, PAUSE_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [question]);
  return (
    <section aria-label="When it can be ready" aria-live="polite" className="mt-4 border-t-2 border-ink pt-2">
      <h3 className="text-[17px] font-semibold">When it can be ready</h3>
      {answer === null ? (
        <p className="min-h-[72px] text-ink2">Looking at the calendar …</p>
      ) : 'problem' in answer ? (
        <p className="min-h-[72px] text-ink2">{answer.problem.message}</p>
      ) : (
        <Offer answer={answer.value} backingToCome={form.backingClothIn === null} onPick={onPick} />
      )}
    </section>
  );
}

const daysFromNow = (iso: string) => Math.max(1, differenceInCalendarDays(parseISO(iso), new Date()));

function Offer({
  answer,
  backingToCome,
  onPick,
}: {
  answer: AskedDay;
  backingToCome: boolean;
  onPick: (day: string) => void;
}) {
  const { asked: wanted, rush } = answer;
  const late = wanted.chance < 0.8;
  const mend = Math.round(answer.mendMinutes);
  return (
    <div className="min-h-[72px]">
      <p className="mt-1">
        <b className="font-semibold">By {day(answer.day)}: 9 in 10.</b> About {hours(answer.hours.low)} to{' '}
        {hours(answer.hours.high)} h at the frame{mend > 0 && `, ${mend} min to set right what was found`}, in
        its turn behind what waits.
      </p>
      <p className={late ? 'font-medium text-weld-text' : ''}>
        {day(wanted.day)}, as it stands above: {inTen(wanted.chance)}.
        {late &&
          (rush.allowed
            ? ` Sewn first: ${inTen(rush.chance)}${rush.moves.length === 0 ? ', and nobody is moved.' : '.'}`
            : ` Sewn first: ${inTen(rush.chance)}, but a promise that was agreed would fall below 8 in 10. Ask that client first.`)}
      </p>
      {late && rush.moves.length > 0 && (
        <ul className="list-disc pl-5">
          {rush.moves.slice(0, 5).map((m) => (
            <li key={m.name}>
              {m.name}: {inTen(m.before)} → {inTen(m.after)}
            </li>
          ))}
          {rush.moves.length > 5 && <li>and {rush.moves.length - 5} more</li>}
        </ul>
      )}
      {backingToCome && (
        <p className="text-ink2">
          The backing is still to be bought: count {daysFromNow(answer.day)} days from the day it is here.
        </p>
      )}
      {wanted.day !== answer.day && (
        <Button look="quiet" className="mt-1" onClick={() => onPick(answer.day)}>
          Promise {day(answer.day)}
        </Button>
      )}
    </div>
  );
}
