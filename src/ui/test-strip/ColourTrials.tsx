'use client';
import { format } from 'date-fns';
import { Link } from '@/ui/kit/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import type { ColourTrial } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { useActionForm } from '@/ui/kit/use-action-form';
import type { Listed } from '@/ui/kit/use-rest';
import { ThreadOptions } from '@/ui/match/ThreadOptions';
import { AddPhotograph } from './AddPhotograph';

export interface TrialThread {
  name: string;
  hex: string | null;
}

const control = 'min-h-11 min-w-0 rounded border border-rule bg-cloth px-2 text-16';

/** Two to four threads sewn beside each other on the margin: photographed, one chosen, and kept. */
export function ColourTrials({
  quiltId,
  zoneId,
  list,
  trials,
  threads,
}: {
  quiltId: string;
  zoneId: string;
  /** The shelf's names. */
  list: Listed;
  trials: readonly ColourTrial[];
  /** The threads that were tried, by id. */
  threads: Readonly<Record<string, TrialThread>>;
}) {
  const router = useRouter();
  const [picked, setPicked] = useState<readonly string[]>(['', '']);
  const begin = useActionForm(doors.beginTrial, () => {
    setPicked(['', '']);
    router.refresh();
  });
  const chosen = picked.filter(Boolean);
  return (
    <section aria-label="Colour trials" className="mt-4 border-t-2 border-ink pt-2">
      <h3 className="text-[17px]">Colours tried on the margin</h3>
      <form
        className="mt-1.5 flex flex-wrap items-center gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (!begin.pending) begin.send({ zoneId, coneIds: chosen });
        }}
      >
        {picked.map((id, i) => (
          <select
            key={i}
            aria-label={`Thread ${i + 1}`}
            className={`${control} max-w-[220px]`}
            value={id}
            onChange={(e) => setPicked(picked.map((p, k) => (k === i ? e.target.value : p)))}
          >
            <option value="">thread {i + 1}</option>
            <ThreadOptions list={list} not="bobbin" chosen={id} />
          </select>
        ))}
        {picked.length < 4 && (
          <Button look="quiet" onClick={() => setPicked([...picked, ''])}>
            One more
          </Button>
        )}
        <Button type="submit" disabled={begin.pending}>
          They are sewn
        </Button>
      </form>
      <Problems problems={begin.problems} />
      {trials.length === 0 ? (
        <p className="mt-1 text-ink2">
          Sew two or three threads side by side on the margin, look from two paces, and keep which one it was.
        </p>
      ) : (
        <ul className="mt-2">
          {trials.map((t) => (
            <Trial key={`${t.id} ${t.version}`} trial={t} threads={threads} quiltId={quiltId} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Trial({
  trial,
  threads,
  quiltId,
}: {
  trial: ColourTrial;
  threads: Readonly<Record<string, TrialThread>>;
  quiltId: string;
}) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.endTrial, () => router.refresh());
  const keep = (part: Partial<Pick<ColourTrial, 'chosenId' | 'photographId'>>) =>
    send({ id: trial.id, version: trial.version, chosenId: trial.chosenId, note: trial.note, ...part });
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b py-2">
      <span className="text-ink2">{format(trial.at, 'd MMM')}</span>
      {trial.coneIds.map((id) => {
        const t = threads[id] ?? { name: 'thread gone', hex: null };
        const won = trial.chosenId === id;
        return (
          <button
            key={id}
            type="button"
            aria-pressed={won}
            disabled={pending}
            onClick={() => keep({ chosenId: id })}
            className={`inline-flex min-h-11 items-center gap-2 rounded border px-2.5 ${won ? 'border-2 border-indigo bg-indigo-tint font-semibold' : 'border-rule'}`}
          >
            <ThreadSwatch hex={t.hex} /> {t.name}
            {won && <span className="text-verdigris">chosen</span>}
          </button>
        );
      })}
      <AddPhotograph
        ofId={quiltId}
        label={trial.photographId ? 'Another photograph' : 'Photograph'}
        onKept={(photographId) => keep({ photographId })}
      />
      {trial.photographId && (
        // eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database
        <img
          src={`/photographs/${trial.photographId}`}
          alt="The trial, photographed"
          className="h-16 border"
        />
      )}
      {trial.chosenId && (
        <Link
          className="min-h-11 content-center text-indigo hover:underline"
          href={`/quilts/${quiltId}/match?zone=${trial.zoneId}&topId=${trial.chosenId}`}
        >
          Match with it
        </Link>
      )}
      <Problems problems={problems} />
    </li>
  );
}
