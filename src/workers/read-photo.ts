import { palette, type PaletteColour } from '@/core/colour/palette';
import { CoreError } from '@/core/notes';
import { checkPhoto, HEAD_BYTES } from '@/core/photo/check-photo';

export interface ReadPhoto {
  /** The picture drawn anew: upright, at most 1400 px, without anything the camera wrote beside it. */
  blob: Blob;
  width: number;
  height: number;
  palette: PaletteColour[];
}

const SHOWN_PX = 1400;
const SAMPLED_PX = 320;

/** The answer, or in words what is wrong with the file; errors do not keep their kind between threads. */
export type PhotoAnswer = { ok: true; value: ReadPhoto } | { ok: false; message: string };

/** Reads a photograph: its size is checked before it is decoded, then it is turned upright and made smaller. */
export async function readPhoto(file: Blob): Promise<PhotoAnswer> {
  try {
    checkPhoto(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()), file.size);
    const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const shown = drawn(image, SHOWN_PX);
    const sampled = drawn(image, SAMPLED_PX);
    image.close();
    const { data } = sampled.getContext('2d')!.getImageData(0, 0, sampled.width, sampled.height);
    return {
      ok: true,
      value: {
        blob: await shown.convertToBlob({ type: 'image/jpeg', quality: 0.9 }),
        width: shown.width,
        height: shown.height,
        palette: palette(data),
      },
    };
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message };
    // The browser's own word for a picture it cannot decode; anything else is a mistake and is thrown on.
    if (error instanceof DOMException)
      return {
        ok: false,
        message: 'This file cannot be read as a photograph: it may be damaged. Pick another.',
      };
    throw error;
  }
}

/** The picture on a canvas of its own, no side longer than `most`. */
function drawn(image: ImageBitmap, most: number): OffscreenCanvas {
  const scale = Math.min(1, most / Math.max(image.width, image.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(image.width * scale)),
    Math.max(1, Math.round(image.height * scale)),
  );
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}
