import { blurIn } from '@/core/audition/weighed';
import { matrix3d, perspectiveOf } from '@/core/audition/perspective';
import { boundsOf, type MultiPolygon, type XY } from '@/core/geometry/polygon';
import { mmToIn } from '@/core/units/length';
import { polyline } from '@/ui/draw/mark';
import { spotIn, zonePath } from '@/ui/quilt-map/outline';
import type { AuditionFacts } from './audition-facts';

const WIDE_PX = 440;
const TALL_PX = 420;
/** Round the zone so much of the quilt is seen, inches. */
const MARGIN_IN = 1;
/** A photograph is laid as a square of so many pixels before its corners are pulled. */
const LAID_PX = 1000;
const SQUARE: readonly XY[] = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
];

/** How much of a quilt is taken in at once from so far, inches for each metre. */
const SEEN_IN_PER_M = 40;

/** What of a zone is seen: all of it from afar, a part about its middle from near by. */
function windowOf(shape: MultiPolygon, distanceM: number) {
  const b = boundsOf(shape);
  const [x0, y0] = [b.x0 - MARGIN_IN, b.y0 - MARGIN_IN];
  const [w, h] = [b.x1 - b.x0 + 2 * MARGIN_IN, b.y1 - b.y0 + 2 * MARGIN_IN];
  const most = SEEN_IN_PER_M * distanceM;
  if (Math.max(w, h) <= most) return { x0, y0, w, h };
  const [wide, tall] = [Math.min(w, most), Math.min(h, (most * TALL_PX) / WIDE_PX)];
  const [cx, cy] = spotIn(shape);
  const within = (at: number, from: number, all: number, part: number) =>
    Math.min(from + all - part, Math.max(from, at - part / 2));
  return { x0: within(cx, x0, w, wide), y0: within(cy, y0, h, tall), w: wide, h: tall };
}

/** A zone as it would look quilted: over the client's photograph or the colour of its fabric, in the thread's own thickness. */
export function AuditionView({
  quilt,
  zone,
  thread,
  photograph,
  lines,
  distanceM,
  title,
}: Pick<AuditionFacts, 'quilt' | 'zone' | 'thread'> & {
  photograph: { id: string; corners: readonly XY[] } | null;
  lines: readonly (readonly XY[])[];
  /** From how far it is looked at, metres. */
  distanceM: number;
  title: string;
}) {
  const { x0, y0, w, h } = windowOf(zone.geometry, distanceM);
  const scale = Math.min(WIDE_PX / w, TALL_PX / h);
  const px = ([x, y]: XY): XY => [(x * quilt.widthIn - x0) * scale, (y * quilt.lengthIn - y0) * scale];
  const d = lines.map((l) => polyline(l)).join('');
  const thick = mmToIn(thread.mm);
  return (
    <div
      className="relative overflow-hidden border bg-sunk"
      style={{
        width: w * scale,
        height: h * scale,
        filter: `blur(${(blurIn(distanceM) * scale).toFixed(2)}px)`,
      }}
    >
      {photograph && (
        // eslint-disable-next-line @next/next/no-img-element -- pulled into perspective, as it was taken
        <img
          src={`/photographs/${photograph.id}`}
          alt=""
          className="absolute top-0 left-0 max-w-none"
          style={{
            width: LAID_PX,
            height: LAID_PX,
            transformOrigin: '0 0',
            transform: matrix3d(
              perspectiveOf(
                photograph.corners.map(([x, y]): XY => [x * LAID_PX, y * LAID_PX]),
                SQUARE.map(px),
              ),
            ),
          }}
        />
      )}
      <svg
        role="img"
        aria-label={title}
        className="absolute inset-0"
        width={w * scale}
        height={h * scale}
        viewBox={`${x0} ${y0} ${w} ${h}`}
      >
        {!photograph && (
          <path d={zonePath(zone.geometry)} fillRule="evenodd" fill={zone.hex ?? 'var(--cloth)'} />
        )}
        <path
          d={zonePath(zone.geometry)}
          fill="none"
          stroke="var(--ink)"
          strokeOpacity={0.5}
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
        <g fill="none" strokeLinejoin="round" strokeLinecap="round">
          {/* The line lies in a furrow: a little shade beside it. */}
          <path d={d} stroke="#000" strokeOpacity={0.18} strokeWidth={thick * 3} />
          <path d={d} stroke={thread.hex} strokeWidth={Math.max(thick, 0.6 / scale)} />
        </g>
      </svg>
    </div>
  );
}
