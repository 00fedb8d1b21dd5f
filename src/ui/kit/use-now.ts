'use client';
import { useEffect, useState } from 'react';

/** The time, told anew each half second while it matters. */
export function useNow(ticking: boolean): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    const tick = () => setNow(Date.now());
    tick();
    if (!ticking) return;
    const timer = setInterval(tick, 500);
    return () => clearInterval(timer);
  }, [ticking]);
  return now;
}
