'use client';
import { useEffect, useRef, useLayoutEffect } from 'react';
import type { StandAct } from './keys';

/** After so long without a tap it is asked whether it was sewing. */
const ABSENT_MS = 20 * 60_000;

interface Pedals {
  keys: Readonly<Record<StandAct, string>>;
  acts: Readonly<Record<StandAct, () => void>>;
  /** A panel is open: keys belong to it. */
  deaf: boolean;
  /** The clock runs: an absence counts. */
  watched: boolean;
  onEscape: () => void;
  onAway: (from: number, to: number) => void;
}

/** Keys and foot pedals; and how long nobody has touched anything. */
export function usePedals(now: Pedals): void {
  const latest = useRef(now);
  useEffect(() => {
    latest.current = now;
  });
  const touched = useRef(0);
  // In place as soon as the page is seen: a key struck at once is not lost.
  useLayoutEffect(() => {
    touched.current = Date.now();
    const touch = () => {
      const t = Date.now();
      const { watched, onAway } = latest.current;
      if (watched && t - touched.current > ABSENT_MS) onAway(touched.current, t);
      touched.current = t;
    };
    const press = (e: KeyboardEvent) => {
      touch();
      const { keys, acts, deaf, onEscape } = latest.current;
      const typing = e.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(e.target.tagName);
      if (e.key === 'Escape') return onEscape();
      if (typing || deaf || e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
      const act = (Object.entries(keys) as [StandAct, string][]).find(
        ([, k]) => k.toLowerCase() === e.key.toLowerCase(),
      )?.[0];
      if (!act) return;
      // Enter and Space press a button that has the focus; here they are the pedal's.
      e.preventDefault();
      acts[act]();
    };
    window.addEventListener('pointerdown', touch);
    window.addEventListener('keydown', press);
    // Who works the Stand from outside, as the tests do, sees that its keys are heard.
    document.body.dataset.pedals = 'heard';
    return () => {
      window.removeEventListener('pointerdown', touch);
      window.removeEventListener('keydown', press);
      delete document.body.dataset.pedals;
    };
  }, []);
}
