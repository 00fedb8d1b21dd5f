'use client';
import { useState } from 'react';
import { battingsFor } from '@/core/backing/in-hand';
import { TextField } from '@/ui/kit/Field';
import { inchesOf } from '@/ui/kit/field-spec';

export interface BattingAtHand {
  id: string;
  name: string;
  kind: string;
  maxGapIn: number | null;
}

const MOST = 8;

/** How open it may be quilted by each batting: a wish for little quilting decides the batting, not the other way round. */
export function BattingForWish({
  battings,
  length,
}: {
  battings: readonly BattingAtHand[];
  length: (inches: number) => string;
}) {
  const [text, setText] = useState('8');
  const open = inchesOf(text);
  const isLength = typeof open === 'number' && open > 0;
  const found = isLength ? battingsFor(open, battings) : [];
  const names = found.flatMap((id) => battings.find((b) => b.id === id)?.name ?? []);
  return (
    <section aria-label="A batting for little quilting" className="mt-6">
      <h3 className="border-t-2 border-ink pt-2 text-20">A batting for little quilting</h3>
      <div className="mt-2 w-56">
        <TextField
          id="wish-open"
          label="Lines no closer than, in"
          inputMode="decimal"
          value={text}
          onChange={(e) => setText(e.target.value)}
          error={isLength ? undefined : 'Give a length, such as 8.'}
        />
      </div>
      {isLength && (
        <p className="mt-2" aria-live="polite">
          {names.length === 0
            ? `No batting here may lie ${length(open)} open: bring the lines closer, or buy one that allows it.`
            : `These hold with lines ${length(open)} apart: ${names.slice(0, MOST).join(', ')}${names.length > MOST ? ` and ${names.length - MOST} more` : ''}.`}{' '}
          <span className="text-ink2">The distance printed with a batting counts before ours.</span>
        </p>
      )}
    </section>
  );
}
