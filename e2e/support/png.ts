import { deflateSync } from 'node:zlib';

function crcOf(body: Buffer): number {
  let crc = 0xffffffff;
  for (const byte of body) {
    crc ^= byte;
    for (let k = 0; k < 8; k++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}

function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name), data]);
  const out = Buffer.alloc(body.length + 8);
  out.writeUInt32BE(data.length, 0);
  body.copy(out, 4);
  out.writeUInt32BE(crcOf(body), body.length + 4);
  return out;
}

const GREY = 0;
const RGBA = 6;

/** @param rows each begins with the number of its filter; 0 is none */
function pngOf(width: number, height: number, colourType: number, rows: Buffer): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, colourType, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from('89504e470d0a1a0a', 'hex'),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** A black picture. */
export const png = (width: number, height: number): Buffer =>
  pngOf(width, height, GREY, Buffer.alloc((width + 1) * height));

/** A picture in greys. @param levelAt 0 is black, 255 white */
export function pngInGreys(width: number, height: number, levelAt: (x: number, y: number) => number): Buffer {
  const rows = Buffer.alloc((width + 1) * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      rows[y * (width + 1) + 1 + x] = Math.min(255, Math.max(0, Math.round(levelAt(x, y))));
  return pngOf(width, height, GREY, rows);
}

/** A picture of which a box is seen, in one colour; the rest lets through. */
export function pngWithBox(
  width: number,
  height: number,
  box: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number },
  [red, green, blue]: readonly [number, number, number] = [180, 90, 40],
): Buffer {
  const rows = Buffer.alloc((4 * width + 1) * height);
  for (let y = box.top; y < box.bottom; y++)
    for (let x = box.left; x < box.right; x++)
      rows.set([red, green, blue, 255], y * (4 * width + 1) + 1 + 4 * x);
  return pngOf(width, height, RGBA, rows);
}

/** A file as a chooser takes it. */
export const pngFile = (name: string, buffer: Buffer, mimeType = 'image/png') => ({ name, buffer, mimeType });
