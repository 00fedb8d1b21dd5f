'use client';
import type { Scales } from '@/core/machine/scales';
import { predicted, proven } from '@/core/source/known';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import type { Search } from '@/core/tension/search';
import type { Preferences, TestRound, ChosenSetup } from '@/data/types';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Sourced } from '@/ui/kit/Sourced';
import { instructionOf } from './instruction';
import type { Cure } from '@/data/types';
import { format } from 'date-fns';
import type { CureCount } from './CureList';

const CureList = dynamic(() => patiently(() => import('./CureList')).then((m) => m.CureList));

const gf = (x: number) => String(Number(x.toFixed(x < 50 ? 1 : 0)));

/** What to set and sew next, why, and what stands against it. */
export function NextTest({
  quiltId,
  zoneId,
  setup,
  search,
  scales,
  school,
  cures,
  cureCounts,
  again,
  onAgain,
}: {
  quiltId: string;
  zoneId: string;
  setup: ChosenSetup;
  search: Search<TestRound>;
  scales: Scales;
  school: Preferences['tensionSchool'];
  cures: readonly Cure[];
  cureCounts: readonly CureCount[];
  /** Another test is asked for where none is needed. */
  again: boolean;
  onAgain: () => void;
}) {
  const { rounds, next } = search;
  const told = instructionOf(next, rounds.at(-1), scales, school);
  const notTension = next.cautions.some((c) => c.code === 'not-tension');
  return (
    <div className="mt-2 border-t-2 border-ink pt-2" aria-live="polite">
      {setup.turnedBack && (
        <p role="status" className="mb-1 font-medium text-weld-text">
          Balanced on {format(setup.turnedBack.provenAt, 'd MMM')}, but {setup.turnedBack.why.join('; ')}. One
          test more tells whether it still holds.
        </p>
      )}
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h3 className="text-24">{told.title}</h3>
        {school === 'dial' && told.turn && (
          <p className="text-28 leading-tight font-bold first-letter:uppercase">{told.turn}</p>
        )}
        <Grams told={told} next={next} small={school === 'dial' && !!told.turn} />
        {school !== 'dial' && told.turn && <p className="text-ink2">{told.turn}</p>}
      </div>
      {rounds.length === 0 && setup.twinLetter && (
        <p className="mt-0.5 text-ink2">
          Begins where zone {setup.twinLetter} ended: the same threads, needle, layers and technique.
        </p>
      )}
      {next.reasons.map((r) => (
        <p key={r.code} className="mt-0.5 text-ink2">
          {r.text}
        </p>
      ))}
      {next.cautions.map((c) => (
        <p key={c.code} className="mt-1">
          <CautionLine caution={c} />
        </p>
      ))}
      {notTension && (
        <>
          <CureList setupId={setup.id} tried={cures} counts={cureCounts} />
          <p className="mt-1 text-ink2">
            None of them helped: note it with F, with the direction it shows in, so that the cause can be
            looked for.
          </p>
        </>
      )}
      {next.done && !again && (
        <div className="mt-2 flex flex-wrap gap-3">
          <ButtonLink look="act" href={`/quilts/${quiltId}/match?zone=${zoneId}`}>
            See the setting card
          </ButtonLink>
          <Button look="quiet" onClick={onAgain}>
            Sew another test
          </Button>
        </div>
      )}
    </div>
  );
}

/** The tensions of the next test, and where the one that moves comes from. */
function Grams({
  told,
  next,
  small,
}: {
  told: ReturnType<typeof instructionOf>;
  next: Search<TestRound>['next'];
  small: boolean;
}) {
  return (
    <p className={small ? 'text-ink2' : 'text-28 leading-tight font-bold'}>
      {told.move ? (
        <>
          <Sourced of={proven(told.move.from)}>{gf(told.move.from)}</Sourced> <span aria-hidden>→</span>
          <span className="sr-only"> to </span>{' '}
          <Sourced of={predicted(told.move.to)}>{gf(told.move.to)}</Sourced>{' '}
          <span className="text-16 font-medium">g</span>
        </>
      ) : (
        <Sourced of={next.done ? proven(next.topGf) : predicted(next.topGf)}>
          {gf(next.topGf)} <small className="text-16 font-medium">g top</small>{' '}
          <span className="text-ink2">/</span> {gf(next.bobbinGf)}{' '}
          <small className="text-16 font-medium">g bobbin</small>
        </Sourced>
      )}
    </p>
  );
}
