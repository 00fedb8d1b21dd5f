'use client';
import { useState } from 'react';
import { attempt } from '@/core/notes';
import { arcOfEdge, type EdgeKind, pickRuler, type RulerPick, SAME_DEPTH_IN } from '@/core/ruler/pick';
import type { Ruler } from '@/data/types';
import { ButtonLink } from '@/ui/kit/Button';
import { Taps } from '@/ui/kit/Taps';
import { TextField } from '@/ui/kit/Field';
import { inchesOf } from '@/ui/kit/field-spec';

const SHOWN = 6;
const ACROSS: Record<EdgeKind, string> = {
  arc: 'Arc across, in',
  scallops: 'One scallop, in',
  wave: 'One whole wave, in',
};
const two = (n: number) => String(Number(n.toFixed(2)));

/** An arc by its chord and depth: which of the rulers owned sews it, on which edge, held how. */
export function WhichRuler({ rulers, offsetIn }: { rulers: readonly Ruler[]; offsetIn: number }) {
  const [kind, setKind] = useState<EdgeKind>('arc');
  const [chord, setChord] = useState('6');
  const [depth, setDepth] = useState('1');
  const [side, setSide] = useState('');
  const [c, d, whole] = [inchesOf(chord), inchesOf(depth), inchesOf(side)];
  const sideIn = kind !== 'arc' && typeof whole === 'number' && whole > 0 ? whole : undefined;
  const arc =
    typeof c === 'number' && typeof d === 'number' && c > 0 && d > 0 ? arcOfEdge(kind, c, d, sideIn) : null;
  const found = arc ? attempt(() => pickRuler(arc, rulers, offsetIn)) : null;
  return (
    <section aria-label="Which ruler sews it" className="mt-8 max-w-[960px]">
      <div className="flex flex-wrap items-center gap-3 border-t-2 border-ink pt-2">
        <h2 className="flex-1 text-20">Which ruler sews it</h2>
        <ButtonLink look="quiet" href="/marking-strip">
          Marking strip for a border
        </ButtonLink>
      </div>
      <div className="mt-2">
        <Taps
          label="The edge"
          value={kind}
          onChange={(v) => setKind(v as EdgeKind)}
          options={[
            { value: 'arc', label: 'one arc' },
            { value: 'scallops', label: 'scallops' },
            { value: 'wave', label: 'a wave' },
          ]}
        />
      </div>
      <div className="mt-2 flex flex-wrap gap-4">
        <div className="w-40">
          <TextField
            id="arc-chord"
            label={ACROSS[kind]}
            value={chord}
            onChange={(e) => setChord(e.target.value)}
            error={typeof c === 'number' && c > 0 ? undefined : 'Give a length, such as 6.'}
          />
        </div>
        <div className="w-40">
          <TextField
            id="arc-depth"
            label={kind === 'wave' ? 'Crest to trough, in' : 'How deep, in'}
            value={depth}
            onChange={(e) => setDepth(e.target.value)}
            error={typeof d === 'number' && d > 0 ? undefined : 'Give a depth, such as 1.'}
          />
        </div>
        {kind !== 'arc' && (
          <div className="w-40">
            <TextField
              id="arc-side"
              label="Length of the side, in"
              hint="empty: as it is measured"
              value={side}
              onChange={(e) => setSide(e.target.value)}
              error={side === '' || sideIn !== undefined ? undefined : 'Give a length, such as 72.'}
            />
          </div>
        )}
      </div>
      {typeof found === 'string' && (
        <p role="alert" className="mt-2 font-medium text-weld-text">
          {found}
        </p>
      )}
      {found && typeof found !== 'string' && (
        <>
          <p className="mt-2">
            {arc?.repeats &&
              `${arc.repeats} of ${two(arc.repeatIn)} in fit the side${Math.abs(arc.scalePct - 100) > 0.5 ? `, stretched to ${arc.scalePct.toFixed(0)} %` : ''}. `}
            {kind === 'wave'
              ? 'Each half is an arc '
              : kind === 'scallops'
                ? 'Each is an arc '
                : 'That arc is '}
            {two(arc!.chordIn)} in across, with a radius of <b>{two(found.wantedRadiusIn)} in</b>
            {kind === 'wave' &&
              '; its outer halves are sewn on one edge, its inner halves on the other or with the ruler turned'}
            .
          </p>
          {found.picks.length === 0 ? (
            <p className="text-ink2">
              None of your rulers reaches across it. An arc of that radius less {two(offsetIn)} in would.
            </p>
          ) : (
            <ol className="mt-1">
              {found.picks.slice(0, SHOWN).map((p, i) => (
                <li key={`${p.id} ${p.edge}`} className="flex flex-wrap items-center gap-4 border-b py-2">
                  <Held pick={p} chordIn={arc!.chordIn} offsetIn={offsetIn} />
                  <p className="min-w-0 flex-1">
                    <b className={i === 0 ? 'text-[17px]' : ''}>{p.name}</b>, its{' '}
                    {p.edge === 'convex' ? 'outer' : 'hollow'} edge: sews {two(p.depthIn)} in deep
                    {Math.abs(p.offIn) <= SAME_DEPTH_IN ? (
                      <span className="font-medium text-verdigris">, as wanted</span>
                    ) : (
                      <span className="text-weld-text">
                        , {two(Math.abs(p.offIn))} in {p.offIn > 0 ? 'deeper' : 'flatter'}
                      </span>
                    )}
                    <span className="block text-13 text-ink2">
                      Hold its end {two(p.pastIn)} in past the point.{' '}
                      {p.settings > 1
                        ? `Set it anew ${p.settings - 1} ${p.settings === 2 ? 'time' : 'times'} on the way.`
                        : 'One setting is enough.'}
                    </span>
                  </p>
                </li>
              ))}
            </ol>
          )}
        </>
      )}
    </section>
  );
}

/** Ruler edge, foot and the line it sews, at one scale. */
function Held({ pick, chordIn, offsetIn }: { pick: RulerPick; chordIn: number; offsetIn: number }) {
  const px = 150 / Math.max(chordIn, 1);
  const arc = (radiusIn: number, sagIn: number, shift: number) => {
    const half = chordIn / 2;
    return `M${-half * px} ${(sagIn + shift) * px}A${radiusIn * px} ${radiusIn * px} 0 0 1 ${half * px} ${(sagIn + shift) * px}`;
  };
  const edge = pick.edge === 'convex' ? pick.sewnRadiusIn - offsetIn : pick.sewnRadiusIn + offsetIn;
  const side = pick.edge === 'convex' ? offsetIn : -offsetIn;
  const h = (pick.depthIn + 2 * offsetIn + 0.4) * px;
  return (
    <svg
      width={170}
      height={h + 12}
      viewBox={`-85 ${-offsetIn * px - 8} 170 ${h + 12}`}
      role="img"
      aria-label={`${pick.name} with the foot beside it, to scale`}
    >
      <path d={arc(edge, pick.depthIn, side)} fill="none" stroke="var(--walnut)" strokeWidth={2} />
      <path
        d={arc(pick.sewnRadiusIn, pick.depthIn, 0)}
        fill="none"
        stroke="var(--indigo)"
        strokeWidth={2}
        strokeDasharray="5 3"
      />
      <circle cx={0} cy={0} r={offsetIn * px} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      <circle cx={0} cy={0} r={1.5} fill="var(--ink)" />
    </svg>
  );
}
