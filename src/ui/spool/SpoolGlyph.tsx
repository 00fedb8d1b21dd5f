import { Marks } from '@/ui/draw/Marks';
import { type SpoolShape, spoolMarks } from './spool';

/** A quilt as a spool. `flag` marks an overdue one. Decorative: its words stand beside it. */
export function SpoolGlyph({ flag = false, ...shape }: SpoolShape & { flag?: boolean }) {
  const { width: w, height: h } = shape;
  return (
    <svg width={w} height={h} viewBox={`0 0 ${w} ${h}`} aria-hidden className="overflow-visible">
      <Marks marks={spoolMarks(shape)} />
      {flag && (
        <path
          d={`M${w / 2} 12V-4h22l-5 6 5 6h-22`}
          fill="var(--madder)"
          stroke="var(--madder)"
          strokeWidth="2.5"
        />
      )}
    </svg>
  );
}
