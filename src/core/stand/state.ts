import type { StepKey } from '../plan/step-key';
import { stepId } from '../plan/step-key';
import { type LogEntry, standing } from './log';

/** A step as the Stand needs it: what it is, and what it takes. */
export interface StandStep extends StepKey {
  minutes: number;
  stitches: number;
  bobbinM: number;
  topM: number;
}

/** Where the work stands, worked out from the log and nothing else. */
export interface StandState {
  /** Steps that are done, by their key. */
  done: ReadonlySet<string>;
  /** The step that is next, or being sewn; null when all are done. */
  now: StandStep | null;
  /** Milliseconds sewn on the step that is begun, and since when the clock runs; null while it stands. */
  sewnMs: number;
  runningSince: number | null;
  begun: boolean;
  /** Minutes at the machine since the last rest of ten minutes, with the clock as it is now left out. */
  sinceRestMs: number;
  /** Metres drawn from the bobbin that is in, by steps done since it was put in. */
  bobbinUsedM: number;
  /** Stitches since the needle was changed. */
  needleStitches: number;
  needle: { nm: number; eye: string; point: string } | null;
  /** Pass in which the back was last looked at. */
  backChecked: number;
  /** Pass the quilt was last advanced to. */
  advancedTo: number;
  /** Widths measured, in order. */
  widths: { pass: number; widthIn: number }[];
  faults: LogEntry[];
  /** What stands, newest last. */
  entries: LogEntry[];
}

const REST_MS = 10 * 60_000;

/** Entries in the order they happened: by the device’s clock, and by their ids where that is the same. */
export const inOrder = <T extends Pick<LogEntry, 'at' | 'id'>>(entries: readonly T[]): T[] =>
  [...entries].sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1));

/**
 * Where the work stands. @param steps in the order of work. @param sewn keys of steps sewn before the log began.
 * @param entries of one quilt, from every device; in any order.
 */
export function standState(
  steps: readonly StandStep[],
  sewn: readonly string[],
  entries: readonly LogEntry[],
): StandState {
  const all = standing(inOrder(entries));
  const done = new Set(sewn);
  const byKey = new Map(steps.map((s) => [stepId(s), s]));
  const clock = new Clock();
  let begun: string | null = null;
  let bobbinUsedM = 0;
  let needleStitches = 0;
  let needle: StandState['needle'] = null;
  let backChecked = 0;
  let advancedTo = 0;
  const widths: StandState['widths'] = [];
  for (const e of all) {
    const at = Date.parse(e.at);
    const key =
      e.pass !== undefined && e.thread
        ? stepId({ pass: e.pass, thread: e.thread, stabilise: e.stabilise ?? false })
        : null;
    switch (e.kind) {
      case 'step-begun':
        clock.begin(at);
        begun = key;
        break;
      case 'step-paused':
        clock.pause(at);
        break;
      case 'step-resumed':
        clock.resume(at);
        break;
      case 'step-done': {
        clock.pause(at);
        clock.reset();
        begun = null;
        if (!key || done.has(key)) break;
        done.add(key);
        const step = byKey.get(key);
        bobbinUsedM += step?.bobbinM ?? 0;
        needleStitches += step?.stitches ?? 0;
        break;
      }
      case 'bobbin-changed':
        bobbinUsedM = 0;
        break;
      case 'needle-changed':
        needleStitches = 0;
        needle = e.nm ? { nm: e.nm, eye: e.eye ?? 'standard', point: e.point ?? 'sharp' } : needle;
        break;
      case 'back-checked':
        backChecked = Math.max(backChecked, e.pass ?? 0);
        break;
      case 'advanced':
        advancedTo = Math.max(advancedTo, e.pass ?? 0);
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
    sewnMs: clock.sewnMs,
    runningSince: clock.since,
    begun: begun !== null,
    sinceRestMs: clock.sinceRestMs,
    bobbinUsedM,
    needleStitches,
    needle,
    backChecked,
    advancedTo,
    widths,
    faults: all.filter((e) => e.kind === 'fault'),
    entries: all,
  };
}

/** The pass clock: runs from begin to pause, and says how long it is since a rest. */
class Clock {
  sewnMs = 0;
  since: number | null = null;
  sinceRestMs = 0;
  private stoodSince: number | null = null;
  begin(at: number) {
    this.pause(at);
    this.sewnMs = 0;
    this.resume(at);
  }
  pause(at: number) {
    if (this.since === null) return;
    const ms = Math.max(0, at - this.since);
    this.sewnMs += ms;
    this.sinceRestMs += ms;
    this.since = null;
    this.stoodSince = at;
  }
  resume(at: number) {
    if (this.since !== null) return;
    if (this.stoodSince !== null && at - this.stoodSince >= REST_MS) this.sinceRestMs = 0;
    this.since = at;
  }
  reset() {
    this.sewnMs = 0;
  }
}

/** Where the bobbin that is in runs out, as a step and how far through it, with its spread; null when it lasts. */
export function runOut(
  steps: readonly StandStep[],
  state: Pick<StandState, 'done' | 'bobbinUsedM'>,
  capacityM: number,
): { step: StandStep; share: number; early: number; late: number } | null {
  let left = capacityM - state.bobbinUsedM;
  for (const step of steps) {
    if (state.done.has(stepId(step))) continue;
    if (step.bobbinM > left) {
      const at = (m: number) => Math.min(1, Math.max(0, m / Math.max(1e-9, step.bobbinM)));
      return {
        step,
        share: at(left),
        early: at(left * (1 - BOBBIN_SPREAD)),
        late: at(left * (1 + BOBBIN_SPREAD)),
      };
    }
    left -= step.bobbinM;
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
