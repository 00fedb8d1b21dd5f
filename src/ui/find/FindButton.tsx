'use client';
import { Search } from 'lucide-react';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useEffect, useState, useLayoutEffect } from 'react';

const FindDialog = dynamic(() => patiently(() => import('./FindDialog')).then((m) => m.FindDialog));

/** Find, from anywhere: Ctrl K. */
export function FindButton() {
  const [open, setOpen] = useState(false);
  // Fetched ahead, so that letters typed right after Ctrl K find their field.
  useEffect(() => {
    const ahead = setTimeout(() => void import('./FindDialog'), 600);
    return () => clearTimeout(ahead);
  }, []);
  // In place as soon as the page is seen: a key struck at once is not lost.
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'k') {
        e.preventDefault();
        setOpen(true);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        aria-keyshortcuts="Control+K"
        className="flex min-h-11 items-center gap-2 rounded border border-rule bg-cloth px-3 text-ink2 xl:w-[210px]"
      >
        <Search size={18} aria-hidden />
        <span className="flex-1 text-left max-xl:sr-only">Find</span>
        <kbd className="hidden rounded border bg-ground px-1.5 text-13 xl:inline">Ctrl K</kbd>
      </button>
      {open && <FindDialog onClose={() => setOpen(false)} />}
    </>
  );
}
