import { happenedMs, type LogEntry } from '../log/entry';
import { foldLog, standingSettings, stepOf, type ZoneSettings } from '../log/fold';
import { stepId, type StepKey } from '../plan/step-key';
import { StepClock } from './clock';

/** A zone of a step as the Stand reckons with it. */
export interface StandZone {
  id: string;
  letter: string;
  stitches: number;
  bobbinId: string;
  bobbinM: number;
  /** When its card was chosen, milliseconds. */
  chosenAt: number;
}

/** A step as the Stand needs it: what it is, what it takes, and its zones in the order they are sewn. */
export interface StandStep extends StepKey {
  minutes: number;
  zones: readonly StandZone[];
}

/** Where the work stands, worked out from the log and nothing else. */
export interface StandState {
  /** Steps that are done, by their key. */
  done: ReadonlySet<string>;
  /** The step that is next, or being sewn; null when all are done. */
  now: StandStep | null;
  /** The zone of it that is in hand. */
  zoneId: string | null;
  /** Milliseconds sewn on the step that is begun, and since when the clock runs; null while it stands. */
  sewnMs: number;
  runningSince: number | null;
  begun: boolean;
  /** Minutes at the machine since the last rest of ten minutes, with the clock as it is now left out. */
  sinceRestMs: number;
  /** Metres drawn from the bobbin that was put in last, by its thread, by steps done since. */
  bobbinUsedM: ReadonlyMap<string, number>;
  /** Stitches since the needle was changed. */
  needleStitches: number;
  /** The needle as it was told last; null where none was. */
  needle: LogEntry | null;
  /** Pass in which the back was last looked at. */
  backChecked: number;
  /** Pass the frame stands at: the one last rolled to, else the one the last step was sewn in, else the first. */
  frameAt: number;
  /** Widths measured, in order. */
  widths: { pass: number; widthIn: number }[];
  /** What was set at the machine, by zone. */
  settings: ReadonlyMap<string, ZoneSettings>;
  faults: readonly LogEntry[];
  /** What stands, newest last. */
  entries: readonly LogEntry[];
}

/**
 * Where the work stands. @param steps in the order of work. @param sewn keys of steps sewn before the log began.
 * @param entries of one quilt, from every device; in any order.
 */
export function standState(
  steps: readonly StandStep[],
  sewn: readonly string[],
  entries: readonly LogEntry[],
): StandState {
  const log = foldLog(entries);
  const done = new Set([...sewn, ...log.done.keys()]);
  const byKey = new Map(steps.map((s) => [stepId(s), s]));
  const clock = new StepClock();
  const bobbinUsedM = new Map<string, number>();
  const widths: StandState['widths'] = [];
  const before = new Set(sewn);
  let begun: string | null = null;
  let zoneBegun: string | null = null;
  let needleStitches = 0;
  let backChecked = 0;
  let frameAt = firstOpenPass(steps, before);
  for (const e of log.entries) {
    const at = happenedMs(e);
    const key = stepOf(e);
    switch (e.kind) {
      case 'step-begun':
        clock.begin(at);
        begun = key;
        zoneBegun = null;
        break;
      case 'step-paused':
        clock.pause(at);
        break;
      case 'step-resumed':
        clock.resume(at);
        break;
      case 'zone-begun':
        zoneBegun = e.zoneId ?? null;
        break;
      case 'step-done': {
        clock.pause(at);
        clock.reset();
        begun = null;
        zoneBegun = null;
        const step = key ? byKey.get(key) : undefined;
        const counted = key ? log.done.get(key) : undefined;
        // Said by two devices it counts once; sewn before the log began it counted then.
        if (!step || counted?.entry !== e || before.has(key!)) break;
        frameAt = step.pass;
        for (const z of step.zones) {
          const own = standingSettings(counted.settings.get(z.id), z.chosenAt);
          const bobbin = own.bobbinId ?? z.bobbinId;
          bobbinUsedM.set(bobbin, (bobbinUsedM.get(bobbin) ?? 0) + z.bobbinM);
          needleStitches += z.stitches;
        }
        break;
      }
      case 'bobbin-changed':
        // Whoever does not say of which thread means the one in hand.
        if (e.thread) bobbinUsedM.set(e.thread, 0);
        else bobbinUsedM.clear();
        break;
      case 'needle-changed':
        needleStitches = 0;
        break;
      case 'back-checked':
        backChecked = e.pass ?? backChecked;
        break;
      case 'advanced':
        frameAt = e.pass ?? frameAt;
        break;
      case 'width-measured':
        if (e.pass && e.widthIn) widths.push({ pass: e.pass, widthIn: e.widthIn });
        break;
    }
  }
  const now =
    (begun !== null && !done.has(begun) ? byKey.get(begun) : undefined) ??
    steps.find((s) => !done.has(stepId(s))) ??
    null;
  return {
    done,
    now,
    zoneId: now ? (now.zones.find((z) => z.id === zoneBegun)?.id ?? now.zones[0]?.id ?? null) : null,
    sewnMs: clock.sewnMs,
    runningSince: clock.since,
    begun: begun !== null,
    sinceRestMs: clock.sinceRestMs,
    bobbinUsedM,
    needleStitches,
    needle: log.needle,
    backChecked,
    frameAt,
    widths,
    settings: log.settings,
    faults: log.faults,
    entries: log.entries,
  };
}

/** Where the frame stands before anything is told: at the first pass that has something to sew. */
const firstOpenPass = (steps: readonly StandStep[], sewn: ReadonlySet<string>): number => {
  const last = [...steps].reverse().find((s) => sewn.has(stepId(s)));
  return last?.pass ?? steps[0]?.pass ?? 1;
};

/** Where a bobbin runs out: the step, how far through it, and the spread of that. */
export interface RunsOut {
  step: StandStep;
  share: number;
  early: number;
  late: number;
}

/** Where the bobbin of a thread that is in runs out; null when it lasts. @param capacityM metres on it when it is full. */
export function runOut(
  steps: readonly StandStep[],
  state: Pick<StandState, 'done' | 'bobbinUsedM'>,
  bobbinId: string,
  capacityM: number,
): RunsOut | null {
  let left = capacityM - (state.bobbinUsedM.get(bobbinId) ?? 0);
  for (const step of steps) {
    if (state.done.has(stepId(step))) continue;
    const takes = step.zones.reduce((m, z) => (z.bobbinId === bobbinId ? m + z.bobbinM : m), 0);
    if (takes === 0) continue;
    if (takes > left) {
      const at = (m: number) => Math.min(1, Math.max(0, m / takes));
      return {
        step,
        share: at(left),
        early: at(left * (1 - BOBBIN_SPREAD)),
        late: at(left * (1 + BOBBIN_SPREAD)),
      };
    }
    left -= takes;
  }
  return null;
}

/** A bobbin holds about so much more or less than reckoned, as a share (judgement: windings differ). */
const BOBBIN_SPREAD = 0.12;

/** A place in a step in words. */
export const partWords = (share: number): string =>
  share < 0.1
    ? 'right at the start'
    : share < 0.4
      ? 'about a third through'
      : share < 0.6
        ? 'about half through'
        : share < 0.85
          ? 'about two thirds through'
          : 'near its end';
