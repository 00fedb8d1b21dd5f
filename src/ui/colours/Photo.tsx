'use client';
import { useEffect, useRef } from 'react';
import { averageHex } from '@/core/colour/average';
import { PictureWithMarks, PlacedMark } from '@/ui/kit/PictureWithMarks';
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
  return (
    <PictureWithMarks
      picture={{ url, width: photo.width, height: photo.height }}
      label="Photograph: press to move the mark, or use the arrow keys; Enter takes the colour there"
      className="block max-h-[300px] max-w-full cursor-crosshair touch-none border"
      onPress={([x, y]) => move({ x: x / photo.width, y: y / photo.height })}
    >
      <PlacedMark
        at={[spot.x * photo.width, spot.y * photo.height]}
        label="The mark"
        step={STEP * photo.width}
        reach={24}
        onMove={([x, y]) => move({ x: x / photo.width, y: y / photo.height })}
        onTake={onTake}
      >
        <circle r={18} fill="none" stroke="#fffefb" strokeWidth={9} />
        <circle r={18} fill="none" stroke="#20262b" strokeWidth={4} />
      </PlacedMark>
    </PictureWithMarks>
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
