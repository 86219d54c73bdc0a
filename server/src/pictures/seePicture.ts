import { PICTURE_TYPES, ShotError, sizeFault } from '@humble/core';
import { fileTypeFromBuffer } from 'file-type';
import type { PictureType, SeenPicture } from '../threads/pictureTasks';
import { seeDrawing } from './seeDrawing';
import { seeRaster } from './seeRaster';

/** An SVG is text; a longer one is not drawn smoothly. */
const MAX_SVG_LENGTH = 8_000_000;

const refuse = (sentence: string): never => {
  throw new ShotError('invalid-picture', sentence);
};

const looksLikeText = (bytes: Buffer): boolean => !bytes.subarray(0, 512).includes(0);

async function typeOf(bytes: Buffer): Promise<PictureType> {
  // It throws on some files that break off; they are none that it knows.
  const found = await fileTypeFromBuffer(bytes).catch(() => undefined);
  // A PNG that moves has a type of its own.
  const mime = found?.mime === 'image/apng' ? 'image/png' : found?.mime;
  const type = PICTURE_TYPES.find((known) => known === mime);
  if (type && type !== 'image/svg+xml') return type;
  const isText = (!found || found.mime === 'application/xml') && looksLikeText(bytes);
  if (isText && /<(\w+:)?svg[\s>]/.test(bytes.subarray(0, 100_000).toString('utf8'))) return 'image/svg+xml';
  return refuse('This is no PNG, JPEG, WebP or SVG.');
}

/**
 * Looks at what a file really is, whatever it was said to be, and at whether all of it is there. What is
 * accepted can be used in a shot: the limits are those of the shot's own schema.
 * @throws ShotError `invalid-picture` with a sentence
 */
export async function seePicture(bytes: Buffer): Promise<SeenPicture> {
  try {
    return await look(bytes);
  } catch (error) {
    if (error instanceof ShotError) throw error;
    // Whatever a picture makes a reader stumble over, it is the picture that is refused.
    throw new ShotError(
      'invalid-picture',
      'This picture cannot be read. Save it again in another program, or as PNG.',
      { cause: error },
    );
  }
}

async function look(bytes: Buffer): Promise<SeenPicture> {
  const type = await typeOf(bytes);
  if (type === 'image/svg+xml' && bytes.length > MAX_SVG_LENGTH)
    return refuse('This SVG is larger than 8 MB.');
  const seen =
    type === 'image/svg+xml' ? await seeDrawing(bytes.toString('utf8')) : await seeRaster(bytes, type);
  const fault = sizeFault(seen);
  if (fault) return refuse(fault);
  return seen;
}
