'use client';
import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import type { Direction } from '@/core/fields/lists';
import { symptoms } from '@/core/tables/symptoms';
import { MM_PER_INCH } from '@/core/units/length';
import type { TestRound } from '@/data/types';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { TextArea } from '@/ui/kit/Field';
import { Modal } from '@/ui/kit/Modal';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { AddPhotograph } from './AddPhotograph';
import { StripCell } from './StripCell';
import { facesAt } from './stitch-side';
import { changeSince, DIRECTION_LABEL, TONE_TEXT, VERDICT_LOOK, verdictTone } from './words';

interface Colours {
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
}

/** One test of the strip: as it was judged, its note and photograph, and beside it any other. */
export function RoundDialog({
  round,
  rounds,
  colours,
  quiltId,
  zoneId,
  onClose,
}: {
  round: TestRound;
  rounds: readonly TestRound[];
  colours: Colours;
  quiltId: string;
  zoneId: string;
  onClose: () => void;
}) {
  const router = useRouter();
  const [besideId, setBesideId] = useState('');
  const [note, setNote] = useState(round.note);
  const [photographId, setPhotographId] = useState(round.photographId);
  const { send, pending, problems } = useActionForm(doors.amendRound, () => {
    toast(`Test ${round.n} is kept.`);
    router.refresh();
    onClose();
  });
  const beside = rounds.find((r) => r.id === besideId);
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Test ${round.n}`}
      about={`Sewn ${format(round.sewnAt, 'd MMM, HH:mm')}${round.who ? ` by ${round.who}` : ''}.`}
      wide
    >
      {rounds.length > 1 && (
        <label className="mt-3 flex items-center gap-2">
          Beside it
          <select
            className="min-h-11 rounded border border-rule bg-cloth px-2 text-16"
            value={besideId}
            onChange={(e) => setBesideId(e.target.value)}
          >
            <option value="">nothing</option>
            {rounds
              .filter((r) => r.id !== round.id)
              .map((r) => (
                <option key={r.id} value={r.id}>
                  test {r.n}
                </option>
              ))}
          </select>
        </label>
      )}
      <div className={`mt-3 grid gap-5 ${beside ? 'sm:grid-cols-2' : ''}`}>
        <Face round={round} colours={colours} />
        {beside && <Face round={beside} colours={colours} />}
      </div>
      {beside && (
        <p className="mt-2">
          From test {Math.min(round.n, beside.n)} to test {Math.max(round.n, beside.n)}:{' '}
          {round.n > beside.n ? changeSince(beside, round) : changeSince(round, beside)}.
        </p>
      )}
      <form
        className="mt-4 border-t pt-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (!pending) send({ roundId: round.id, note, photographId: photographId ?? undefined });
        }}
      >
        <TextArea
          id="round-note"
          label="Note"
          rows={2}
          value={note}
          onChange={(e) => setNote(e.target.value)}
        />
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <AddPhotograph
            ofId={quiltId}
            label={photographId ? 'Another photograph' : 'Add a photograph'}
            onKept={setPhotographId}
          />
          {photographId && (
            <ButtonLink href={`/quilts/${quiltId}/test/photo?zone=${zoneId}&round=${round.id}`}>
              Measure its stitches
            </ButtonLink>
          )}
          <Button look="act" type="submit" disabled={pending}>
            Keep test {round.n}
          </Button>
        </div>
        {photographId && (
          // eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database
          <img
            src={`/photographs/${photographId}`}
            alt={`Test ${round.n}, photographed`}
            className="mt-3 max-h-[260px] border"
          />
        )}
        <Problems problems={problems} />
      </form>
    </Modal>
  );
}

/** A test drawn as it was judged, way by way. */
function Face({ round, colours }: { round: TestRound; colours: Colours }) {
  const ways = Object.entries(round.verdicts) as [Direction, keyof typeof VERDICT_LOOK][];
  const m = round.measured;
  return (
    <section aria-label={`Test ${round.n} as judged`}>
      <p className="font-bold">
        {Number(round.topGf.toFixed(1))} / {Number(round.bobbinGf.toFixed(1))} g
      </p>
      <ul>
        {ways.map(([d, v]) => (
          <li key={d} className="mt-1.5">
            <StripCell {...colours} faces={facesAt(v)} />
            <span>
              {DIRECTION_LABEL[d]}: <span className={TONE_TEXT[verdictTone(v)]}>{VERDICT_LOOK[v]}</span>
            </span>
          </li>
        ))}
      </ul>
      {round.seen.length > 0 && (
        <p className="mt-1.5">
          Also seen: {round.seen.map((s) => symptoms.get(s).label.toLowerCase()).join(', ')}.
        </p>
      )}
      {m && (
        <p className="mt-1.5">
          Measured{m.trust === 'look' ? ', to be looked at' : ''}: {m.spi.toFixed(1)} to the inch, uneven by{' '}
          {m.cvPct.toFixed(0)} %, longest {(m.longestMm / MM_PER_INCH).toFixed(2)} in, shortest{' '}
          {(m.shortestMm / MM_PER_INCH).toFixed(2)} in.
        </p>
      )}
      {round.note && <p className="mt-1.5 text-ink2">{round.note}</p>}
    </section>
  );
}
