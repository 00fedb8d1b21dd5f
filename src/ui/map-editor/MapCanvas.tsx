'use client';
import { useDrag } from '@use-gesture/react';
import { type MapZone, moveCorner, moveEdge, snap } from '@/core/geometry/edit';
import type { XY } from '@/core/geometry/polygon';
import { spotIn, zonePath } from '@/ui/quilt-map/outline';

export type DrawnZone = MapZone & { hex?: string };
export type Tool = 'pick' | 'cut' | 'draw';

const BEYOND_IN = 3;
const HANDLE_PX = 9;

/** The map being drawn: zones to press, and corners and edges of the picked one to drag or to move with the arrows. */
export function MapCanvas({
  zones,
  quilt,
  height,
  picked,
  tool,
  stepIn,
  points,
  onPick,
  onPoint,
  onMove,
}: {
  zones: readonly DrawnZone[];
  quilt: { widthIn: number; lengthIn: number };
  height: number;
  picked: readonly string[];
  tool: Tool;
  stepIn: number;
  /** Corners of the cut or shape being drawn. */
  points: readonly XY[];
  onPick: (id: string, more: boolean) => void;
  onPoint: (at: XY) => void;
  /** A move under way; `done` when the hand lets go. */
  onMove: (zones: DrawnZone[], done: boolean) => void;
}) {
  const { widthIn: w, lengthIn: l } = quilt;
  const scale = Math.min(height / (l + 2 * BEYOND_IN), 820 / (w + 2 * BEYOND_IN));
  const px = (n: number) => n / scale;
  const one = picked.length === 1 ? zones.find((z) => z.id === picked[0]) : undefined;
  const press = (e: React.MouseEvent<SVGSVGElement>) => {
    if (tool === 'pick') return;
    const to = e.currentTarget.getScreenCTM()?.inverse();
    if (!to) return;
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(to);
    onPoint([snap(Math.min(w, Math.max(0, at.x)), stepIn), snap(Math.min(l, Math.max(0, at.y)), stepIn)]);
  };
  return (
    <svg
      width={(w + 2 * BEYOND_IN) * scale}
      height={(l + 2 * BEYOND_IN) * scale}
      viewBox={`${-BEYOND_IN} ${-BEYOND_IN} ${w + 2 * BEYOND_IN} ${l + 2 * BEYOND_IN}`}
      className={`block h-auto max-w-full touch-none select-none ${tool === 'pick' ? '' : 'cursor-crosshair'}`}
      role="group"
      aria-label={`Quilt map, ${w} by ${l} in`}
      onClick={press}
    >
      <rect
        x="0"
        y="0"
        width={w}
        height={l}
        fill="var(--sunk)"
        stroke="var(--madder)"
        strokeDasharray={`${px(4)} ${px(4)}`}
        strokeWidth={px(1.5)}
      />
      {zones.map((z) => {
        const on = picked.includes(z.id);
        const spot = spotIn(z.geometry);
        return (
          <g
            key={z.id}
            role="button"
            tabIndex={tool === 'pick' ? 0 : -1}
            aria-pressed={on}
            aria-label={`Zone ${z.letter}, ${z.name}`}
            onClick={(e) => tool === 'pick' && onPick(z.id, e.shiftKey || e.ctrlKey || e.metaKey)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' || e.key === ' ') {
                e.preventDefault();
                onPick(z.id, e.shiftKey || e.ctrlKey);
              }
            }}
            className={tool === 'pick' ? 'cursor-pointer' : ''}
          >
            <path
              d={zonePath(z.geometry)}
              fillRule="evenodd"
              fill={z.hex ?? '#d8cfbb'}
              fillOpacity={on ? 0.95 : 0.7}
              stroke={on ? 'var(--indigo)' : 'var(--ink)'}
              strokeWidth={px(on ? 3 : 1)}
            />
            <text
              x={spot[0]}
              y={spot[1] + px(6)}
              textAnchor="middle"
              fontSize={px(17)}
              fontWeight={700}
              stroke="var(--cloth)"
              strokeWidth={px(3)}
              paintOrder="stroke"
              className="pointer-events-none"
            >
              {z.letter}
            </text>
          </g>
        );
      })}
      {tool === 'pick' && one && (
        <Handles zone={one} zones={zones} px={px} scale={scale} stepIn={stepIn} onMove={onMove} />
      )}
      {points.length > 0 && (
        <path
          d={points.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('')}
          fill="none"
          stroke="var(--indigo)"
          strokeWidth={px(2.5)}
          strokeDasharray={`${px(7)} ${px(5)}`}
          className="pointer-events-none"
        />
      )}
      {points.map(([x, y], i) => (
        <circle key={i} cx={x} cy={y} r={px(5)} fill="var(--indigo)" className="pointer-events-none" />
      ))}
    </svg>
  );
}

const ARROWS: Readonly<Record<string, XY>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const MOST_HANDLES = 160;

function Handles({
  zone,
  zones,
  px,
  scale,
  stepIn,
  onMove,
}: {
  zone: DrawnZone;
  zones: readonly DrawnZone[];
  px: (n: number) => number;
  scale: number;
  stepIn: number;
  onMove: (zones: DrawnZone[], done: boolean) => void;
}) {
  const rings = zone.geometry.flat();
  const edges = rings.flatMap((ring) => ring.map((a, i) => [a, ring[(i + 1) % ring.length]!] as const));
  if (edges.length > MOST_HANDLES) return null;
  const corner = (from: XY, by: XY) =>
    moveCorner(zones, from, [snap(from[0] + by[0], stepIn), snap(from[1] + by[1], stepIn)]);
  const edge = (a: XY, b: XY, by: XY) => {
    // An upright or level edge moves square to itself; a slanted one both ways.
    const level = Math.abs(a[1] - b[1]) < 1e-6;
    const upright = Math.abs(a[0] - b[0]) < 1e-6;
    const to: XY = [snap(a[0] + (level ? 0 : by[0]), stepIn), snap(a[1] + (upright ? 0 : by[1]), stepIn)];
    return moveEdge(zones, a, b, [level ? 0 : to[0] - a[0], upright ? 0 : to[1] - a[1]]);
  };
  return (
    <>
      {edges.map(([a, b], i) => (
        <Handle
          key={`e${i}`}
          at={[(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]}
          label={`Edge ${i + 1} of ${zone.name}`}
          square={false}
          px={px}
          scale={scale}
          stepIn={stepIn}
          move={(by, done) => onMove(edge(a, b, by), done)}
        />
      ))}
      {edges.map(([a], i) => (
        <Handle
          key={`c${i}`}
          at={a}
          label={`Corner ${i + 1} of ${zone.name}, at ${a[0].toFixed(2)}, ${a[1].toFixed(2)} in`}
          square
          px={px}
          scale={scale}
          stepIn={stepIn}
          move={(by, done) => onMove(corner(a, by), done)}
        />
      ))}
    </>
  );
}

function Handle({
  at,
  label,
  square,
  px,
  scale,
  stepIn,
  move,
}: {
  at: XY;
  label: string;
  square: boolean;
  px: (n: number) => number;
  scale: number;
  stepIn: number;
  move: (by: XY, done: boolean) => void;
}) {
  const drag = useDrag(
    // The handle moves with its drawing, so every move is told from where the drag began.
    ({ movement: [mx, my], last, memo, event }) => {
      event.stopPropagation();
      const first = (memo as typeof move | undefined) ?? move;
      first([mx / scale, my / scale], last);
      return first;
    },
    { filterTaps: true },
  );
  const size = px(HANDLE_PX);
  return (
    <g
      {...drag()}
      role="button"
      tabIndex={0}
      aria-label={`${label}: drag, or arrows`}
      className="cursor-move"
      onClick={(e) => e.stopPropagation()}
      onKeyDown={(e) => {
        const way = ARROWS[e.key];
        if (!way) return;
        e.preventDefault();
        move([way[0] * stepIn, way[1] * stepIn], true);
      }}
    >
      <circle cx={at[0]} cy={at[1]} r={px(14)} fill="transparent" />
      {square ? (
        <rect
          x={at[0] - size / 2}
          y={at[1] - size / 2}
          width={size}
          height={size}
          fill="var(--cloth)"
          stroke="var(--indigo)"
          strokeWidth={px(2)}
        />
      ) : (
        <circle
          cx={at[0]}
          cy={at[1]}
          r={size * 0.42}
          fill="var(--indigo)"
          stroke="var(--cloth)"
          strokeWidth={px(1.5)}
        />
      )}
    </g>
  );
}
