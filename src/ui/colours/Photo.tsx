'use client';
import { useEffect, useRef } from 'react';
import { averageHex } from '@/core/colour/average';
import type { ReadPhoto } from '@/workers/read-photo';

/** A place on a photograph, both shares 0–1 of its sides. */
export interface Spot {
  x: number;
  y: number;
}

const STEP = 0.01;
/** Half the side of the square that is averaged, px. */
const REACH = 3;

/**
 * A photograph with a mark on it: press or use the arrow keys to move the mark, Enter takes the colour there.
 */
export function Photo({
  photo,
  url,
  spot,
  onSpot,
  onTake,
}: {
  photo: ReadPhoto;
  url: string;
  spot: Spot;
  /** The mark has moved, and this is the colour under it. */
  onSpot: (spot: Spot, hex: string) => void;
  onTake: () => void;
}) {
  const pixels = useRef<OffscreenCanvasRenderingContext2D | null>(null);
  const first = useRef({ spot, onSpot });
  useEffect(() => {
    let here = true;
    void createImageBitmap(photo.blob).then((image) => {
      const context = new OffscreenCanvas(image.width, image.height).getContext('2d', {
        willReadFrequently: true,
      })!;
      context.drawImage(image, 0, 0);
      image.close();
      if (!here) return;
      pixels.current = context;
      first.current.onSpot(first.current.spot, colourAt(context, photo, first.current.spot));
    });
    return () => {
      here = false;
    };
  }, [photo]);
  const move = (to: Spot) => {
    const at = { x: Math.min(1, Math.max(0, to.x)), y: Math.min(1, Math.max(0, to.y)) };
    if (pixels.current) onSpot(at, colourAt(pixels.current, photo, at));
  };
  const keys: Record<string, () => void> = {
    ArrowLeft: () => move({ ...spot, x: spot.x - STEP }),
    ArrowRight: () => move({ ...spot, x: spot.x + STEP }),
    ArrowUp: () => move({ ...spot, y: spot.y - STEP }),
    ArrowDown: () => move({ ...spot, y: spot.y + STEP }),
    Enter: onTake,
  };
  return (
    <button
      type="button"
      aria-label="Photograph: press to move the mark, or use the arrow keys; Enter takes the colour there"
      className="relative block cursor-crosshair border"
      onClick={(e) => {
        if (e.detail === 0) return;
        const box = e.currentTarget.getBoundingClientRect();
        move({ x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height });
      }}
      onKeyDown={(e) => {
        const act = keys[e.key];
        if (!act) return;
        e.preventDefault();
        act();
      }}
    >
      {/* eslint-disable-next-line @next/next/no-img-element -- a picture that only lives in this window */}
      <img src={url} alt="" className="block max-h-[300px] max-w-full" />
      <svg
        aria-hidden
        className="pointer-events-none absolute size-7 -translate-x-1/2 -translate-y-1/2"
        style={{ left: `${spot.x * 100}%`, top: `${spot.y * 100}%` }}
        viewBox="-14 -14 28 28"
      >
        <circle r="9" fill="none" stroke="#fffefb" strokeWidth="4.5" />
        <circle r="9" fill="none" stroke="#20262b" strokeWidth="2" />
      </svg>
    </button>
  );
}

function colourAt(context: OffscreenCanvasRenderingContext2D, photo: ReadPhoto, spot: Spot): string {
  const x = Math.min(photo.width - 1, Math.round(spot.x * photo.width));
  const y = Math.min(photo.height - 1, Math.round(spot.y * photo.height));
  const [x0, y0] = [Math.max(0, x - REACH), Math.max(0, y - REACH)];
  const side = REACH * 2 + 1;
  const { data } = context.getImageData(
    x0,
    y0,
    Math.min(side, photo.width - x0),
    Math.min(side, photo.height - y0),
  );
  return averageHex(data);
}
