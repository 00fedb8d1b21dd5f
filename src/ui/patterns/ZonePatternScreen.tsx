'use client';
import { useMemo, useState } from 'react';
import { boundsOf, type MultiPolygon } from '@/core/geometry/polygon';
import { attempt } from '@/core/notes';
import { yarnAlong } from '@/core/pattern/couching';
import {
  atWidth,
  fittingScales,
  type LaidPattern,
  layPattern,
  linesSvg,
  openBetween,
  type PatternLayout,
  rowsInPasses,
  secondLoading,
} from '@/core/pattern/lay';
import { searchPatterns } from '@/core/pattern/search';
import type { StudioPattern, ZonePattern } from '@/data/types';
import { polyline } from '@/ui/draw/mark';
import { saveFile } from '@/ui/draw/save-drawing';
import { Button } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { Problems } from '@/ui/kit/Problems';
import { Taps } from '@/ui/kit/Taps';
import { useQuiltSo } from '@/ui/motifs/use-quilt-so';
import { zonePath } from '@/ui/quilt-map/outline';
import { LayoutFields } from './LayoutFields';
import { UnitDrawing } from './UnitDrawing';

/** A zone as a pattern is laid in it. */
export interface PatternedZone {
  id: string;
  letter: string;
  name: string;
  version: number;
  geometry: MultiPolygon;
  pattern: ZonePattern | null;
}

const usualLayout = (p: StudioPattern): PatternLayout => ({
  widthIn: p.widthIn,
  rowGapIn: 0,
  offset: 0,
  mirrored: false,
  direction: 'across',
});
const inch = (n: number) => `${Number(n.toFixed(2))} in`;
const SCALES_SHOWN = 4;

/** Patterns laid in a zone's own outline: any scale at once, rows shifted or mirrored, what is cut, how many rows a pass takes. */
export function ZonePatternScreen({
  quilt,
  zone,
  patterns,
  depthIn,
  gapLimitIn,
  yarns = [],
}: {
  /** Yarns of the studio, to be laid along a pattern. */
  yarns?: readonly { id: string; name: string; diameterMm: number }[];
  quilt: { id: string; widthIn: number; lengthIn: number };
  zone: PatternedZone;
  patterns: readonly StudioPattern[];
  /** What a pass reaches on this machine, inches; null where no passes can be planned. */
  depthIn: number | null;
  /** What the batting may lie open, inches. */
  gapLimitIn: number;
}) {
  const first = patterns.find((p) => p.id === zone.pattern?.patternId) ?? patterns[0]!;
  const [letters, setLetters] = useState('');
  const [pattern, setPattern] = useState(first);
  const [layout, setLayout] = useState<PatternLayout>(zone.pattern ?? usualLayout(first));
  const pick = (p: StudioPattern) => {
    setPattern(p);
    setLayout({ ...usualLayout(p), direction: layout.direction });
  };
  const send = useQuiltSo(quilt.id, zone);
  const laid = useMemo(
    () => attempt(() => layPattern(pattern.unit, zone.geometry, layout)),
    [pattern, zone.geometry, layout],
  );
  const { x0, y0, x1, y1 } = boundsOf(zone.geometry);
  const size =
    layout.direction === 'down'
      ? { widthIn: y1 - y0, heightIn: x1 - x0 }
      : { widthIn: x1 - x0, heightIn: y1 - y0 };
  const fitting = useMemo(
    () => fittingScales(pattern.unit, size, pattern.widthIn, depthIn ?? undefined).slice(0, SCALES_SHOWN),
    [pattern, size.widthIn, size.heightIn, depthIn], // eslint-disable-line react-hooks/exhaustive-deps -- size by its numbers
  );
  return (
    <div className="mt-3 grid gap-6 xl:grid-cols-[280px_minmax(0,1fr)]">
      <section aria-label="Patterns of the studio">
        <TextField
          id="zone-pattern-words"
          label="Find a pattern"
          value={letters}
          onChange={(e) => setLetters(e.target.value)}
        />
        <ul className="mt-2 max-h-[560px] overflow-auto border-t-2 border-ink">
          {searchPatterns(patterns, { letters }).map((p) => (
            <li key={p.id}>
              <button
                type="button"
                aria-pressed={p.id === pattern.id}
                onClick={() => pick(p)}
                className={`flex min-h-[72px] w-full items-center gap-3 border-b px-2 text-left ${p.id === pattern.id ? 'bg-indigo-tint font-semibold' : 'hover:bg-sunk'}`}
              >
                <UnitDrawing unit={p.unit} width={72} />
                <span className="min-w-0 flex-1">{p.name}</span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label={`${pattern.name} in ${zone.name}`}>
        <LayoutFields layout={layout} onChange={setLayout} heightShare={pattern.unit.heightShare} />
        {fitting.length > 0 && (
          <div className="mt-2">
            <Taps
              label="Comes out whole at"
              value={String(fitting.findIndex((f) => Math.abs(f.widthIn - layout.widthIn) < 0.005))}
              onChange={(v) => {
                const f = fitting[Number(v)]!;
                setLayout({ ...layout, widthIn: f.widthIn, rowGapIn: f.rowGapIn });
              }}
              options={fitting.map((f, i) => ({
                value: String(i),
                label: `${inch(f.widthIn)}: ${f.columns} × ${f.rows}`,
              }))}
            />
          </div>
        )}
        {typeof laid === 'string' ? (
          <p role="alert" className="mt-3 font-medium text-weld-text">
            {laid}
          </p>
        ) : (
          <>
            <Told {...{ pattern, layout, laid, depthIn, gapLimitIn, quilt, acrossIn: size.heightIn }} />
            <Couched {...{ pattern, widthIn: layout.widthIn, yarns }} />
            <svg
              viewBox={`${x0 - 0.5} ${y0 - 0.5} ${x1 - x0 + 1} ${y1 - y0 + 1}`}
              className="mt-3 max-h-[460px] w-full bg-cloth"
              role="img"
              aria-label={`${pattern.name} laid in ${zone.name}: ${laid.rows} rows of ${laid.columns}`}
            >
              <path d={zonePath(zone.geometry)} fillRule="evenodd" fill="var(--sunk)" />
              <path
                d={laid.lines.map((l) => polyline(l)).join('')}
                fill="none"
                stroke="var(--indigo)"
                strokeWidth={1.4}
                vectorEffect="non-scaling-stroke"
                strokeLinejoin="round"
              />
              <path
                d={zonePath(zone.geometry)}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={1.4}
                vectorEffect="non-scaling-stroke"
              />
            </svg>
            <Problems problems={send.problems} />
            <div className="mt-3 flex gap-3">
              <Button
                look="act"
                disabled={send.pending}
                onClick={() => !send.pending && send.withPattern(pattern.id, layout)}
              >
                Quilt {zone.letter} so
              </Button>
              <Button
                onClick={() =>
                  saveFile(
                    new Blob([linesSvg(laid.lines, [x0, y0], x1 - x0, y1 - y0)], { type: 'image/svg+xml' }),
                    `${zone.name} ${pattern.name}`,
                    'svg',
                  )
                }
              >
                SVG
              </Button>
            </div>
          </>
        )}
      </section>
    </div>
  );
}

/** What the pattern comes to as it is laid. */
function Told({
  pattern,
  layout,
  laid,
  depthIn,
  gapLimitIn,
  quilt,
  acrossIn,
}: {
  pattern: StudioPattern;
  layout: PatternLayout;
  laid: LaidPattern;
  depthIn: number | null;
  gapLimitIn: number;
  quilt: { widthIn: number; lengthIn: number };
  acrossIn: number;
}) {
  const at = atWidth({ ...pattern.measured, widthIn: pattern.widthIn }, layout.widthIn);
  const heightIn = pattern.unit.heightShare * layout.widthIn;
  const open = openBetween(at.largestGapIn, layout);
  const { left, top } = laid.cut;
  const whole = left === 0 && top === 0;
  const passes =
    depthIn === null ? null : rowsInPasses({ heightIn, rowGapIn: layout.rowGapIn, rows: laid.rows }, depthIn);
  const again =
    depthIn !== null && layout.direction === 'down' ? secondLoading(quilt, acrossIn, depthIn) : null;
  return (
    <div className="mt-3 space-y-1" aria-live="polite">
      <p>
        <b>
          {laid.rows} {laid.rows === 1 ? 'row' : 'rows'} of {laid.columns}
        </b>
        , each {inch(layout.widthIn)} × {inch(heightIn)}; {Math.round(laid.lengthIn)} in of line,{' '}
        {laid.starts} {laid.starts === 1 ? 'start' : 'starts'}.{' '}
        {whole
          ? 'Repeats and rows come out whole.'
          : [
              left > 0 && `${Math.round(left * 100)} % of a repeat is cut off at each end`,
              top > 0 && `${Math.round(top * 100)} % of a row at top and bottom`,
            ]
              .filter(Boolean)
              .join(', ')
              .concat('.')}
      </p>
      <p className={open > gapLimitIn ? 'font-medium text-weld-text' : 'text-ink2'}>
        It leaves {inch(open)} open; this batting allows {inch(gapLimitIn)}.{' '}
        {at.minRadiusIn !== null && `Its tightest curves have a radius of ${inch(at.minRadiusIn)}.`}
      </p>
      {passes &&
        (passes.tooDeepIn > 0 ? (
          <p className="font-medium text-weld-text">
            A row is {inch(passes.tooDeepIn)} deeper than a pass of {inch(depthIn!)}: make it smaller
            {layout.direction === 'across' && ', or lay it down the quilt and load a second time'}.
          </p>
        ) : (
          <p className="text-ink2">
            {passes.rowsPerPass} {passes.rowsPerPass === 1 ? 'row' : 'rows'} to a pass of {inch(depthIn!)}:{' '}
            {passes.passes} {passes.passes === 1 ? 'pass' : 'passes'}, {inch(passes.unusedIn)} of each left
            unused.
          </p>
        ))}
      {again && (
        <p className="font-medium text-weld-text">
          Rows down the quilt are sewn in a second loading: everything else first, then taken off, turned and
          loaded again. About {Math.round(again.minutes)} min more, {again.passes}{' '}
          {again.passes === 1 ? 'pass' : 'passes'}.
        </p>
      )}
    </div>
  );
}

const YARN_WORDS: Readonly<Record<string, string>> = {
  'radius-tight': 'its curves are too tight',
  'gap-tight': 'its lines lie too near one another',
};

/** Which of the studio's yarns could be laid along the pattern at this width. */
function Couched({
  pattern,
  widthIn,
  yarns,
}: {
  pattern: StudioPattern;
  widthIn: number;
  yarns: readonly { id: string; name: string; diameterMm: number }[];
}) {
  const { minRadiusIn } = atWidth({ ...pattern.measured, widthIn: pattern.widthIn }, widthIn);
  const told = useMemo(
    () => yarns.map((y) => ({ y, ...yarnAlong(pattern.unit.runs, widthIn, minRadiusIn, y.diameterMm) })),
    [pattern, widthIn, minRadiusIn, yarns],
  );
  if (told.length === 0) return null;
  return (
    <details className="mt-1">
      <summary className="min-h-11 cursor-pointer py-2 font-medium">
        Couched along it: {told.filter((t) => t.fits).length} of {told.length} yarns fit
      </summary>
      <ul>
        {told.map(({ y, fits, codes }) => (
          <li key={y.id} className={fits ? '' : 'text-weld-text'}>
            {y.name}, {y.diameterMm} mm: {fits ? 'fits' : codes.map((c) => YARN_WORDS[c]).join(', ')}
          </li>
        ))}
      </ul>
    </details>
  );
}
