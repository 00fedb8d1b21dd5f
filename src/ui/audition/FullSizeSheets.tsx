import type { FullSize } from '@/core/audition/full-size';
import { polyline } from '@/ui/draw/mark';

/** A line everybody can check with a ruler, mm. */
const CHECK_MM = 50;
const CROSS_MM = 4;

/** A zone's quilting at full size, sheet after sheet, black on white, with the crosses at which they are laid together. */
export function FullSizeSheets({ cut, name }: { cut: FullSize; name: string }) {
  const { rows, columns, widthMm, heightMm, sheets } = cut;
  return sheets.map((s) => {
    const place = `row ${s.row + 1} of ${rows}, sheet ${s.column + 1} of ${columns}`;
    return (
      <svg
        key={place}
        className="mt-4 block break-after-page bg-white last:break-after-auto print:mt-0"
        style={{ width: `${widthMm}mm`, height: `${heightMm}mm` }}
        viewBox={`0 0 ${widthMm} ${heightMm}`}
        role="img"
        aria-label={`${name}, ${place}`}
      >
        <g fill="none" stroke="#000">
          <path d={s.outline.map((l) => polyline(l)).join('')} strokeWidth={0.25} strokeDasharray="2 1.5" />
          <path d={s.lines.map((l) => polyline(l)).join('')} strokeWidth={0.4} strokeLinejoin="round" />
          {s.marks.map(([x, y]) => (
            <path
              key={`${x} ${y}`}
              d={`M${x - CROSS_MM} ${y}h${2 * CROSS_MM}M${x} ${y - CROSS_MM}v${2 * CROSS_MM}`}
              strokeWidth={0.2}
            />
          ))}
          <path d={`M14 6h${CHECK_MM}M14 4v4M${14 + CHECK_MM} 4v4`} strokeWidth={0.3} />
        </g>
        <text x={16 + CHECK_MM} y={7.4} fontSize={4}>
          {`5 cm: measure it. ${name}, ${place}`}
        </text>
      </svg>
    );
  });
}
