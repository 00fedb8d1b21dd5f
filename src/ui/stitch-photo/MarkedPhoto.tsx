'use client';
import { useRef } from 'react';
import type { Spot } from '@/core/photo/strip';

/** A photograph opened in this window. */
export interface Picture {
  url: string;
  blob: Blob;
  width: number;
  height: number;
}

/** The picture with its marks; pressed, and its hole marks dragged or moved with the arrow keys. */
export function MarkedPhoto({
  picture,
  marks,
  path,
  holes,
  onPress,
  onMove,
  onDrop,
}: {
  picture: Picture;
  marks: readonly Spot[];
  path: readonly Spot[];
  holes: readonly Spot[];
  onPress: (spot: Spot) => void;
  onMove: (hole: number, to: Spot) => void;
  onDrop: (hole: number) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const dragged = useRef<number | null>(null);
  const at = (e: { clientX: number; clientY: number }): Spot => {
    const box = svg.current!.getBoundingClientRect();
    return [
      ((e.clientX - box.left) / box.width) * picture.width,
      ((e.clientY - box.top) / box.height) * picture.height,
    ];
  };
  const u = picture.width / 900;
  const line = (spots: readonly Spot[]) => spots.map((s) => s.join(',')).join(' ');
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className="mt-2 block max-h-[420px] w-full cursor-crosshair touch-none border bg-sunk"
      role="group"
      aria-label="The photograph"
      onClick={(e) => {
        if (dragged.current === null) onPress(at(e));
        dragged.current = null;
      }}
      onPointerMove={(e) => {
        if (dragged.current !== null && e.buttons === 1) onMove(dragged.current, at(e));
      }}
    >
      <image href={picture.url} width={picture.width} height={picture.height} />
      <polyline points={line(marks)} fill="none" stroke="#2e4272" strokeWidth={3 * u} />
      {marks.map((m, i) => (
        <path
          key={i}
          d={`M${m[0]} ${m[1] - 14 * u}v${28 * u}`}
          stroke="#2e4272"
          strokeWidth={3 * u}
          style={{ paintOrder: 'stroke' }}
        />
      ))}
      <polyline points={line(path)} fill="none" stroke="#fffefb" strokeWidth={4 * u} strokeOpacity="0.8" />
      <polyline
        points={line(path)}
        fill="none"
        stroke="#a8382a"
        strokeWidth={1.6 * u}
        strokeDasharray={`${8 * u} ${5 * u}`}
      />
      {holes.map((h, i) => (
        <g
          key={i}
          tabIndex={0}
          role="slider"
          aria-label={`Hole ${i + 1} of ${holes.length}`}
          aria-valuenow={Math.round(h[0])}
          onPointerDown={(e) => {
            dragged.current = i;
            e.currentTarget.setPointerCapture(e.pointerId);
          }}
          onDoubleClick={() => onDrop(i)}
          onKeyDown={(e) => {
            const by: Record<string, Spot> = {
              ArrowLeft: [-1, 0],
              ArrowRight: [1, 0],
              ArrowUp: [0, -1],
              ArrowDown: [0, 1],
            };
            const step = by[e.key];
            if (step) onMove(i, [h[0] + step[0], h[1] + step[1]]);
            else if (e.key === 'Delete' || e.key === 'Backspace') onDrop(i);
            else return;
            e.preventDefault();
          }}
        >
          <circle cx={h[0]} cy={h[1]} r={11 * u} fill="transparent" />
          <path d={`M${h[0]} ${h[1] - 13 * u}v${26 * u}`} stroke="#fffefb" strokeWidth={4.5 * u} />
          <path d={`M${h[0]} ${h[1] - 13 * u}v${26 * u}`} stroke="#256659" strokeWidth={2 * u} />
        </g>
      ))}
    </svg>
  );
}
