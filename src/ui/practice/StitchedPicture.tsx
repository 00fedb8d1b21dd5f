import type { XY } from '@/core/geometry/polygon';
import { type RegulatorRequest, stitchesMade } from '@/core/machine/regulator';
import { FIELD_IN } from '@/core/practice/drills';
import { polyline } from '@/ui/draw/mark';

const UNIT = 100;

/** What the machine would have sewn under those hands: stitch by stitch, top or back. */
export function StitchedPicture({ request, side }: { request: RegulatorRequest; side: 'top' | 'back' }) {
  const first = request.path[0]!;
  const points: XY[] = [[first.xIn, first.yIn], ...stitchesMade(request).map((s): XY => [s.xIn, s.yIn])];
  const placed = points.map(
    ([x, y]) => [(side === 'back' ? FIELD_IN.widthIn - x : x) * UNIT, y * UNIT] as const,
  );
  return (
    <figure>
      <svg
        viewBox={`0 0 ${FIELD_IN.widthIn * UNIT} ${FIELD_IN.heightIn * UNIT}`}
        className="w-full border border-rule bg-sunk"
        role="img"
        aria-label={`What would have been sewn, ${side}`}
      >
        <path
          d={polyline(placed)}
          fill="none"
          stroke={side === 'top' ? 'var(--indigo)' : 'var(--verdigris)'}
          strokeWidth={4}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
        {placed.map(([x, y], i) => (
          <circle key={i} cx={x} cy={y} r={3} fill="var(--ink)" />
        ))}
      </svg>
      <figcaption className="text-13 text-ink2">{side}</figcaption>
    </figure>
  );
}

/** A drawn line, small. */
export function DrawnLine({ path, label }: { path: readonly XY[]; label: string }) {
  return (
    <figure className="min-w-0 flex-1">
      <svg
        viewBox={`0 0 ${FIELD_IN.widthIn * UNIT} ${FIELD_IN.heightIn * UNIT}`}
        className="w-full border border-rule bg-cloth"
        role="img"
        aria-label={label}
      >
        <path
          d={polyline(path.map(([x, y]) => [x * UNIT, y * UNIT] as const))}
          fill="none"
          stroke="var(--indigo)"
          strokeWidth={5}
          strokeLinejoin="round"
        />
      </svg>
      <figcaption className="text-13 text-ink2">{label}</figcaption>
    </figure>
  );
}
