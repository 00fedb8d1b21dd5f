'use client';
import { unanswered } from '@/ui/kit/use-action-form';
import { useState, useTransition } from 'react';
import { doors } from '@/actions/doors';
import type { Problem, Result } from '@/actions/result';
import type { WhatIfAnswer } from '@/actions/what-if';
import { Problems } from '@/ui/kit/Problems';
import type { Held } from './HoldBar';
import type { Listed } from '@/ui/kit/use-rest';
import { ThreadOptions } from './ThreadOptions';

/** “What would have to be true for this thread to be best here?” */
export function WhatIfPanel({
  quiltId,
  zoneId,
  threads,
  held,
  ask = doors.askWhatIf,
}: {
  quiltId: string;
  zoneId: string;
  /** The shelf's names, packed. */
  threads: Listed;
  held: Held;
  ask?: (input: unknown) => Promise<Result<WhatIfAnswer>>;
}) {
  const [topId, setTopId] = useState('');
  const [told, setTold] = useState<WhatIfAnswer | null>(null);
  const [problems, setProblems] = useState<Problem[]>([]);
  const [pending, start] = useTransition();
  const pick = (id: string) => {
    setTopId(id);
    setTold(null);
    setProblems([]);
    if (!id) return;
    start(async () => {
      try {
        const r = await ask({
          quiltId,
          zoneId,
          topId: id,
          holdBobbinId: held.bobbinId ?? null,
          holdNm: held.nm ?? null,
          holdSpi: held.spi ?? null,
        });
        if (r.ok) setTold(r.value);
        else setProblems(r.problems);
      } catch (error) {
        setProblems([unanswered(error)]);
      }
    });
  };
  return (
    <section aria-label="What would have to be true" className="mt-5 border-t-2 border-ink pt-2">
      <h3 className="text-[17px]">What would have to be true?</h3>
      <label className="mt-1 flex flex-wrap items-center gap-x-2.5 gap-y-1">
        <span>for</span>
        <select
          value={topId}
          onChange={(e) => pick(e.target.value)}
          aria-label="The thread you would like to sew with"
          className="min-h-11 max-w-[280px] rounded border border-rule bg-cloth px-2 text-16"
        >
          <option value="">pick a thread</option>
          <ThreadOptions list={threads} not="bobbin" chosen={topId} />
        </select>
        <span>to be best here</span>
      </label>
      <Problems problems={problems} />
      <div aria-live="polite" aria-busy={pending} className="mt-2">
        {told && <Told told={told} />}
      </div>
    </section>
  );
}

function Told({ told }: { told: WhatIfAnswer }) {
  if (told.best) return <p>Nothing: {told.thread} is the best here already.</p>;
  return (
    <>
      {told.refused !== null ? (
        <p className="font-medium">It cannot be sewn here as things are. {told.refused}</p>
      ) : (
        <p>
          {told.thread} stands {told.ahead.length === 1 ? 'just' : `${told.ahead.length} places`} behind{' '}
          {told.ahead[0]}: {told.over}.
        </p>
      )}
      {told.conditions.length > 0 ? (
        <>
          <p className="mt-1.5 font-medium">It would be best here if</p>
          <ul className="mt-0.5 list-disc pl-5">
            {told.conditions.map((c) => (
              <li key={c.code}>{c.text}</li>
            ))}
          </ul>
        </>
      ) : (
        <p className="mt-1.5">
          Nothing that is tried, alone or two together, would make it so
          {told.ahead.length > 0 && told.ahead.length <= 3 && `; only without ${told.ahead.join(' and ')}`}.
        </p>
      )}
    </>
  );
}
