import 'reflect-metadata';
import { ArrayMaxSize, getMetadataStorage, IsArray, IsISO8601 } from 'class-validator';
import { FAULT_WAYS, type FaultWay } from '@/core/fields/lists';
import { NEEDLE_SIZES, EYES, POINTS, type Eye, type Point } from '@/core/tables/needles';
import { contains } from '@/core/geometry/polygon';
import { needleLife } from '@/core/needle/life';
import { isSewn } from '@/core/plan/begun';
import { LOG_KINDS, type LogEntry, type LogKind } from '@/core/stand/log';
import { symptoms } from '@/core/tables/symptoms';
import { deleteFault, insertFault, setFaultState } from '@/data/faults';
import { hasEntry, insertEntry, lockLog, readEntry } from '@/data/log';
import { readFittedIn, refitNeedle, unfitNeedle } from '@/data/needles';
import { lockQuilt } from '@/data/quilts';
import { actAs } from '@/data/receipts';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { noteStep, readPlan, takeStepBack } from './plan';
import { faultSetup } from './fault-setup';
import { type QuiltView, readQuiltView } from './quilt-view';
import { unreadable } from './readable';
import { done, refuse, type Result } from './result';
import { EachText, Id, Maybe, Num, OneOf, Text, Whole, Yes } from './rules';
import { inWords } from './save';
import { check } from './validate';

/** At most so many entries in one request. */
export const MOST_ENTRIES = 500;
/** A device’s clock may be wrong; not by years. */
const [OLDEST, NEWEST] = ['2000-01-01', '2200-01-01'];

/** What an entry must be, whatever wrote it. */
export class Entry {
  @Id('The entry’s id is no UUID.') id!: string;
  @OneOf(LOG_KINDS, `This kind is not known; known are ${LOG_KINDS.join(', ')}.`) kind!: LogKind;
  @Id('Say which quilt it belongs to.') quiltId!: string;
  @IsISO8601({ strict: true }, { message: 'The time must be an ISO time, such as 2026-11-26T09:00:00Z.' })
  at!: string;
  @Maybe() @Whole(1, 200, 'The pass') pass?: number;
  @Maybe() @Text(60) thread?: string;
  @Maybe() @Yes() stabilise?: boolean;
  @Maybe() @Num(0, 2000, 'Minutes') minutes?: number;
  @Maybe() @Num(1, 400, 'The width, in inches,') widthIn?: number;
  @Maybe() @OneOf(NEEDLE_SIZES.map((s) => s.nm), 'There is no needle of this size.') nm?: number;
  @Maybe() @OneOf(EYES, 'Standard or large eye.') eye?: Eye;
  @Maybe() @OneOf(POINTS, 'This point is not known.') point?: Point;
  @Maybe()
  @IsArray({ message: 'Say what was seen as a list.' })
  @ArrayMaxSize(10, { message: 'Ten signs at most.' })
  @EachText(60)
  symptoms?: string[];
  @Maybe() @Id('This zone is not known.') zoneId?: string;
  @Maybe() @Num(-1000, 10_000, 'The place') xIn?: number;
  @Maybe() @Num(-1000, 10_000, 'The place') yIn?: number;
  @Maybe() @OneOf(FAULT_WAYS, 'This direction is not known.') direction?: FaultWay;
  @Maybe() @Whole(0, 3, 'Severity') severity?: number;
  @Maybe() @Id('This fault is not known.') faultId?: string;
  @Maybe() @Text(2000) note?: string;
  @Maybe() @Yes() away?: boolean;
  @Maybe() @Id('Name the entry that is taken back by its id.') undoes?: string;
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
): Promise<LogAnswer> {
  const kept: string[] = [];
  const refused: LogAnswer['refused'] = [];
  for (const raw of entries) {
    const result = await keepEntry(context, device, raw);
    if (result.ok) kept.push(result.value.id);
    else refused.push({ id: idOf(raw), reason: result.problems[0]!.message });
  }
  return { kept, refused, now: new Date().toISOString() };
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
): Promise<Result<{ id: string }>> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return refuse('An entry is an object with id, at, kind and quiltId.');
  if (unreadable(raw)) return refuse('This holds a letter that cannot be kept.');
  const { known, more } = parted(raw as Record<string, unknown>);
  const checked = await check(Entry, known);
  if (!checked.ok) return checked;
  const entry = { ...more, ...checked.value };
  const at = Date.parse(entry.at);
  if (!(at >= Date.parse(OLDEST) && at <= Date.parse(NEWEST)))
    return refuse('This time lies too far off.', 'at');
  try {
    return (await context.sql.begin(async (tx) => {
      await actAs(tx, context.actor.id);
      const answer = await addTo(tx, context, device, { ...entry, at: new Date(at).toISOString() });
      // Nothing of a refused entry may stay.
      if (!answer.ok) throw new Refused(answer);
      return answer;
    })) as Result<{ id: string }>;
  } catch (error) {
    if (error instanceof Refused) return error.answer;
    return inWords(error, {
      log_entry_quilt_id_fkey: ['quiltId', 'This quilt is not known.'],
      fault_zone_id_fkey: ['zoneId', 'This zone is not known.'],
    });
  }
}

class Refused extends Error {
  constructor(readonly answer: Extract<Result<never>, { ok: false }>) {
    super('refused');
  }
}

/** Adds an entry within a transaction, with what it changes. */
export async function addTo(
  tx: Sql,
  context: Context,
  device: string,
  entry: LogEntry,
): Promise<Result<{ id: string }>> {
  const held = await lockQuilt(tx, entry.quiltId);
  if (held.length === 0) return refuse('This quilt is not known.', 'quiltId');
  // Whoever sent it first has held the quilt until it was safe.
  if (await hasEntry(tx, entry.id)) return done({ id: entry.id });
  const changed = await CHANGES[entry.kind]?.(tx, context, entry);
  if (changed && !changed.ok) return changed;
  await lockLog(tx);
  if (!(await insertEntry(tx, device, entry)))
    return refuse('This id stands for an entry of another quilt.', 'id');
  return done({ id: entry.id });
}

type Change = (tx: Sql, context: Context, e: LogEntry) => Promise<Result<unknown> | void>;

/** What an entry changes besides being kept. What only the Stand reckons with changes nothing. */
const CHANGES: Partial<Record<LogKind, Change>> = {
  async 'step-done'(tx, context, e) {
    if (e.pass === undefined || !e.thread) return refuse('Say which pass and which thread are done.', 'pass');
    const view = await readQuiltView(tx, e.quiltId);
    const read = await readPlan(tx, view!);
    const step = read.steps.find(
      (s) => s.pass === e.pass && s.thread === e.thread && s.stabilise === (e.stabilise ?? false),
    );
    if (!step) return refuse('The plan of this quilt has no such step.', 'pass');
    // Done on two devices: it counts once.
    if (isSewn(step, view!.quilt.sewn)) return;
    const minutes = e.minutes !== undefined && e.minutes >= 0.5 ? e.minutes : null;
    await noteStep(tx, view!, read, step, minutes, context.now, e.id);
  },
  async 'needle-changed'(tx, _, e) {
    if (!e.nm) return;
    const view = await readQuiltView(tx, e.quiltId);
    const machineId = view!.quilt.machineId;
    const before = await readFittedIn(tx, machineId);
    const kind = {
      nm: e.nm,
      eye: (e.eye ?? before?.eye ?? 'standard') as Eye,
      point: (e.point ?? before?.point ?? 'sharp') as Point,
      coated: false,
    };
    await refitNeedle(tx, e.id, machineId, kind, needleLife([], false));
  },
  async fault(tx, _, e) {
    const seen = e.symptoms ?? [];
    if (seen.length === 0) return refuse('Say what was seen.', 'symptoms');
    const strange = seen.find((s) => !symptoms.find(s));
    if (strange) return refuse(`“${strange}” is no sign that is known here.`, 'symptoms');
    const view = await readQuiltView(tx, e.quiltId, 'its cards');
    const [x, y] = [e.xIn, e.yIn];
    const under =
      x !== undefined && y !== undefined ? view!.zones.find((z) => contains(z.geometry, [x, y])) : undefined;
    const zoneId = e.zoneId ?? under?.id ?? zoneOfStep(view!, e)?.id ?? null;
    await insertFault(tx, {
      id: e.id,
      quiltId: e.quiltId,
      zoneId,
      xIn: e.xIn ?? null,
      yIn: e.yIn ?? null,
      pass: e.pass ?? null,
      direction: (e.direction ?? null) as FaultWay | null,
      note: e.note ?? '',
      symptoms: seen,
      severity: e.severity ?? null,
      noticedAt: new Date(e.at),
      known: await faultSetup(tx, view!, zoneId),
    });
  },
  async 'fault-mended'(tx, _, e) {
    if (!e.faultId || !(await setFaultState(tx, e.faultId, 'mended')))
      return refuse('This fault is not known.', 'faultId');
  },
  async undone(tx, context, e) {
    const other = e.undoes ? await readEntry(tx, e.undoes) : null;
    if (!other || other.quiltId !== e.quiltId)
      return refuse('What is to be taken back is not here.', 'undoes');
    await TAKEN_BACK[other.kind]?.(tx, context, other);
  },
};

/** The zone of a fault that was given no place: the one its step was sewn in, where it was only one. */
function zoneOfStep({ zones, setups }: QuiltView, e: LogEntry) {
  const own = e.thread ? zones.filter((z) => setups.get(z.id)?.topId === e.thread) : [];
  return own.length === 1 ? own[0] : undefined;
}

/** What taking an entry back changes. */
const TAKEN_BACK: Partial<Record<LogKind, Change>> = {
  async 'step-done'(tx, _, e) {
    await takeStepBack(tx, e.quiltId, e.id);
  },
  async 'needle-changed'(tx, _, e) {
    await unfitNeedle(tx, e.id);
  },
  async fault(tx, _, e) {
    await deleteFault(tx, e.id);
  },
  async 'fault-mended'(tx, _, e) {
    if (e.faultId) await setFaultState(tx, e.faultId, 'open');
  },
  async undone(tx, context, e) {
    // What was taken back stands again.
    const again = e.undoes ? await readEntry(tx, e.undoes) : null;
    if (again) await CHANGES[again.kind]?.(tx, context, again);
  },
};
