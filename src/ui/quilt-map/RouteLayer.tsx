import type { XY } from '@/core/geometry/polygon';
import { arrowsOf, pathOf } from '@/core/route/route-svg';

/**
 * A way round lines, drawn over a map in inches: each path with its number at the start, arrows along it, and its end.
 * @param unit inches of one pixel on screen.
 */
export function RouteLayer({
  paths,
  unit,
  first = 1,
  dim = false,
}: {
  paths: readonly { points: readonly XY[] }[];
  unit: number;
  first?: number;
  /** Drawn pale, for what is not in hand. */
  dim?: boolean;
}) {
  return (
    <g className="pointer-events-none" opacity={dim ? 0.35 : 1}>
      {paths.map(({ points }, i) => (
        <g key={i}>
          <path
            d={pathOf(points)}
            fill="none"
            stroke="var(--cloth)"
            strokeWidth={5 * unit}
            strokeLinejoin="round"
          />
          <path
            d={pathOf(points)}
            fill="none"
            stroke="var(--indigo)"
            strokeWidth={2.2 * unit}
            strokeLinejoin="round"
          />
          {arrowsOf(points, 60 * unit).map(({ at: [x, y], angle }, k) => (
            <path
              key={k}
              transform={`translate(${x} ${y}) rotate(${angle}) scale(${unit})`}
              d="M-4 -5L6 0L-4 5Z"
              fill="var(--indigo)"
              stroke="var(--cloth)"
              strokeWidth={1}
            />
          ))}
        </g>
      ))}
      {paths.map(({ points }, i) => {
        const [x, y] = points[0]!;
        const [ex, ey] = points.at(-1)!;
        return (
          <g key={`ends-${i}`}>
            <rect
              x={ex - 4 * unit}
              y={ey - 4 * unit}
              width={8 * unit}
              height={8 * unit}
              fill="var(--cloth)"
              stroke="var(--indigo)"
              strokeWidth={2 * unit}
            />
            <circle
              cx={x}
              cy={y}
              r={9 * unit}
              fill="var(--indigo)"
              stroke="var(--cloth)"
              strokeWidth={1.6 * unit}
            />
            <text
              x={x}
              y={y + 4.2 * unit}
              textAnchor="middle"
              fontSize={12 * unit}
              fontWeight={700}
              style={{ fill: 'var(--on-act)' }}
            >
              {first + i}
            </text>
          </g>
        );
      })}
    </g>
  );
}
