'use client';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

const FIRST = '[data-first], form input:not([type=hidden]), form select, form textarea, form [role=combobox]';

/** A dialog over the page: named, closable with Escape, focus kept inside. */
export function Modal({
  open,
  onOpenChange,
  title,
  about,
  children,
  wide = false,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  about: string;
  children: ReactNode;
  wide?: boolean;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#14181b]/45" />
        <Dialog.Content
          onOpenAutoFocus={(e) => {
            // What the dialog is opened for comes before its Close button.
            const first = (e.currentTarget as HTMLElement).querySelector<HTMLElement>(FIRST);
            if (!first) return;
            e.preventDefault();
            first.focus();
          }}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[94vh] w-[96vw] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded border border-rule bg-cloth p-5 ${wide ? 'max-w-[960px]' : 'max-w-[560px]'}`}
        >
          <div className="flex items-start justify-between gap-4">
            <div>
              <Dialog.Title className="text-24">{title}</Dialog.Title>
              <Dialog.Description className="mt-1 text-ink2">{about}</Dialog.Description>
            </div>
            <Dialog.Close
              aria-label="Close"
              className="-mt-1 -mr-1 grid size-11 shrink-0 place-items-center rounded hover:bg-sunk"
            >
              <X size={22} aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
