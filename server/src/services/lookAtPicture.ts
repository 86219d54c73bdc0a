import { PICTURE_TYPES, ShotError } from '@humble/core';
import { checkSvgPicture } from '@humble/core/svg';
import fileType from 'file-type';
import { imageSize } from 'image-size';

export type PictureType = (typeof PICTURE_TYPES)[number];

/** What a picture turned out to be. */
export interface SeenPicture {
  readonly type: PictureType;
  readonly width: number;
  readonly height: number;
}

/** The most pixels a picture may have. Browsers on a tablet give up on more. */
const MOST_PIXELS = 40_000_000;
/** An SVG is text; a longer one is not drawn smoothly. */
const LONGEST_SVG = 8_000_000;

const refuse = (sentence: string): never => {
  throw new ShotError('invalid-picture', sentence);
};

/** The last bytes in which a JPEG says that it is finished; some cameras write more after it. */
const JPEG_TAIL = 65_536;

/** True when a file of this type has its end. */
function isWhole(bytes: Buffer, type: PictureType): boolean {
  if (type === 'image/png') return bytes.subarray(-32).includes('IEND');
  if (type === 'image/jpeg') return bytes.subarray(-JPEG_TAIL).includes(Buffer.from([0xff, 0xd9]));
  return bytes.length >= bytes.readUInt32LE(4) + 8;
}

function sizeOf(bytes: Buffer): { width: number; height: number } {
  try {
    const { width, height, orientation } = imageSize(bytes);
    // A camera held upright says so instead of turning the picture; browsers turn it.
    return orientation !== undefined && orientation >= 5
      ? { width: height, height: width }
      : { width, height };
  } catch {
    return refuse('This picture is damaged: it does not say how large it is.');
  }
}

const looksLikeText = (bytes: Buffer): boolean => !bytes.subarray(0, 512).includes(0);

/**
 * Looks at what a file really is, whatever it was said to be.
 * @throws ShotError `invalid-picture` with a sentence
 */
export async function lookAtPicture(bytes: Buffer): Promise<SeenPicture> {
  const found = await fileType.fromBuffer(bytes);
  const type = PICTURE_TYPES.find((known) => known === found?.mime);
  if (!type || type === 'image/svg+xml') {
    const isText = (!found || found.mime === 'application/xml') && looksLikeText(bytes);
    if (!isText || !/<(\w+:)?svg[\s>]/.test(bytes.subarray(0, 100_000).toString('utf8')))
      return refuse('This is no PNG, JPEG, WebP or SVG.');
    if (bytes.length > LONGEST_SVG) return refuse('This SVG is larger than 8 MB.');
    return { type: 'image/svg+xml', ...checkSvgPicture(bytes.toString('utf8')) };
  }
  const size = sizeOf(bytes);
  if (!isWhole(bytes, type)) return refuse('This picture breaks off: the file is not whole.');
  if (size.width * size.height > MOST_PIXELS)
    return refuse(
      `This picture has ${Math.round((size.width * size.height) / 1e6)} megapixels; 40 are the most. Save it smaller.`,
    );
  return { type, ...size };
}
