import { blurIn } from '@/core/audition/weighed';
import { matrix3d, perspectiveOf } from '@/core/audition/perspective';
import { boundsOf, type MultiPolygon, type XY } from '@/core/geometry/polygon';
import { mmToIn } from '@/core/units/length';
import { polyline } from '@/ui/draw/mark';
import { spotIn, zonePath } from '@/ui/quilt-map/outline';
import { hatchTile, SEEN_PX } from '@/ui/quilt-map/hatch';
import type { AuditionFacts, AuditionThread, ZoneBeside } from './audition-facts';
import type { DrawnThere } from './use-all-drawn';

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

/** All of the quilt. */
const wholeOf = ({ widthIn, lengthIn }: AuditionFacts['quilt']) => ({
  x0: 0,
  y0: 0,
  w: widthIn,
  h: lengthIn,
});
/** Between two lines of what lies round the zone so much is seen at least, px. */
const APART_PX = 3;
/** The coarsest a zone round it is drawn at, inches: finer cannot be seen when all of the quilt is. */
export const coarsestIn = (quilt: AuditionFacts['quilt']): number =>
  APART_PX / Math.min(WIDE_PX / quilt.widthIn, TALL_PX / quilt.lengthIn);

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
  round,
}: Pick<AuditionFacts, 'quilt' | 'zone' | 'thread'> & {
  photograph: { id: string; corners: readonly XY[] } | null;
  lines: readonly (readonly XY[])[];
  /** From how far it is looked at, metres. */
  distanceM: number;
  title: string;
  /** The rest of the quilt, where all of it is looked at. */
  round: RoundIt | null;
}) {
  const { x0, y0, w, h } = round ? wholeOf(quilt) : windowOf(zone.geometry, distanceM);
  const scale = Math.min(WIDE_PX / w, TALL_PX / h);
  const px = ([x, y]: XY): XY => [(x * quilt.widthIn - x0) * scale, (y * quilt.lengthIn - y0) * scale];
  const d = lines.map((l) => polyline(l)).join('');
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
        {round && <Beside {...round} filled={!photograph} scale={scale} />}
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
        <Stitched d={d} thread={thread} scale={scale} />
      </svg>
    </div>
  );
}

/** The rest of a quilt: its zones, and of each what is drawn already. */
export interface RoundIt {
  beside: readonly ZoneBeside[];
  drawn: readonly (DrawnThere | null)[];
}

/** A line as it is sewn: in the thread's colour and thickness, in a furrow with a little shade. */
function Stitched({ d, thread, scale }: { d: string; thread: AuditionThread; scale: number }) {
  const thick = mmToIn(thread.mm);
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      <path d={d} stroke="#000" strokeOpacity={0.18} strokeWidth={thick * 3} />
      <path d={d} stroke={thread.hex} strokeWidth={Math.max(thick, 0.6 / scale)} />
    </g>
  );
}

/** What lies round a zone: drawn as it is quilted, hatched as densely until it is. */
function Beside({ beside, drawn, filled, scale }: RoundIt & { filled: boolean; scale: number }) {
  return beside.map((z, i) => {
    const there = drawn[i];
    const id = `beside-${z.id}`;
    const tile =
      !there && z.way ? hatchTile(z.way.technique, Math.max(z.way.spacingIn, SEEN_PX / scale), scale) : null;
    return (
      <g key={z.id}>
        {filled && <path d={zonePath(z.geometry)} fillRule="evenodd" fill={z.hex ?? 'var(--cloth)'} />}
        {tile && (
          <>
            <pattern id={id} width={tile.w} height={tile.h} patternUnits="userSpaceOnUse">
              <path d={tile.d} fill="none" stroke={z.thread.hex} strokeWidth={1 / scale} />
            </pattern>
            <path d={zonePath(z.geometry)} fillRule="evenodd" fill={`url(#${id})`} />
          </>
        )}
        {there && (
          <g transform={`translate(${there.dx} ${there.dy})`}>
            <Stitched d={there.lines.map((l) => polyline(l)).join('')} thread={z.thread} scale={scale} />
          </g>
        )}
      </g>
    );
  });
}
