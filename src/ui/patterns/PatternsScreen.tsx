'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { PATTERN } from '@/core/fields/pattern';
import { linesSvg } from '@/core/pattern/lay';
import { searchPatterns } from '@/core/pattern/search';
import { sharedPatternFile } from '@/core/pattern/shared-file';
import type { StudioPattern } from '@/data/types';
import { saveFile } from '@/ui/draw/save-drawing';
import { Button } from '@/ui/kit/Button';
import { Empty } from '@/ui/kit/Empty';
import { TextField } from '@/ui/kit/Field';
import { inchesOf } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { patiently } from '@/ui/kit/patiently';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { RowActs } from '@/ui/workroom/RowActs';
import { UnitDrawing } from './UnitDrawing';

const AddPattern = dynamic(() => patiently(() => import('./AddPattern')).then((m) => m.AddPattern));
const FORM = formFields(PATTERN);
const WISHES = [
  ['mostHeightIn', 'A row at most, in'],
  ['leastRadiusIn', 'Curves at least, in'],
  ['mostGapIn', 'Open at most, in'],
] as const;
/** One repeat at its usual width. */
const svgOf = ({ unit, widthIn }: StudioPattern) =>
  linesSvg(
    unit.runs.map((run) => run.map(([x, y]) => [x * widthIn, y * widthIn] as const)),
    [0, 0],
    widthIn,
    unit.heightShare * widthIn,
  );
/** For any program that reads SVG; or with its words, for another studio. */
const savePattern = (p: StudioPattern, as: 'svg' | 'json') => {
  const { name, words, widthIn } = p;
  const svg = svgOf(p);
  const text = as === 'svg' ? svg : sharedPatternFile({ name, words, widthIn, svg });
  const type = as === 'svg' ? 'image/svg+xml' : 'application/json';
  saveFile(new Blob([text], { type }), name, as);
};
const inch = (n: number) => `${Number(n.toFixed(2))} in`;

/** The studio's patterns: found by words, height, curves and openness; taken in from drawings. */
export function PatternsScreen({ patterns }: { patterns: StudioPattern[] }) {
  const [editing, setEditing] = useState<StudioPattern | null>(null);
  const [adding, setAdding] = useState(false);
  const [letters, setLetters] = useState('');
  const [given, setGiven] = useState<Record<string, string>>({});
  const limit = (id: string): number | undefined => {
    const n = inchesOf(given[id] ?? '');
    return typeof n === 'number' && n > 0 ? n : undefined;
  };
  const shown = searchPatterns(patterns, {
    letters,
    ...Object.fromEntries(WISHES.map(([id]) => [id, limit(id)])),
  });
  const add = (
    <Button look="act" onClick={() => setAdding(true)}>
      Add a drawing
    </Button>
  );
  return (
    <section aria-label="Patterns" className="mt-4">
      <div className="flex items-center border-t-2 border-ink pt-2">
        <h2 className="flex-1 text-20">Patterns</h2>
        {patterns.length > 0 && add}
      </div>
      {patterns.length === 0 ? (
        <Empty title="No patterns yet" act={add}>
          A drawing of one repeat, SVG or DXF, is measured here at any size: length, curves, what it leaves
          open, stitches and time.
        </Empty>
      ) : (
        <>
          <div className="mt-2 grid max-w-[760px] grid-cols-2 gap-3 md:grid-cols-[2fr_1fr_1fr_1fr]">
            <TextField
              id="pattern-words"
              label="Words"
              value={letters}
              onChange={(e) => setLetters(e.target.value)}
            />
            {WISHES.map(([id, label]) => (
              <TextField
                key={id}
                id={`wish-${id}`}
                label={label}
                inputMode="decimal"
                value={given[id] ?? ''}
                onChange={(e) => setGiven({ ...given, [id]: e.target.value })}
                error={given[id] && limit(id) === undefined ? 'Give a length, such as 8.' : undefined}
              />
            ))}
          </div>
          <p role="status" className="mt-2 text-13 text-ink2">
            {shown.length} of {patterns.length} {patterns.length === 1 ? 'pattern' : 'patterns'}
          </p>
          <ul className="grid gap-x-6 2xl:grid-cols-2">
            {shown.map((p) => (
              <li
                key={p.id}
                id={p.id}
                className="flex min-h-[84px] items-center gap-4 border-t py-2 max-sm:flex-wrap max-sm:gap-2"
              >
                <UnitDrawing unit={p.unit} />
                <p className="min-w-0 flex-1 max-sm:min-w-[60%]">
                  <b>{p.name}</b>
                  {p.words && <span className="text-ink2"> · {p.words}</span>}
                  <span className="block text-13 text-ink2">
                    {inch(p.widthIn)} wide, {inch(p.measured.heightIn)} high ·{' '}
                    {p.measured.minRadiusIn === null
                      ? 'straight'
                      : `curves from ${inch(p.measured.minRadiusIn)}`}{' '}
                    · open {inch(p.measured.largestGapIn)} · {Math.round(p.measured.lengthIn)} in of line
                    {!p.unit.goesOn && ` · ${p.unit.runs.length} starts a repeat`}
                  </span>
                </p>
                {(['svg', 'json'] as const).map((as) => (
                  <Button
                    key={as}
                    look="quiet"
                    aria-label={as === 'svg' ? `${p.name} as SVG` : `Give ${p.name} to another studio`}
                    onClick={() => savePattern(p, as)}
                  >
                    {as === 'svg' ? 'SVG' : 'Give'}
                  </Button>
                ))}
                <RowActs kind="pattern" id={p.id} name={p.name} onChange={() => setEditing(p)} />
              </li>
            ))}
          </ul>
        </>
      )}
      {adding && <AddPattern onClose={() => setAdding(false)} />}
      {editing && (
        <RecordDialog
          title={editing.name}
          about="Another width makes everything larger or smaller with it."
          onClose={() => setEditing(null)}
          specs={FORM}
          initial={editing}
          fixed={{ id: editing.id, version: editing.version }}
          act={doors.keepPattern}
          onDone={() => setEditing(null)}
          submit="Keep this pattern"
        />
      )}
    </section>
  );
}
