import type { Inspection } from '@/core/hand-back/inspection';
import { polyline } from '@/ui/draw/mark';

/** The way of the eye over one side, laid on its map: a line to and fro, with an arrow where each lane begins. */
export function InspectionPath({ of, unit }: { of: Inspection; unit: number }) {
  const begins = of.path.filter(
    ([x], i) => i === 0 || (of.path[i - 1]![0] === x && of.path[i - 1]![1] !== of.path[i]![1]),
  );
  return (
    <g aria-hidden>
      <path d={polyline(of.path)} fill="none" stroke="var(--cloth)" strokeWidth={unit * 1.6} opacity={0.75} />
      <path
        d={polyline(of.path)}
        fill="none"
        stroke="var(--indigo)"
        strokeWidth={unit * 0.7}
        strokeDasharray={`${unit * 2.4} ${unit * 1.4}`}
      />
      {begins.map(([x, y], i) => {
        const way = x === 0 ? 1 : -1;
        return (
          <path
            key={i}
            d={polyline([
              [x + way * unit * 1.5, y - unit * 2],
              [x + way * unit * 4.5, y],
              [x + way * unit * 1.5, y + unit * 2],
            ])}
            fill="none"
            stroke="var(--indigo)"
            strokeWidth={unit * 0.8}
          />
        );
      })}
    </g>
  );
}
