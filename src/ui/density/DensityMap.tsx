import type { Neighbour } from '@/core/density/neighbours';
import type { Bubble } from '@/core/density/bubbles';
import type { OpenPart } from '@/core/density/motifs';
import type { Zone } from '@/data/types';
import { polyline } from '@/ui/draw/mark';
import { spotIn, zonePath } from '@/ui/quilt-map/outline';

export interface DenseZone extends Pick<Zone, 'id' | 'letter' | 'name' | 'geometry' | 'spacingIn'> {
  lineDensity: number;
  /** The gap is wider than the batting allows. */
  tooWide: boolean;
  neighbours: readonly Neighbour[];
}

const PAD_IN = 1;

/** A bubble as a raised spot: a ring with the light on one side of it. */
const blister = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0M${x - r * 0.5} ${y - r * 0.1}a${r * 0.55} ${r * 0.55} 0 0 1 ${r * 0.45} ${-r * 0.45}`;

/** What the drawing's signs mean, those that are on it. */
export function DensityLegend({
  bubbles,
  uneven,
  wide,
  open,
}: Record<'bubbles' | 'uneven' | 'wide' | 'open', boolean>) {
  const signs: readonly (readonly [boolean, string, React.ReactNode])[] = [
    [
      true,
      'darker is denser; inches of line to the square inch',
      <g key="d">
        <rect
          width="11"
          height="14"
          fill="var(--walnut)"
          fillOpacity="0.1"
          stroke="var(--ink)"
          strokeOpacity="0.45"
        />
        <rect x="11" width="11" height="14" fill="var(--walnut)" fillOpacity="0.7" />
      </g>,
    ],
    [
      uneven,
      'a seam that is too uneven',
      <g key="u">
        <path d="M1 7H21" stroke="var(--madder)" strokeWidth="5" />
        <path d="M1 7H21" stroke="var(--cloth)" strokeWidth="1.6" strokeDasharray="4 4" />
      </g>,
    ],
    [
      bubbles,
      'bubbles here after washing',
      <path
        key="b"
        d={blister(11, 7, 6)}
        fill="var(--weld-tint)"
        stroke="var(--weld-text)"
        strokeWidth="1.2"
      />,
    ],
    [
      wide,
      'gaps wider than the batting allows',
      <rect
        key="w"
        x="1.5"
        y="1.5"
        width="19"
        height="11"
        fill="none"
        stroke="var(--madder)"
        strokeWidth="2.4"
        strokeDasharray="3 3"
      />,
    ],
    [
      open,
      'left open over a motif: dashed may stay, whole is too wide',
      <circle
        key="o"
        cx="11"
        cy="7"
        r="6"
        fill="none"
        stroke="var(--verdigris)"
        strokeWidth="1.6"
        strokeDasharray="4 3"
      />,
    ],
  ];
  return (
    <ul aria-label="What the signs mean" className="mt-1 grid gap-y-0.5 text-13 text-ink2">
      {signs
        .filter(([here]) => here)
        .map(([, words, sign]) => (
          <li key={words} className="flex items-center gap-2">
            <svg width="22" height="14" aria-hidden className="shrink-0">
              {sign}
            </svg>
            {words}
          </li>
        ))}
    </ul>
  );
}

/** How dark a zone is drawn: the open ones pale, the densest full, by the logarithm of their densities. */
export function shadeOf(lineDensity: number, all: readonly number[]): number {
  const [low, high] = [Math.log(Math.min(...all)), Math.log(Math.max(...all))];
  return high - low < 1e-6 ? 0.35 : 0.08 + 0.62 * ((Math.log(lineDensity) - low) / (high - low));
}

/**
 * The quilt by density: darker is denser, with the inches of line in each square inch; seams between zones that
 * are too uneven drawn thick and hatched, zones with gaps too wide for the batting outlined.
 */
export function DensityMap({
  widthIn,
  lengthIn,
  zones,
  open = [],
  bubbles = [],
  limitIn,
  chosenId,
  width,
  height,
}: {
  widthIn: number;
  lengthIn: number;
  zones: readonly DenseZone[];
  /** What no line crosses, each with the circle that fits into it. */
  open?: readonly OpenPart[];
  /** Where open zones stand up after washing. */
  bubbles?: readonly Bubble[];
  /** What the batting holds by itself, inches. */
  limitIn?: number;
  chosenId?: string;
  width: number;
  height: number;
}) {
  const scale = Math.min(width / (widthIn + 2 * PAD_IN), height / (lengthIn + 2 * PAD_IN));
  const px = (n: number) => n / scale;
  const densities = zones.map((z) => z.lineDensity);
  const uneven = zones.flatMap((z) =>
    z.neighbours.filter((n) => !n.even && n.ratio > 1).flatMap((n) => n.edges),
  );
  return (
    <svg
      width={(widthIn + 2 * PAD_IN) * scale}
      height={(lengthIn + 2 * PAD_IN) * scale}
      viewBox={`${-PAD_IN} ${-PAD_IN} ${widthIn + 2 * PAD_IN} ${lengthIn + 2 * PAD_IN}`}
      role="img"
      data-drawing="density"
      aria-label={`Quilt by density: ${zones.map((z) => `${z.letter} ${z.lineDensity.toFixed(1)}`).join(', ')} inches of line to the square inch`}
      className="block max-w-full"
    >
      {zones.map((z) => (
        <g key={z.id}>
          <path d={zonePath(z.geometry)} fillRule="evenodd" fill="var(--cloth)" />
          <path
            d={zonePath(z.geometry)}
            fillRule="evenodd"
            fill="var(--walnut)"
            fillOpacity={shadeOf(z.lineDensity, densities)}
            stroke={z.id === chosenId ? 'var(--indigo)' : 'var(--ink)'}
            strokeOpacity={z.id === chosenId ? 1 : 0.45}
            strokeWidth={px(z.id === chosenId ? 2.6 : 0.8)}
          />
          {z.tooWide && (
            <path
              d={zonePath(z.geometry)}
              fill="none"
              stroke="var(--madder)"
              strokeWidth={px(2.4)}
              strokeDasharray={`${px(3)} ${px(3)}`}
            />
          )}
        </g>
      ))}
      {open.map((p) => {
        const over = limitIn !== undefined && p.openIn > limitIn;
        return (
          <circle
            key={`${p.zone} ${p.piece}`}
            cx={p.x}
            cy={p.y}
            r={p.openIn / 2}
            fill="none"
            stroke={over ? 'var(--madder)' : 'var(--verdigris)'}
            strokeWidth={px(1.6)}
            strokeDasharray={over ? undefined : `${px(4)} ${px(4)}`}
          >
            <title>{`${p.openIn.toFixed(1)} in open: ${p.act === 'leave' ? 'may stay' : p.act}`}</title>
          </circle>
        );
      })}
      {bubbles.map((b, i) => (
        <path
          key={i}
          data-bubble
          d={blister(b.x, b.y, b.radiusIn)}
          fill="var(--weld-tint)"
          stroke="var(--weld-text)"
          strokeWidth={px(1.2)}
        />
      ))}
      {uneven.map((edge, i) => (
        <g key={i}>
          <path d={polyline(edge)} stroke="var(--madder)" strokeWidth={px(5)} strokeLinecap="round" />
          <path
            d={polyline(edge)}
            stroke="var(--cloth)"
            strokeWidth={px(1.6)}
            strokeDasharray={`${px(4)} ${px(4)}`}
          />
        </g>
      ))}
      {zones.map((z) => {
        const [x, y] = spotIn(z.geometry);
        return (
          <text
            key={z.id}
            x={Math.min(widthIn - px(26), Math.max(px(26), x))}
            y={y + px(5)}
            textAnchor="middle"
            fontSize={px(14)}
            fontWeight={700}
            style={{ fill: 'var(--ink)' }}
            stroke="var(--cloth)"
            strokeWidth={px(3.5)}
            paintOrder="stroke"
          >
            {z.letter} {z.lineDensity.toFixed(1)}
          </text>
        );
      })}
    </svg>
  );
}
