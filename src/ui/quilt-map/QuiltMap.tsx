import { Link } from '@/ui/kit/Link';
import type { XY } from '@/core/geometry/polygon';
import type { Fault, Zone } from '@/data/types';
import { hatchTile } from './hatch';
import { spotIn, zonePath } from './outline';

export interface QuiltMapProps {
  widthIn: number;
  lengthIn: number;
  zones: readonly Pick<Zone, 'id' | 'letter' | 'name' | 'geometry' | 'technique' | 'spacingIn' | 'fabrics'>[];
  /** Size on screen; the map keeps its proportions inside. */
  width: number;
  maxHeight?: number;
  chosenId?: string;
  passes?: number | null;
  /** Passes that are sewn through. */
  passesSewn?: readonly number[];
  /** What is sewn, zone by zone and pass by pass. */
  sewn?: readonly { zoneId: string; pass: number }[];
  /** Depths of the passes, down the quilt or across it; even ones when only their number is known. */
  bands?: { depthsIn: readonly number[]; turned: boolean } | null;
  /** Gaps to write on the map: those wider than the batting allows, or the widest. */
  wideZones?: readonly { letter: string; gapIn: number; ok: boolean }[];
  pins?: readonly Pick<Fault, 'n' | 'xIn' | 'yIn' | 'status'>[];
  /** What was there when it arrived. */
  conditions?: readonly { n: number; xIn: number | null; yIn: number | null }[];
  /** Where a zone leads; without it the map is a picture. */
  hrefOf?: (zoneId: string) => string;
  stripChosen?: boolean;
  idPrefix: string;
  children?: React.ReactNode;
}

/** A map as data: what lies over it is its children, drawn in inches. */
export type DrawnMap = Omit<QuiltMapProps, 'hrefOf' | 'children'>;

const MARGIN_IN = { left: 3, right: 8, top: 2, bottom: 2 };

/** Pixels per inch at which a quilt with its margins fits the width, and the height if one is set. */
export const mapScale = (
  {
    widthIn,
    lengthIn,
    width,
    maxHeight = Infinity,
  }: Pick<QuiltMapProps, 'widthIn' | 'lengthIn' | 'width' | 'maxHeight'>,
  numbers: number,
) =>
  Math.min(
    (width - numbers) / (widthIn + MARGIN_IN.left + MARGIN_IN.right),
    maxHeight / (lengthIn + MARGIN_IN.top + MARGIN_IN.bottom),
  );

/**
 * The quilt at one scale: zones in their fabric colours, hatched by technique at the real spacing; passes
 * down the side; the batting's margin and the test strip beyond the edge; fault pins where they happened.
 */
export function QuiltMap(props: QuiltMapProps) {
  const { widthIn: w, lengthIn: l, zones, chosenId, passes, passesSewn = [], pins = [], idPrefix } = props;
  const numbers = (props.bands ?? passes) ? 20 : 0;
  const scale = mapScale(props, numbers);
  const px = (n: number) => n / scale;
  const view = {
    x: -MARGIN_IN.left - px(numbers),
    y: -MARGIN_IN.top,
    w: w + MARGIN_IN.left + MARGIN_IN.right + px(numbers),
    // A turned quilt has its passes numbered below.
    h: l + MARGIN_IN.top + MARGIN_IN.bottom + (props.bands?.turned ? px(20) : 0),
  };
  const lines = passLines(props);
  const chosen = zones.find((z) => z.id === chosenId);
  return (
    <svg
      width={view.w * scale}
      height={view.h * scale}
      viewBox={`${view.x} ${view.y} ${view.w} ${view.h}`}
      className="block overflow-visible"
      role={props.hrefOf ? undefined : 'img'}
      aria-label={`Quilt map, ${w} by ${l} in, ${zones.length} zones`}
    >
      <rect
        x={-MARGIN_IN.left}
        y={-MARGIN_IN.top}
        width={w + MARGIN_IN.left + MARGIN_IN.right}
        height={l + 4}
        fill="var(--batting)"
        stroke="var(--rule)"
        strokeWidth={px(1)}
      />
      <defs>
        {zones.map((z) => {
          const tile = hatchTile(z.technique, z.spacingIn, scale);
          return (
            tile && (
              <pattern
                key={z.id}
                id={`${idPrefix}-${z.letter}`}
                width={tile.w}
                height={tile.h}
                patternUnits="userSpaceOnUse"
              >
                <path d={tile.d} fill="none" stroke="var(--ink)" strokeOpacity={0.55} strokeWidth={px(1)} />
              </pattern>
            )
          );
        })}
      </defs>
      {zones.map((z) => {
        const shape = (
          <>
            {z.geometry.map((polygon, i) => (
              <path
                key={i}
                d={zonePath([polygon])}
                fillRule="evenodd"
                fill={z.fabrics[i % z.fabrics.length]?.hex ?? 'var(--sunk)'}
                fillOpacity={chosenId && chosenId !== z.id ? 0.55 : 0.85}
              />
            ))}
            {hatchTile(z.technique, z.spacingIn, scale) && (
              <path d={zonePath(z.geometry)} fillRule="evenodd" fill={`url(#${idPrefix}-${z.letter})`} />
            )}
            <path
              d={zonePath(z.geometry)}
              fill="none"
              stroke="var(--ink)"
              strokeOpacity={0.4}
              strokeWidth={px(0.8)}
            />
          </>
        );
        return props.hrefOf ? (
          <Link
            key={z.id}
            href={props.hrefOf(z.id)}
            aria-label={`Zone ${z.letter}, ${z.name}`}
            scroll={false}
            aria-current={z.id === chosenId ? 'true' : undefined}
          >
            {shape}
          </Link>
        ) : (
          <g key={z.id}>{shape}</g>
        );
      })}
      <SewnParts {...props} lines={lines} px={px} />
      <Passes lines={lines} turned={props.bands?.turned ?? false} w={w} l={l} sewn={passesSewn} px={px} />
      <WideGaps zones={zones} wide={props.wideZones ?? []} w={w} px={px} />
      {chosen && (
        <path
          d={zonePath(chosen.geometry)}
          fill="none"
          stroke="var(--indigo)"
          strokeWidth={px(2.6)}
          className="pointer-events-none"
        />
      )}
      <TestStripMark
        w={w}
        l={l}
        px={px}
        colour={zones[0]?.fabrics[0]?.hex ?? 'var(--sunk)'}
        chosen={props.stripChosen ?? false}
      />
      {pins.map(
        (p) =>
          p.xIn !== null &&
          p.yIn !== null && <Pin key={p.n} x={p.xIn} y={p.yIn} n={p.n} unit={px(1)} status={p.status} />,
      )}
      {props.conditions?.map(
        (c) =>
          c.xIn !== null &&
          c.yIn !== null && <ConditionMark key={c.n} x={c.xIn} y={c.yIn} n={c.n} unit={px(1)} />,
      )}
      {props.children}
    </svg>
  );
}

/** Where each pass begins and ends along the roll, inches. */
function passLines({
  bands,
  passes,
  lengthIn,
}: Pick<QuiltMapProps, 'bands' | 'passes' | 'lengthIn'>): [number, number][] {
  const depths = bands?.depthsIn ?? (passes ? Array<number>(passes).fill(lengthIn / passes) : []);
  let at = 0;
  return depths.map((d) => [at, (at += d)]);
}

/** Passes as lines with their numbers: solid where sewn, dashed where planned; down the side, or along the top when turned. */
function Passes({
  lines,
  turned,
  w,
  l,
  sewn,
  px,
}: {
  lines: readonly [number, number][];
  turned: boolean;
  w: number;
  l: number;
  sewn: readonly number[];
  px: (n: number) => number;
}) {
  const through = (pass: number) => sewn.includes(pass);
  return lines.map(([from, to], i) => (
    <g key={i} className="pointer-events-none">
      {i > 0 && (
        <path
          d={turned ? `M${from} -2V${l + 2}` : `M-3 ${from}H${w + 2}`}
          stroke="var(--ink)"
          strokeOpacity={through(i) ? 0.8 : 0.5}
          strokeWidth={px(through(i) ? 1.4 : 1.1)}
          strokeDasharray={through(i) ? undefined : `${px(7)} ${px(5)}`}
        />
      )}
      <text
        x={turned ? (from + to) / 2 : -MARGIN_IN.left - px(6)}
        y={turned ? l + MARGIN_IN.bottom + px(14) : (from + to) / 2 + px(4.5)}
        textAnchor={turned ? 'middle' : 'end'}
        fontSize={px(13)}
        fontWeight={through(i + 1) ? 700 : 500}
        style={{ fill: through(i + 1) ? 'var(--ink)' : 'var(--ink2)' }}
      >
        {i + 1}
      </text>
    </g>
  ));
}

/** What is sewn stands solid: its cloth in full colour, its lines dark, within the band of the pass. */
function SewnParts({
  zones,
  sewn = [],
  lines,
  bands,
  widthIn,
  lengthIn,
  idPrefix,
  px,
}: Pick<QuiltMapProps, 'zones' | 'sewn' | 'bands' | 'widthIn' | 'lengthIn' | 'idPrefix'> & {
  lines: readonly [number, number][];
  px: (n: number) => number;
}) {
  const turned = bands?.turned ?? false;
  const passes = [...new Set(sewn.map((s) => s.pass))].filter((pass) => lines[pass - 1]);
  return passes.map((pass) => {
    const [from, to] = lines[pass - 1]!;
    const id = `${idPrefix}-pass-${pass}`;
    return (
      <g key={pass} className="pointer-events-none">
        <clipPath id={id}>
          <rect
            x={turned ? from : 0}
            y={turned ? 0 : from}
            width={turned ? to - from : widthIn}
            height={turned ? lengthIn : to - from}
          />
        </clipPath>
        <g clipPath={`url(#${id})`}>
          {sewn
            .filter((s) => s.pass === pass)
            .flatMap((s) => zones.filter((z) => z.id === s.zoneId))
            .map((z) => (
              <g key={z.id}>
                <path
                  d={zonePath(z.geometry)}
                  fillRule="evenodd"
                  fill={`url(#${idPrefix}-${z.letter})`}
                  stroke="var(--ink)"
                  strokeWidth={px(1.6)}
                />
                <path d={zonePath(z.geometry)} fillRule="evenodd" fill={`url(#${idPrefix}-${z.letter})`} />
              </g>
            ))}
        </g>
      </g>
    );
  });
}

/** Gaps written where they lie; the zones where the batting does not allow them outlined. */
function WideGaps({
  zones,
  wide,
  w,
  px,
}: {
  zones: QuiltMapProps['zones'];
  w: number;
  wide: NonNullable<QuiltMapProps['wideZones']>;
  px: (n: number) => number;
}) {
  return wide.map(({ letter, gapIn, ok }) => {
    const zone = zones.find((z) => z.letter === letter);
    if (!zone) return null;
    const spot = spotIn(zone.geometry);
    // The words stay on the quilt.
    const x = Math.min(w - px(46), Math.max(px(46), spot[0]));
    return (
      <g key={letter} className="pointer-events-none">
        {!ok && (
          <path
            d={zonePath(zone.geometry)}
            fill="none"
            stroke="var(--madder)"
            strokeWidth={px(2.6)}
            strokeDasharray={`${px(3)} ${px(3)}`}
          />
        )}
        <text
          x={x}
          y={spot[1]}
          textAnchor="middle"
          fontSize={px(13)}
          fontWeight={700}
          style={{ fill: ok ? 'var(--ink)' : 'var(--madder)' }}
          stroke="var(--cloth)"
          strokeWidth={px(3)}
          paintOrder="stroke"
        >
          {ok ? 'widest' : 'gap'} {gapIn} in
        </text>
      </g>
    );
  });
}

function TestStripMark({
  w,
  l,
  px,
  colour,
  chosen,
}: {
  w: number;
  l: number;
  px: (n: number) => number;
  colour: string;
  chosen: boolean;
}) {
  const h = Math.min(44, l * 0.6);
  return (
    <g className="pointer-events-none">
      <rect
        x={w + 2.5}
        y={l * 0.05}
        width={4.2}
        height={h}
        fill={colour}
        fillOpacity={0.8}
        stroke={chosen ? 'var(--indigo)' : 'var(--ink)'}
        strokeOpacity={chosen ? 1 : 0.6}
        strokeWidth={px(chosen ? 3 : 1)}
      />
      <path
        d={`M${w + 4.6} ${l * 0.05 + 2}v${h - 4}`}
        stroke="var(--ink)"
        strokeWidth={px(1.6)}
        strokeDasharray={`${px(5)} ${px(4)}`}
      />
    </g>
  );
}

/** A numbered pin where a fault was noted: round while open, square once dealt with. */
export function Pin({
  x,
  y,
  n,
  unit,
  status,
}: {
  x: number;
  y: number;
  n: number;
  unit: number;
  status: Fault['status'];
}) {
  const fill = status === 'open' ? 'var(--madder)' : 'var(--verdigris)';
  return (
    <g transform={`translate(${x} ${y}) scale(${unit})`} className="pointer-events-none">
      <path d="M0 0L-2 -12H2Z" fill={fill} stroke="var(--cloth)" strokeWidth={1} />
      {status === 'open' ? (
        <circle cy={-17} r={9} fill={fill} stroke="var(--cloth)" strokeWidth={1.6} />
      ) : (
        <rect x={-8.5} y={-25.5} width={17} height={17} fill={fill} stroke="var(--cloth)" strokeWidth={1.6} />
      )}
      <text y={-12.5} textAnchor="middle" fontSize={13} fontWeight={700} style={{ fill: 'var(--on-act)' }}>
        {n}
      </text>
    </g>
  );
}

/** A path over the map, inches; where two points lie further apart than `liftIn` the needle was up. */
export function PathLayer({ path, liftIn }: { path: readonly XY[]; liftIn: number }) {
  const d = path
    .map((p, i) => {
      const before = path[i - 1];
      const lifted = !before || Math.hypot(p[0] - before[0], p[1] - before[1]) > liftIn;
      return `${lifted ? 'M' : 'L'}${p[0]} ${p[1]}`;
    })
    .join('');
  return <path d={d} fill="none" stroke="var(--madder)" strokeWidth={0.35} className="pointer-events-none" />;
}

/** Something that was there when the quilt arrived: a diamond with its number. */
export function ConditionMark({ x, y, n, unit }: { x: number; y: number; n: number; unit: number }) {
  return (
    <g transform={`translate(${x} ${y}) scale(${unit})`} className="pointer-events-none">
      <path d="M0 -12L12 0L0 12L-12 0Z" fill="var(--weld-tint)" stroke="var(--weld-text)" strokeWidth={2} />
      {n > 0 && (
        <text y={4.5} textAnchor="middle" fontSize={13} fontWeight={700} style={{ fill: 'var(--ink)' }}>
          {n}
        </text>
      )}
    </g>
  );
}
