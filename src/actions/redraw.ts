import sharp from 'sharp';

const LONGEST = 1600;
const MOST_PIXELS = 60_000_000;
const KINDS = ['jpeg', 'png', 'webp'];

/**
 * A photograph decoded whole and written anew as JPEG, upright and within bounds; what the camera wrote beside it (place,
 * camera, time) is gone. Null when it is not a whole picture of a kind that is taken.
 */
export async function redraw(bytes: Uint8Array): Promise<Uint8Array | null> {
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'truncated', animated: false });
    const { format } = await picture.metadata();
    if (!format || !KINDS.includes(format)) return null;
    return await picture
      .rotate()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 85 })
      .toBuffer();
  } catch {
    return null;
  }
}
