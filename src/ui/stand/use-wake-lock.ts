'use client';
import { useEffect, useState, useSyncExternalStore } from 'react';

interface Lock {
  release(): Promise<void>;
}
const wakeOf = () => (navigator as { wakeLock?: { request(type: 'screen'): Promise<Lock> } }).wakeLock;
const never = () => () => {};

/** Keeps the screen awake while the Stand is seen; false when the browser cannot. */
export function useWakeLock(): boolean {
  const can = useSyncExternalStore(
    never,
    () => wakeOf() !== undefined,
    () => true,
  );
  const [refused, setRefused] = useState(false);
  useEffect(() => {
    let lock: Lock | null = null;
    let here = true;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      wakeOf()
        ?.request('screen')
        .then(
          (l) => {
            if (here) lock = l;
            else void l.release();
            setRefused(false);
          },
          () => setRefused(true),
        );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      here = false;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
  return can && !refused;
}
