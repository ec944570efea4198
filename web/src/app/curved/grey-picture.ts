import type { GreyPicture } from '@yellow-pane/core/squaring';

/**
 * A picture in grey, its longer side no longer than so many pixels.
 * @throws what the browser says when it cannot read the file
 */
export async function greyOf(file: Blob, longest_px: number): Promise<GreyPicture> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, longest_px / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (context === null) throw new Error('no canvas');
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const { data } = context.getImageData(0, 0, width, height);
  const grey = new Uint8ClampedArray(width * height);
  for (let at = 0; at < grey.length; at += 1)
    grey[at] =
      0.299 * (data[4 * at] ?? 0) + 0.587 * (data[4 * at + 1] ?? 0) + 0.114 * (data[4 * at + 2] ?? 0);
  return { width, height, grey };
}
