'use client';
import type { XY } from '@/core/geometry/polygon';
import { PictureWithMarks, PlacedMark, unitOf } from '@/ui/kit/PictureWithMarks';

/** A photograph opened in this window. */
export interface Picture {
  url: string;
  blob: Blob;
  width: number;
  height: number;
}

const line = (spots: readonly XY[]) => spots.map((s) => s.join(',')).join(' ');

/** The picture with its scale, the line drawn along the stitches, and the holes that were found. */
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
  marks: readonly XY[];
  path: readonly XY[];
  holes: readonly XY[];
  onPress: (spot: XY) => void;
  onMove: (hole: number, to: XY) => void;
  onDrop: (hole: number) => void;
}) {
  const u = unitOf(picture);
  return (
    <PictureWithMarks picture={picture} label="The photograph" onPress={onPress}>
      <polyline points={line(marks)} fill="none" stroke="#2e4272" strokeWidth={3 * u} />
      {marks.map((m, i) => (
        <path key={i} d={`M${m[0]} ${m[1] - 14 * u}v${28 * u}`} stroke="#2e4272" strokeWidth={3 * u} />
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
        <PlacedMark
          key={i}
          at={h}
          label={`Hole ${i + 1} of ${holes.length}`}
          onMove={(to) => onMove(i, to)}
          onDrop={() => onDrop(i)}
        >
          <path d="M0 -13v26" stroke="#fffefb" strokeWidth={4.5} />
          <path d="M0 -13v26" stroke="#256659" strokeWidth={2} />
        </PlacedMark>
      ))}
    </PictureWithMarks>
  );
}
