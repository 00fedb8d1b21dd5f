'use client';
import { Link } from '@/ui/kit/Link';
import { useMemo, useState } from 'react';
import { safety } from '@/core/cautions/cautions';
import { stepId } from '@/core/plan/step-key';
import type { LogEntry } from '@/core/stand/log';
import { squareness } from '@/core/stand/squareness';
import { runOut, standState } from '@/core/stand/state';
import { AdvancePanel } from './AdvancePanel';
import { AwayPanel } from './AwayPanel';
import { Big } from './Big';
import { FaultPanel, type Sign } from './FaultPanel';
import { keyWords, type StandAct } from './keys';
import { useKeys } from './use-keys';
import { KeysPanel } from './KeysPanel';
import { ListPanel } from './ListPanel';
import type { ShownStep } from './stand-facts';
import { TempoPanel } from './TempoPanel';
import { MachinePanel } from './MachinePanel';
import { Notices, noticesOf } from './Notices';
import { StandHead } from './StandHead';
import { StepCard } from './StepCard';
import { useLongarm } from './use-longarm';
import { useLog } from './use-log';
import { useNow } from './use-now';
import { usePedals } from './use-pedals';
import { useWakeLock } from './use-wake-lock';

type Panel = 'fault' | 'advance' | 'list' | 'keys' | 'tempo' | 'machine' | null;
/** So long undo is offered at once. */
const UNDO_MS = 10_000;
const POSTURE_MS = 30 * 60_000;
/** The back is to be looked at so long after a pass was begun. */
const FIRST_INCHES_MS = 90_000;

/** The screen at the machine: the step, its setting, the clock, and what happens written down with one tap. */
export function StandBench({
  quilt,
  steps,
  sewnBefore,
  entries: first,
  cursor,
  signs,
  signPictures,
  moreSigns,
  raiseBefore,
  needle,
  map,
}: {
  quilt: { id: string; name: string; widthIn: number; lengthIn: number; fixed: boolean };
  steps: readonly ShownStep[];
  sewnBefore: readonly string[];
  entries: readonly LogEntry[];
  cursor: number;
  signs: readonly Sign[];
  /** Each sign as it looks, drawn on the server. */
  signPictures: Readonly<Record<string, React.ReactNode>>;
  moreSigns: readonly Sign[];
  raiseBefore: readonly number[];
  needle: { nm: number; stitches: number; worn: number; life: number } | null;
  map: React.ReactNode;
}) {
  const { entries, log, outbox, writing, storeFails, forget, old } = useLog(quilt.id, first, cursor);
  const state = useMemo(() => standState(steps, sewnBefore, entries), [steps, sewnBefore, entries]);
  // The needle's stitches as they were when the page came, and what is sewn since.
  const [sewnAtFirst] = useState(() => standState(steps, sewnBefore, first).needleStitches);
  const [panel, setPanel] = useState<Panel>(null);
  const [keys, setKeys] = useKeys();
  const [last, setLast] = useState<{ id: string; words: string; at: number } | null>(null);
  const [away, setAway] = useState<{ from: number; to: number } | null>(null);
  const [postureAt, setPostureAt] = useState(0);
  const now = useNow(state.runningSince !== null || last !== null);
  const awake = useWakeLock();
  const longarm = useLongarm(quilt.id);

  const step = state.now && steps.find((s) => stepId(s) === stepId(state.now!));
  const at = steps.findIndex((s) => step && stepId(s) === stepId(step));
  const next = step ? steps.slice(at + 1).find((s) => !state.done.has(stepId(s))) : undefined;
  const running = state.runningSince !== null;
  const sewnMs = state.sewnMs + (running ? Math.max(0, now - state.runningSince!) : 0);
  const key = step && { pass: step.pass, thread: step.thread, stabilise: step.stabilise };

  const write = (words: string, kind: LogEntry['kind'], part: Partial<LogEntry> = {}) => {
    const id = log(kind, part);
    setLast({ id, words, at: Date.now() });
    return id;
  };
  const acts: Record<StandAct, () => void> = {
    go: () => {
      if (!key) return;
      if (running) write('The clock stands.', 'step-paused');
      else if (state.begun) write('The clock runs.', 'step-resumed');
      else write('The clock runs.', 'step-begun', key);
    },
    done: () => {
      if (!key) return;
      const minutes = Math.round(sewnMs / 6000) / 10;
      write(`Step ${at + 1} is done.`, 'step-done', { ...key, ...(minutes >= 0.5 ? { minutes } : {}) });
      if (next && next.pass !== key.pass) setPanel('advance');
    },
    fault: () => setPanel('fault'),
    bobbin: () => write('A full bobbin is in.', 'bobbin-changed', { thread: step?.bobbinId }),
    needle: () =>
      step &&
      write(`A new needle is in, ${step.needle}.`, 'needle-changed', {
        nm: step.needleNm,
        eye: step.needleEye,
        point: step.needlePoint,
      }),
    back: () => step && write('The back was looked at.', 'back-checked', { pass: step.pass }),
    advance: () => setPanel('advance'),
    undo: () => {
      const newest = state.entries.filter((e) => e.kind !== 'undone').at(-1);
      if (!newest) return;
      log('undone', { undoes: newest.id });
      setLast(null);
    },
  };

  usePedals({
    keys,
    acts,
    deaf: panel !== null || away !== null,
    watched: running && away === null,
    onEscape: () => setPanel(null),
    onAway: (from, to) => setAway({ from, to }),
  });

  if (steps.length === 0 || !quilt.fixed)
    return (
      <Screen>
        <p className="text-28">
          {steps.length === 0
            ? 'No step can be sewn yet: match its zones first.'
            : 'Fix the passes of this quilt first.'}
        </p>
        <Link
          className="mt-4 inline-flex min-h-[88px] items-center text-28 underline"
          href={`/quilts/${quilt.id}/quilt`}
        >
          To its plan
        </Link>
      </Screen>
    );

  const square = squareness(state.widths);
  const out = step
    ? runOut(
        steps.filter((s) => s.bobbinId === step.bobbinId),
        state,
        step.capacityM,
      )
    : null;
  const outShown = out && steps.find((s) => stepId(s) === stepId(out.step));
  const needleSewn = needle ? Math.max(0, needle.stitches + state.needleStitches - sewnAtFirst) : 0;
  const needleShare = needle
    ? Math.min(9, (needle.worn + state.needleStitches - sewnAtFirst) / needle.life)
    : 0;
  const sinceRest = state.sinceRestMs + (running ? Math.max(0, now - state.runningSince!) : 0);
  const notices = noticesOf({
    storeFails,
    refused: outbox.refused[0] ?? null,
    pass: step?.pass ?? null,
    lookAtBack: !!step && running && state.backChecked < step.pass && sewnMs > FIRST_INCHES_MS,
    raise: !!step && raiseBefore.includes(step.pass) && state.advancedTo < step.pass,
    needleShare,
    square,
    sewnOnMs: sinceRest - postureAt > POSTURE_MS ? sinceRest : null,
  });

  return (
    <Screen>
      <StandHead
        quilt={quilt}
        place={step ? `step ${at + 1} of ${steps.length}` : 'all steps are done'}
        done={state.done.size}
        old={old}
        outbox={outbox}
        writing={writing}
      />

      {step ? (
        <StepCard
          step={step}
          next={next}
          sewnMs={sewnMs}
          clock={running ? 'sewing' : state.begun ? 'paused' : 'not begun'}
          needle={needle && { sewn: needleSewn, share: needleShare }}
          out={out && outShown ? { ...out, shown: outShown } : null}
        />
      ) : (
        <p className="mt-6 text-44">Every step is done. Take it off, trim, and look over both sides.</p>
      )}

      <Notices
        notices={notices}
        onAnswer={(key) => {
          if (key === 'refused') void forget(outbox.refused[0]!.id);
          if (key === 'back') acts.back();
          if (key === 'posture') setPostureAt(sinceRest);
        }}
      />

      <nav aria-label="At the machine" className="mt-2 grid grid-cols-2 gap-2 sm:mt-4 sm:grid-cols-4">
        <Big
          look="act"
          label={running ? 'Pause' : state.begun ? 'Go on' : 'Begin'}
          hint={keyWords(keys.go)}
          onClick={acts.go}
          disabled={!step}
        />
        <Big look="act" label="Step done" hint={keyWords(keys.done)} onClick={acts.done} disabled={!step} />
        <Big look="fault" label="Fault" hint={keyWords(keys.fault)} onClick={acts.fault} />
        <Big label="Advance" hint={keyWords(keys.advance)} onClick={acts.advance} />
        <Big label="Bobbin changed" hint={keyWords(keys.bobbin)} onClick={acts.bobbin} />
        <Big label="Needle changed" hint={keyWords(keys.needle)} onClick={acts.needle} disabled={!step} />
        <Big label="Back looked at" hint={keyWords(keys.back)} onClick={acts.back} disabled={!step} />
        <Big label="List, machine, tempo" onClick={() => setPanel('list')} />
      </nav>
      <p className="mt-2 min-h-[30px] text-16 text-ink2">
        {!awake && 'This browser cannot keep the screen awake: set the tablet to stay on. '}
        {step?.idling && safety('hands-near-needle').text}
      </p>
      {last && now - last.at < UNDO_MS && (
        <UndoBar
          words={last.words}
          onUndo={() => {
            log('undone', { undoes: last.id });
            setLast(null);
          }}
        />
      )}

      {panel === 'fault' && (
        <FaultPanel
          signs={signs}
          pictures={signPictures}
          more={moreSigns}
          map={map}
          onClose={() => setPanel(null)}
          onFault={(part) => {
            write('The fault is noted.', 'fault', { ...(key ?? {}), ...part });
            setPanel(null);
          }}
        />
      )}
      {panel === 'advance' && (
        <AdvancePanel
          pass={next && next.pass !== step?.pass ? next.pass : (step?.pass ?? 1)}
          raise={raiseBefore.includes(next?.pass ?? 0)}
          square={square}
          widths={state.widths}
          onClose={() => setPanel(null)}
          onDone={(pass, widthIn) => {
            if (widthIn !== null) log('width-measured', { pass, widthIn });
            write(`Advanced to pass ${pass}.`, 'advanced', { pass });
            setPanel(null);
          }}
        />
      )}
      {panel === 'list' && (
        <ListPanel
          entries={state.entries}
          onUndo={(id) => log('undone', { undoes: id })}
          onClose={() => setPanel(null)}
          onKeys={() => setPanel('keys')}
          onTempo={() => setPanel('tempo')}
          onMachine={() => setPanel('machine')}
        />
      )}
      {panel === 'machine' && (
        <MachinePanel
          quiltId={quilt.id}
          step={step ?? null}
          longarm={longarm}
          map={map}
          onStart={() => {
            if (!running && key)
              write('The clock runs.', state.begun ? 'step-resumed' : 'step-begun', state.begun ? {} : key);
          }}
          onClose={() => setPanel(null)}
        />
      )}
      {panel === 'tempo' && <TempoPanel step={step ?? null} onClose={() => setPanel(null)} />}
      {panel === 'keys' && <KeysPanel keys={keys} onKeys={setKeys} onClose={() => setPanel(null)} />}
      {away && (
        <AwayPanel
          minutes={Math.round((away.to - away.from) / 60_000)}
          onSewing={() => setAway(null)}
          onAway={() => {
            log('step-paused', { at: new Date(away.from).toISOString(), away: true });
            log('step-resumed', { at: new Date(away.to).toISOString() });
            setAway(null);
          }}
        />
      )}
    </Screen>
  );
}

function Screen({ children }: { children: React.ReactNode }) {
  return (
    <div
      data-theme="lamp"
      data-stand
      className="fixed inset-0 z-30 overflow-y-auto bg-ground px-4 pt-2 pb-4 text-ink sm:px-6"
    >
      {children}
    </div>
  );
}

/** The last tap, for as long as it is likely to be missed; on a phone above, clear of the controls. */
function UndoBar({ words, onUndo }: { words: string; onUndo: () => void }) {
  return (
    <div
      role="status"
      className="fixed inset-x-0 flex items-center gap-4 bg-ink px-5 py-2 text-24 text-ground max-sm:top-0 sm:bottom-0"
    >
      <span className="flex-1">{words}</span>
      <button
        type="button"
        className="min-h-[88px] min-w-[140px] border-2 border-ground px-6 font-semibold"
        onClick={onUndo}
      >
        Undo
      </button>
    </div>
  );
}
