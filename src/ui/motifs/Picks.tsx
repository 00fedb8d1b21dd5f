'use client';
import { Lock, LockOpen } from 'lucide-react';
import { useState } from 'react';
import type { ZoneAnswer } from '@/core/motifs/motifs';
import { techniques } from '@/core/tables/techniques';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import type { MultiPolygon } from '@/core/geometry/polygon';
import { HeadRow } from '@/ui/kit/HeadRow';
import { ZoneDrawing } from './ZoneDrawing';

/** A technique held in a zone while the rest is chosen round it. */
export interface Hold {
  technique: string;
  spacingIn?: number;
}

const minutes = ({ low, mid, high }: { low: number; mid: number; high: number }) =>
  mid < 1 ? '' : `${Math.round(mid)} min (${Math.round(low)} to ${Math.round(high)})`;

/** What would suit one zone, best first, each with its reasons; and what is not for it, with why. */
export function Picks({
  answer,
  shape,
  held,
  hold,
  use,
  busy,
}: {
  answer: ZoneAnswer;
  /** The zone's own outline. */
  shape: MultiPolygon;
  held: Hold | null;
  hold: (h: Hold | null) => void;
  use: (pick: { technique: string; spacingIn: number | null }) => void;
  busy: boolean;
}) {
  const [all, setAll] = useState(false);
  const label = (id: string) => techniques.get(id).label;
  return (
    <>
      {answer.cautions.map((c) => (
        <p key={c.code + c.text} className="mt-1">
          <CautionLine caution={c} />
        </p>
      ))}
      {answer.wouldFit && (
        <ul className="mt-1 text-ink2">
          {answer.wouldFit.map((w) => (
            <li key={w.limit}>{w.text}</li>
          ))}
        </ul>
      )}
      <table className="stacks mt-2 w-full">
        <HeadRow names={['Technique', 'Spacing', 'Time', 'Comes out', 'Why']} />
        <tbody>
          {answer.picks.map((p) => {
            const isHeld = held?.technique === p.technique;
            return (
              <tr key={p.technique} className={`border-t align-top ${isHeld ? 'bg-indigo-tint' : ''}`}>
                <td className="py-2 pr-3 font-semibold">
                  {label(p.technique)}
                  <ZoneDrawing
                    id={`pick-${answer.id}-${p.technique}`}
                    shape={shape}
                    technique={p.technique}
                    spacingIn={p.spacingIn}
                  />
                </td>
                <td className="py-2 pr-3 whitespace-nowrap">
                  {p.spacingIn === null ? '' : `${p.spacingIn} in`}
                </td>
                <td className="py-2 pr-3 whitespace-nowrap">{minutes(p.minutes)}</td>
                <td className="py-2 pr-3">
                  {p.softness}, {p.texture}
                  <span className="block text-13 text-ink2">forgives {p.forgiving} of 5</span>
                </td>
                <td className="py-2 pr-3">
                  {p.reasons.map((r) => r.text).join('; ')}
                  {p.cautions.length > 0 && (
                    <span className="block text-13 text-weld-text">
                      {p.cautions.map((c) => c.text).join(' ')}
                    </span>
                  )}
                  <span className="block text-13 text-ink2">{p.how}</span>
                </td>
                <td className="py-1.5 text-right whitespace-nowrap">
                  <button
                    type="button"
                    aria-pressed={isHeld}
                    aria-label={isHeld ? `Let ${label(p.technique)} go` : `Hold ${label(p.technique)} here`}
                    title={isHeld ? 'Let it go' : 'Hold it here: the rest adapts'}
                    className="mr-2 inline-grid size-11 place-items-center rounded border border-rule align-middle"
                    onClick={() =>
                      hold(isHeld ? null : { technique: p.technique, spacingIn: p.spacingIn ?? undefined })
                    }
                  >
                    {isHeld ? <Lock size={18} aria-hidden /> : <LockOpen size={18} aria-hidden />}
                  </button>
                  <Button
                    disabled={busy}
                    aria-label={`Use ${label(p.technique)}`}
                    onClick={() => use({ technique: p.technique, spacingIn: p.spacingIn })}
                  >
                    Use
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <button
        type="button"
        aria-expanded={all}
        className="mt-1 min-h-11 text-indigo hover:underline"
        onClick={() => setAll(!all)}
      >
        {all ? 'Hide' : 'Show'} what is not for this zone ({answer.refused.length})
      </button>
      {all && (
        <ul className="border-t">
          {answer.refused.map((r) => (
            <li key={r.technique} className="flex gap-3 border-b py-1.5">
              <span className="w-44 shrink-0 font-semibold">{label(r.technique)}</span>
              <span>{r.text}</span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
