'use client';
import { useLinkStatus } from 'next/link';
import { useEffect } from 'react';

/** A page that takes longer is told to be on its way only after this long; shorter waits are no waits. */
const PATIENCE_MS = 150;

/** Says at the top of the window that the page a link leads to is on its way (see `.going` in globals.css). */
export function Going() {
  const { pending } = useLinkStatus();
  useEffect(() => {
    if (!pending) return;
    const root = document.documentElement;
    const late = setTimeout(() => root.classList.add('going'), PATIENCE_MS);
    return () => {
      clearTimeout(late);
      root.classList.remove('going');
    };
  }, [pending]);
  return null;
}
