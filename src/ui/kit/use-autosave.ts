'use client';
import { useEffect, useRef, useState } from 'react';
import type { Result } from '@/actions/result';
import { Autosaver, type SaveState, type Sent } from './autosaver';
import { newKey } from './use-action-form';

const storeOf = () => {
  try {
    return typeof window === 'undefined' ? undefined : window.localStorage;
  } catch {
    return undefined;
  }
};

/** What lay on this device and the server did not get, if it goes on from the version the server has. */
function laidHere<T>(
  draftKey: string,
  version: number,
): { version: number; body: T; sent?: readonly Sent<T>[] } | null {
  try {
    const laid = JSON.parse(storeOf()?.getItem(draftKey) ?? 'null') as {
      version: number;
      body: T;
      sent?: Sent<T>[];
    } | null;
    return laid && (laid.sent?.at(-1)?.version ?? laid.version) >= version ? laid : null;
  } catch {
    return null;
  }
}
export const draftOf = <T>(draftKey: string, version: number): T | null =>
  laidHere<T>(draftKey, version)?.body ?? null;

/** Lays words on this device until the server has them. */
export function layDraft(draftKey: string, version: number, body: unknown): void {
  try {
    storeOf()?.setItem(draftKey, JSON.stringify({ version, body }));
  } catch {
    // A full store keeps nothing; the page still holds it.
  }
}
export const dropDraft = (draftKey: string): void => storeOf()?.removeItem(draftKey);

/**
 * Keeps what is typed by itself: after a pause, on leaving, and again after an outage. What a page that was left or lost
 * had not had an answer for stands in the next one, and goes again under its own keys.
 */
export function useAutosave<T>({
  draftKey,
  version,
  send,
  beacon,
  show,
}: {
  draftKey: string;
  version: number;
  send: (what: Sent<T>) => Promise<Result<{ version: number }>>;
  /** Where it goes when the page is left before it was sent, and as what. */
  beacon: (what: Sent<T>) => [url: string, body: string];
  /** Shows what was left here and the server never got. */
  show: (left: T) => void;
}) {
  const [state, setState] = useState<SaveState>({ kind: 'kept' });
  const [saver] = useState(
    () => new Autosaver<T>({ version, send, newKey, tell: setState, draft: storeOf(), draftKey }),
  );
  const leaving = useRef(beacon);
  const showing = useRef(show);
  useEffect(() => {
    leaving.current = beacon;
    showing.current = show;
  });
  useEffect(() => {
    const timer = setTimeout(() => {
      const laid = laidHere<T>(draftKey, version);
      if (!laid) return;
      showing.current(laid.body);
      saver.resume(laid);
    }, 0);
    return () => clearTimeout(timer);
  }, [draftKey, version, saver]);
  useEffect(() => {
    const leave = () => {
      for (const what of saver.leave()) navigator.sendBeacon?.(...leaving.current(what));
    };
    const hidden = () => document.visibilityState === 'hidden' && saver.now();
    const warn = (e: BeforeUnloadEvent) => {
      if (saver.unsaved && !navigator.onLine) e.preventDefault();
    };
    const back = () => saver.now();
    window.addEventListener('pagehide', leave);
    window.addEventListener('beforeunload', warn);
    window.addEventListener('online', back);
    document.addEventListener('visibilitychange', hidden);
    return () => {
      saver.now();
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('beforeunload', warn);
      window.removeEventListener('online', back);
      document.removeEventListener('visibilitychange', hidden);
    };
  }, [saver]);
  return { state, saver };
}
