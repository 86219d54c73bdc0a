import { PICTURE_LIMITS, ShotError, sizeFault } from '@humble/core';
import { withoutPictureNotes } from '@humble/core/files';
import sharp from 'sharp';
import type { PictureType, SeenPicture } from '../threads/pictureTasks';
import { isMoving, stillPng } from './animatedPng';

/** A picture that takes longer to decode is refused, seconds. */
const DECODING_SECONDS = 20;

/** What is said of a photograph that had more in it than is to be seen. */
const NOTES_TAKEN_OUT =
  'What the camera or a program had noted in it (such as place, time and device) was taken out.';

const refuse = (sentence: string): never => {
  throw new ShotError('invalid-picture', sentence);
};

const decoder = (bytes: Buffer) =>
  sharp(bytes, { failOn: 'error', limitInputPixels: PICTURE_LIMITS.pixels, pages: 1 }).timeout({
    seconds: DECODING_SECONDS,
  });

interface Size {
  readonly width: number;
  readonly height: number;
}

async function sizeOf(bytes: Buffer): Promise<Size & { readonly pages: number }> {
  try {
    const head = await sharp(bytes, { limitInputPixels: false, pages: 1 }).metadata();
    const { width = 0, height = 0, pages = 1 } = head;
    // A camera held upright says so instead of turning the picture; browsers turn it.
    const isTurned = head.orientation !== undefined && head.orientation >= 5;
    return isTurned ? { width: height, height: width, pages } : { width, height, pages };
  } catch {
    return refuse('This picture is damaged: it does not say how large it is.');
  }
}

/** Decodes all of a picture, so that one that breaks off is told from a whole one. */
async function decode(bytes: Buffer): Promise<void> {
  try {
    await decoder(bytes)
      .raw({ depth: 'uchar' })
      .resize(16, 16, { fit: 'fill', fastShrinkOnLoad: false })
      .toBuffer();
  } catch {
    refuse('This picture is damaged or breaks off: not all of it can be read.');
  }
}

/**
 * Looks at a PNG, JPEG or WebP by decoding it. One that moves is kept as its first picture.
 * @throws ShotError `invalid-picture`
 */
export async function seeRaster(bytes: Buffer, type: PictureType): Promise<SeenPicture> {
  const { pages, ...size } = await sizeOf(bytes);
  const fault = sizeFault(size);
  if (fault) return refuse(fault);
  await decode(bytes);
  const still = await stillPicture(bytes, type, pages);
  const plain = withoutPictureNotes(still.bytes, type) ?? (await drawnAnew(still.bytes, type));
  const isPlain = plain === still.bytes;
  return {
    type,
    ...size,
    bytes: plain,
    note: [still.note, isPlain ? '' : NOTES_TAKEN_OUT].filter(Boolean).join(' '),
  };
}

/** One that moves as its first picture. */
async function stillPicture(
  bytes: Buffer,
  type: PictureType,
  pages: number,
): Promise<{ readonly bytes: Buffer; readonly note: string }> {
  if (type === 'image/png' && isMoving(bytes))
    return { bytes: stillPng(bytes), note: 'This PNG moves; its first picture is used.' };
  if (type === 'image/webp' && pages > 1)
    return {
      bytes: await decoder(bytes).webp({ lossless: true }).toBuffer(),
      note: 'This WebP moves; its first picture is used.',
    };
  return { bytes, note: '' };
}

/** A picture that decodes, but whose file cannot be followed piece by piece: written anew, without any notes. */
async function drawnAnew(bytes: Buffer, type: PictureType): Promise<Buffer> {
  const upright = decoder(bytes).rotate().keepIccProfile();
  if (type === 'image/jpeg') return upright.jpeg({ quality: 95 }).toBuffer();
  return type === 'image/webp' ? upright.webp({ quality: 95 }).toBuffer() : upright.png().toBuffer();
}
