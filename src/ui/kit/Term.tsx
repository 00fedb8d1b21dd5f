'use client';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { meaningOf } from '@/core/tables/glossary';

/** A word of the trade with what it means behind a dotted underline: by tap, press or key. */
export function Term({ of, children }: { of: string; children?: ReactNode }) {
  const { term, means } = meaningOf(of);
  return (
    <Popover.Root>
      <Popover.Trigger
        className="cursor-help underline decoration-dotted decoration-1 underline-offset-4 print:no-underline"
        title={means}
      >
        {children ?? of}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={12}
          className="z-50 max-w-[320px] rounded border border-rule bg-cloth px-3 py-2 text-16"
        >
          <b className="font-semibold">{term}</b>: {means}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
