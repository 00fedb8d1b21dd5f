'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PathPoint } from '@/core/machine/regulator';
import { attempt } from '@/core/notes';
import { DRILLS } from '@/core/practice/drills';
import { drillRequest, judge } from '@/core/practice/judge';
import { readSharedDrill, type SharedDrill } from '@/core/practice/shared-drill';
import { type Mode, MODE_LABEL } from '@/core/stitch/machine';
import type { Machine, PracticeRun, SentDrill } from '@/data/types';
import { Choice } from '@/ui/kit/Choice';
import { OpenFile } from '@/ui/kit/OpenFile';
import { Taps } from '@/ui/kit/Taps';
import { CameTo } from './CameTo';
import { DrillField } from './DrillField';
import { FromMachine } from './FromMachine';
import { Session } from './Session';
import { type Kept, Sofar, Usual } from './Sofar';
import { DrawnLine } from './StitchedPicture';

const SPI = 10;

/** Drills drawn by hand, told through the regulator: how even, how near the line, and one thing to try next. */
export function PracticeScreen({
  machine,
  drillId,
  runs,
  compared,
  sent,
  now,
}: {
  /** When the page was asked for, milliseconds. */
  now: number;
  machine: Machine;
  drillId: string;
  /** Runs of all drills, oldest first. */
  runs: readonly Kept[];
  compared: { first: PracticeRun; latest: PracticeRun } | null;
  /** Drills sewn on the machine within the last day, newest first. */
  sent: readonly SentDrill[];
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
          <div className="mt-2 flex flex-wrap items-start gap-3">
            <OpenFile label="Open a drill somebody gave you" read={take} />
            <FromMachine
              drill={drill}
              machine={machine}
              mode={mode}
              spi={SPI}
              sent={sent}
              onTaken={setPath}
            />
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
