'use client';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { safety } from '@/core/cautions/cautions';
import type { XY } from '@/core/geometry/polygon';
import type { LogEntry } from '@/core/log/entry';
import type { TensionSchool } from '@/core/fields/lists';
import { type MeasuredScale, scalesOf } from '@/core/machine/scales';
import { takenBack } from '@/core/log/standing';
import { stepId } from '@/core/plan/step-key';
import { rollTo } from '@/core/stand/advance';
import { squareness } from '@/core/stand/squareness';
import { runOut, standState } from '@/core/stand/state';
import type { FootId } from '@/core/tables/techniques';
import { ButtonLink } from '@/ui/kit/Button';
import { patiently } from '@/ui/kit/patiently';
import { AdvancePanel } from './AdvancePanel';
import { AwayPanel } from './AwayPanel';
import { Big } from './Big';
import { BobbinPanel } from './BobbinPanel';
import type { DrawnMap } from '@/ui/quilt-map/QuiltMap';
import { FaultPanel, type Sign } from './FaultPanel';
import { FramePanel } from './FramePanel';
import { KeysPanel } from './KeysPanel';
import { keyWords, type StandAct } from './keys';
import { KIND_WORDS, settingWords } from './kind-words';
import { ListPanel } from './ListPanel';
import { Notices, noticesOf } from './Notices';
import { changeWords, factsOf, setOf } from './setting';
import type { PassDrawing, ShownStep, ShownThread } from './stand-facts';
import { StandHead } from './StandHead';
import { StepCard } from './StepCard';
import { TempoPanel } from './TempoPanel';
import { useKeys } from './use-keys';
import { useLog } from './use-log';
import { useLongarm } from './use-longarm';
import { useNow } from './use-now';
import { usePedals } from './use-pedals';
import { useWakeLock } from './use-wake-lock';

const ChangePanel = dynamic(() => patiently(() => import('./ChangePanel')).then((m) => m.ChangePanel), {
  ssr: false,
});
const MachinePanel = dynamic(() => patiently(() => import('./MachinePanel')).then((m) => m.MachinePanel), {
  ssr: false,
});

type Panel =
  'fault' | 'advance' | 'bobbin' | 'change' | 'frame' | 'list' | 'keys' | 'tempo' | 'machine' | null;
const POSTURE_MS = 30 * 60_000;
/** The back is to be checked so long after a pass was begun. */
const FIRST_INCHES_MS = 90_000;

export interface StandQuilt {
  id: string;
  name: string;
  /** Its passes are locked in. */
  fixed: boolean;
  /** It is quilted, or has gone home. */
  quilted: boolean;
  onFrame: boolean;
  /** The quilt that is on the frame instead. */
  framed: { id: string; name: string } | null;
  /** What was said at the counter to watch for. */
  watch: string;
}

/** The screen at the machine: the zone in hand, its setting, the clock, and what happens written down with one tap. */
export function StandScreen({
  quilt,
  steps,
  threads,
  drawing,
  measured,
  school,
  feet,
  pins,
  sewnBefore,
  entries: first,
  cursor,
  signs,
  moreSigns,
  raiseBefore,
  needle,
  drawer,
  map,
}: {
  quilt: StandQuilt;
  steps: readonly ShownStep[];
  threads: readonly ShownThread[];
  drawing: PassDrawing;
  /** What was measured on the machine’s dials. */
  measured: readonly MeasuredScale[];
  /** How tensions are set in this studio. */
  school: TensionSchool;
  feet: readonly FootId[];
  pins: readonly { xIn: number; yIn: number }[];
  sewnBefore: readonly string[];
  entries: readonly LogEntry[];
  cursor: number;
  signs: readonly Sign[];
  moreSigns: readonly Sign[];
  raiseBefore: readonly number[];
  /** The needle in the machine as the page was asked for. */
  needle: { nm: number; eye: string; coated: boolean; stitches: number; worn: number; life: number } | null;
  /** Kinds of needles in the drawer, coated or not. */
  drawer: readonly { nm: number; eye: string; point: string; coated: boolean; stock: number }[];
  map: DrawnMap;
}) {
  const { entries, log, outbox, writing, storeFails, forget, old } = useLog(quilt.id, first, cursor);
  const state = useMemo(() => standState(steps, sewnBefore, entries), [steps, sewnBefore, entries]);
  const atFirst = useMemo(() => standState(steps, sewnBefore, first), [steps, sewnBefore, first]);
  const scales = useMemo(() => scalesOf(measured), [measured]);
  const named = useMemo(() => new Map(threads.map((t) => [t.id, t])), [threads]);
  const [panel, setPanel] = useState<Panel>(null);
  const [keys, setKeys] = useKeys();
  const [away, setAway] = useState<{ from: number; to: number } | null>(null);
  const [postureAt, setPostureAt] = useState(0);
  const now = useNow(state.runningSince !== null);
  const awake = useWakeLock();
  const longarm = useLongarm(quilt.id);

  const step = state.now && steps.find((s) => stepId(s) === stepId(state.now!));
  const at = steps.findIndex((s) => step && stepId(s) === stepId(step));
  const next = step ? steps.slice(at + 1).find((s) => !state.done.has(stepId(s))) : undefined;
  const zone = step?.zones.find((z) => z.id === state.zoneId) ?? step?.zones[0];
  const zoneAfter = step && zone ? step.zones[step.zones.indexOf(zone) + 1] : undefined;
  const running = state.runningSince !== null;
  const sewnMs = state.sewnMs + (running ? Math.max(0, now - state.runningSince!) : 0);
  const key = step && { pass: step.pass, thread: step.thread, stabilise: step.stabilise };
  const set = zone && setOf(zone, state.settings);
  const needleIn = useMemo(
    () =>
      state.needle?.nm
        ? { nm: state.needle.nm, eye: state.needle.eye ?? 'standard', coated: state.needle.coated ?? false }
        : needle,
    [state.needle, needle],
  );
  const facts = useMemo(
    () =>
      new Map(
        (step?.zones ?? []).map((z) => [z.id, factsOf(setOf(z, state.settings), scales, needleIn, school)]),
      ),
    [step, state.settings, scales, needleIn, school],
  );
  // Zones of the step that stand as the one in hand does: what is set otherwise here is so for them too.
  const alike =
    step && zone
      ? step.zones.filter((z) => JSON.stringify(facts.get(z.id)) === JSON.stringify(facts.get(zone.id)))
      : [];
  const roll = step ? rollTo(state.frameAt, step.pass, raiseBefore) : null;
  const nameOf = (id: string) => named.get(id)?.name ?? 'a thread put away';
  const newest = [...state.entries].reverse().find((e) => e.kind !== 'undone');

  const acts: Record<StandAct, () => void> = {
    go: () => {
      if (!key) return;
      if (running) log('step-paused');
      else if (state.begun) log('step-resumed');
      else if (!quilt.onFrame && quilt.framed) setPanel('frame');
      else log('step-begun', key);
    },
    done: () => {
      if (!key) return;
      const minutes = Math.round(sewnMs / 6000) / 10;
      log('step-done', { ...key, ...(minutes >= 0.5 ? { minutes } : {}) });
      if (next && next.pass !== key.pass) setPanel('advance');
    },
    zone: () => zoneAfter && log('zone-begun', { ...key, zoneId: zoneAfter.id }),
    fault: () => setPanel('fault'),
    bobbin: () => {
      if (!set) return;
      const onTray = (named.get(set.bobbinId)?.wound ?? 0) - takenSince(state.entries, first, set.bobbinId);
      if (onTray > 0) log('bobbin-changed', { thread: set.bobbinId });
      else setPanel('bobbin');
    },
    needle: () => {
      if (!zone) return;
      const kind = { nm: zone.needleNm, eye: zone.needleEye, point: zone.needlePoint };
      log('needle-changed', { ...kind, coated: coatedOf(drawer, kind, needleIn?.coated ?? false) });
    },
    change: () => setPanel('change'),
    back: () => step && log('back-checked', { pass: step.pass }),
    advance: () => setPanel('advance'),
    undo: () => newest && log('undone', { undoes: newest.id }),
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
            : 'Lock in the passes of this quilt first.'}
        </p>
        <p className="mt-4">
          <ButtonLink look="act" href={`/quilts/${quilt.id}/quilt`}>
            To its plan
          </ButtonLink>
        </p>
      </Screen>
    );

  const square = squareness(state.widths);
  const out = set ? runOut(steps, state, set.bobbinId, named.get(set.bobbinId)?.capacityM ?? Infinity) : null;
  // A needle put in since the page came has sewn only what was sewn since; the one before goes on where it stood.
  const fresh = state.needle !== null && state.needle.id !== atFirst.needle?.id;
  const sinceFirst = fresh ? 0 : atFirst.needleStitches;
  const had = fresh || !needle ? { worn: 0, life: needle?.life ?? 250_000 } : needle;
  const needleShare = Math.min(9, (had.worn + state.needleStitches - sinceFirst) / had.life);
  const sinceRest = state.sinceRestMs + (running ? Math.max(0, now - state.runningSince!) : 0);
  const stitchesNow = step && zone ? stitchesSoFar(step, sewnMs, longarm.state.summary.stitches) : 0;
  const notices = noticesOf({
    storeFails,
    refused: outbox.refused[0] ?? null,
    roll: roll ?? null,
    lookAtBack: !!step && running && state.backChecked !== step.pass && sewnMs > FIRST_INCHES_MS,
    needleShare,
    square,
    sewnOnMs: sinceRest - postureAt > POSTURE_MS ? sinceRest : null,
  });
  const lastPlace = [...state.entries].reverse().find((e) => e.xIn !== undefined && e.yIn !== undefined);
  const linked = longarm.state.path.at(-1);
  const watch = [
    ...(zone?.watch.map((w) => w.text) ?? []),
    ...(quilt.watch ? [`From intake: ${quilt.watch}`] : []),
  ];
  const after = nextOf();

  function nextOf() {
    if (!step || !zone || !set) return null;
    if (zoneAfter)
      return {
        what: `Next zone ${zoneAfter.letter}`,
        changes: changeWords(set, setOf(zoneAfter, state.settings), named),
      };
    const first = next?.zones[0];
    if (!next || !first) return null;
    const changes = changeWords(set, setOf(first, state.settings), named);
    return {
      what: 'After this step',
      changes: [...(next.pass === step.pass ? [] : [`pass ${next.pass}`]), ...changes],
    };
  }

  return (
    <Screen
      controls={
        step ? (
          <nav aria-label="At the machine" className="grid grid-cols-3 gap-2 sm:grid-cols-5">
            <Big
              look="act"
              label={running ? 'Pause' : state.begun ? 'Go on' : 'Start step'}
              hint={keyWords(keys.go)}
              onClick={acts.go}
            />
            <Big look="act" label="Finish step" hint={keyWords(keys.done)} onClick={acts.done} />
            <Big
              label={zoneAfter ? `Next zone ${zoneAfter.letter}` : 'Last zone'}
              hint={zoneAfter ? keyWords(keys.zone) : undefined}
              onClick={acts.zone}
              disabled={!zoneAfter}
            />
            <Big look="fault" label="Fault" hint={keyWords(keys.fault)} onClick={acts.fault} />
            <Big
              label="Undo"
              under={newest ? wordsOf(newest, nameOf) : 'nothing yet'}
              hint={keyWords(keys.undo)}
              onClick={acts.undo}
              disabled={!newest}
            />
            <Big
              label={roll?.back ? 'Roll back' : 'Advance'}
              hint={keyWords(keys.advance)}
              onClick={acts.advance}
            />
            <Big label="Bobbin changed" hint={keyWords(keys.bobbin)} onClick={acts.bobbin} />
            <Big label="Needle changed" hint={keyWords(keys.needle)} onClick={acts.needle} />
            <Big label="Change setting" hint={keyWords(keys.change)} onClick={acts.change} />
            <Big label="More" onClick={() => setPanel('list')} />
          </nav>
        ) : null
      }
    >
      <StandHead
        quilt={quilt}
        place={step ? `step ${at + 1} of ${steps.length}` : 'all steps are sewn'}
        done={state.done.size}
        old={old}
        outbox={outbox}
        writing={writing}
        last={newest ? wordsOf(newest, nameOf) : null}
      />
      {step && zone && set ? (
        <StepCard
          step={step}
          zone={zone}
          facts={facts}
          top={named.get(set.topId)}
          bobbin={named.get(set.bobbinId)}
          sewnMs={sewnMs}
          clock={running ? 'sewing' : state.begun ? 'paused' : 'not begun'}
          drawing={drawing}
          pins={[
            ...pins,
            ...state.faults.flatMap((f) =>
              f.xIn !== undefined && f.yIn !== undefined ? { xIn: f.xIn, yIn: f.yIn } : [],
            ),
          ]}
          needle={linked ? [linked[0], linked[1]] : lastPlace ? [lastPlace.xIn!, lastPlace.yIn!] : null}
          path={longarm.state.path as readonly XY[]}
          watch={watch}
          after={after}
          out={out}
          safety={[
            zone.mode === 'idling' ? safety('hands-near-needle').text : '',
            awake ? '' : 'This browser cannot keep the screen awake: set the tablet to stay on.',
          ]
            .filter(Boolean)
            .join(' ')}
          onPlace={(zoneId, [xIn, yIn]) => {
            const hit = step.zones.find((z) => z.id === zoneId);
            const place = { xIn: Math.round(xIn * 10) / 10, yIn: Math.round(yIn * 10) / 10 };
            if (hit) log('zone-begun', { ...key!, zoneId: hit.id, ...place });
          }}
        />
      ) : (
        <div className="mt-6">
          <p className="text-44">Every step is sewn. Take it off, trim, and look over both sides.</p>
          <p className="mt-6 flex flex-wrap gap-4">
            <ButtonLink look="act" href={`/quilts/${quilt.id}/hand-back`}>
              To hand back
            </ButtonLink>
            {newest && !quilt.quilted && (
              <Big label="Undo" under={wordsOf(newest, nameOf)} onClick={acts.undo} />
            )}
          </p>
        </div>
      )}

      <Notices
        notices={notices}
        onAnswer={(k) => {
          if (k === 'refused') void forget(outbox.refused[0]!.id);
          if (k === 'back') acts.back();
          if (k === 'roll') acts.advance();
          if (k === 'posture') setPostureAt(sinceRest);
        }}
      />
      {panel === 'fault' && (
        <FaultPanel
          signs={signs}
          more={moreSigns}
          map={map}
          onClose={() => setPanel(null)}
          onFault={(part) => {
            const inZone = zone && part.xIn === undefined ? { zoneId: zone.id } : {};
            log('fault', { ...(key ?? {}), ...inZone, stitches: Math.round(stitchesNow), ...part });
            setPanel(null);
          }}
        />
      )}
      {panel === 'advance' && (
        <AdvancePanel
          roll={roll ?? rollTo(state.frameAt, nextPass(steps, state.frameAt), raiseBefore)}
          square={square}
          widths={state.widths}
          onClose={() => setPanel(null)}
          onDone={(pass, widthIn) => {
            if (widthIn !== null) log('width-measured', { pass, widthIn });
            log('advanced', { pass });
            setPanel(null);
          }}
        />
      )}
      {panel === 'bobbin' && set && (
        <BobbinPanel
          thread={named.get(set.bobbinId)}
          onWound={(woundM) => {
            log('bobbin-changed', { thread: set.bobbinId, woundM });
            setPanel(null);
          }}
          onPut={() => {
            log('bobbin-changed', { thread: set.bobbinId });
            setPanel(null);
          }}
          onClose={() => setPanel(null)}
        />
      )}
      {panel === 'change' && set && (
        <ChangePanel
          key={set.zone.id}
          quiltId={quilt.id}
          set={set}
          letters={alike.map((z) => z.letter)}
          feet={feet}
          threads={threads}
          scales={scales}
          onChange={(kind, setting, from, to) =>
            log(kind, { ...key!, setting, from, to, zones: alike.map((z) => z.id) })
          }
          onNote={(part) => log('note', { ...key!, zoneId: set.zone.id, ...part })}
          onClose={() => setPanel(null)}
        />
      )}
      {panel === 'frame' && quilt.framed && (
        <FramePanel
          quiltId={quilt.id}
          framed={quilt.framed}
          onClose={() => setPanel(null)}
          onPut={() => key && log('step-begun', key)}
        />
      )}
      {panel === 'list' && (
        <ListPanel
          entries={state.entries}
          takenBack={takenBack(entries)}
          nameOf={nameOf}
          onUndo={(id) => log('undone', { undoes: id })}
          onPutBack={(by) => by.forEach((id) => log('undone', { undoes: id }))}
          onClose={() => setPanel(null)}
          onBack={acts.back}
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
            if (!running && key) log(state.begun ? 'step-resumed' : 'step-begun', state.begun ? {} : key);
          }}
          onClose={() => setPanel(null)}
        />
      )}
      {panel === 'tempo' && <TempoPanel setting={set ?? null} onClose={() => setPanel(null)} />}
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

/** What was done last, in words. */
const wordsOf = (e: LogEntry, nameOf: (id: string) => string): string =>
  e.kind === 'setting-changed' || e.kind === 'thread-changed' ? settingWords(e, nameOf) : KIND_WORDS[e.kind];

/** The pass one would roll to when nothing asks for another. */
const nextPass = (steps: readonly ShownStep[], frameAt: number): number =>
  Math.min(frameAt + 1, Math.max(...steps.map((s) => s.pass)));

/** Bobbins of a thread taken off the tray since the page was asked for. */
const takenSince = (entries: readonly LogEntry[], first: readonly LogEntry[], thread: string): number => {
  const known = new Set(first.map((e) => e.id));
  return entries.filter(
    (e) => e.kind === 'bobbin-changed' && e.thread === thread && !e.woundM && !known.has(e.id),
  ).length;
};

/** A new needle is coated as the one that was in, where the drawer has such; else as the drawer has it. */
function coatedOf(
  drawer: readonly { nm: number; eye: string; point: string; coated: boolean; stock: number }[],
  kind: { nm: number; eye: string; point: string },
  before: boolean,
): boolean {
  const own = drawer.filter(
    (n) => n.nm === kind.nm && n.eye === kind.eye && n.point === kind.point && n.stock > 0,
  );
  return own.length === 0 || own.some((n) => n.coated === before) ? before : own[0]!.coated;
}

/** Stitches of the step in hand that are sewn by now: as the linked machine counts them, else by the clock. */
function stitchesSoFar(step: ShownStep, sewnMs: number, linked: number): number {
  if (linked > 0) return linked;
  const all = step.zones.reduce((sum, z) => sum + z.stitches, 0);
  return all * Math.min(1, sewnMs / 60_000 / Math.max(1, step.minutes));
}

/** Everything that is read above, everything that is pressed below: no notice ever lies over a control. */
function Screen({ children, controls }: { children: React.ReactNode; controls?: React.ReactNode }) {
  return (
    <div
      data-theme="lamp"
      data-stand
      className="fixed inset-0 z-30 flex flex-col bg-ground px-4 pt-1 pb-3 text-ink sm:px-6"
    >
      <div className="min-h-0 flex-1 overflow-y-auto">{children}</div>
      {controls && <div className="shrink-0 pt-2">{controls}</div>}
    </div>
  );
}
