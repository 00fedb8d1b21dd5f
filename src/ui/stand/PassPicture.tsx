import type { XY } from '@/core/geometry/polygon';
import type { DrawnZone, PassDrawing } from './stand-facts';

/** The test margin beside the quilt, inches, as on the map. */
const MARGIN_IN = 6;
const MOST_TALL = 210;

/** Where on the frame a place of the quilt lies: the band runs across, the take-up rail above. */
const onFrame = ({ turned, lengthIn }: PassDrawing, from: number, [x, y]: XY): XY =>
  turned ? [lengthIn - y, x - from] : [x, y - from];

/** Where a press on the picture lies on the quilt. */
function onQuilt({ turned, lengthIn }: PassDrawing, from: number, [x, y]: XY): XY {
  return turned ? [y + from, lengthIn - x] : [x, y + from];
}

/**
 * The band of the quilt that lies on the frame: the zones of this step filled, the one in hand outlined, the others pale;
 * what to watch for marked, faults pinned, the test margin beside, and where the last tap said the needle is.
 */
export function PassPicture({
  drawing,
  pass,
  inStep,
  inHand,
  pins,
  needle,
  path,
  route,
  onPlace,
}: {
  drawing: PassDrawing;
  pass: number;
  inStep: readonly string[];
  inHand: string | null;
  pins: readonly { xIn: number; yIn: number }[];
  needle: XY | null;
  /** The way round the lines of the zone in hand. */
  route: readonly { points: readonly XY[] }[];
  /** The machine’s own path, where one is linked. */
  path: readonly XY[];
  onPlace: (zoneId: string | null, at: XY) => void;
}) {
  const band = drawing.passes[pass - 1];
  if (!band) return null;
  const across = drawing.turned ? drawing.lengthIn : drawing.widthIn;
  const depth = band.to - band.from;
  // As large as the picture is shown: as wide as there is room, or as tall as it may be.
  const unit = Math.max((across + MARGIN_IN) / 600, depth / MOST_TALL);
  const place = (p: XY) => onFrame(drawing, band.from, p);
  // The quilt as it lies: turned by 90° its left side is at the leader.
  const lay = drawing.turned
    ? `translate(${drawing.lengthIn} ${-band.from}) rotate(90)`
    : `translate(0 ${-band.from})`;
  const inBand = (p: XY) => {
    const [, y] = place(p);
    return y >= 0 && y <= depth;
  };
  const zones = drawing.zones.filter((z) => band.spots[z.id]);
  return (
    <svg
      viewBox={`0 0 ${across + MARGIN_IN} ${depth}`}
      className="block w-full cursor-crosshair overflow-visible"
      style={{ maxHeight: MOST_TALL }}
      role="img"
      aria-label={pictureWords(drawing, pass, zones, inStep, inHand)}
      onClick={(e) => {
        const m = e.currentTarget.getScreenCTM?.()?.inverse();
        if (!m) return;
        const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
        if (p.x < 0 || p.x > across || p.y < 0 || p.y > depth) return;
        const zone = (e.target as Element).closest('[data-zone]')?.getAttribute('data-zone') ?? null;
        onPlace(zone, onQuilt(drawing, band.from, [p.x, p.y]));
      }}
    >
      <clipPath id={`pass-${pass}`}>
        <rect width={across} height={depth} />
      </clipPath>
      <g clipPath={`url(#pass-${pass})`}>
        <g transform={lay}>
          {drawing.zones.map((z) => (
            <path
              key={z.id}
              data-zone={z.id}
              d={z.d}
              fillRule="evenodd"
              fill={z.hex}
              fillOpacity={inStep.includes(z.id) ? 1 : 0.16}
              stroke="var(--ink)"
              strokeOpacity={0.5}
              strokeWidth={unit}
            />
          ))}
          {drawing.zones
            .filter((z) => z.id === inHand)
            .map((z) => (
              <path
                key={z.id}
                data-zone={z.id}
                d={z.d}
                fill="none"
                stroke="var(--indigo)"
                strokeWidth={5 * unit}
                className="pointer-events-none"
              />
            ))}
        </g>
      </g>
      <rect width={across} height={depth} fill="none" stroke="var(--rule)" strokeWidth={2 * unit} />
      <rect
        x={across + 1}
        width={MARGIN_IN - 1}
        height={depth}
        fill="none"
        stroke="var(--rule)"
        strokeWidth={unit}
        strokeDasharray={`${4 * unit} ${3 * unit}`}
      />
      <text
        x={across + MARGIN_IN / 2 + 0.5}
        y={depth / 2}
        fontSize={13 * unit}
        fill="var(--ink-2)"
        textAnchor="middle"
        dominantBaseline="middle"
        transform={`rotate(90 ${across + MARGIN_IN / 2 + 0.5} ${depth / 2})`}
      >
        tests
      </text>
      {zones.map((z) => {
        const [x, y] = place(band.spots[z.id]!);
        const active = inStep.includes(z.id);
        return (
          <g key={z.id} className="pointer-events-none">
            <circle
              cx={x}
              cy={y}
              r={(active ? 13 : 9) * unit}
              fill="var(--ground)"
              stroke={z.id === inHand ? 'var(--indigo)' : 'var(--rule)'}
              strokeWidth={(z.id === inHand ? 3 : 1) * unit}
            />
            <text
              x={x}
              y={y}
              fontSize={(active ? 17 : 12) * unit}
              fontWeight={active ? 700 : 400}
              fill="var(--ink)"
              textAnchor="middle"
              dominantBaseline="central"
            >
              {z.letter}
            </text>
            {z.watch.length > 0 && <Watch x={x + 18 * unit} y={y} unit={unit} words={z.watch.join(', ')} />}
          </g>
        );
      })}
      <Way route={route} needle={path.at(-1) ?? needle} place={place} unit={unit} />
      {path.length > 1 && (
        <path
          d={path.map((p, i) => `${i === 0 ? 'M' : 'L'}${place(p).join(' ')}`).join('')}
          fill="none"
          stroke="var(--madder)"
          strokeWidth={1.5 * unit}
          clipPath={`url(#pass-${pass})`}
        />
      )}
      {pins
        .filter((p) => inBand([p.xIn, p.yIn]))
        .map((p, i) => {
          const [x, y] = place([p.xIn, p.yIn]);
          return (
            <path
              key={i}
              d={`M${x} ${y}l${-6 * unit} ${-14 * unit}h${12 * unit}Z`}
              fill="var(--madder)"
              stroke="var(--ground)"
              strokeWidth={unit}
            />
          );
        })}
      {needle && inBand(needle) && <Needle at={place(needle)} unit={unit} />}
    </svg>
  );
}

/** The way round a zone's lines: solid up to where the needle has come to, dashed after; each start numbered. */
function Way({
  route,
  needle,
  place,
  unit,
}: {
  route: readonly { points: readonly XY[] }[];
  needle: XY | null;
  place: (p: XY) => XY;
  unit: number;
}) {
  const all = route.flatMap(({ points }, path) => points.map((p, i) => ({ p, path, i })));
  const away = ({ p }: { p: XY }) => Math.hypot(p[0] - needle![0], p[1] - needle![1]);
  const here = needle && all.length > 0 ? all.reduce((a, b) => (away(b) < away(a) ? b : a)) : null;
  const line = (points: readonly XY[]) =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${place(p).join(' ')}`).join('');
  return (
    <g className="pointer-events-none">
      {route.map(({ points }, k) => {
        const gone = !here ? 0 : k < here.path ? points.length : k === here.path ? here.i + 1 : 0;
        const [x, y] = place(points[0]!);
        return (
          <g key={k} fill="none" stroke="var(--indigo)" strokeWidth={3 * unit}>
            {gone > 1 && <path d={line(points.slice(0, gone))} />}
            {gone < points.length && (
              <path
                d={line(points.slice(Math.max(0, gone - 1)))}
                strokeDasharray={`${7 * unit} ${5 * unit}`}
              />
            )}
            <circle
              cx={x}
              cy={y}
              r={9 * unit}
              fill="var(--indigo)"
              stroke="var(--ground)"
              strokeWidth={unit}
            />
            <text
              x={x}
              y={y}
              fontSize={13 * unit}
              fontWeight={700}
              stroke="none"
              style={{ fill: 'var(--on-act)' }}
              textAnchor="middle"
              dominantBaseline="central"
            >
              {k + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** A mark to watch for: a triangle with its word, never colour alone. */
function Watch({ x, y, unit, words }: { x: number; y: number; unit: number; words: string }) {
  return (
    <>
      <path
        d={`M${x} ${y + 7 * unit}l${8 * unit} ${-15 * unit}l${8 * unit} ${15 * unit}Z`}
        fill="var(--weld)"
        stroke="var(--ground)"
        strokeWidth={unit}
      />
      <text
        x={x + 19 * unit}
        y={y}
        fontSize={14 * unit}
        fontWeight={600}
        fill="var(--ink)"
        stroke="var(--ground)"
        strokeWidth={3 * unit}
        paintOrder="stroke"
        dominantBaseline="central"
      >
        {words}
      </text>
    </>
  );
}

function Needle({ at: [x, y], unit }: { at: XY; unit: number }) {
  return (
    <g aria-hidden className="pointer-events-none">
      <circle cx={x} cy={y} r={8 * unit} fill="none" stroke="var(--ink)" strokeWidth={3 * unit} />
      <path
        d={`M${x} ${y - 14 * unit}V${y + 14 * unit}M${x - 14 * unit} ${y}H${x + 14 * unit}`}
        stroke="var(--ink)"
        strokeWidth={1.5 * unit}
      />
    </g>
  );
}

function pictureWords(
  drawing: PassDrawing,
  pass: number,
  zones: readonly DrawnZone[],
  inStep: readonly string[],
  inHand: string | null,
): string {
  const letters = (list: readonly DrawnZone[]) => list.map((z) => z.letter).join(', ');
  const watched = zones.filter((z) => z.watch.length > 0);
  return [
    `Pass ${pass} of ${drawing.passes.length} on the frame`,
    `this step sews ${letters(zones.filter((z) => inStep.includes(z.id)))}`,
    inHand && `in hand ${letters(zones.filter((z) => z.id === inHand))}`,
    ...watched.map((z) => `watch for ${z.watch.join(', ')} in ${z.letter}`),
  ]
    .filter(Boolean)
    .join('; ');
}
