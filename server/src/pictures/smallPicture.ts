import sharp from 'sharp';

/** The width of a small picture, pixels: wide enough for a phone's field. */
export const SMALL_WIDTH_PX = 480;
const JPEG_QUALITY = 82;

/** A picture as a loop of many shows it: a JPEG no wider than a phone's field, on white where it is clear. */
export const smallPicture = (bytes: Buffer): Promise<Buffer> =>
  sharp(bytes, { failOn: 'none', pages: 1 })
    .rotate()
    .resize({ width: SMALL_WIDTH_PX, withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: JPEG_QUALITY })
    .toBuffer();
