'use client';
import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import type { PathPoint, RegulatorRequest } from '@/core/machine/regulator';
import { attempt } from '@/core/notes';
import { type Drill, DRILLS } from '@/core/practice/drills';
import { readSharedDrill, type SharedDrill, sharedDrillFile } from '@/core/practice/shared-drill';
import { drillRequest, judge, type Judged, trendOf, usualSpeed } from '@/core/practice/judge';
import { type Mode, MODE_LABEL } from '@/core/stitch/machine';
import { techniques } from '@/core/tables/techniques';
import type { Machine, PracticeRun } from '@/data/types';
import { saveFile } from '@/ui/draw/save-drawing';
import { Button } from '@/ui/kit/Button';
import { Choice } from '@/ui/kit/Choice';
import { OpenFile } from '@/ui/kit/OpenFile';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';
import { DrillField } from './DrillField';
import { Session } from './Session';
import { DrawnLine, StitchedPicture } from './StitchedPicture';

type Kept = Omit<PracticeRun, 'path'>;
const SPI = 10;

/** Drills drawn by hand, told through the regulator: how even, how near the line, and one thing to try next. */
export function PracticeScreen({
  machine,
  drillId,
  runs,
  compared,
  now,
}: {
  /** When the page was asked for, milliseconds. */
  now: number;
  machine: Machine;
  drillId: string;
  /** Runs of all drills, oldest first. */
  runs: readonly Kept[];
  compared: { first: PracticeRun; latest: PracticeRun } | null;
}) {
  const router = useRouter();
  const drill = DRILLS.get(drillId);
  const [mode, setMode] = useState<Mode>(machine.modes[0] ?? 'idling');
  const [path, setPath] = useState<PathPoint[] | null>(null);
  const request = path && drillRequest(machine, mode, SPI, path);
  const judged = request && attempt(() => judge(drill.id, request));
  const own = runs.filter((r) => r.drill === drill.id);
  const [given, setGiven] = useState<SharedDrill | null>(null);
  const take = (text: string): string | null => {
    const read = readSharedDrill(text);
    if (read === null || typeof read === 'string') return read ?? 'This is no drill that somebody gave away.';
    setGiven(read);
    setPath(null);
    if (machine.modes.includes(read.mode)) setMode(read.mode);
    if (read.drill !== drill.id) router.push(`/practice?drill=${read.drill}`);
    return null;
  };
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h1 className="flex-1 text-24">Practice</h1>
        <div className="w-56">
          <Choice
            id="drill"
            label="Drill"
            value={drill.id}
            onChange={(id) => {
              setPath(null);
              router.push(`/practice?drill=${id}`);
            }}
            options={DRILLS.rows.map((d) => ({ value: d.id, label: d.label }))}
          />
        </div>
        <Taps
          label="Regulation"
          value={mode}
          onChange={(v) => setMode(v as Mode)}
          options={machine.modes.map((m) => ({ value: m, label: m }))}
        />
      </div>
      <Session runs={runs} now={now} />
      {given?.drill === drill.id && <Given given={given} machine={machine} />}
      <p className="mt-2 text-20">{drill.does}</p>
      <div className="mt-3 grid gap-6 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div>
          <DrillField key={drill.id} drill={drill} onDrawn={setPath} />
          <p className="mt-1 text-13 text-ink2">
            Drawn by finger, pen or mouse, as if the field were eight inches wide. Shoulders down, look up now
            and then; small first, since it is repeated more often.
          </p>
          <div className="mt-2">
            <OpenFile label="Open a drill somebody gave you" read={take} />
          </div>
        </div>
        <div>
          {judged === null && (
            <p className="text-ink2">Draw from the ring to the bar: what it came to stands here at once.</p>
          )}
          {typeof judged === 'string' && (
            <p role="alert" className="font-medium text-weld-text">
              {judged}
            </p>
          )}
          {judged && typeof judged !== 'string' && request && (
            <CameTo
              drill={drill}
              judged={judged}
              request={request}
              machineId={machine.id}
              onDone={() => setPath(null)}
            />
          )}
        </div>
      </div>
      <Sofar drill={drill} runs={own} compared={compared} />
      <Usual runs={runs} />
    </div>
  );
}

/** What the drill came to, the one thing to try, and the stitches. */
function CameTo({
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
  const facts: [string, string][] = [
    ['From the line', `${judged.offIn.toFixed(2)} in, at most ${judged.widestIn.toFixed(2)}`],
    ['Speed', `${judged.meanInPerS.toFixed(1)} in/s, uneven by ${Math.round(judged.speedCvPct)} %`],
    ['Stitches', `${judged.stitches}, uneven by ${Math.round(judged.cvPct)} %`],
    ['Beyond the needle', `${Math.round(judged.outsidePct)} %`],
    ['Corners in curves', `${Math.round(judged.facetedPct)} %`],
    ['Tremor', `${judged.wobbleMil.toFixed(0)} thousandths of an inch`],
    ...(judged.rested
      ? ([['Points rested in', `${judged.rested.in} of ${judged.rested.of}`]] as [string, string][])
      : []),
  ];
  return (
    <section aria-label="What it came to" aria-live="polite">
      <p className="border-l-4 border-indigo bg-indigo-tint px-3 py-2 text-20 font-medium">
        {judged.tryNext}
      </p>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4">
        {facts.map(([name, value]) => (
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
        <Button
          onClick={() =>
            saveFile(
              new Blob(
                [
                  sharedDrillFile({
                    drill: drill.id,
                    mode: request.mode,
                    spi: request.spi,
                    path: request.path,
                  }),
                ],
                { type: 'application/json' },
              ),
              `${drill.label} drill`,
              'json',
            )
          }
        >
          Give it to somebody
        </Button>
      </div>
    </section>
  );
}

/** The line somebody gave to be sewn after, and what it would have been on this machine. */
function Given({ given, machine }: { given: SharedDrill; machine: Machine }) {
  const here = machine.modes.includes(given.mode);
  const request = drillRequest(machine, here ? given.mode : machine.modes[0]!, given.spi, given.path);
  const judged = attempt(() => judge(given.drill, request));
  return (
    <section
      aria-label="The line you were given"
      className="mt-3 flex max-w-[760px] flex-wrap gap-4 border-t-2 border-ink pt-2"
    >
      <div className="w-[260px]">
        <DrawnLine path={given.path.map((p) => [p.xIn, p.yIn] as const)} label="the line you were given" />
      </div>
      <p className="min-w-[240px] flex-1">
        {typeof judged === 'string'
          ? judged
          : `On this machine: ${judged.meanInPerS.toFixed(1)} in/s, stitches uneven by ${Math.round(judged.cvPct)} %, ${judged.offIn.toFixed(2)} in from the line.`}
        {!here &&
          ` It was sewn where the regulator ${MODE_LABEL[given.mode]}, which this machine does not do.`}
      </p>
    </section>
  );
}

const MEASURES = [
  ['From the line, in', (j: Judged) => j.offIn, 2],
  ['Stitches uneven by, %', (j: Judged) => j.cvPct, 0],
  ['Speed uneven by, %', (j: Judged) => j.speedCvPct, 0],
  ['Tremor, thousandths', (j: Judged) => j.wobbleMil, 0],
] as const;
const WORD = {
  better: 'better: certain',
  worse: 'worse: certain',
  unsure: 'cannot be told yet',
} as const;

/** How a drill went since the first time: each measure with its certainty, and the first and the latest line. */
function Sofar({
  drill,
  runs,
  compared,
}: {
  drill: Drill;
  runs: readonly Kept[];
  compared: { first: PracticeRun; latest: PracticeRun } | null;
}) {
  if (runs.length === 0) return null;
  const day = (at: Date) => format(at, 'd MMM');
  return (
    <section aria-label={`${drill.label} so far`} className="mt-6 max-w-[1060px]">
      <h2 className="border-t-2 border-ink pt-2 text-20">
        {drill.label} so far: {runs.length} {runs.length === 1 ? 'time' : 'times'}
      </h2>
      <div className="mt-2 grid gap-6 md:grid-cols-2">
        <table className="w-full self-start">
          <tbody>
            {MEASURES.map(([label, of, digits]) => {
              const trend = trendOf(runs.map((r) => of(r.judged)));
              return (
                <tr key={label} className="border-b">
                  <th scope="row" className="py-1.5 pr-3 text-left font-normal text-ink2">
                    {label}
                  </th>
                  <td className="pr-3 tabular-nums">
                    {trend
                      ? `${trend.first.toFixed(digits)} → ${trend.latest.toFixed(digits)}`
                      : of(runs.at(-1)!.judged).toFixed(digits)}
                  </td>
                  <td className={trend?.word === 'better' ? 'font-medium text-verdigris' : ''}>
                    {trend ? `since ${day(runs[0]!.at)} ${WORD[trend.word]}` : 'from three times on'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {compared && (
          <div className="flex gap-4">
            <DrawnLine path={compared.first.path} label={`first, ${day(compared.first.at)}`} />
            <DrawnLine path={compared.latest.path} label={`latest, ${day(compared.latest.at)}`} />
          </div>
        )}
      </div>
    </section>
  );
}

/** Your usual speed for each technique that was drilled three times, beside the usual. */
function Usual({ runs }: { runs: readonly Kept[] }) {
  const rows = [...new Set(DRILLS.rows.map((d) => d.technique))].flatMap((id) => {
    const own = runs.filter((r) => DRILLS.find(r.drill)?.technique === id && r.judged.donePct >= 80);
    const usual = usualSpeed(own.map((r) => r.judged.meanInPerS));
    return usual ? [{ id, ...usual }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <section aria-label="Your usual speed" className="mt-6 max-w-[1060px]">
      <h2 className="border-t-2 border-ink pt-2 text-20">Your usual speed</h2>
      <ul>
        {rows.map(({ id, inPerS, sdLn, runs: n }) => {
          const t = techniques.get(id);
          return (
            <li key={id} className="border-b py-1.5">
              {t.label}: <b>{inPerS.toFixed(1)} in/s</b> (usual {t.handInPerS}), give or take{' '}
              {Math.round(100 * sdLn)} %, from {n} drills on the screen. Hours are learned from what is logged
              at the machine, not from here.
            </li>
          );
        })}
      </ul>
    </section>
  );
}
