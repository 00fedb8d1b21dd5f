'use client';
import { createContext, useContext, useRef } from 'react';
import type { XY } from '@/core/geometry/polygon';

/** A picture opened in this window, with its size in pixels. */
export interface Picture {
  url: string;
  width: number;
  height: number;
}

/** What a mark needs to know of the picture it lies on. */
interface Ground {
  /** Where an event happened, pixels of the picture. */
  at: (e: { clientX: number; clientY: number }) => XY;
  /** One unit of drawing: the picture is so many wide, whatever its pixels. */
  unit: number;
  size: Pick<Picture, 'width' | 'height'>;
}
const GroundContext = createContext<Ground | null>(null);
const UNITS_WIDE = 900;

/** One unit of drawing on a picture, in its pixels. */
export const unitOf = (picture: Pick<Picture, 'width'>): number => picture.width / UNITS_WIDE;

/** A picture that can be pressed, and marks that lie on it: dragged, or moved with the arrow keys. Children are drawn in its pixels. */
export function PictureWithMarks({
  picture,
  label,
  className,
  onPress,
  children,
}: {
  picture: Picture;
  label: string;
  className?: string;
  onPress: (at: XY) => void;
  children: React.ReactNode;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const at = (e: { clientX: number; clientY: number }): XY => {
    const box = svg.current!.getBoundingClientRect();
    return [
      ((e.clientX - box.left) / box.width) * picture.width,
      ((e.clientY - box.top) / box.height) * picture.height,
    ];
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className={className ?? 'mt-2 block max-h-[420px] w-full cursor-crosshair touch-none border bg-sunk'}
      role="group"
      aria-label={label}
      onClick={(e) => onPress(at(e))}
    >
      <image href={picture.url} width={picture.width} height={picture.height} />
      <GroundContext.Provider value={{ at, unit: unitOf(picture), size: picture }}>
        {children}
      </GroundContext.Provider>
    </svg>
  );
}

const share = (of: number, all: number) => `${Math.round((100 * of) / all)} %`;
const WAYS: Readonly<Record<string, XY>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** One mark: dragged, moved with the arrow keys by `step` pixels; Enter takes what is there, Delete takes the mark out. */
export function PlacedMark({
  at: [x, y],
  label,
  step = 1,
  reach = 11,
  onMove,
  onDrop,
  onTake,
  children,
}: {
  at: XY;
  label: string;
  step?: number;
  /** How far from it a press still takes hold of it, units of drawing. */
  reach?: number;
  onMove: (to: XY) => void;
  onDrop?: () => void;
  onTake?: () => void;
  /** Drawn about its place, in units of drawing. */
  children: React.ReactNode;
}) {
  const { at, unit, size } = useContext(GroundContext)!;
  const held = useRef(false);
  return (
    <g
      tabIndex={0}
      role="slider"
      aria-label={label}
      aria-valuenow={Math.round(x)}
      aria-valuetext={`${share(x, size.width)} across, ${share(y, size.height)} down`}
      // A press that ends a drag is no press on the picture.
      onClick={(e) => e.stopPropagation()}
      onPointerDown={(e) => {
        held.current = true;
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={(e) => {
        if (held.current && e.buttons === 1) onMove(at(e));
      }}
      onPointerUp={() => {
        held.current = false;
      }}
      onDoubleClick={onDrop}
      onKeyDown={(e) => {
        const way = WAYS[e.key];
        if (way) onMove([x + way[0] * step, y + way[1] * step]);
        else if (onDrop && (e.key === 'Delete' || e.key === 'Backspace')) onDrop();
        else if (onTake && e.key === 'Enter') onTake();
        else return;
        e.preventDefault();
      }}
    >
      <g transform={`translate(${x} ${y}) scale(${unit})`}>
        <circle r={reach} fill="transparent" />
        {children}
      </g>
    </g>
  );
}
