import { Refusal } from '../ui/refusal';
import type { DrawingPicture, Picture } from '@humble/core';
import { traceOutline } from '@humble/core/traceOutline';
import { figuresWords as words } from '../words/figures';
import { keepPicture } from './keepPicture';
import { pictureAddress } from './pictures';

/** The longer side of the copy that an outline is traced from, pixels. */
const MASK_PX = 128;

const loaded = (address: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('not drawn'));
    image.src = address;
  });

/** How far each pixel of a small copy of a picture covers what lies beneath it. @throws Error when it cannot be drawn */
async function maskOf({ sha256, width, height }: Picture) {
  const image = await loaded(pictureAddress(sha256));
  const scale = Math.max(1, Math.max(width, height) / MASK_PX);
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width / scale));
  canvas.height = Math.max(1, Math.round(height / scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas');
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  const alpha = new Uint8ClampedArray(canvas.width * canvas.height);
  for (let i = 0; i < alpha.length; i++) alpha[i] = data[4 * i + 3]!;
  return { mask: { width: canvas.width, height: canvas.height, alpha }, scale: width / canvas.width };
}

/**
 * Brings a picture of a figure to the server, and traces its outline.
 * @throws Refusal with a sentence that names the file
 */
export async function keepDrawing(
  file: File,
  signal: AbortSignal,
): Promise<{ kept: DrawingPicture; note: string }> {
  const { picture, note } = await keepPicture(file, signal);
  const { mask, scale } = await maskOf(picture).catch(() => {
    throw new Refusal(words.cannotBeDrawn(picture.name));
  });
  const outline = traceOutline(mask, scale);
  if (!outline) throw new Refusal(words.nothingToBeSeen(picture.name));
  return { kept: { ...picture, outline, frames: 1, planted: null }, note };
}

/**
 * Brings a drawing whose outline is known to the server.
 * @throws Refusal with a sentence that names the file
 */
export async function keepOutlined(
  file: File,
  outline: DrawingPicture['outline'],
  signal: AbortSignal,
): Promise<DrawingPicture> {
  const { picture } = await keepPicture(file, signal);
  return { ...picture, outline, frames: 1, planted: null };
}
