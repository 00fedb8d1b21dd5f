'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { LogEntry, LogKind } from '@/core/log/entry';
import { keepPage } from './keep-page';
import { addKnown, type KnownEntry, laidOver, readKnown, replaceKnown } from './known';
import { forget, type Outbox, send, watchOutbox, write } from './outbox';

const LISTEN_AGAIN_MS = 3000;
const NOTHING: Outbox = { waiting: [], refused: [], reached: true, known: false };

/** What is known of the log: as the page came, and as this device kept it; and whether the page is the older of both. */
function useKnown(quiltId: string, first: readonly KnownEntry[], cursor: number) {
  const [known, setKnown] = useState(() => new Map<string, KnownEntry>(first.map((e) => [e.id, e])));
  /** The page is older than what this device knows: it was kept here, and the studio’s computer is away. */
  const [old, setOld] = useState(false);
  const seen = useRef<readonly KnownEntry[] | null>(null);
  useEffect(() => {
    if (seen.current === first) return;
    const anew = seen.current !== null;
    seen.current = first;
    if (anew) {
      // It came from the studio’s computer just now.
      setKnown((now) => laidOver(first, cursor, now.values()));
      setOld(false);
      void replaceKnown(quiltId, first).catch(() => {});
      return;
    }
    readKnown(quiltId)
      .then((here) => {
        if (laidOver(first, cursor, here).size === first.length) return replaceKnown(quiltId, first);
        setKnown((now) => laidOver(first, cursor, [...now.values(), ...here]));
        setOld(true);
      })
      .catch(() => {});
  }, [quiltId, first, cursor]);
  const put = useCallback((e: KnownEntry) => setKnown((now) => new Map(now).set(e.id, e)), []);
  return { known, put, old };
}

/** Sends what waits whenever this device may reach the studio’s computer again. */
function useSending() {
  useEffect(() => {
    const again = () => void send();
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
    again();
    return () => {
      window.removeEventListener('online', again);
      document.removeEventListener('visibilitychange', again);
    };
  }, []);
}

/** Listens to what other devices log; a line that is lost is asked for anew. */
function useLive(quiltId: string, cursor: number, old: boolean, put: (e: KnownEntry) => void) {
  const router = useRouter();
  /** How often it was listened for anew. */
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    let again: ReturnType<typeof setTimeout> | undefined;
    const live = new EventSource(`/live?quilt=${quiltId}&after=${cursor}`);
    // Told that the database is away, a browser gives up for good: it is asked anew.
    live.onerror = () => {
      if (live.readyState === EventSource.CLOSED)
        again = setTimeout(() => setAsked((n) => n + 1), LISTEN_AGAIN_MS);
    };
    live.onmessage = (m) => {
      const e = JSON.parse(m.data as string) as KnownEntry;
      void addKnown([e]).catch(() => {});
      // As the studio's computer has it: dated by its clock.
      put(e);
    };
    live.onopen = () => {
      // Whoever can be heard can be written to, and asked for the page as it is now.
      void send();
      if (old) router.refresh();
    };
    return () => {
      clearTimeout(again);
      live.close();
    };
  }, [quiltId, cursor, old, router, asked, put]);
}

/** The log of a quilt: what the studio’s computer has, from every device as it comes, and what waits on this one. */
export function useLog(quiltId: string, first: readonly KnownEntry[], cursor: number) {
  const { known, put, old } = useKnown(quiltId, first, cursor);
  const [outbox, setOutbox] = useState<Outbox>(NOTHING);
  const [storeFails, setStoreFails] = useState(false);
  /** Entries that are being written on this device just now. */
  const [writing, setWriting] = useState(0);
  useEffect(() => watchOutbox(setOutbox), []);
  useEffect(keepPage, []);
  useSending();
  useLive(quiltId, cursor, old, put);
  const log = useCallback(
    (kind: LogKind, part: Partial<LogEntry> = {}): string => {
      const entry: LogEntry = { id: uuidv7(), quiltId, kind, at: new Date().toISOString(), ...part };
      put(entry);
      setWriting((n) => n + 1);
      write(entry)
        .catch(() => setStoreFails(true))
        .finally(() => setWriting((n) => n - 1));
      return entry.id;
    },
    [quiltId, put],
  );
  const entries = useMemo(() => {
    const all = new Map(known);
    for (const e of outbox.waiting) if (e.quiltId === quiltId) all.set(e.id, e);
    for (const r of outbox.refused) all.delete(r.id);
    return [...all.values()];
  }, [known, outbox, quiltId]);
  return { entries, log, outbox, writing, storeFails, forget, old };
}
