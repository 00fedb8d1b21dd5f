import { checkPhoto, HEAD_BYTES } from '@/core/photo/check-photo';

/** Longest side kept, px: enough to see a stain, a pocket or a stitch. */
const LONGEST = 1600;

/**
 * A photograph made smaller and upright, without what the camera wrote beside it.
 * @throws CoreError for a file that is none, or too large to open.
 */
export async function smallerPhotograph(file: File): Promise<Blob> {
  checkPhoto(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()), file.size);
  const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST / Math.max(image.width, image.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(image.width * scale)),
    Math.max(1, Math.round(image.height * scale)),
  );
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
}
