import { areaOf, boundsOf, type MultiPolygon } from '@/core/geometry/polygon';
import { hatchTile } from '@/ui/quilt-map/hatch';
import { zonePath } from '@/ui/quilt-map/outline';

const WIDE_PX = 104;
const TALL_PX = 64;
/** So many times as long as it is wide is shown of a strip. */
const MOST_ALONG = 2.4;

/** A technique at its spacing in the outline of a zone: its largest piece, to scale. */
export function ZoneDrawing({
  id,
  shape,
  technique,
  spacingIn,
}: {
  id: string;
  shape: MultiPolygon;
  technique: string;
  spacingIn: number | null;
}) {
  const piece = shape.reduce((a, b) => (areaOf([b]) > areaOf([a]) ? b : a), shape[0]!);
  if (!piece) return null;
  const { x0, y0, x1, y1 } = boundsOf([piece]);
  const [across, down] = [Math.max(0.1, x1 - x0), Math.max(0.1, y1 - y0)];
  // A strip lies along, and a part of it is shown, so large that its lines are seen.
  const isTall = down > 1.2 * across;
  const h = Math.min(across, down);
  const w = Math.min(Math.max(across, down), MOST_ALONG * h);
  const [left, top] = isTall
    ? [(y0 + y1 - w) / 2, -x1]
    : [(x0 + x1 - w) / 2, (y0 + y1 - Math.min(h, down)) / 2];
  const scale = Math.min(WIDE_PX / w, TALL_PX / h);
  const tile = hatchTile(technique, spacingIn ?? 1, scale);
  const px = 1 / scale;
  return (
    <svg
      aria-hidden
      width={w * scale + 2}
      height={h * scale + 2}
      viewBox={`${left - px} ${top - px} ${w + 2 * px} ${h + 2 * px}`}
      className="block"
    >
      <g transform={isTall ? 'rotate(-90)' : undefined}>
        {tile && (
          <pattern id={id} width={tile.w} height={tile.h} patternUnits="userSpaceOnUse">
            <path d={tile.d} fill="none" stroke="var(--ink)" strokeOpacity={0.7} strokeWidth={px} />
          </pattern>
        )}
        <path d={zonePath([piece])} fillRule="evenodd" fill="var(--sunk)" />
        {tile && <path d={zonePath([piece])} fillRule="evenodd" fill={`url(#${id})`} />}
        <path
          d={zonePath([piece])}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={technique === 'outline' || technique === 'ditch' ? 2 * px : px}
          strokeDasharray={technique === 'outline' ? `${4 * px} ${2 * px}` : undefined}
        />
      </g>
    </svg>
  );
}
