import type { Picture } from '@humble/core';
import { pictureAddress } from './pictures';

export type Bitmaps = ReadonlyMap<string, ImageBitmap>;

/** A drawing has any size: it is made as large as it may be seen, and no larger than this, pixels. */
const MAX_SIDE = 4096;

async function bitmapOf(
  { sha256, type, width, height }: Picture,
  scale: number,
): Promise<ImageBitmap | null> {
  const image = new Image();
  image.src = pictureAddress(sha256);
  try {
    await image.decode();
  } catch {
    return null;
  }
  const isDrawing = type === 'image/svg+xml';
  const most = MAX_SIDE / Math.max(width, height);
  const k = isDrawing ? Math.min(most, Math.max(1, scale)) : 1;
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(width * k)), Math.max(1, Math.round(height * k)));
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas.transferToImageBitmap();
}

/**
 * Fetches pictures to be drawn with. One that is not there is left out: its outline is drawn.
 * @param scale how much larger than in their own units drawings may be seen
 */
export async function bitmapsOf(pictures: readonly Picture[], scale: number): Promise<Bitmaps> {
  const found = new Map<string, ImageBitmap>();
  for (const picture of pictures) {
    const bitmap = await bitmapOf(picture, scale);
    if (bitmap) found.set(picture.sha256, bitmap);
  }
  return found;
}
