'use client';
import { useMemo, useSyncExternalStore } from 'react';
import { type KeyMap, readKeys } from './keys';

const KEYS = 'tidy-spool-stand-keys';
const changed = new Set<() => void>();
const watch = (f: () => void) => {
  changed.add(f);
  window.addEventListener('storage', f);
  return () => {
    changed.delete(f);
    window.removeEventListener('storage', f);
  };
};

/** The keys and pedals as they are set on this device. */
export function useKeys(): [KeyMap, (keys: KeyMap) => void] {
  const stored = useSyncExternalStore(
    watch,
    () => window.localStorage.getItem(KEYS),
    () => null,
  );
  const keys = useMemo(() => readKeys(stored), [stored]);
  const set = (next: KeyMap) => {
    window.localStorage.setItem(KEYS, JSON.stringify(next));
    for (const f of changed) f();
  };
  return [keys, set];
}
