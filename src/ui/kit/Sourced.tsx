import type { ReactNode } from 'react';
import { type Source, SOURCES } from '@/core/fields/lists';
import type { Known } from '@/core/source/known';

const LINE: Record<Source, string> = { predicted: 'basted', proven: 'stitched', learned: 'doubled' };
const WORDS: Record<Source, string> = {
  predicted: 'predicted',
  proven: 'tested or measured',
  learned: 'learned from your log',
};
/** What a reader that speaks says beside the value. */
const SAID: Record<Source, string> = { predicted: 'predicted', proven: 'tested', learned: 'learned' };

/** A value with the line under it that says where it comes from; a screen reader hears the word. */
export function Sourced({
  of,
  children,
}: {
  of: Pick<Known<unknown>, 'source' | 'basis'>;
  children: ReactNode;
}) {
  return (
    <span className={`inline-block leading-[1.1] ${LINE[of.source]}`} title={of.basis}>
      {children}
      <span className="sr-only"> ({SAID[of.source]})</span>
    </span>
  );
}

/** The key to the three lines; stands on every screen that uses them. */
export function SourceKey({ className = '' }: { className?: string }) {
  return (
    <ul className={`flex flex-wrap gap-x-4 gap-y-1.5 text-13 text-ink2 ${className}`}>
      {SOURCES.map((s) => (
        <li key={s} className="inline-flex items-center gap-2">
          <span aria-hidden className={`inline-block w-8 ${LINE[s]} !pb-[3px]`} />
          {WORDS[s]}
        </li>
      ))}
    </ul>
  );
}
