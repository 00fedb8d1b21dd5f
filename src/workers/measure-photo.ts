import { CoreError } from '@/core/notes';
import { otherShare } from '@/core/photo/other-share';
import { type StitchPhoto, stitchPhoto } from '@/core/photo/stitch-photo';
import type { XY } from '@/core/geometry/polygon';

/** A picture with its scale and the line drawn along the stitches. */
export interface MeasureRequest {
  picture: ImageBitmap;
  mmPerPx: number;
  path: readonly XY[];
  /** The colours of the face’s own thread and the other one. */
  own: string | null;
  other: string | null;
}

export type MeasureAnswer =
  | { ok: true; value: StitchPhoto & { otherShare: number | null } }
  | { ok: false; message: string };

/** Measures the stitches along a line of a picture; what is wrong is told in words. */
export function measurePhoto({ picture, mmPerPx, path, own, other }: MeasureRequest): MeasureAnswer {
  const { width, height } = picture;
  const context = new OffscreenCanvas(width, height).getContext('2d')!;
  context.drawImage(picture, 0, 0);
  picture.close();
  const rgba = context.getImageData(0, 0, width, height).data;
  const grey = new Uint8ClampedArray(width * height);
  for (let i = 0, k = 0; k < grey.length; i += 4, k++)
    grey[k] = 0.2126 * rgba[i]! + 0.7152 * rgba[i + 1]! + 0.0722 * rgba[i + 2]!;
  try {
    const value = stitchPhoto({ width, height, grey }, mmPerPx, path);
    const share =
      own && other && value.trust !== 'cannot'
        ? otherShare({ width, height, rgba }, mmPerPx, value.spots, own, other)
        : null;
    return { ok: true, value: { ...value, otherShare: share } };
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message };
    throw error;
  }
}
