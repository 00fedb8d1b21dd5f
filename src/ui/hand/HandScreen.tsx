'use client';
import type { Habit, HandIn, OwnHours } from '@/actions/hand';
import { doors } from '@/actions/doors';
import { HABIT } from '@/core/fields/habit';
import { heightAdvice, levelAdvice, reachAdvice, REST_ADVICE, USUAL_REACH_IN } from '@/core/hand/advice';
import { learned, predicted } from '@/core/source/known';
import { ButtonLink } from '@/ui/kit/Button';
import { formFields } from '@/ui/kit/form-fields';
import { RecordForm } from '@/ui/kit/RecordForm';
import { SourceKey, Sourced } from '@/ui/kit/Sourced';
import { toast } from '@/ui/kit/toast';

const FORM = formFields(HABIT);

/** A person's hand: how fast and how steady in each technique, what it means for the work, rests and heights. */
export function HandScreen({
  hand,
  habit,
  depths,
  hours: own,
}: {
  hand: readonly HandIn[];
  habit: Habit;
  depths: readonly { name: string; depthIn: number }[];
  hours: OwnHours | null;
}) {
  const far = depths.flatMap((d) => reachAdvice(d.name, d.depthIn, habit.reachIn ?? USUAL_REACH_IN) ?? []);
  return (
    <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
      <section aria-label="By technique">
        <h2 className="border-t-2 border-ink pt-2 text-20">Your usual, by technique</h2>
        {own && <p className="font-medium">{ownHoursWords(own)}</p>}
        {hand.length === 0 ? (
          <>
            <p className="mt-2">
              Nothing is sewn or drilled yet: until then the usual speeds and a steady hand are taken.
            </p>
            <p className="mt-2">
              <ButtonLink href="/practice">Practise a drill</ButtonLink>
            </p>
          </>
        ) : (
          <>
            <p className="text-ink2">
              How steady a hand is shows from three drills or test photographs of a technique on.
            </p>
            <ul>
              {hand.map((h) => (
                <Technique key={h.technique} of={h} />
              ))}
            </ul>
            <div className="mt-2">
              <SourceKey />
            </div>
          </>
        )}
      </section>
      <div>
        <section aria-label="Rests and heights">
          <h2 className="border-t-2 border-ink pt-2 text-20">Rests and heights</h2>
          <RecordForm
            key={habit.version}
            specs={FORM}
            initial={habit}
            fixed={{ version: habit.version }}
            act={doors.keepHabit}
            onDone={() => toast('Kept.')}
            submit="Save"
          />
          <ul className="mt-3 list-disc pl-5">
            {(habit.elbowIn === null ? [] : heightAdvice(habit.elbowIn)).map((t) => (
              <li key={t}>{t}</li>
            ))}
            {far.map((t) => (
              <li key={t} className="font-medium text-weld-text">
                {t}
              </li>
            ))}
            {REST_ADVICE.map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
        </section>
      </div>
    </div>
  );
}

const percent = (factor: number) => Math.round(Math.abs(factor - 1) * 100);

/** How long a hand takes against the usual minutes. */
function ownHoursWords({ factor, low, high, steps }: OwnHours): string {
  const by = `by ${steps} ${steps === 1 ? 'step' : 'steps'}`;
  if (low < 1 && high > 1) return `Your hands take about the usual minutes, ${by}.`;
  return `Your hands take ${percent(factor)} % ${factor > 1 ? 'longer than' : 'less than'} the usual minutes, ${by}.`;
}

const hours = (h: number) => (h < 1 ? `${Math.round(h * 60)} min` : `${h.toFixed(1)} h`);

function Technique({ of: h }: { of: HandIn }) {
  return (
    <li className="border-b py-2">
      <p className="flex flex-wrap items-baseline gap-x-4">
        <b className="flex-1 text-[17px] font-semibold">{h.label}</b>
        <span className="text-ink2">
          {[
            h.steps > 0 && `${hours(h.hours)} sewn in ${h.steps} ${h.steps === 1 ? 'step' : 'steps'}`,
            h.drills > 0 && `${h.drills} ${h.drills === 1 ? 'drill' : 'drills'}`,
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
      </p>
      <p>
        {h.speed ? (
          <>
            Your usual speed{' '}
            <Sourced of={learned(null)}>
              <b>{h.speed.inPerS.toFixed(1)} in/s</b>
            </Sourced>
            , give or take {Math.round(100 * h.speed.sdLn)} %; usual is {h.usualInPerS}.
          </>
        ) : (
          <>
            Usual speed{' '}
            <Sourced of={predicted(null)}>
              <b>{h.usualInPerS} in/s</b>
            </Sourced>
            ; yours from three drills on.
          </>
        )}{' '}
        {h.level && (
          <>
            So far: <b>{h.level}</b>.
          </>
        )}
      </p>
      {h.level && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 text-ink2">What it means</summary>
          <ul className="list-disc pl-5">
            {levelAdvice(h.level).map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
        </details>
      )}
    </li>
  );
}
