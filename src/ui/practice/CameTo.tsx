'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import type { RegulatorRequest } from '@/core/machine/regulator';
import type { Drill } from '@/core/practice/drills';
import type { Judged } from '@/core/practice/judge';
import { sharedDrillFile } from '@/core/practice/shared-drill';
import { saveFile } from '@/ui/draw/save-drawing';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { StitchedPicture } from './StitchedPicture';

const tremorWords = ({ wobbleMil }: Judged) =>
  wobbleMil === null
    ? 'not told: too few readings in a second'
    : `${wobbleMil.toFixed(0)} thousandths of an inch`;

/** What a drill came to, as rows. */
const factsOf = (judged: Judged): [string, string][] => [
  ['From the line', `${judged.offIn.toFixed(2)} in, at most ${judged.widestIn.toFixed(2)}`],
  ['Speed', `${judged.meanInPerS.toFixed(1)} in/s, uneven by ${Math.round(judged.speedCvPct)} %`],
  ['Stitches', `${judged.stitches}, uneven by ${Math.round(judged.cvPct)} %`],
  ['Beyond the needle', `${Math.round(judged.outsidePct)} %`],
  ['Corners in curves', `${Math.round(judged.facetedPct)} %`],
  ['Tremor', tremorWords(judged)],
  ...(judged.rested
    ? ([['Points rested in', `${judged.rested.in} of ${judged.rested.of}`]] as [string, string][])
    : []),
];

/** The drill as a file for somebody else. */
const give = ({ id, label }: Drill, { mode, spi, path }: RegulatorRequest) =>
  saveFile(
    new Blob([sharedDrillFile({ drill: id, mode, spi, path })], { type: 'application/json' }),
    `${label} drill`,
    'json',
  );

/** What the drill came to, the one thing to try, and the stitches. */
export function CameTo({
  drill,
  judged,
  request,
  machineId,
  onDone,
}: {
  drill: Drill;
  judged: Judged;
  request: RegulatorRequest;
  machineId: string;
  onDone: () => void;
}) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.keepPractice, ({ id }) => {
    toast('Kept among your drills.', {
      action: {
        label: 'Undo',
        onClick: () =>
          void doors.takeBackPractice({ key: newKey(), id, back: true }).then(() => router.refresh()),
      },
    });
    onDone();
    router.refresh();
  });
  return (
    <section aria-label="What it came to" aria-live="polite">
      <p className="border-l-4 border-indigo bg-indigo-tint px-3 py-2 text-20 font-medium">
        {judged.tryNext}
      </p>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4">
        {factsOf(judged).map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="border-b py-1 text-ink2">{name}</dt>
            <dd className="border-b py-1 font-semibold tabular-nums">{value}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <StitchedPicture request={request} side="top" />
        <StitchedPicture request={request} side="back" />
      </div>
      <Problems problems={problems} />
      <div className="mt-3 flex gap-3">
        <Button
          look="act"
          disabled={pending}
          onClick={() =>
            !pending &&
            send({ drill: drill.id, machineId, mode: request.mode, spi: request.spi, path: request.path })
          }
        >
          Keep this one
        </Button>
        <Button onClick={onDone}>Again</Button>
        <Button onClick={() => give(drill, request)}>Give it to somebody</Button>
      </div>
    </section>
  );
}
