'use client';
import type { Fault, FaultRecordOf } from '@/data/types';
import { type FaultCheck, type Named, nameOf } from './shown';

/** What was answered: seen, looked and not there, when it shows, checks made, the set-up from the log. */
export function Told({
  fault,
  evidence,
  signs,
  questions,
  checks,
  setup,
  pending,
  onSend,
}: {
  fault: Fault;
  evidence: FaultRecordOf;
  signs: readonly Named[];
  questions: readonly (Named & { answers: readonly Named[] })[];
  checks: readonly FaultCheck[];
  setup: readonly { label: string; value: string }[];
  pending: boolean;
  onSend: (part: Partial<Pick<FaultRecordOf, 'absent' | 'facts' | 'done'>> & { seen?: string[] }) => void;
}) {
  const free = signs.filter((s) => !fault.symptoms.includes(s.id) && !evidence.absent.includes(s.id));
  const select = 'min-h-11 max-w-full rounded border border-rule bg-cloth px-2 text-16';
  const chip = 'inline-flex min-h-11 items-center gap-2 rounded border border-rule px-2.5';
  return (
    <div className="mt-4 grid gap-x-6 gap-y-4 lg:grid-cols-2">
      <section aria-label="What is seen" className="border-t pt-2">
        <h3 className="text-[17px]">Seen, and looked for</h3>
        <div className="mt-1 flex flex-wrap gap-2">
          {fault.symptoms.map((s) => (
            <button
              key={s}
              type="button"
              disabled={pending || fault.symptoms.length === 1}
              className={chip}
              onClick={() => onSend({ seen: fault.symptoms.filter((x) => x !== s) })}
            >
              {nameOf(signs, s)} <span className="text-ink2">seen</span>
            </button>
          ))}
          {evidence.absent.map((s) => (
            <button
              key={s}
              type="button"
              disabled={pending}
              className={chip}
              onClick={() => onSend({ absent: evidence.absent.filter((x) => x !== s) })}
            >
              <s>{nameOf(signs, s)}</s> <span className="text-ink2">not there</span>
            </button>
          ))}
        </div>
        <div className="mt-2 flex flex-wrap gap-3">
          {(
            [
              ['Also seen', (id: string) => onSend({ seen: [...fault.symptoms, id] })],
              ['Checked, not there', (id: string) => onSend({ absent: [...evidence.absent, id] })],
            ] as const
          ).map(([label, act]) => (
            <label key={label} className="flex items-center gap-2">
              {label}
              <select
                className={select}
                value=""
                disabled={pending}
                onChange={(e) => e.target.value && act(e.target.value)}
              >
                <option value="">pick</option>
                {free.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.label}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
        {evidence.done.length > 0 && (
          <>
            <h3 className="mt-3 text-[17px]">Checks made</h3>
            <ul>
              {evidence.done.map((d, i) => {
                const c = checks.find((x) => x.id === d.check);
                return (
                  <li key={d.check} className="flex items-center gap-3 border-b">
                    <span className="flex-1">
                      {c?.label}: <b>{c && nameOf(c.outcomes, d.outcome)}</b>
                    </span>
                    <button
                      type="button"
                      disabled={pending}
                      className="min-h-11 px-2 text-indigo hover:underline"
                      onClick={() => onSend({ done: evidence.done.filter((_, k) => k !== i) })}
                    >
                      Take back
                    </button>
                  </li>
                );
              })}
            </ul>
          </>
        )}
      </section>
      <section aria-label="When it shows" className="border-t pt-2">
        <h3 className="text-[17px]">When and where it shows</h3>
        <div className="mt-1 grid gap-2 sm:grid-cols-2">
          {questions.map((q) => (
            <label key={q.id} className="grid min-w-0">
              <span className="text-13 text-ink2">{q.label}</span>
              <select
                className={`${select} w-full min-w-0`}
                disabled={pending}
                value={evidence.facts[q.id] ?? ''}
                onChange={(e) => {
                  const { [q.id]: _, ...others } = evidence.facts;
                  onSend({ facts: e.target.value ? { ...others, [q.id]: e.target.value } : others });
                }}
              >
                <option value="">cannot say</option>
                {q.answers.map((a) => (
                  <option key={a.id} value={a.id}>
                    {a.label}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
        {setup.length > 0 && (
          <details className="mt-3">
            <summary className="min-h-11 cursor-pointer content-center">
              Known from the log: {setup.length} facts of the set-up
            </summary>
            <dl className="grid grid-cols-2 gap-x-4">
              {setup.map((s) => (
                <div key={s.label} className="flex gap-2 border-b py-1 text-13">
                  <dt className="flex-1 text-ink2">{s.label}</dt>
                  <dd>{s.value}</dd>
                </div>
              ))}
            </dl>
          </details>
        )}
      </section>
    </div>
  );
}
