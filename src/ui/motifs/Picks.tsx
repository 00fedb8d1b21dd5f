'use client';
import { Lock, LockOpen } from 'lucide-react';
import { useState } from 'react';
import type { MultiPolygon } from '@/core/geometry/polygon';
import type { Pick, ZoneAnswer } from '@/core/motifs/motifs';
import type { OfferedPattern, PatternPick, PatternPicks } from '@/core/motifs/pattern-picks';
import type { PatternUnit } from '@/core/pattern/lay';
import { techniques } from '@/core/tables/techniques';
import { rulerText } from '@/core/units/length-text';
import { Button } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { HeadRow } from '@/ui/kit/HeadRow';
import { UnitDrawing } from '@/ui/patterns/UnitDrawing';
import { ZoneDrawing } from './ZoneDrawing';

/** A technique held in a zone while the rest is chosen round it. */
export interface Hold {
  technique: string;
  spacingIn?: number;
}

/** A pattern of the studio, with its repeat to be drawn. */
export interface DrawnPattern extends OfferedPattern {
  unit: PatternUnit;
}

const minutes = ({ low, mid, high }: { low: number; mid: number; high: number }) =>
  mid < 1 ? '' : `${Math.round(mid)} min (${Math.round(low)} to ${Math.round(high)})`;
const labelOf = (technique: string) => techniques.get(technique).label;
const isPattern = (p: Pick): p is PatternPick => 'patternId' in p;

/** So much worse than the best a pattern may be, and still stand in the list; and so many of them. */
const WITHIN = 1;
const MOST_PATTERNS = 4;

/** What would suit one zone, techniques and patterns of the studio, best first, each with its reasons; and what is not for it, with why. */
export function Picks({
  answer,
  patterned,
  patterns,
  shape,
  held,
  hold,
  use,
  lay,
  busy,
}: {
  answer: ZoneAnswer;
  patterned: PatternPicks;
  patterns: readonly DrawnPattern[];
  /** The zone's own outline. */
  shape: MultiPolygon;
  held: Hold | null;
  hold: (h: Hold | null) => void;
  use: (pick: { technique: string; spacingIn: number | null }) => void;
  lay: (pick: PatternPick) => void;
  busy: boolean;
}) {
  const best = answer.picks[0]?.score ?? 0;
  const laid = patterned.picks.filter((p) => p.score <= best + WITHIN).slice(0, MOST_PATTERNS);
  const listed = [...answer.picks, ...laid].sort((a, b) => a.score - b.score);
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
          {listed.map((p) =>
            isPattern(p) ? (
              <PatternRow
                key={p.patternId}
                pick={p}
                pattern={patterns.find(({ id }) => id === p.patternId)!}
                use={() => lay(p)}
                busy={busy}
              />
            ) : (
              <TechniqueRow
                key={p.technique}
                pick={p}
                id={`pick-${answer.id}-${p.technique}`}
                shape={shape}
                isHeld={held?.technique === p.technique}
                hold={hold}
                use={() => use({ technique: p.technique, spacingIn: p.spacingIn })}
                busy={busy}
              />
            ),
          )}
        </tbody>
      </table>
      <NotForIt
        refused={[
          ...answer.refused.map((r) => ({ ...r, id: r.technique, label: labelOf(r.technique) })),
          ...patterned.refused.map((r) => ({ ...r, id: r.patternId, label: r.name })),
        ]}
      />
    </>
  );
}

/** What stands the same of a technique and of a pattern: time, how it comes out, why. */
function Worth({ pick: p }: { pick: Pick }) {
  return (
    <>
      <td className="py-2 pr-3 whitespace-nowrap">{minutes(p.minutes)}</td>
      <td className="py-2 pr-3">
        {p.softness}, {p.texture}
        <span className="block text-13 text-ink2">forgives {p.forgiving} of 5</span>
      </td>
      <td className="py-2 pr-3">
        {p.reasons.map((r) => r.text).join('; ')}
        {p.cautions.length > 0 && (
          <span className="block text-13 text-weld-text">{p.cautions.map((c) => c.text).join(' ')}</span>
        )}
        <span className="block text-13 text-ink2">{p.how}</span>
      </td>
    </>
  );
}

function TechniqueRow({
  pick: p,
  id,
  shape,
  isHeld,
  hold,
  use,
  busy,
}: {
  pick: Pick;
  id: string;
  shape: MultiPolygon;
  isHeld: boolean;
  hold: (h: Hold | null) => void;
  use: () => void;
  busy: boolean;
}) {
  const label = labelOf(p.technique);
  return (
    <tr className={`border-t align-top ${isHeld ? 'bg-indigo-tint' : ''}`}>
      <td className="py-2 pr-3 font-semibold">
        {label}
        <ZoneDrawing id={id} shape={shape} technique={p.technique} spacingIn={p.spacingIn} />
      </td>
      <td className="py-2 pr-3 whitespace-nowrap">{p.spacingIn === null ? '' : rulerText(p.spacingIn)}</td>
      <Worth pick={p} />
      <td className="py-1.5 text-right whitespace-nowrap">
        <button
          type="button"
          aria-pressed={isHeld}
          aria-label={isHeld ? `Let ${label} go` : `Hold ${label} here`}
          title={isHeld ? 'Let it go' : 'Hold it here: the rest adapts'}
          className="mr-2 inline-grid size-11 place-items-center rounded border border-rule align-middle"
          onClick={() =>
            hold(isHeld ? null : { technique: p.technique, spacingIn: p.spacingIn ?? undefined })
          }
        >
          {isHeld ? <Lock size={18} aria-hidden /> : <LockOpen size={18} aria-hidden />}
        </button>
        <Button disabled={busy} aria-label={`Use ${label}`} onClick={use}>
          Use
        </Button>
      </td>
    </tr>
  );
}

/** A pattern of the studio at the width that suits the zone. */
function PatternRow({
  pick: p,
  pattern,
  use,
  busy,
}: {
  pick: PatternPick;
  pattern: DrawnPattern;
  use: () => void;
  busy: boolean;
}) {
  return (
    <tr className="border-t align-top">
      <td className="py-2 pr-3 font-semibold">
        {p.name}
        <span className="block text-13 font-normal text-ink2">your pattern</span>
        <UnitDrawing unit={pattern.unit} />
      </td>
      <td className="py-2 pr-3 whitespace-nowrap">
        {rulerText(p.widthIn)} wide
        <span className="block text-13 text-ink2">rows of {rulerText(p.rowIn)}</span>
      </td>
      <Worth pick={p} />
      <td className="py-1.5 text-right whitespace-nowrap">
        <Button disabled={busy} aria-label={`Use ${p.name}`} onClick={use}>
          Use
        </Button>
      </td>
    </tr>
  );
}

/** What is not for a zone, behind a press. */
function NotForIt({ refused }: { refused: readonly { id: string; label: string; text: string }[] }) {
  const [all, setAll] = useState(false);
  return (
    <>
      <button
        type="button"
        aria-expanded={all}
        className="mt-1 min-h-11 text-indigo hover:underline"
        onClick={() => setAll(!all)}
      >
        {all ? 'Hide' : 'Show'} what is not for this zone ({refused.length})
      </button>
      {all && (
        <ul className="border-t">
          {refused.map((r) => (
            <li key={r.id} className="flex gap-3 border-b py-1.5">
              <span className="w-44 shrink-0 font-semibold">{r.label}</span>
              <span>{r.text}</span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
