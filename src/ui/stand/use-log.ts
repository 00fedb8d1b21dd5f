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

/** The log of a quilt: what the studio’s computer has, from every device as it comes, and what waits on this one. */
export function useLog(quiltId: string, first: readonly KnownEntry[], cursor: number) {
  const [known, setKnown] = useState(() => new Map<string, KnownEntry>(first.map((e) => [e.id, e])));
  /** The page is older than what this device knows: it was kept here, and the studio’s computer is away. */
  const [old, setOld] = useState(false);
  const router = useRouter();
  const [outbox, setOutbox] = useState<Outbox>(NOTHING);
  const [storeFails, setStoreFails] = useState(false);
  /** How often it was listened for anew. */
  const [asked, setAsked] = useState(0);
  /** Entries that are being written on this device just now. */
  const [writing, setWriting] = useState(0);

  useEffect(() => watchOutbox(setOutbox), []);
  useEffect(keepPage, []);
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
      setKnown((now) => new Map(now).set(e.id, e));
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
  }, [quiltId, cursor, old, router, asked]);

  const log = useCallback(
    (kind: LogKind, part: Partial<LogEntry> = {}): string => {
      const entry: LogEntry = { id: uuidv7(), quiltId, kind, at: new Date().toISOString(), ...part };
      setKnown((now) => new Map(now).set(entry.id, entry));
      setWriting((n) => n + 1);
      write(entry)
        .catch(() => setStoreFails(true))
        .finally(() => setWriting((n) => n - 1));
      return entry.id;
    },
    [quiltId],
  );
  const entries = useMemo(() => {
    const all = new Map(known);
    for (const e of outbox.waiting) if (e.quiltId === quiltId) all.set(e.id, e);
    for (const r of outbox.refused) all.delete(r.id);
    return [...all.values()];
  }, [known, outbox, quiltId]);
  return { entries, log, outbox, writing, storeFails, forget, old };
}
