'use client';
import { useMemo, useState } from 'react';
import { careAtStand, type CareKnown } from '@/core/care/at-stand';
import { airWords } from '@/core/care/air';
import type { XY } from '@/core/geometry/polygon';
import type { TensionSchool } from '@/core/fields/lists';
import type { LogEntry } from '@/core/log/entry';
import { type MeasuredScale, scalesOf } from '@/core/machine/scales';
import { stepId } from '@/core/plan/step-key';
import { rollTo } from '@/core/stand/advance';
import { squareness } from '@/core/stand/squareness';
import { runOut, standState } from '@/core/stand/state';
import type { FootId } from '@/core/tables/techniques';
import type { DrawnMap } from '@/ui/quilt-map/QuiltMap';
import type { Sign } from './FaultPanel';
import type { StandAct } from './keys';
import { KIND_WORDS, settingWords } from './kind-words';
import { noticesOf } from './Notices';
import { changeWords, factsOf, setOf } from './setting';
import type { PassDrawing, ShownStep, ShownThread, ShownZone } from './stand-facts';
import { useKeys } from './use-keys';
import { useLog } from './use-log';
import { useLongarm } from './use-longarm';
import { useNow } from '@/ui/kit/use-now';
import { usePedals } from './use-pedals';
import { useWakeLock } from './use-wake-lock';

type PanelName =
  | 'air'
  | 'fault'
  | 'advance'
  | 'bobbin'
  | 'change'
  | 'frame'
  | 'list'
  | 'keys'
  | 'tempo'
  | 'machine'
  | null;
/** The back is to be checked so long after a pass was begun. */
const FIRST_INCHES_MS = 90_000;

interface StandQuilt {
  id: string;
  name: string;
  /** It is quilted on a table: nothing rolls. */
  onTable?: boolean;
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

type Needle = { nm: number; eye: string; coated: boolean };
type Drawer = readonly { nm: number; eye: string; point: string; coated: boolean; stock: number }[];

/** What the page asks for once: the work as it was planned, the shelf, and the log as it stood. */
export interface StandFacts {
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
  needle: (Needle & { stitches: number; worn: number; life: number }) | null;
  /** What the machine asks for, as it was when the page was asked for. */
  care: { known: readonly CareKnown[]; askedAt: number };
  /** The air as it was noted last, and by zone as it was when the zone was tested. */
  air: { nowPct: number | null; testedPct: Readonly<Record<string, number>> };
  /** Minutes sewn after which a rest is called for. */
  restEveryMin: number;
  /** Kinds of needles in the drawer, coated or not. */
  drawer: Drawer;
  map: DrawnMap;
}

/** The work as the log says it stands: which step and zone are in hand, how they are set, how long they were sewn. */
function useWork({
  quilt,
  steps,
  threads,
  measured,
  school,
  sewnBefore,
  entries: first,
  needle,
  ...f
}: StandFacts) {
  const logged = useLog(quilt.id, first, f.cursor);
  const { entries } = logged;
  const state = useMemo(() => standState(steps, sewnBefore, entries), [steps, sewnBefore, entries]);
  const atFirst = useMemo(() => standState(steps, sewnBefore, first), [steps, sewnBefore, first]);
  const scales = useMemo(() => scalesOf(measured), [measured]);
  const named = useMemo(() => new Map(threads.map((t) => [t.id, t])), [threads]);
  const now = useNow(state.runningSince !== null);
  const hand = useMemo(() => inHand(steps, state), [steps, state]);
  const { step, zone } = hand;
  const running = state.runningSince !== null;
  const sinceStart = running ? Math.max(0, now - state.runningSince!) : 0;
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
  const same = (z: ShownZone) => JSON.stringify(facts.get(z.id)) === JSON.stringify(facts.get(zone!.id));
  const nameOf = (id: string) => named.get(id)?.name ?? 'a thread put away';
  const newest = [...state.entries].reverse().find((e) => e.kind !== 'undone');
  return {
    ...logged,
    state,
    atFirst,
    scales,
    named,
    ...hand,
    running,
    needleIn,
    facts,
    nameOf,
    newest,
    sewnMs: state.sewnMs + sinceStart,
    sinceRestMs: state.sinceRestMs + sinceStart,
    key: step && { pass: step.pass, thread: step.thread, stabilise: step.stabilise },
    set: zone && setOf(zone, state.settings),
    /** Zones of the step that stand as the one in hand does: what is set otherwise here is so for them too. */
    alike: step && zone ? step.zones.filter(same) : [],
    roll: step && !quilt.onTable ? rollTo(state.frameAt, step.pass, f.raiseBefore) : null,
    /** What was done last, in words. */
    newestWords: newest ? wordsOf(newest, nameOf) : null,
  };
}
type Work = ReturnType<typeof useWork>;

/** The step and the zone in hand, and what comes after each. */
function inHand(steps: readonly ShownStep[], state: ReturnType<typeof standState>) {
  const step = state.now && steps.find((s) => stepId(s) === stepId(state.now!));
  const at = steps.findIndex((s) => step && stepId(s) === stepId(step));
  const next = step ? steps.slice(at + 1).find((s) => !state.done.has(stepId(s))) : undefined;
  const zone = step?.zones.find((z) => z.id === state.zoneId) ?? step?.zones[0];
  const zoneAfter = step && zone ? step.zones[step.zones.indexOf(zone) + 1] : undefined;
  return { step, at, next, zone, zoneAfter };
}

/** What each of the ten keys, and each pedal, does. */
function actsOf(f: StandFacts, w: Work, setPanel: (p: PanelName) => void): Record<StandAct, () => void> {
  const { key, log, set, zone, step } = w;
  return {
    go: () => {
      if (!key) return;
      if (w.running) log('step-paused');
      else if (w.state.begun) log('step-resumed');
      else if (!f.quilt.onFrame && f.quilt.framed) setPanel('frame');
      else log('step-begun', key);
    },
    done: () => {
      if (!key) return;
      const minutes = Math.round(w.sewnMs / 6000) / 10;
      log('step-done', { ...key, ...(minutes >= 0.5 ? { minutes } : {}) });
      if (w.next && w.next.pass !== key.pass) setPanel('advance');
    },
    zone: () => w.zoneAfter && log('zone-begun', { ...key, zoneId: w.zoneAfter.id }),
    fault: () => setPanel('fault'),
    bobbin: () => {
      if (!set) return;
      const onTray =
        (w.named.get(set.bobbinId)?.wound ?? 0) - takenSince(w.state.entries, f.entries, set.bobbinId);
      if (onTray > 0) log('bobbin-changed', { thread: set.bobbinId });
      else setPanel('bobbin');
    },
    needle: () => {
      if (!zone) return;
      const kind = { nm: zone.needleNm, eye: zone.needleEye, point: zone.needlePoint };
      log('needle-changed', { ...kind, coated: coatedOf(f.drawer, kind, w.needleIn?.coated ?? false) });
    },
    change: () => setPanel('change'),
    back: () => step && log('back-checked', { pass: step.pass }),
    advance: () => (f.quilt.onTable ? step && log('advanced', { pass: step.pass }) : setPanel('advance')),
    undo: () => w.newest && log('undone', { undoes: w.newest.id }),
  };
}

/** A share of its life the needle in the machine has sewn. */
function needleShareOf({ needle }: StandFacts, { state, atFirst }: Work): number {
  // A needle put in since the page came has sewn only what was sewn since; the one before goes on where it stood.
  const fresh = state.needle !== null && state.needle.id !== atFirst.needle?.id;
  const sinceFirst = fresh ? 0 : atFirst.needleStitches;
  const had = fresh || !needle ? { worn: 0, life: needle?.life ?? 250_000 } : needle;
  return Math.min(9, (had.worn + state.needleStitches - sinceFirst) / had.life);
}

/** What comes after the zone in hand, and what is to be changed first. */
function afterOf({ step, zone, set, zoneAfter, next, state, named }: Work) {
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

/** Put off so often, an item is told of on the Rack and not at the machine any more. */
const MOST_LATER = 3;

/** What the machine asks for at the stop that was come to; done with a tap, or put off to the next. */
function useCare({ care }: StandFacts, { state, running, log }: Work) {
  const [later, setLater] = useState<Readonly<Record<string, { times: number; at: string | null }>>>({});
  const dayStart = new Date(care.askedAt).setHours(0, 0, 0, 0);
  const lastId = state.entries.at(-1)?.id ?? null;
  const items = careAtStand(care.known, state.entries, { running, askedAt: care.askedAt, dayStart }).filter(
    (c) => !later[c.id] || (later[c.id]!.times < MOST_LATER && later[c.id]!.at !== lastId),
  );
  return {
    items,
    answered: (id: string, isLater: boolean) =>
      isLater
        ? setLater((now) => ({ ...now, [id]: { times: (now[id]?.times ?? 0) + 1, at: lastId } }))
        : log('care-done', { care: id }),
  };
}

/** Humidity as it was noted last: here since the page was asked for, or before. */
const airNowOf = ({ air }: StandFacts, { state }: Work): number | null =>
  [...state.entries].reverse().find((e) => e.kind === 'air-noted' && e.humidityPct !== undefined)
    ?.humidityPct ?? air.nowPct;

/** Where the needle has come to: by the linked machine, else by the last place that was told. */
function needleAtOf(entries: readonly LogEntry[], path: readonly (readonly [number, number])[]): XY | null {
  const linked = path.at(-1);
  if (linked) return [linked[0], linked[1]];
  const told = [...entries].reverse().find((e) => e.xIn !== undefined && e.yIn !== undefined);
  return told ? [told.xIn!, told.yIn!] : null;
}

/** Everything the screen at the machine says and does, from the log and the clock. */
export function useStand(facts: StandFacts) {
  const work = useWork(facts);
  const { state, step, set } = work;
  const [panel, setPanel] = useState<PanelName>(null);
  const [keys, setKeys] = useKeys();
  const [away, setAway] = useState<{ from: number; to: number } | null>(null);
  const [restedAt, setRestedAt] = useState(0);
  const care = useCare(facts, work);
  const [airSeenAt, setAirSeen] = useState<number | null>(null);
  const airNow = airNowOf(facts, work);
  const awake = useWakeLock();
  const longarm = useLongarm(facts.quilt.id);
  const acts = actsOf(facts, work, setPanel);
  usePedals({
    keys,
    acts,
    deaf: panel !== null || away !== null,
    watched: work.running && away === null,
    onEscape: () => setPanel(null),
    onAway: (from, to) => setAway({ from, to }),
  });
  const square = squareness(state.widths);
  const capacityM = (set && work.named.get(set.bobbinId)?.capacityM) ?? Infinity;
  return {
    ...facts,
    ...work,
    panel,
    setPanel,
    close: () => setPanel(null),
    keys,
    setKeys,
    away,
    setAway,
    rested: () => setRestedAt(work.sinceRestMs),
    careAnswered: care.answered,
    airSeen: () => setAirSeen(airNow),
    awake,
    longarm,
    acts,
    square,
    out: set ? runOut(facts.steps, state, set.bobbinId, capacityM) : null,
    stitchesNow: step && work.zone ? stitchesSoFar(step, work.sewnMs, longarm.state.summary.stitches) : 0,
    notices: noticesOf({
      storeFails: work.storeFails,
      refused: work.outbox.refused[0] ?? null,
      roll: work.roll ?? null,
      lookAtBack: !!step && work.running && state.backChecked !== step.pass && work.sewnMs > FIRST_INCHES_MS,
      needleShare: needleShareOf(facts, work),
      square,
      sewnOnMs: work.sinceRestMs - restedAt > facts.restEveryMin * 60_000 ? work.sinceRestMs : null,
      care: care.items,
      air:
        airNow !== null && airNow !== airSeenAt && work.zone
          ? airWords(airNow, facts.air.testedPct[work.zone.id])
          : null,
    }),
    needleAt: needleAtOf(state.entries, longarm.state.path),
    after: afterOf(work),
  };
}
export type Stand = ReturnType<typeof useStand>;

/** What was done, in words. */
const wordsOf = (e: LogEntry, nameOf: (id: string) => string): string =>
  e.kind === 'setting-changed' || e.kind === 'thread-changed' ? settingWords(e, nameOf) : KIND_WORDS[e.kind];

/** Bobbins of a thread taken off the tray since the page was asked for. */
const takenSince = (entries: readonly LogEntry[], first: readonly LogEntry[], thread: string): number => {
  const known = new Set(first.map((e) => e.id));
  return entries.filter(
    (e) => e.kind === 'bobbin-changed' && e.thread === thread && !e.woundM && !known.has(e.id),
  ).length;
};

/** A new needle is coated as the one that was in, where the drawer has such; else as the drawer has it. */
function coatedOf(
  drawer: Drawer,
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
