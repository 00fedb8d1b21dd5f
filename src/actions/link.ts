import 'reflect-metadata';
import { isUUID } from 'class-validator';
import simplify from 'simplify-js';
import { v5 as uuidv5 } from 'uuid';
import { type Frame, LINK_EVENTS, type LinkEvent, rowsOver } from '@/core/stand-in/longarm';
import { NO_RUN, withFrames } from '@/core/link/summary';
import { bandsOf } from '@/core/plan/bands';
import type { LogEntry } from '@/core/log/entry';
import { linesLength } from '@/core/geometry/clip-lines';
import { addSent } from '@/data/practice';
import { addPiece, addRaw, insertRun, lockRun } from '@/data/link';
import { wholeOrNothing } from '@/data/receipts';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { addTo } from './log';
import { readPlan } from './plan';
import { readQuiltView } from './quilt-view';
import { done, refuse, type Result } from './result';
import { Words } from './rules';
import { inWords } from './save';
import { check } from './validate';

/** The first line of what a machine sends: what it is, and what it is sewing. */
export interface LinkHead {
  run: string;
  /** Nothing while a drill is sewn: then no quilt is on the machine. */
  quiltId?: string;
  drill?: boolean;
  pass?: number;
  thread?: string;
  stabilise?: boolean;
  machine?: string;
  limitInPerS?: number;
  /** Keep the readings themselves too, not only what they come to. */
  raw?: boolean;
}
export interface LinkAnswer {
  stitches: number;
  lengthIn: number;
  /** Lines that could not be read. */
  strange: number;
}

/** At most so many lines in one request: three minutes of twenty readings a second. */
export const MOST_LINES = 4000;
/** Letters a request may hold. */
const MOST_LETTERS = 1_000_000;
/** The path is kept to about this, inches. */
const NEAR_IN = 0.04;
const USUAL_LIMIT = 3;
const inside = (x: unknown, low: number, high: number): x is number =>
  typeof x === 'number' && Number.isFinite(x) && x >= low && x <= high;

/** A line as a reading; null when it is none. */
function frameIn(line: string): Frame | null {
  let f: Partial<Frame> | null;
  try {
    f = JSON.parse(line) as Partial<Frame> | null;
  } catch {
    return null;
  }
  if (typeof f !== 'object' || f === null) return null;
  const { t, x, y, v, rate, n, event } = f;
  if (!inside(t, 0, 1e9) || !inside(x, -1000, 10_000) || !inside(y, -1000, 10_000)) return null;
  if (!inside(v, 0, 300) || !inside(rate, 0, 20_000) || !inside(n, 0, 1e9)) return null;
  if (event !== undefined && !LINK_EVENTS.includes(event)) return null;
  return { t, x, y, v, rate, n, ...(event ? { event } : {}) };
}

/** What an event of the machine is in the log. */
const AS_FAULT: Partial<Record<LinkEvent, string>> = {
  'thread-break': 'top_break',
  'bobbin-out': 'bobbin_out',
};

/** Lines of a machine as they came. */
export class SentReadings {
  @Words(MOST_LETTERS, 'Send the readings as lines.') text!: string;
}

/** The same, as a command. */
export async function keepReadings(context: Context, input: unknown): Promise<Result<LinkAnswer>> {
  const checked = await check(SentReadings, input);
  return checked.ok ? takeIn(context, checked.value.text) : checked;
}

/** The line of some frames, thinned to what a picture shows. */
const thinned = (frames: readonly { x: number; y: number }[]) =>
  simplify(
    frames.map(({ x, y }) => ({ x, y })),
    NEAR_IN,
    true,
  ).map((p) => [p.x, p.y] as const);

/** A fault the machine told of in a frame, as an entry of the log; null where it told of none. */
function faultIn(
  run: NonNullable<Awaited<ReturnType<typeof lockRun>>>,
  f: NonNullable<ReturnType<typeof frameIn>>,
  now: Date,
): LogEntry | null {
  const sign = f.event && AS_FAULT[f.event];
  return sign
    ? {
        id: uuidv5(`${f.event} ${f.t}`, run.id),
        quiltId: run.quiltId,
        kind: 'fault',
        at: now.toISOString(),
        symptoms: [sign],
        xIn: f.x,
        yIn: f.y,
        note: `Told by the machine after ${f.n} stitches.`,
        ...(run.pass ? { pass: run.pass } : {}),
        ...(run.coneId ? { thread: run.coneId, stabilise: run.stabilise } : {}),
        stitches: f.n,
      }
    : null;
}

/** Takes in what a machine sent: a head, then readings. What came before counts once; a broken thread raises a fault by itself. */
export async function takeIn(context: Context, text: string): Promise<Result<LinkAnswer>> {
  const [first = '', ...lines] = text.split('\n').filter((l) => l.trim() !== '');
  if (lines.length > MOST_LINES) return refuse(`At most ${MOST_LINES} lines a request.`);
  let head: LinkHead;
  try {
    head = JSON.parse(first) as LinkHead;
  } catch {
    return refuse('The first line says what is sent: {"run":…,"quiltId":…}.');
  }
  const { run: runId, quiltId } = head ?? {};
  if (!runId || !isUUID(runId)) return refuse('run and quiltId are UUIDs.');
  const read = lines.map(frameIn);
  const frames = read.filter((f) => f !== null);
  const strange = read.length - frames.length;
  const machine = typeof head.machine === 'string' ? head.machine.slice(0, 120) : '';
  if (head.drill === true) return takeInDrill(context, { id: runId, machine }, frames, strange);
  if (!quiltId || !isUUID(quiltId)) return refuse('run and quiltId are UUIDs.');
  try {
    const act = async (tx: Sql): Promise<Result<LinkAnswer>> => {
      await insertRun(tx, {
        id: runId,
        quiltId,
        pass: inside(head.pass, 1, 200) ? Math.round(head.pass) : null,
        coneId: isUUID(head.thread) ? (head.thread as string) : null,
        stabilise: head.stabilise === true,
        machine,
        limitInPerS: inside(head.limitInPerS, 0.1, 60) ? head.limitInPerS : USUAL_LIMIT,
        summary: NO_RUN,
      });
      const run = (await lockRun(tx, runId))!;
      if (run.quiltId !== quiltId) return refuse('This run belongs to another quilt.', 'run');
      const fresh = frames.filter((f) => f.t > run.summary.lastT);
      const summary = withFrames(run.summary, fresh, run.limitInPerS);
      if (fresh.length > 0) {
        await addPiece(tx, run.id, run.pieces, summary, thinned(fresh));
        const lines = fresh.map((f) => JSON.stringify(f));
        if (head.raw === true) await addRaw(tx, run.id, run.pieces, lines);
      }
      for (const f of fresh) {
        const entry = faultIn(run, f, context.now);
        if (entry) await addTo(tx, run.id, entry);
      }
      return done({
        stitches: summary.stitches,
        lengthIn: summary.lengthIn,
        strange,
      });
    };
    return await wholeOrNothing(context.sql, context.actor.id, act, (answer) => answer.ok);
  } catch (error) {
    return inWords(error, { link_run_quilt_id_fkey: ['quiltId', 'This quilt is not known.'] });
  }
}

/** The same of a drill: kept until it is judged, or for a day. */
async function takeInDrill(
  { sql, actor }: Context,
  run: { id: string; machine: string },
  frames: readonly Frame[],
  strange: number,
): Promise<Result<LinkAnswer>> {
  try {
    return await wholeOrNothing(
      sql,
      actor.id,
      async (tx) => {
        const kept = await addSent(tx, run, frames);
        return done({ stitches: kept.at(-1)?.n ?? 0, lengthIn: linesLength([placesOf(kept)]), strange });
      },
      (answer) => answer.ok,
    );
  } catch (error) {
    return inWords(error, { practice_sent_frames_check: ['text', 'That line is too long for a drill.'] });
  }
}
const placesOf = (frames: readonly Frame[]) => frames.map((f) => [f.x, f.y] as const);

export interface StepWork {
  points: [number, number][];
  machine: { maxSpm: number; idleMinSpm: number; idleMaxSpm: number };
  mode: 'idling' | 'resting' | 'manual';
  spi: number;
  idleSpm: number;
  handInPerS: number;
  limitInPerS: number;
}

/** What the stand-in machine is to sew for a step: rows over its zones in that pass; null when there is no such step. */
export async function stepWork(
  sql: Sql,
  quiltId: string,
  key: { pass: number; thread: string; stabilise: boolean },
): Promise<StepWork | null> {
  const view = await readQuiltView(sql, quiltId, 'its cards');
  if (!view) return null;
  const read = await readPlan(sql, view);
  const step = read.steps.find(
    (s) => s.pass === key.pass && s.thread === key.thread && s.stabilise === key.stabilise,
  );
  const setup = step && view.setups.get(step.zones[0]!.id);
  if (!step || !setup) return null;
  const { passes } = read.plan;
  const [from, to] = bandsOf(passes, view.quilt)[step.pass - 1]!;
  const axis = passes?.turned ? 0 : 1;
  const points = step.zones.flatMap(({ id }) => {
    const zone = view.zones.find((z) => z.id === id)!;
    return rowsOver(zone.geometry, Math.max(0.25, zone.spacingIn), axis, from, to);
  });
  return {
    points: points.map(([x, y]) => [x, y]),
    machine: {
      maxSpm: read.machine.maxSpm,
      idleMinSpm: read.machine.idleMinSpm,
      idleMaxSpm: read.machine.idleMaxSpm,
    },
    mode: setup.mode,
    spi: setup.spi,
    idleSpm: setup.idleSpm,
    handInPerS: setup.handInPerS ?? setup.maxInPerS / 2,
    limitInPerS: setup.maxInPerS,
  };
}
