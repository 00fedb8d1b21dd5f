import type { PatternUnit } from '@/core/pattern/lay';
import { polyline } from '@/ui/draw/mark';

/** One repeat of a pattern, small. */
export function UnitDrawing({
  unit,
  width = 96,
  title,
}: {
  unit: PatternUnit;
  width?: number;
  title?: string;
}) {
  const edge = 4;
  const height = Math.min(width, Math.max(24, width * unit.heightShare));
  return (
    <svg
      width={width}
      height={height}
      viewBox={`${-edge} ${-edge} ${100 + 2 * edge} ${100 * unit.heightShare + 2 * edge}`}
      role={title ? 'img' : undefined}
      aria-hidden={title ? undefined : true}
      aria-label={title}
      className="block bg-cloth"
    >
      {unit.runs.map((run, i) => (
        <path
          key={i}
          d={polyline(run.map(([x, y]) => [100 * x, 100 * y] as const))}
          fill="none"
          stroke="var(--indigo)"
          strokeWidth={1.6}
          vectorEffect="non-scaling-stroke"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}
