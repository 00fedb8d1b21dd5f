'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { answerFaultAction, closeFaultAction, reopenFaultAction } from '@/actions/server';
import { predicted } from '@/core/source/known';
import type { Fault } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { numberOf } from '@/ui/kit/number-of';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { Taps } from '@/ui/kit/Taps';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

interface Named {
  id: string;
  label: string;
}
export interface FoundCause extends Named {
  p: number;
  remedy: string[];
  confirm: string;
  stopWork: boolean;
  technician: boolean;
  reasons: { why: string; multiply: number }[];
  episodes: number;
}
export interface BenchCheck extends Named {
  minutes: number;
  tools: string[];
  steps: string[];
  outcomes: Named[];
  safety?: string;
}
export interface BenchEvidence {
  absent: string[];
  facts: Record<string, string>;
  done: { check: string; outcome: string }[];
  cause: string | null;
  ownCause: string;
  remedy: string;
  helped: boolean | null;
  minutesLost: number | null;
  closedAt: Date | null;
  leftOut: boolean;
  version: number;
}

/** Chances are never told as certain. */
const chance = (p: number) => `${Math.min(99, Math.max(1, Math.round(p * 100)))} %`;
const FIRST_CAUSES = 5;

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
  evidence: BenchEvidence;
  resolved: boolean;
  found: readonly FoundCause[];
  next: string | null;
  checks: readonly BenchCheck[];
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
  const answer = useActionForm(answerFaultAction, () => router.refresh());
  const send = (part: Partial<Pick<BenchEvidence, 'absent' | 'facts' | 'done'>> & { seen?: string[] }) =>
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
  const nameOf = (list: readonly Named[], id: string) => list.find((x) => x.id === id)?.label ?? id;
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
          <div className="mt-2 grid gap-x-6 gap-y-4 border-t-2 border-ink pt-2 lg:grid-cols-[minmax(0,1fr)_minmax(300px,0.8fr)]">
            <section aria-label="Next check">
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
                    {rather ? 'You would rather check' : 'Tells most a minute'} · about {check.minutes} min
                    {check.tools.length > 0 && ` · ${check.tools.join(', ')}`}
                  </p>
                  <h3 className="mt-0.5 text-20">{check.label}</h3>
                  <ol className="mt-1 list-decimal space-y-0.5 pl-5">
                    {check.steps.map((s) => (
                      <li key={s}>{s}</li>
                    ))}
                  </ol>
                  {check.safety && <p className="mt-1 font-medium text-weld-text">{check.safety}</p>}
                  <div role="group" aria-label="What it told" className="mt-2 flex flex-wrap gap-2">
                    {check.outcomes.map((o) => (
                      <Button
                        key={o.id}
                        disabled={answer.pending}
                        onClick={() => send({ done: [...evidence.done, { check: check.id, outcome: o.id }] })}
                      >
                        {o.label}
                      </Button>
                    ))}
                  </div>
                  <div className="mt-2 flex flex-wrap items-center gap-3">
                    <label className="flex items-center gap-2">
                      I would rather check
                      <select
                        className="min-h-11 max-w-[320px] rounded border border-rule bg-cloth px-2 text-16"
                        value={rather ?? ''}
                        onChange={(e) => setRather(e.target.value || null)}
                      >
                        <option value="">what tells most</option>
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
                      I know what it is
                    </Button>
                  </div>
                </>
              )}
              <Problems problems={answer.problems} />
            </section>
            <Causes found={found} episodes={episodes} />
          </div>
          <Told
            {...{ fault, evidence, signs, questions, checks, setup }}
            pending={answer.pending}
            onSend={send}
          />
        </>
      )}
    </>
  );
}

/** What of this set-up speaks for a cause, and what against it; each said once. */
function whyHere(reasons: FoundCause['reasons']): string {
  const side = (holds: (m: number) => boolean) => [
    ...new Set(reasons.filter((r) => holds(r.multiply)).map((r) => r.why)),
  ];
  const [plus, minus] = [side((m) => m >= 1), side((m) => m < 1)];
  return [
    plus.length > 0 && `Speaks for it: ${plus.slice(0, 2).join(', ')}.`,
    minus.length > 0 && `Against it: ${minus.slice(0, 1).join(', ')}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** The first causes with their chance, and what in this set-up speaks for them. */
function Causes({ found, episodes }: { found: readonly FoundCause[]; episodes: number }) {
  return (
    <section aria-label="Likely causes">
      <h3 className="text-[17px]">Likely causes</h3>
      <ol>
        {found.slice(0, FIRST_CAUSES).map((c) => (
          <li key={c.id} className="border-b py-1.5">
            <div className="flex items-baseline gap-3">
              <b className="min-w-0 flex-1">{c.label}</b>
              <Sourced of={predicted(null)}>
                <b>{chance(c.p)}</b>
              </Sourced>
            </div>
            <svg width="100%" height="8" aria-hidden className="mt-0.5 block">
              <rect width="100%" height="8" fill="var(--sunk)" />
              <rect
                width={`${c.p * 100}%`}
                height="8"
                fill={c.stopWork ? 'var(--madder)' : 'var(--indigo)'}
              />
            </svg>
            <p className="text-13 text-ink2">
              {c.stopWork && <b className="text-madder">Do not sew on before this is settled. </b>}
              {c.technician && 'A trained technician’s work. '}
              {whyHere(c.reasons)}
              {c.episodes > 0 && ` Found ${c.episodes} ${c.episodes === 1 ? 'time' : 'times'} here.`}
            </p>
          </li>
        ))}
      </ol>
      <p className="mt-1 text-13 text-ink2">
        {episodes === 0
          ? 'Rests on the figures that ship: each confirmed cause moves them.'
          : `Moved by ${episodes} confirmed ${episodes === 1 ? 'episode' : 'episodes'} of your own; the shipped figures weigh as much as 40 of each cause.`}
      </p>
    </section>
  );
}

/** What was answered: seen, looked and not there, when it shows, checks made, the set-up from the log. */
function Told({
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
  evidence: BenchEvidence;
  signs: readonly Named[];
  questions: readonly (Named & { answers: readonly Named[] })[];
  checks: readonly BenchCheck[];
  setup: readonly { label: string; value: string }[];
  pending: boolean;
  onSend: (part: Partial<Pick<BenchEvidence, 'absent' | 'facts' | 'done'>> & { seen?: string[] }) => void;
}) {
  const nameOf = (list: readonly Named[], id: string) => list.find((x) => x.id === id)?.label ?? id;
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
              ['Looked, not there', (id: string) => onSend({ absent: [...evidence.absent, id] })],
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

const OTHER = '-';

/** What it was, what helped, and the minutes it took: the entry closed. */
function CloseForm({
  faultId,
  version,
  found,
  causes,
  resolved,
  remedies,
  onBack,
}: {
  faultId: string;
  version: number;
  found: readonly FoundCause[];
  causes: readonly Named[];
  resolved: boolean;
  remedies: readonly { remedy: string; tried: number; helped: number }[];
  onBack?: () => void;
}) {
  const router = useRouter();
  const [cause, setCause] = useState(found[0]?.id ?? OTHER);
  const [own, setOwn] = useState('');
  const [remedy, setRemedy] = useState('');
  const [helped, setHelped] = useState<string | null>(resolved ? 'yes' : null);
  const [minutes, setMinutes] = useState('');
  const { send, pending, problems, problemAt } = useActionForm(closeFaultAction, () => {
    toast('The fault is closed, and what it was is learned.');
    router.refresh();
  });
  const shown = found.find((c) => c.id === cause);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (pending) return;
        send({
          faultId,
          version,
          cause: cause === OTHER ? null : cause,
          ownCause: own,
          remedy,
          helped: helped === null ? null : helped === 'yes',
          minutesLost: numberOf(minutes),
        });
      }}
    >
      <h3 className="text-20">{resolved ? 'It is gone. What was it?' : 'What was it?'}</h3>
      <label className="mt-1 grid">
        <span className="text-13 text-ink2">Cause</span>
        <select
          className="min-h-11 rounded border border-rule bg-cloth px-2 text-16"
          value={cause}
          onChange={(e) => setCause(e.target.value)}
        >
          {found.map((c) => (
            <option key={c.id} value={c.id}>
              {c.label} ({chance(c.p)})
            </option>
          ))}
          <option value={OTHER}>none of these: in my own words</option>
          {causes
            .filter((c) => !found.some((f) => f.id === c.id))
            .map((c) => (
              <option key={c.id} value={c.id}>
                {c.label}
              </option>
            ))}
        </select>
      </label>
      {shown && (
        <>
          <ol className="mt-2 list-decimal space-y-0.5 pl-5">
            {shown.remedy.map((r) => (
              <li key={r}>{r}</li>
            ))}
          </ol>
          <p className="mt-1 text-ink2">It was this when: {shown.confirm}</p>
        </>
      )}
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {cause === OTHER && (
          <TextField
            id="own-cause"
            label="What it was"
            value={own}
            onChange={(e) => setOwn(e.target.value)}
            error={problemAt('ownCause')}
          />
        )}
        <TextField
          id="remedy"
          label="What you did"
          hint="as you would say it next time"
          value={remedy}
          onChange={(e) => setRemedy(e.target.value)}
          error={problemAt('remedy')}
        />
        <TextField
          id="minutes-lost"
          label="Minutes it took"
          inputMode="decimal"
          value={minutes}
          onChange={(e) => setMinutes(e.target.value)}
          error={problemAt('minutesLost')}
        />
      </div>
      {remedies.length > 0 && (
        <p className="mt-1.5 text-13 text-ink2">
          With this sign before:{' '}
          {remedies.map((r) => `“${r.remedy}” helped ${r.helped} of ${r.tried} times`).join('; ')}.
        </p>
      )}
      <div className="mt-2">
        <Taps
          label="A pass sewn on without it?"
          value={helped}
          onChange={setHelped}
          options={[
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'not yet' },
          ]}
        />
      </div>
      <Problems problems={problems} fields={['ownCause', 'remedy', 'minutesLost']} />
      <div className="mt-3 flex flex-wrap gap-3">
        <Button look="act" type="submit" disabled={pending}>
          Close this fault
        </Button>
        {onBack && (
          <Button look="quiet" onClick={onBack}>
            Go on checking
          </Button>
        )}
      </div>
    </form>
  );
}

/** A closed fault: what it was, and the way to open it again or leave it out of what is learned. */
function Closed({
  fault,
  evidence,
  causes,
}: {
  fault: Fault;
  evidence: BenchEvidence;
  causes: readonly Named[];
}) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(reopenFaultAction, () => router.refresh());
  const act = (what: 'open' | 'leave out' | 'take in') =>
    send({ faultId: fault.id, version: evidence.version, act: what });
  const cause = evidence.cause
    ? (causes.find((c) => c.id === evidence.cause)?.label ?? evidence.cause)
    : evidence.ownCause;
  return (
    <section aria-label="What it was" className="mt-2 border-t-2 border-ink pt-2">
      <p className="text-20 font-semibold">{cause}</p>
      <p className="mt-1">
        {evidence.remedy && `${evidence.remedy}. `}
        {evidence.helped === true
          ? 'A pass was sewn on without it. '
          : evidence.helped === false
            ? 'Not yet sewn on without it. '
            : ''}
        {evidence.minutesLost !== null && `It took ${evidence.minutesLost} minutes.`}
      </p>
      <p className="mt-1 text-ink2">
        {evidence.leftOut
          ? 'Left out of what this studio’s causes are learned from.'
          : 'This studio’s causes are learned from it.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button disabled={pending} onClick={() => act('open')}>
          It is back: open it again
        </Button>
        <Button
          look="quiet"
          disabled={pending}
          onClick={() => act(evidence.leftOut ? 'take in' : 'leave out')}
        >
          {evidence.leftOut ? 'Learn from it again' : 'Leave it out'}
        </Button>
      </div>
      <Problems problems={problems} />
    </section>
  );
}
