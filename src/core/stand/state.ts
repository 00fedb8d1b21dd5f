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
  const work = new Work(byKey, new Set(sewn), log.done, firstOpenPass(steps, new Set(sewn)));
  for (const e of log.entries) work.take(e);
  const now =
    (work.begun !== null && !done.has(work.begun) ? byKey.get(work.begun) : undefined) ??
    steps.find((s) => !done.has(stepId(s))) ??
    null;
  return {
    done,
    now,
    zoneId: now ? (now.zones.find((z) => z.id === work.zoneBegun)?.id ?? now.zones[0]?.id ?? null) : null,
    sewnMs: work.clock.sewnMs,
    runningSince: work.clock.since,
    begun: work.begun !== null,
    sinceRestMs: work.clock.sinceRestMs,
    bobbinUsedM: work.bobbinUsedM,
    needleStitches: work.needleStitches,
    needle: log.needle,
    backChecked: work.backChecked,
    frameAt: work.frameAt,
    widths: work.widths,
    settings: log.settings,
    faults: log.faults,
    entries: log.entries,
  };
}

/** What the entries that stand have come to, taken one after another. */
class Work {
  readonly clock = new StepClock();
  readonly bobbinUsedM = new Map<string, number>();
  readonly widths: StandState['widths'] = [];
  begun: string | null = null;
  zoneBegun: string | null = null;
  needleStitches = 0;
  backChecked = 0;

  constructor(
    private readonly steps: ReadonlyMap<string, StandStep>,
    private readonly before: ReadonlySet<string>,
    private readonly done: ReturnType<typeof foldLog>['done'],
    public frameAt: number,
  ) {}

  take(e: LogEntry) {
    const at = happenedMs(e);
    switch (e.kind) {
      case 'step-begun':
        this.clock.begin(at);
        this.begun = stepOf(e);
        this.zoneBegun = null;
        break;
      case 'step-paused':
        this.clock.pause(at);
        break;
      case 'step-resumed':
        this.clock.resume(at);
        break;
      case 'zone-begun':
        this.zoneBegun = e.zoneId ?? null;
        break;
      case 'step-done':
        this.clock.pause(at);
        this.clock.reset();
        this.begun = null;
        this.zoneBegun = null;
        this.count(e);
        break;
      case 'bobbin-changed':
        // Whoever does not say of which thread means the one in hand.
        if (e.thread) this.bobbinUsedM.set(e.thread, 0);
        else this.bobbinUsedM.clear();
        break;
      case 'needle-changed':
        this.needleStitches = 0;
        break;
      case 'back-checked':
        this.backChecked = e.pass ?? this.backChecked;
        break;
      case 'advanced':
        this.frameAt = e.pass ?? this.frameAt;
        break;
      case 'width-measured':
        if (e.pass && e.widthIn) this.widths.push({ pass: e.pass, widthIn: e.widthIn });
        break;
    }
  }

  /** What a step took of bobbins and needle: said by two devices it counts once; sewn before the log began it counted then. */
  private count(e: LogEntry) {
    const key = stepOf(e);
    const step = key ? this.steps.get(key) : undefined;
    const counted = key ? this.done.get(key) : undefined;
    if (!step || counted?.entry !== e || this.before.has(key!)) return;
    this.frameAt = step.pass;
    for (const z of step.zones) {
      const bobbin = standingSettings(counted.settings.get(z.id), z.chosenAt).bobbinId ?? z.bobbinId;
      this.bobbinUsedM.set(bobbin, (this.bobbinUsedM.get(bobbin) ?? 0) + z.bobbinM);
      this.needleStitches += z.stitches;
    }
  }
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
