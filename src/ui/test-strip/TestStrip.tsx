'use client';
import { useEffect, useRef } from 'react';
import { predicted, proven } from '@/core/source/known';
import type { Direction } from '@/core/fields/lists';
import type { TestRound } from '@/data/types';
import { Sourced } from '@/ui/kit/Sourced';
import { facesAt } from './stitch-side';
import { FACE, SHOWN, StripCell } from './StripCell';
import {
  changeSince,
  DIRECTION_LABEL,
  shownGf as fmt,
  TONE_TEXT,
  VERDICT_SIGN,
  VERDICT_WORD,
  verdictTone,
  worstVerdict,
} from './words';

/** Tests shown side by side. */
const COLUMNS = 4;

/** The strip as it lies on the margin: the last tests, top above and back below, and the one to sew next. */
export function TestStrip(props: {
  rounds: readonly TestRound[];
  next: { topGf: number; bobbinGf: number; done: boolean; chance: number };
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
  /** Opens one test: its note, its photograph, beside another. */
  onOpen?: (round: TestRound) => void;
}) {
  const shown = props.rounds;
  const cells = props.next.done ? shown.length : shown.length + 1;
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // The newest is what the hand is doing.
    if (list.current) list.current.scrollLeft = list.current.scrollWidth;
  }, [cells]);
  return (
    <ol
      ref={list}
      aria-label="Tests in order"
      tabIndex={cells > COLUMNS ? 0 : undefined}
      className="mt-1.5 grid overflow-x-auto"
      style={{
        gridTemplateColumns:
          cells > COLUMNS ? `repeat(${cells}, minmax(23%, 1fr))` : `repeat(${COLUMNS}, minmax(0, 1fr))`,
      }}
    >
      {shown.map((r, i) => {
        const worst = worstVerdict(Object.values(r.verdicts));
        return (
          <li key={r.id}>
            <StripCell {...props} faces={facesAt(worst)} />
            <div className="pt-1 pl-4 leading-tight">
              <span className="text-[18px] font-bold">
                <Sourced of={proven(null, 'sewn')}>
                  {fmt(r.topGf)} / {fmt(r.bobbinGf)} <small className="text-13 font-medium">g</small>
                </Sourced>
              </span>
              <p className="mt-0.5 leading-tight">
                Test {r.n}:{' '}
                <span className={`font-semibold ${TONE_TEXT[verdictTone(worst)]}`}>
                  {VERDICT_SIGN[worst]} {VERDICT_WORD[worst]}
                </span>
                <br />
                <span className="text-13 text-ink2">
                  {Object.entries(r.verdicts)
                    .map(
                      ([d, v]) =>
                        `${DIRECTION_LABEL[d as Direction].toLowerCase()} ${v > 0 ? '+' : ''}${String(v).replace('-', '−')}`,
                    )
                    .join(', ')}
                </span>
                {changeSince(shown[i - 1], r) && (
                  <span className="block text-13 text-ink2">{changeSince(shown[i - 1], r)}</span>
                )}
              </p>
              {props.onOpen && (
                <button
                  type="button"
                  className="min-h-11 pr-2 text-13 text-indigo underline-offset-2 hover:underline"
                  onClick={() => props.onOpen!(r)}
                  aria-label={`Open test ${r.n}`}
                >
                  {r.photographId ? 'Photograph, note' : r.note ? 'Note' : 'Open'}
                </button>
              )}
            </div>
          </li>
        );
      })}
      {!props.next.done && (
        <li>
          <StripCell {...props} faces={null} />
          <div className="pt-1 pl-4 leading-tight">
            <span className="text-[18px] font-bold">
              <Sourced of={predicted(null)}>
                {fmt(props.next.topGf)} / {fmt(props.next.bobbinGf)}{' '}
                <small className="text-13 font-medium">g</small>
              </Sourced>
            </span>
            <p className="mt-0.5 leading-tight">
              <b className="text-indigo">Test {props.rounds.length + 1}, sew this next</b>
              <br />
              <span className="text-13 text-ink2">
                expected balanced: {Math.round(props.next.chance * 100)} %
              </span>
            </p>
          </div>
        </li>
      )}
      {cells < COLUMNS && (
        <li aria-hidden style={{ gridColumn: `span ${COLUMNS - cells}` }}>
          <svg
            viewBox={`0 0 250 ${FACE.top + FACE.gap + FACE.back}`}
            className="block w-full"
            height={SHOWN}
            preserveAspectRatio="none"
          >
            <rect width="250" height={FACE.top} fill={props.cloth} />
            <rect y={FACE.top + FACE.gap} width="250" height={FACE.back} fill={props.backing} />
          </svg>
        </li>
      )}
    </ol>
  );
}
