'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { LogEntry, LogKind } from '@/core/stand/log';
import { forget, type Outbox, send, watchOutbox, write } from './outbox';

const NOTHING: Outbox = { waiting: [], refused: [], reached: true, known: false };

/** The log of a quilt: what the studio’s computer has, from every device as it comes, and what waits on this one. */
export function useLog(quiltId: string, first: readonly LogEntry[], cursor: number) {
  const [known, setKnown] = useState(() => new Map(first.map((e) => [e.id, e])));
  const [outbox, setOutbox] = useState<Outbox>(NOTHING);
  const [storeFails, setStoreFails] = useState(false);
  /** Entries that are being written on this device just now. */
  const [writing, setWriting] = useState(0);

  useEffect(() => watchOutbox(setOutbox), []);
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
    const live = new EventSource(`/live?quilt=${quiltId}&after=${cursor}`);
    live.onmessage = (m) => {
      const e = JSON.parse(m.data as string) as LogEntry;
      setKnown((now) => (now.has(e.id) ? now : new Map(now).set(e.id, e)));
    };
    // Whoever can be heard can be written to.
    live.onopen = () => void send();
    return () => live.close();
  }, [quiltId, cursor]);

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
  return { entries, log, outbox, writing, storeFails, forget };
}
