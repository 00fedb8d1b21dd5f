'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import type { Fault, FaultRecordOf } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { useActionForm } from '@/ui/kit/use-action-form';
import { Causes } from './Causes';
import { Closed } from './Closed';
import { CloseForm } from './CloseForm';
import { type FaultCheck, type FoundCause, type Named, nameOf } from './shown';
import { Told } from './Told';

/** The bench of one fault: what is seen, the check that tells most a minute, and the likely causes with why here. */
export function FaultBench({
  fault,
  evidence,
  resolved,
  found,
  next,
  checks,
  signs,
  questions,
  causes,
  setup,
  remedies,
  episodes,
}: {
  fault: Fault;
  evidence: FaultRecordOf;
  resolved: boolean;
  found: readonly FoundCause[];
  next: string | null;
  checks: readonly FaultCheck[];
  signs: readonly Named[];
  questions: readonly (Named & { answers: readonly Named[] })[];
  causes: readonly Named[];
  setup: readonly { label: string; value: string }[];
  remedies: readonly { remedy: string; tried: number; helped: number }[];
  episodes: number;
}) {
  const router = useRouter();
  const [rather, setRather] = useState<string | null>(null);
  const [ending, setEnding] = useState(resolved);
  // On a phone one of the three at a time.
  const [screen, setScreen] = useState('check');
  const on = (name: string) => (screen === name ? '' : 'max-sm:hidden');
  const answer = useActionForm(doors.answerFault, () => router.refresh());
  const send = (part: Partial<Pick<FaultRecordOf, 'absent' | 'facts' | 'done'>> & { seen?: string[] }) =>
    !answer.pending &&
    answer.send({
      faultId: fault.id,
      version: evidence.version,
      seen: fault.symptoms,
      absent: evidence.absent,
      facts: evidence.facts,
      done: evidence.done,
      ...part,
    });
  const check = checks.find((c) => c.id === (rather ?? next));
  const closed = evidence.closedAt !== null;

  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-3.5">
        <h2 className="text-24">
          Fault {fault.n}: {fault.symptoms.map((s) => nameOf(signs, s)).join(', ')}
        </h2>
        <p className="text-ink2">
          {fault.zoneLetter ? `zone ${fault.zoneLetter}` : 'no place given'}
          {fault.pass !== null && `, pass ${fault.pass}`}
        </p>
      </div>
      {closed ? (
        <Closed fault={fault} evidence={evidence} causes={causes} />
      ) : (
        <>
          <div className="mt-2 sm:hidden">
            <Taps
              label="Show"
              value={screen}
              onChange={setScreen}
              options={[
                { value: 'check', label: 'next check' },
                { value: 'causes', label: 'causes' },
                { value: 'told', label: 'what was told' },
              ]}
            />
          </div>
          <div className="mt-2 grid gap-x-6 gap-y-4 border-t-2 border-ink pt-2 lg:grid-cols-[minmax(0,1fr)_minmax(300px,0.8fr)]">
            <section aria-label="Next check" className={on('check')}>
              {ending || !check ? (
                <CloseForm
                  faultId={fault.id}
                  version={evidence.version}
                  found={found}
                  causes={causes}
                  resolved={resolved}
                  remedies={remedies}
                  onBack={check ? () => setEnding(false) : undefined}
                />
              ) : (
                <>
                  <p className="text-13 text-ink2">
                    {rather ? 'Your check' : 'Best next check'} · about {check.minutes} min
                    {check.tools.length > 0 && ` · ${check.tools.join(', ')}`}
                  </p>
                  <h3 className="mt-0.5 text-20">{check.label}</h3>
                  <ol className="mt-1 list-decimal space-y-0.5 pl-5">
                    {check.steps.map((s) => (
                      <li key={s}>{s}</li>
                    ))}
                  </ol>
                  {check.safety && <p className="mt-1 font-medium text-weld-text">{check.safety}</p>}
                  <div
                    role="group"
                    aria-label="What it told"
                    className={`mt-2 grid gap-2 ${check.outcomes.length === 3 ? 'sm:grid-cols-3' : 'sm:grid-cols-2'}`}
                  >
                    {check.outcomes.map((o) => (
                      <Button
                        key={o.id}
                        className="!px-2"
                        disabled={answer.pending}
                        onClick={() => send({ done: [...evidence.done, { check: check.id, outcome: o.id }] })}
                      >
                        {o.label}
                      </Button>
                    ))}
                  </div>
                  <div className="mt-2 flex flex-wrap items-center gap-3">
                    <label className="flex items-center gap-2 max-sm:w-full max-sm:flex-col max-sm:items-start">
                      Check something else
                      <select
                        className="min-h-11 max-w-[320px] rounded border border-rule bg-cloth px-2 text-16"
                        value={rather ?? ''}
                        onChange={(e) => setRather(e.target.value || null)}
                      >
                        <option value="">best next check</option>
                        {checks
                          .filter((c) => !evidence.done.some((d) => d.check === c.id))
                          .map((c) => (
                            <option key={c.id} value={c.id}>
                              {c.label}
                            </option>
                          ))}
                      </select>
                    </label>
                    <Button look="act" onClick={() => setEnding(true)}>
                      Found it
                    </Button>
                  </div>
                </>
              )}
              <Problems problems={answer.problems} />
            </section>
            <Causes found={found} episodes={episodes} className={on('causes')} />
          </div>
          <div className={on('told')}>
            <Told
              {...{ fault, evidence, signs, questions, checks, setup }}
              pending={answer.pending}
              onSend={send}
            />
          </div>
        </>
      )}
    </>
  );
}
