'use client';
import { useEffect, useRef } from 'react';
import { Big } from './Big';

/** A screen over the Stand: one thing to do, and the way back. */
export function StandPanel({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: React.ReactNode;
}) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    box.current?.focus();
    return () => (before as HTMLElement | null)?.focus?.();
  }, []);
  return (
    <div
      ref={box}
      role="dialog"
      aria-modal="true"
      aria-label={title}
      tabIndex={-1}
      className="fixed inset-0 z-40 overflow-y-auto bg-ground px-4 pt-2 pb-4 sm:px-6"
    >
      <div className="flex items-center gap-4">
        <h2 className="flex-1 text-28">{title}</h2>
        <Big label="Back" look="quiet" onClick={onClose} />
      </div>
      {children}
    </div>
  );
}
