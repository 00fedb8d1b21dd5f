'use client';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { LogEntry } from '@/core/log/entry';

/** An entry as the studio’s computer has it; one this device has only just sent has no cursor yet. */
export type KnownEntry = LogEntry & { cursor?: number };

interface Known extends DBSchema {
  entry: { key: string; value: KnownEntry; indexes: { quilt: string } };
  stood: { key: string; value: { quiltId: string; at: number } };
}

/** Logs of so many quilts are kept on a device. */
const MOST_QUILTS = 4;

let opened: Promise<IDBPDatabase<Known>> | null = null;
const database = () =>
  (opened ??= openDB<Known>('tidy-spool-known', 1, {
    upgrade(db) {
      db.createObjectStore('entry', { keyPath: 'id' }).createIndex('quilt', 'quiltId');
      db.createObjectStore('stood', { keyPath: 'quiltId' });
    },
  }));

/** What this device knows of a quilt’s log, for when the page itself is an older one. */
export const readKnown = async (quiltId: string): Promise<KnownEntry[]> =>
  (await database()).getAllFromIndex('entry', 'quilt', quiltId);

/** Adds what came, or what was just taken. */
export async function addKnown(entries: readonly KnownEntry[]): Promise<void> {
  const tx = (await database()).transaction('entry', 'readwrite');
  await Promise.all([...entries.map((e) => tx.store.put(e)), tx.done]);
}

/** Puts the whole log of a quilt, as it came from the studio’s computer, in place of what was known of it. */
export async function replaceKnown(quiltId: string, entries: readonly KnownEntry[]): Promise<void> {
  const tx = (await database()).transaction(['entry', 'stood'], 'readwrite');
  const [entry, stood] = [tx.objectStore('entry'), tx.objectStore('stood')];
  const drop = async (id: string) => {
    for (const key of await entry.index('quilt').getAllKeys(id)) void entry.delete(key);
  };
  await stood.put({ quiltId, at: Date.now() });
  const old = (await stood.getAll()).sort((a, b) => b.at - a.at).slice(MOST_QUILTS);
  for (const o of old) {
    await drop(o.quiltId);
    void stood.delete(o.quiltId);
  }
  await drop(quiltId);
  for (const e of entries) void entry.put(e);
  await tx.done;
}

/**
 * The log as it is known once a page has come: the page’s own entries, and those known besides that are newer than it.
 * @param first the page’s entries. @param cursor the newest of them. @param others what is known besides.
 */
export function laidOver(
  first: readonly KnownEntry[],
  cursor: number,
  others: Iterable<KnownEntry>,
): Map<string, KnownEntry> {
  const all = new Map(first.map((e) => [e.id, e]));
  for (const e of others) if (!all.has(e.id) && (e.cursor ?? Infinity) > cursor) all.set(e.id, e);
  return all;
}
