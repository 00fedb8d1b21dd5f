import 'reflect-metadata';
import { ArrayMaxSize, getMetadataStorage, IsArray, IsISO8601, isUUID } from 'class-validator';
import { ENTRY, ENTRY_HEAD, type EntryFields, type EntryHead } from '@/core/fields/entry';
import type { FaultWay } from '@/core/fields/lists';
import { happenedMs, type LogEntry, type LogKind } from '@/core/log/entry';
import { signs } from '@/core/tables/symptoms';
import { readCone } from '@/data/cones';
import { insertFault, readFault } from '@/data/faults';
import {
  EFFECTIVE,
  hasEntry,
  insertBasis,
  insertEntry,
  lockLog,
  readClock,
  readEntry,
  setClock,
} from '@/data/log';
import { lockQuilt, readQuilt } from '@/data/quilts';
import { wholeOrNothing } from '@/data/receipts';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { placeOfFault } from './fault-place';
import { basisOf, followLog, type Planned, plannedOf, readForLog } from './log-effects';
import { readQuiltView } from './quilt-view';
import { unreadable } from './readable';
import { done, refuse, type Result } from './result';
import { asForm, EachId, EachText, Fields, Id, Maybe, NumOrText, Text } from './rules';
import { inWords } from './save';
import { check } from './validate';

/** At most so many entries in one request. */
export const MOST_ENTRIES = 500;
/** A device’s clock may be wrong; not by years. */
const [OLDEST, NEWEST] = ['2000-01-01', '2200-01-01'];

/** What an entry must be, whatever wrote it. */
@Fields(ENTRY_HEAD)
@Fields(ENTRY, 'are given')
export class Entry {
  @IsISO8601({ strict: true }, { message: 'The time must be an ISO time, such as 2026-11-26T09:00:00Z.' })
  at!: string;
  @Maybe()
  @IsArray({ message: 'Say what was seen as a list.' })
  @ArrayMaxSize(10, { message: 'Ten signs at most.' })
  @EachText(60)
  symptoms?: string[];
  @Maybe() @NumOrText(60, 'The value') from?: string | number;
  @Maybe() @NumOrText(60, 'The value') to?: string | number;
  @Maybe()
  @IsArray({ message: 'Name the zones as a list.' })
  @ArrayMaxSize(200, { message: 'That is more zones than a quilt has.' })
  @EachId('A zone is not known.')
  zones?: string[];
}
type EntryForm = Entry & EntryHead & EntryFields;

/** What a device sends at once. */
export class SentEntries {
  @Id('Say which device writes: device is a UUID.') device!: string;
  @IsArray({ message: 'entries is a list.' })
  @ArrayMaxSize(MOST_ENTRIES, { message: `At most ${MOST_ENTRIES} entries a request.` })
  entries!: unknown[];
  @Maybe() @Text(40) sentAt?: string;
}

export interface LogAnswer {
  kept: string[];
  refused: { id: string; reason: string }[];
  now: string;
}

const idOf = (e: unknown): string => {
  const id = (e as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id.slice(0, 100) : '';
};

/**
 * Keeps entries of a device, in their order: each stands in a transaction of its own, so that one that is refused never
 * holds up the others, and is told as kept only once it is safe.
 */
export async function keepEntries(
  context: Context,
  device: string,
  entries: readonly unknown[],
  sentAt?: string,
): Promise<LogAnswer> {
  const ahead = await clockAhead(context.sql, device, entries, sentAt);
  const kept: string[] = [];
  const refused: LogAnswer['refused'] = [];
  for (const raw of entries) {
    const result = await keepEntry(context, device, raw, ahead);
    if (result.ok) kept.push(result.value.id);
    else refused.push({ id: idOf(raw), reason: result.problems[0]!.message });
  }
  return { kept, refused, now: new Date().toISOString() };
}

/** The same, as a command: each entry is read by itself, so that one nobody can read holds up no other. */
export async function keepSent(context: Context, input: unknown): Promise<Result<LogAnswer>> {
  const { entries, ...head } = (input ?? {}) as Record<string, unknown>;
  const list = Array.isArray(entries) ? (entries as unknown[]) : null;
  const checked = await check(SentEntries, { ...head, entries: list ? list.map(() => 0) : entries });
  if (!checked.ok) return checked;
  const { device, sentAt } = checked.value;
  return done(await keepEntries(context, device, list!, sentAt));
}

/** A clock is called wrong from this on; less is the way of the message, milliseconds. */
const CLOCK_MS = 2000;

/**
 * By how much a device's clock is ahead (below 0: behind): what it said the time was as it sent, against ours. A device
 * that does not say is ahead at least by what its newest entry lies in our future. Kept by the device, so that all its
 * entries are moved alike and keep their order.
 */
async function clockAhead(
  sql: Sql,
  device: string,
  entries: readonly unknown[],
  sentAt: string | undefined,
): Promise<number> {
  const now = Date.now();
  const known = await readClock(sql, device);
  const newest = Math.max(
    ...entries.map((e) => Date.parse(String((e as { at?: unknown } | null)?.at)) || 0),
    0,
  );
  const told = Date.parse(sentAt ?? '');
  const seen = Number.isFinite(told) ? told - now : Math.max(known, newest - now);
  const ahead = Math.abs(seen) < CLOCK_MS ? 0 : Math.abs(seen - known) < CLOCK_MS ? known : Math.round(seen);
  if (ahead !== known && Math.abs(ahead) < 1e13) await setClock(sql, device, ahead);
  return ahead;
}

/** The fields an entry has a rule for. */
const FIELDS = new Set(
  getMetadataStorage()
    .getTargetValidationMetadatas(Entry, '', false, false)
    .map((m) => m.propertyName),
);
/** What another program may call the entry that is taken back. */
const UNDOES = ['of', 'entry', 'entryId', 'target', 'undone'] as const;

/** The fields that are known here, and whatever else came with them, which is kept as it is. */
function parted(raw: Record<string, unknown>) {
  const entries = Object.entries(raw);
  const known = Object.fromEntries(entries.filter(([k]) => FIELDS.has(k)));
  const named = UNDOES.find((k) => typeof raw[k] === 'string');
  if (raw.kind === 'undone' && known.undoes === undefined && named) known.undoes = raw[named];
  return { known, more: Object.fromEntries(entries.filter(([k]) => !FIELDS.has(k))) };
}

/** Keeps one entry and what it changes. An id that is kept already is kept, whatever comes with it. */
export async function keepEntry(
  context: Context,
  device: string,
  raw: unknown,
  aheadMs = 0,
): Promise<Result<{ id: string }>> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return refuse('An entry is an object with id, at, kind and quiltId.');
  if (unreadable(raw)) return refuse('This holds a letter that cannot be kept.');
  const { who: _, ...given } = raw as Record<string, unknown>;
  const { known, more } = parted(given);
  const checked = await check(asForm<EntryForm>(Entry), known);
  if (!checked.ok) return checked;
  const entry = { ...more, ...checked.value };
  const at = Date.parse(entry.at);
  if (!(at >= Date.parse(OLDEST) && at <= Date.parse(NEWEST)))
    return refuse('This time lies too far off.', 'at');
  try {
    return await wholeOrNothing<Result<{ id: string }>>(
      context.sql,
      context.actor.id,
      (tx) =>
        addTo(tx, device, {
          ...entry,
          at: new Date(at).toISOString(),
          happenedAt: new Date(Math.min(at - aheadMs, Date.now())).toISOString(),
        }),
      (answer) => answer.ok,
    );
  } catch (error) {
    return inWords(error, {
      log_entry_quilt_id_fkey: ['quiltId', 'This quilt is not known.'],
      fault_zone_id_fkey: ['zoneId', 'This zone is not known.'],
    });
  }
}

/**
 * Adds an entry within a transaction, with what it changes: what it says is looked at, it is written, and the studio's
 * tables are brought to what the log now comes to.
 */
export async function addTo(tx: Sql, device: string, entry: LogEntry): Promise<Result<{ id: string }>> {
  const held = await lockQuilt(tx, entry.quiltId);
  if (held.length === 0) return refuse('This quilt is not known.', 'quiltId');
  // Whoever sent it first has held the quilt until it was safe.
  if (await hasEntry(tx, entry.id)) return done({ id: entry.id });
  const effect = await EFFECTS[entry.kind]?.(tx, entry);
  if (effect && !effect.ok) return effect;
  await lockLog(tx);
  if (!(await insertEntry(tx, device, entry)))
    return refuse('This id stands for an entry of another quilt.', 'id');
  await effect?.value?.write();
  if (EFFECTIVE.includes(entry.kind))
    await followLog(tx, entry.quiltId, held[0]!.machineId, effect?.value?.planned);
  return done({ id: entry.id });
}

/** What an entry writes once, beside itself: looked at first, written after it, so that it can carry its id. */
type Effect = (
  tx: Sql,
  e: LogEntry,
) => Promise<Result<{ write: () => Promise<unknown>; planned?: Planned } | undefined>>;

const EFFECTS: Partial<Record<LogKind, Effect>> = {
  async 'step-done'(tx, e) {
    if (e.pass === undefined || !e.thread) return refuse('Say which pass and which thread are done.', 'pass');
    const { view, read } = await readForLog(tx, e.quiltId);
    if (view.quilt.handedBackOn) return refuse('This quilt has gone home. Bring it back first.', 'quiltId');
    const step = read.steps.find(
      (s) => s.pass === e.pass && s.thread === e.thread && s.stabilise === (e.stabilise ?? false),
    );
    if (!step) return refuse('The plan of this quilt has no such step.', 'pass');
    return done({
      write: () => insertBasis(tx, e.id, e.quiltId, basisOf(view, read, step)).execute(),
      planned: plannedOf(read),
    });
  },
  async 'thread-changed'(tx, e) {
    const cone = e.to ?? e.thread;
    // Another program may tell that a thread was changed without saying which: kept, and nothing follows from it.
    if (cone === undefined) return done(undefined);
    if (typeof cone !== 'string' || !isUUID(cone) || !(await readCone(tx, cone)))
      return refuse('Say which thread is on the machine now: one of the shelf.', 'to');
    return done(undefined);
  },
  async 'bobbin-changed'(tx, e) {
    if (e.thread && !(isUUID(e.thread) && (await readCone(tx, e.thread))))
      return refuse('The thread on this bobbin is not on the shelf.', 'thread');
    return done(undefined);
  },
  async fault(tx, e) {
    const seen = e.symptoms ?? [];
    if (seen.length === 0) return refuse('Say what was seen.', 'symptoms');
    const strange = seen.find((s) => !signs.find(s));
    if (strange) return refuse(`“${strange}” is no sign that is known here.`, 'symptoms');
    const view = (await readQuiltView(tx, e.quiltId, 'its cards'))!;
    const place = await placeOfFault(tx, view, e);
    const write = () =>
      insertFault(tx, {
        id: e.id,
        quiltId: e.quiltId,
        zoneId: place.zoneId,
        xIn: e.xIn ?? null,
        yIn: e.yIn ?? null,
        pass: e.pass ?? null,
        direction: (e.direction ?? null) as FaultWay | null,
        note: e.note ?? '',
        symptoms: seen,
        severity: e.severity ?? null,
        noticedAt: new Date(happenedMs(e)),
        known: place.known,
        on: place.on,
        photographId: e.photographId ?? null,
      });
    return done({ write });
  },
  async 'fault-mended'(tx, e) {
    const fault = e.faultId ? await readFault(tx, e.faultId) : null;
    if (fault?.quiltId !== e.quiltId) return refuse('This fault is not known.', 'faultId');
    return done(undefined);
  },
  async undone(tx, e) {
    const other = e.undoes ? await readEntry(tx, e.undoes) : null;
    if (!other || other.quiltId !== e.quiltId)
      return refuse('What is to be taken back is not here.', 'undoes');
    const quilt = await readQuilt(tx, e.quiltId);
    if (quilt?.handedBackOn && EFFECTIVE.includes(other.kind))
      return refuse('This quilt has gone home. Bring it back first.', 'undoes');
    return done(undefined);
  },
};
