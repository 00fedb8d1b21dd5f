import { imageSize } from 'image-size';
import { CoreError } from '../notes';

/** What a photograph may be: 20 megapixels and a little, and no side beyond what a browser draws. */
const MOST_PIXELS = 24_000_000;
const LONGEST_SIDE = 16_000;
const SHORTEST_SIDE = 8;
/** Of a file so much is read to find the sides. */
export const HEAD_BYTES = 2_000_000;
const MOST_BYTES = 40_000_000;
const KINDS = ['jpg', 'png', 'webp'];

/**
 * Reads the size of a photograph from its first bytes, before anything is decoded: a small file may claim to be
 * enormous. The first two megabytes are enough. Sides in px as they are stored, before any turning.
 * @throws CoreError `not-a-picture`, `picture-too-large` or `picture-too-small`.
 */
export function checkPhoto(bytes: Uint8Array, fileBytes = bytes.length): { width: number; height: number } {
  const found = sizeOf(bytes);
  if (!found || !KINDS.includes(found.type ?? ''))
    throw new CoreError('not-a-picture', 'This file is not a photograph. Pick a JPEG, PNG or WebP.', 'file');
  const { width, height } = found;
  if (fileBytes > MOST_BYTES || width > LONGEST_SIDE || height > LONGEST_SIDE || width * height > MOST_PIXELS)
    throw new CoreError(
      'picture-too-large',
      `This picture is ${width} × ${height} px: photographs up to 20 megapixels can be read. Save it smaller first.`,
      'file',
    );
  if (width < SHORTEST_SIDE || height < SHORTEST_SIDE)
    throw new CoreError('picture-too-small', 'There is nothing to see in a picture this small.', 'file');
  return { width, height };
}

function sizeOf(bytes: Uint8Array) {
  try {
    return imageSize(bytes);
  } catch {
    return null;
  }
}
