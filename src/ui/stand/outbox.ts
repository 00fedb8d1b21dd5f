'use client';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { v7 as uuidv7 } from 'uuid';
import type { LogEntry } from '@/core/log/entry';
import { addKnown } from './known';

interface Kept extends DBSchema {
  waiting: { key: number; value: { seq?: number; entry: LogEntry } };
  refused: { key: string; value: { id: string; reason: string; entry: LogEntry } };
  device: { key: string; value: string };
}

/** What waits on this device, and what the studio’s computer would not take. */
export interface Outbox {
  waiting: LogEntry[];
  refused: { id: string; reason: string; entry: LogEntry }[];
  /** Whether the last try came through. */
  reached: boolean;
  /** Why nothing is taken from this device, in words; null while it is. */
  why?: string | null;
  /** Whether it is known yet what lies on this device. */
  known: boolean;
}

const MOST_AT_ONCE = 200;
/** Pauses between tries, ms: they grow while nobody answers. */
const PAUSES = [1000, 2000, 4000, 8000, 15_000, 30_000] as const;

let opened: Promise<IDBPDatabase<Kept>> | null = null;
const database = () =>
  (opened ??= openDB<Kept>('tidy-spool-stand', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'seq', autoIncrement: true });
      db.createObjectStore('refused', { keyPath: 'id' });
      db.createObjectStore('device');
    },
  }));

/** The name a paired device was given; null where it was not paired. */
const pairedAs = (): string | null =>
  /(?:^|;\s*)tidy-spool-device=([\w-]+)/.exec(document.cookie)?.[1] ?? null;

/** What a device that is not let in is told; null for every other answer. */
async function notLetIn(answer: Response): Promise<string | null> {
  if (answer.status === 401) return 'Sign in on this device: what was tapped waits here until then.';
  if (answer.status !== 403) return null;
  const told = (await answer
    .clone()
    .json()
    .catch(() => null)) as { error?: { message?: string } } | null;
  return told?.error?.message ?? null;
}

/** This device’s own name: as it was paired, else made once. */
async function deviceId(): Promise<string> {
  const paired = pairedAs();
  if (paired) return paired;
  const db = await database();
  const known = await db.get('device', 'id');
  if (known) return known;
  const fresh = uuidv7();
  await db.put('device', fresh, 'id');
  return fresh;
}

const told = new Set<(o: Outbox) => void>();
let reached = true;
/** Why the studio’s computer takes nothing from this device, in words; null while it does. */
let why: string | null = null;
async function tell() {
  const db = await database();
  const [waiting, refused] = await Promise.all([db.getAll('waiting'), db.getAll('refused')]);
  const now: Outbox = { waiting: waiting.map((w) => w.entry), refused, reached, why, known: true };
  for (const f of told) f(now);
}

/** Whenever what waits changes; the answer ends it. */
export function watchOutbox(f: (o: Outbox) => void): () => void {
  told.add(f);
  void tell();
  return () => told.delete(f);
}

/** Entries tapped and not yet on the device, in their order. */
let tapped: { entry: LogEntry; kept: () => void; failed: (e: unknown) => void }[] = [];
let writing = false;

/**
 * Writes an entry on this device; once the promise is kept it survives a reload, a dead browser, an empty battery.
 * What is tapped while the device is busy goes down together with the next write.
 */
export function write(entry: LogEntry): Promise<void> {
  const kept = new Promise<void>((kept, failed) => tapped.push({ entry, kept, failed }));
  void writeTapped();
  return kept;
}

async function writeTapped() {
  if (writing) return;
  writing = true;
  while (tapped.length > 0) {
    const now = tapped;
    tapped = [];
    try {
      const tx = (await database()).transaction('waiting', 'readwrite', { durability: 'strict' });
      await Promise.all([...now.map((t) => tx.store.add({ entry: t.entry })), tx.done]);
      await tell();
      for (const t of now) t.kept();
    } catch (e) {
      for (const t of now) t.failed(e);
    }
  }
  writing = false;
  void send();
}

let sending = false;
let tries = 0;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits, in its order, until nothing does; tries again with growing pauses. */
export async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    const db = await database();
    for (;;) {
      const first = await db.getAll('waiting', undefined, MOST_AT_ONCE);
      if (first.length === 0) break;
      const answer = await fetch('/log', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          device: await deviceId(),
          // What this device takes the time to be, so that what happened is dated by the studio's clock.
          sentAt: new Date().toISOString(),
          entries: first.map((w) => w.entry),
        }),
      });
      why = await notLetIn(answer);
      if (!answer.ok) throw new Error(String(answer.status));
      const { kept, refused } = (await answer.json()) as {
        kept: string[];
        refused: { id: string; reason: string }[];
      };
      // Without it a page kept on this device is older; what was taken is safe all the same.
      await addKnown(first.flatMap((w) => (kept.includes(w.entry.id) ? w.entry : []))).catch(() => {});
      const tx = db.transaction(['waiting', 'refused'], 'readwrite');
      for (const w of first) {
        const no = refused.find((r) => r.id === w.entry.id);
        if (no) await tx.objectStore('refused').put({ ...no, entry: w.entry });
        if (no || kept.includes(w.entry.id)) await tx.objectStore('waiting').delete(w.seq!);
      }
      await tx.done;
      tries = 0;
      reached = true;
      await tell();
      if (kept.length + refused.length === 0) throw new Error('nothing was answered for');
    }
  } catch {
    reached = false;
    await tell().catch(() => {});
    // Only now: a try that comes while this one still ends would be no try, and the last.
    timer = setTimeout(() => void send(), PAUSES[Math.min(tries++, PAUSES.length - 1)]);
  }
  sending = false;
}

/** Puts a refused entry out of sight. */
export async function forget(id: string): Promise<void> {
  const db = await database();
  await db.delete('refused', id);
  await tell();
}
