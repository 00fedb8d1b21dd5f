import { stepId } from '../plan/step-key';
import { happenedMs, inOrder, type LogEntry, type Settings } from './entry';
import { standing } from './standing';

/** Something set at the machine, and when. */
export interface SetAt<T = string | number> {
  value: T;
  /** Milliseconds. */
  at: number;
}
/** What was set at the machine in a zone, by what was set. */
export type ZoneSettings = Readonly<{ [K in keyof Settings]?: SetAt<NonNullable<Settings[K]>> }>;

/** A step that is done: the entry that counts for it (the first that says so), and how the machine stood then. */
export interface DoneStep {
  key: string;
  entry: LogEntry;
  /** Every standing entry that says so: it stays done until none is left. */
  saidBy: readonly LogEntry[];
  /** What was set at the machine by then, by zone. */
  settings: ReadonlyMap<string, ZoneSettings>;
  /** The needle that was put in last before it; null where none was told. */
  needle: LogEntry | null;
}

/**
 * What a quilt's log comes to. The studio's tables and every tablet are worked out from this and nothing else, so that
 * they cannot differ.
 */
export interface Folded {
  /** Entries that stand, in the order they happened. */
  entries: readonly LogEntry[];
  /** Steps that are done, by their key. */
  done: ReadonlyMap<string, DoneStep>;
  bobbins: readonly LogEntry[];
  needles: readonly LogEntry[];
  faults: readonly LogEntry[];
  /** What was done to the machine, and what was noted of the air. */
  care: readonly LogEntry[];
  air: readonly LogEntry[];
  /** Entries that say a fault was mended, by the fault. */
  mended: ReadonlyMap<string, readonly LogEntry[]>;
  /** What is set at the machine now, by zone. */
  settings: ReadonlyMap<string, ZoneSettings>;
  needle: LogEntry | null;
}

/** The key of the step an entry is about; null when it names none. */
export const stepOf = (e: Pick<LogEntry, 'pass' | 'thread' | 'stabilise'>): string | null =>
  e.pass !== undefined && e.thread
    ? stepId({ pass: e.pass, thread: e.thread, stabilise: e.stabilise ?? false })
    : null;

/** A change of thread as other programs may tell it, with the cone alone. */
const changeOf = (e: LogEntry) => ({
  setting: e.setting ?? (e.kind === 'thread-changed' ? ('topId' as const) : undefined),
  to: e.to ?? (e.kind === 'thread-changed' ? e.thread : undefined),
});

/**
 * Folds the entries of one quilt, of every device and in any order, into what stands.
 * @example foldLog([done, undone]).done.size // 0
 */
export function foldLog(entries: readonly LogEntry[]): Folded {
  const all = standing(inOrder(entries));
  const done = new Map<string, DoneStep & { saidBy: LogEntry[] }>();
  const mended = new Map<string, LogEntry[]>();
  let settings: ReadonlyMap<string, ZoneSettings> = new Map();
  let needle: LogEntry | null = null;
  const of = (kind: LogEntry['kind']) => all.filter((e) => e.kind === kind);
  for (const e of all)
    switch (e.kind) {
      case 'step-done': {
        const key = stepOf(e);
        if (!key) break;
        const before = done.get(key);
        if (before) before.saidBy.push(e);
        else done.set(key, { key, entry: e, saidBy: [e], settings, needle });
        break;
      }
      case 'thread-changed':
      case 'setting-changed': {
        const { setting, to } = changeOf(e);
        if (!setting || to === undefined) break;
        const next = new Map(settings);
        for (const zone of e.zones ?? [])
          next.set(zone, { ...next.get(zone), [setting]: { value: to, at: happenedMs(e) } });
        settings = next;
        break;
      }
      case 'needle-changed':
        needle = e;
        break;
      case 'fault-mended':
        if (e.faultId) mended.set(e.faultId, [...(mended.get(e.faultId) ?? []), e]);
        break;
    }
  return {
    entries: all,
    done,
    bobbins: of('bobbin-changed'),
    needles: of('needle-changed'),
    faults: of('fault'),
    care: of('care-done'),
    air: of('air-noted'),
    mended,
    settings,
    needle,
  };
}

/**
 * What of a zone's settings still holds beside its card: what was set after the card was chosen, and tensions set after
 * the test stitch that proved them. @param since milliseconds of the card; @param provenAt of the proof, null without.
 */
export function standingSettings(
  settings: ZoneSettings | undefined,
  since: number,
  provenAt: number | null = null,
): Settings {
  const out: Record<string, string | number> = {};
  for (const [name, set] of Object.entries(settings ?? {})) {
    const tension = name === 'topGf' || name === 'bobbinGf';
    if (set.at >= (tension ? Math.max(since, provenAt ?? since) : since)) out[name] = set.value;
  }
  return out as Settings;
}
