'use client';
import Link from 'next/link';
import { useEffect, useMemo, useRef, useState } from 'react';
import { safety } from '@/core/cautions/cautions';
import { stepId } from '@/core/plan/step-key';
import type { LogEntry } from '@/core/stand/log';
import { squareness } from '@/core/stand/squareness';
import { partWords, runOut, standState } from '@/core/stand/state';
import { AdvancePanel } from './AdvancePanel';
import { AwayPanel } from './AwayPanel';
import { Big } from './Big';
import { FaultPanel, type Sign } from './FaultPanel';
import { KIND_WORDS } from './kind-words';
import { keyWords, type StandAct } from './keys';
import { useKeys } from './use-keys';
import { KeysPanel } from './KeysPanel';
import { ListPanel } from './ListPanel';
import type { ShownStep } from './stand-facts';
import { TempoPanel } from './TempoPanel';
import { MachinePanel } from './MachinePanel';
import { useLongarm } from './use-longarm';
import { useLog } from './use-log';
import { useNow } from './use-now';
import { clockWords, nextWords } from './words';
import { useWakeLock } from './use-wake-lock';

type Panel = 'fault' | 'advance' | 'list' | 'keys' | 'tempo' | 'machine' | null;
/** So long undo is offered at once. */
const UNDO_MS = 10_000;
/** After so long without a tap it is asked whether it was sewing. */
const ABSENT_MS = 20 * 60_000;
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
  const touched = useRef(0);

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

  // Keys and pedals; and how long nobody has touched anything.
  const latest = useRef({ acts, keys, panel, running, away });
  useEffect(() => {
    latest.current = { acts, keys, panel, running, away };
  });
  useEffect(() => {
    touched.current = Date.now();
    const touch = () => {
      const t = Date.now();
      const l = latest.current;
      if (l.running && !l.away && t - touched.current > ABSENT_MS) setAway({ from: touched.current, to: t });
      touched.current = t;
    };
    const press = (e: KeyboardEvent) => {
      touch();
      const l = latest.current;
      const typing = e.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(e.target.tagName);
      if (e.key === 'Escape') return setPanel(null);
      if (typing || l.panel || l.away || e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
      const act = (Object.entries(l.keys) as [StandAct, string][]).find(
        ([, k]) => k.toLowerCase() === e.key.toLowerCase(),
      )?.[0];
      if (!act) return;
      // Enter and Space press a button that has the focus; here they are the pedal's.
      e.preventDefault();
      l.acts[act]();
    };
    window.addEventListener('pointerdown', touch);
    window.addEventListener('keydown', press);
    return () => {
      window.removeEventListener('pointerdown', touch);
      window.removeEventListener('keydown', press);
    };
  }, []);

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
  const told: { key: string; words: string; act?: () => void; label?: string }[] = [];
  if (storeFails)
    told.push({
      key: 'store',
      words:
        'This device keeps nothing: what is tapped is lost when the page is. Allow it storage, or use another browser.',
    });
  if (outbox.refused[0])
    told.push({
      key: 'refused',
      words: `The studio’s computer would not take “${KIND_WORDS[outbox.refused[0].entry.kind]}”: ${outbox.refused[0].reason}`,
      act: () => void forget(outbox.refused[0]!.id),
      label: 'Seen',
    });
  if (step && running && state.backChecked < step.pass && sewnMs > FIRST_INCHES_MS)
    told.push({
      key: 'back',
      words: 'Stop, needle up: look at the back.',
      act: acts.back,
      label: 'It is good',
    });
  if (step && raiseBefore.includes(step.pass) && state.advancedTo < step.pass)
    told.push({ key: 'raise', words: `The roll has grown: raise the rail before pass ${step.pass}.` });
  if (needleShare >= 0.9)
    told.push({
      key: 'needle',
      words: `The needle is worn: ${Math.round(needleShare * 100)} % of its life.`,
    });
  if (square?.real) told.push({ key: 'square', words: square.words });
  const sinceRest = state.sinceRestMs + (running ? Math.max(0, now - state.runningSince!) : 0);
  if (sinceRest - postureAt > POSTURE_MS)
    told.push({
      key: 'posture',
      words: `${Math.round(sinceRest / 60_000)} minutes sewn. ${safety('posture-break').text}`,
      act: () => setPostureAt(sinceRest),
      label: 'Done',
    });
  const waiting = outbox.waiting.length;

  return (
    <Screen>
      <header className="flex flex-wrap items-center gap-x-3 text-16 sm:gap-x-5 sm:text-20">
        <Link
          href={`/quilts/${quilt.id}/quilt`}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          Leave
        </Link>
        <h1 className="text-16 sm:text-24">{quilt.name}</h1>
        <p>
          {step ? `step ${at + 1} of ${steps.length}` : 'all steps are done'}
          <span className="max-sm:hidden">, {state.done.size} done</span>
        </p>
        {old && (
          <p className="text-ink2">
            <span className="max-sm:hidden">Computer away: </span>as last seen here
          </p>
        )}
        <p
          role="status"
          className={`ml-auto ${waiting > 0 && !outbox.reached ? 'font-semibold text-weld' : 'text-ink2'}`}
        >
          {!outbox.known
            ? '…'
            : writing > 0
              ? `writing ${writing}…`
              : waiting === 0
                ? 'all kept'
                : `${waiting} ${waiting === 1 ? 'waits' : 'wait'} on this device`}
        </p>
      </header>

      {step ? (
        <section aria-label="The step" className="mt-2 border-t-2 border-ink pt-3 max-sm:mt-0 max-sm:pt-1.5">
          <div className="flex flex-wrap items-start gap-x-8 gap-y-3">
            <div className="min-w-0 flex-1 max-sm:basis-full">
              <h2 className="text-28 leading-none sm:text-44">
                Pass {step.pass} <span className="text-ink2">·</span> {step.threadName}
              </h2>
              <p className="mt-1 text-20 leading-tight sm:mt-2 sm:text-28">
                <i
                  aria-hidden
                  className="mr-2 inline-block size-7 align-[-4px] border"
                  style={{ background: step.hex ?? 'transparent' }}
                />
                {step.stabilise ? 'stabilise ' : ''}
                {step.zones.length === 1 ? 'zone' : 'zones'} {step.letters.join(', ')}:{' '}
                {step.zones.join(', ')}
              </p>
              <p className="mt-1 text-20 text-ink2 max-sm:hidden">{step.work}</p>
            </div>
            <div className="text-right max-sm:flex max-sm:basis-full max-sm:items-baseline max-sm:justify-between">
              <p
                className={`text-44 leading-none font-bold tabular-nums sm:text-72 ${running ? '' : 'text-ink2'}`}
                aria-live="off"
              >
                {clockWords(sewnMs)}
              </p>
              <p className="mt-1 text-20 text-ink2">
                {running ? 'sewing' : state.begun ? 'paused' : 'not begun'} · about{' '}
                {Math.max(1, Math.round(step.minutes))} min
              </p>
            </div>
          </div>
          <dl className="mt-2 grid grid-cols-3 items-end gap-x-4 gap-y-2 border-t pt-2 sm:mt-4 sm:gap-x-6 sm:pt-3 lg:grid-cols-[1.5fr_1fr_1fr_1.1fr_1.2fr_1.2fr]">
            <Fact
              large
              label="Hands, in/s"
              big={step.handInPerS.toFixed(1)}
              beside={`needle to ${step.maxInPerS.toFixed(1)}`}
            />
            <Fact label="To the inch" big={String(Number(step.spi.toFixed(1)))} beside={step.mode} />
            <Fact
              label="Top, gf"
              big={step.topGf}
              beside={step.topPlace ?? (step.proven ? 'proven' : 'not tested')}
            />
            <Fact label="Bobbin, gf" big={step.bobbinGf} beside={step.bobbinName} />
            <Fact
              label="Needle"
              big={step.needle.split(' / ')[0]!.replace('Nm ', '')}
              beside={
                needle
                  ? `${Math.round(needleSewn / 1000)} thousand sewn, ${Math.round(needleShare * 100)} % of its life`
                  : step.needle
              }
            />
            <Fact
              label="Foot"
              big={step.foot}
              beside={step.idling ? 'idles: hands off the foot' : ''}
              words
            />
          </dl>
          <p className="mt-2 text-16 sm:mt-3 sm:text-20">
            {next ? (
              <>
                <b>After this:</b> {nextWords(step, next)}
              </>
            ) : (
              <b>This is the last step.</b>
            )}
          </p>
          <p className="text-16 sm:text-20">
            <b>Bobbin:</b>{' '}
            {out && outShown
              ? stepId(out.step) === stepId(step)
                ? `runs out ${partWords(out.share)} this step${out.early < 0.95 && out.late >= 1 ? ', or just lasts' : ''}.`
                : `lasts this step; runs out ${partWords(out.share)} pass ${out.step.pass} with ${outShown.threadName}.`
              : 'lasts as long as its thread is sewn.'}
          </p>
        </section>
      ) : (
        <p className="mt-6 text-44">Every step is done. Take it off, trim, and look over both sides.</p>
      )}

      {told.length > 0 && (
        <ul className="mt-3 grid gap-2">
          {told.slice(0, 2).map((t) => (
            <li
              key={t.key}
              className="flex flex-wrap items-center gap-4 border-l-8 border-weld bg-cloth px-4 py-2 text-24"
            >
              <span className="min-w-0 flex-1">{t.words}</span>
              {t.act && <Big onClick={t.act} label={t.label!} look="quiet" />}
            </li>
          ))}
        </ul>
      )}

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
        <div
          role="status"
          className="fixed inset-x-0 flex items-center max-sm:top-0 sm:bottom-0 gap-4 bg-ink px-5 py-2 text-24 text-ground"
        >
          <span className="flex-1">{last.words}</span>
          <button
            type="button"
            className="min-h-[88px] min-w-[140px] border-2 border-ground px-6 font-semibold"
            onClick={() => {
              log('undone', { undoes: last.id });
              setLast(null);
            }}
          >
            Undo
          </button>
        </div>
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

function Fact({
  label,
  big,
  beside,
  words = false,
  large = false,
}: {
  label: string;
  big: string;
  beside: string;
  words?: boolean;
  large?: boolean;
}) {
  const size = words
    ? 'text-20 sm:text-28'
    : large
      ? 'text-44 sm:text-[110px] sm:leading-[0.85]'
      : 'text-28 sm:text-44';
  return (
    <div className="min-w-0">
      <dt className="text-16 text-ink2">{label}</dt>
      <dd className={`${size} leading-none font-bold`}>{big}</dd>
      <dd className="mt-1 text-16 leading-tight text-ink2 max-sm:hidden">{beside}</dd>
    </div>
  );
}
