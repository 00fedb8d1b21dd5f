'use client';
import { useState } from 'react';
import { Photo, type Spot } from './Photo';
import type { AskedColours, Shown } from './use-colours';

/** The photograph, its colour under the mark and its palette, each taken with a press. */
export function PhotoColours({
  photo,
  url,
  spot,
  setSpot,
  asked: { cloths, paint },
}: {
  photo: Shown;
  url: string;
  spot: Spot;
  setSpot: (to: Spot) => void;
  asked: AskedColours;
}) {
  const [under, setUnder] = useState<string | null>(null);
  return (
    <div className="mt-2">
      <Photo
        photo={photo}
        url={url}
        spot={spot}
        onSpot={(s, hex) => {
          setSpot(s);
          setUnder(hex);
        }}
        onTake={() => under && paint(under)}
      />
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {under && (
          <button
            type="button"
            onClick={() => paint(under)}
            className="inline-flex min-h-11 items-center gap-2 rounded border border-rule px-2.5"
          >
            <i className="size-6 border" style={{ background: under }} aria-hidden />
            Take the colour under the mark
          </button>
        )}
        {photo.palette.map((c) => (
          <button
            key={c.hex}
            type="button"
            onClick={() => paint(c.hex, cloths.length > 1 ? c.share : undefined)}
            className="inline-flex min-h-11 items-center gap-1.5 rounded border border-rule px-2"
            aria-label={`Take ${c.hex}, ${Math.round(c.share * 100)} per cent of the photograph`}
          >
            <i className="size-6 border" style={{ background: c.hex }} aria-hidden />
            {Math.round(c.share * 100)} %
          </button>
        ))}
      </div>
    </div>
  );
}
