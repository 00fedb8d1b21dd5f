'use client';
import { useState } from 'react';
import { attempt } from '@/core/notes';
import { markingStrip, PAPERS, sheetsOf } from '@/core/ruler/marking-strip';
import { inToMm } from '@/core/units/length';
import { TextField } from '@/ui/kit/Field';
import { inchesOf } from '@/ui/kit/field-spec';
import { Taps } from '@/ui/kit/Taps';
import { PrintButton } from '@/ui/print/PrintButton';

const FIELDS = [
  ['lengthIn', 'Border between its corners, in', '48'],
  ['repeatIn', 'Repeat wished, in', '6'],
  ['depthIn', 'Line from the seam, in', '1'],
  ['secondIn', 'Second line, in', ''],
  ['cornerIn', 'Corner, in', '6'],
] as const;
type Name = (typeof FIELDS)[number][0];
/** A line everybody can check with a ruler, mm. */
const CHECK_MM = 50;
const TOP_MM = 22;
const mm = (inches: number) => inToMm(inches);

/** A border's ticks on paper at full size, over as many sheets as it needs, black on white. */
export function MarkingStripSheets() {
  const [given, setGiven] = useState<Record<Name, string>>(
    Object.fromEntries(FIELDS.map(([n, , v]) => [n, v])) as Record<Name, string>,
  );
  const [paper, setPaper] = useState<'a4' | 'letter'>('a4');
  const at = (n: Name) => {
    const v = inchesOf(given[n]);
    return typeof v === 'number' && v > 0 ? v : null;
  };
  const [lengthIn, repeatIn, depthIn, secondIn, cornerIn] = FIELDS.map(([n]) => at(n));
  const strip =
    lengthIn && repeatIn && depthIn && cornerIn
      ? attempt(() => markingStrip({ lengthIn, repeatIn, depthIn, cornerIn }))
      : 'Give the border’s length, its repeat, the line’s depth and the corner.';
  const size = PAPERS[paper];
  // The corners stand at both ends of the border.
  const whole = lengthIn && cornerIn ? mm(lengthIn + 2 * cornerIn) : 0;
  const sheets = typeof strip === 'string' ? [] : sheetsOf(whole, size);
  const inside = size.widthMm - 2 * size.marginMm;
  return (
    <div className="px-6 pt-4 pb-10 print:p-0">
      <style>{`@media print { @page { size: ${paper === 'a4' ? 'A4' : 'letter'} landscape; margin: ${size.marginMm}mm } }`}</style>
      <div className="print:hidden">
        <h1 className="text-24">Marking strip for a border</h1>
        <div className="mt-3 flex flex-wrap items-start gap-4">
          {FIELDS.map(([n, label]) => (
            <div key={n} className="w-44">
              <TextField
                id={n}
                label={label}
                value={given[n]}
                onChange={(e) => setGiven({ ...given, [n]: e.target.value })}
                error={given[n] !== '' && at(n) === null ? 'Give a length above nothing.' : undefined}
              />
            </div>
          ))}
        </div>
        <div className="mt-3 flex flex-wrap items-center gap-4">
          <Taps
            label="Paper"
            value={paper}
            onChange={(v) => setPaper(v as 'a4' | 'letter')}
            options={[
              { value: 'a4', label: 'A4' },
              { value: 'letter', label: 'Letter' },
            ]}
          />
          <PrintButton />
        </div>
        {typeof strip === 'string' ? (
          <p role="alert" className="mt-3 font-medium text-weld-text">
            {strip}
          </p>
        ) : (
          <p className="mt-3">
            <b>{strip.repeats} repeats</b> of {Number(strip.repeatIn.toFixed(3))} in (
            {strip.scalePct.toFixed(1)} % of what was wished), on {sheets.length}{' '}
            {sheets.length === 1 ? 'sheet' : 'sheets'}. Print at 100 %, not fitted to the page; measure the 5
            cm line before you cut.
            {strip.cautions.map((c) => (
              <span key={c.code} className="block font-medium text-weld-text">
                {c.text}
              </span>
            ))}
          </p>
        )}
      </div>
      {typeof strip !== 'string' &&
        sheets.map(({ fromMm, toMm }, i) => {
          const height = TOP_MM + mm(Math.max(depthIn!, secondIn ?? 0)) + 16;
          const x = (alongMm: number) => alongMm - fromMm;
          const seen = (alongMm: number) => alongMm >= fromMm - 0.01 && alongMm <= toMm + 0.01;
          const ticks = strip.ticksIn.map((t) => mm(t + cornerIn!));
          return (
            <svg
              key={i}
              className="mt-4 block break-after-page bg-white last:break-after-auto print:mt-0"
              style={{ width: `${inside}mm`, height: `${height}mm` }}
              viewBox={`0 0 ${inside} ${height}`}
              role="img"
              aria-label={`Sheet ${i + 1} of ${sheets.length}`}
            >
              <g stroke="#000" strokeWidth={0.3} fill="none">
                <path d={`M0 ${TOP_MM}H${toMm - fromMm}`} strokeWidth={0.5} />
                <path d={`M0 ${TOP_MM + mm(depthIn!)}H${toMm - fromMm}`} strokeDasharray="3 2" />
                {secondIn && (
                  <path d={`M0 ${TOP_MM + mm(secondIn)}H${toMm - fromMm}`} strokeDasharray="1 2" />
                )}
                {ticks.filter(seen).map((t, k) => (
                  <path key={k} d={`M${x(t)} ${TOP_MM - 4}V${TOP_MM + mm(depthIn!) + 3}`} />
                ))}
                {[0, mm(cornerIn!), whole - mm(cornerIn!), whole].filter(seen).map((c, k) => (
                  <path key={`c${k}`} d={`M${x(c)} ${TOP_MM - 7}V${height - 2}`} strokeWidth={0.6} />
                ))}
                {i > 0 && <path d={`M${10} 0V${height}`} strokeDasharray="1 1" />}
                <path d={`M14 6H${14 + CHECK_MM}M14 4V8M${14 + CHECK_MM} 4V8`} />
              </g>
              <g fontSize={4} fill="#000" fontFamily="inherit">
                <text x={14 + CHECK_MM + 2} y={7.4}>
                  5 cm: measure it
                </text>
                <text x={inside - 2} y={7.4} textAnchor="end">
                  {`${i + 1} of ${sheets.length}${i > 0 ? ', lay the dotted line on the edge before' : ''}`}
                </text>
                {ticks.map((t, k) =>
                  seen(t) ? (
                    <text key={k} x={x(t) + 1} y={TOP_MM - 5} fontSize={3.5}>
                      {k + 1}
                    </text>
                  ) : null,
                )}
                <text x={2} y={TOP_MM - 1}>
                  seam
                </text>
              </g>
            </svg>
          );
        })}
    </div>
  );
}
