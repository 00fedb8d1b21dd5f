'use client';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import type { stitchesBetween } from '@/core/photo/corrected';
import type { StitchReading } from '@/core/photo/stitch-photo';
import { MEASURED, measuredWords } from '@/core/fields/measured';
import { stored } from '@/core/fields/stored';
import { otherWords } from '@/core/photo/other-share';
import { proven } from '@/core/source/known';
import type { TestRound } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { Sourced } from '@/ui/kit/Sourced';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import type { MeasureAnswer } from '@/workers/measure-photo';

/** What a measuring found. */
export type Found = Extract<MeasureAnswer, { ok: true }>['value'];
/** Its numbers, as found or as corrected by hand; null when none can be told. */
export type Told = ReturnType<typeof stitchesBetween> | Found | null;

const TRUST = {
  good: 'To be relied on.',
  look: 'Look at the marks before you rely on it.',
  cannot: 'No number can be taken from this.',
} as const;

/** The stitches of the line in numbers, how far to rely on them, and the way to keep them with a test. */
export function Measured({
  answer,
  told,
  corrected,
  onOther,
  rounds,
  roundId,
  onKept,
}: {
  answer: Found;
  told: Told;
  corrected: boolean;
  /** The other way to read the line is taken. */
  onOther: (reading: StitchReading) => void;
  rounds: readonly Pick<TestRound, 'id' | 'n'>[];
  /** The test it belongs to, when it came from one. */
  roundId: string | null;
  onKept: () => void;
}) {
  const [round, setRound] = useState(roundId ?? rounds.at(-1)?.id ?? '');
  const { send, pending, problems } = useActionForm(doors.amendRound, () => {
    toast('Measured, and kept with the test.');
    onKept();
  });
  return (
    <section aria-label="What was measured" className="mt-3 border-t-2 border-ink pt-2">
      {told ? (
        <dl className="flex flex-wrap gap-x-8 gap-y-2">
          {measuredWords(told).map(([k, v], i) => (
            <div key={k}>
              <dt className="text-13 text-ink2">{k}</dt>
              <dd className={i === 0 ? 'text-32 leading-none font-bold' : 'text-20'}>
                <Sourced of={proven(null, 'measured')}>{v}</Sourced>
              </dd>
            </div>
          ))}
        </dl>
      ) : null}
      <p
        className={`mt-1 font-medium ${answer.trust === 'good' || corrected ? 'text-verdigris' : 'text-weld-text'}`}
      >
        {corrected ? 'Corrected by hand.' : TRUST[answer.trust]} {!corrected && answer.reason}
      </p>
      {answer.other && !corrected && (
        <p className="mt-1 flex flex-wrap items-center gap-3">
          It could also be {answer.other.stitches} stitches, {answer.other.spi.toFixed(1)} to the inch.
          <Button onClick={() => onOther(answer.other!)}>Count it so</Button>
        </p>
      )}
      {answer.otherShare !== null && (
        <p>
          At {Math.round(answer.otherShare * 100)} % of the holes: {otherWords(answer.otherShare)}. Judge it
          with your own eyes.
        </p>
      )}
      {told && rounds.length > 0 && (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <label className="flex items-center gap-2">
            It is
            <select
              className="min-h-11 rounded border border-rule bg-cloth px-2 text-16"
              value={round}
              onChange={(e) => setRound(e.target.value)}
            >
              {rounds.map((r) => (
                <option key={r.id} value={r.id}>
                  test {r.n}
                </option>
              ))}
            </select>
          </label>
          <Button
            look="act"
            disabled={pending}
            onClick={() =>
              send({
                roundId: round,
                measured: {
                  ...stored(MEASURED, { ...told, otherShare: answer.otherShare, corrected }),
                  trust: corrected || answer.trust === 'good' ? 'good' : 'look',
                },
              })
            }
          >
            Keep it with the test
          </Button>
        </div>
      )}
      {told && rounds.length === 0 && (
        <p className="mt-1 text-ink2">Judge a test stitch first; then this can be kept with it.</p>
      )}
      <Problems problems={problems} />
    </section>
  );
}
