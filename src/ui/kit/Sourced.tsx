import type { ReactNode } from 'react';

export type Source = 'predicted' | 'proven' | 'learned';

const LINE: Record<Source, string> = { predicted: 'basted', proven: 'stitched', learned: 'doubled' };

/** A value with the line under it that says where it comes from; a screen reader hears the word. */
export function Sourced({ kind, children }: { kind: Source; children: ReactNode }) {
  return (
    <span className={`inline-block leading-[1.1] ${LINE[kind]}`}>
      {children}
      <span className="sr-only"> ({kind})</span>
    </span>
  );
}

/** The key to the three lines; stands on every screen that uses them. */
export function SourceKey({ className = '' }: { className?: string }) {
  return (
    <ul className={`flex flex-wrap gap-x-4 gap-y-1.5 text-13 text-ink2 ${className}`}>
      {(['basted: predicted', 'stitched: proven', 'doubled: learned from your log'] as const).map(
        (words, i) => (
          <li key={words} className="inline-flex items-center gap-2">
            <span
              aria-hidden
              className={`inline-block w-8 ${['basted', 'stitched', 'doubled'][i]} !pb-[3px]`}
            />
            {words}
          </li>
        ),
      )}
    </ul>
  );
}
