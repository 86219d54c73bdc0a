import { pngOf } from './pngZip';
import type { EncoderOptions, FrameEncoder } from './frameEncoder';

const SIGNATURE_BYTES = 8;

interface Chunk {
  readonly name: string;
  readonly data: Uint8Array;
}

/** The chunks of a PNG (W3C, PNG third edition, 5.3). */
function chunksOf(png: Uint8Array): readonly Chunk[] {
  const view = new DataView(png.buffer, png.byteOffset, png.byteLength);
  const chunks: Chunk[] = [];
  for (let at = SIGNATURE_BYTES; at < png.length;) {
    const length = view.getUint32(at);
    const name = String.fromCharCode(...png.subarray(at + 4, at + 8));
    chunks.push({ name, data: png.subarray(at + 8, at + 8 + length) });
    at += 12 + length;
  }
  return chunks;
}

const CRC_TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c;
});

function crcOf(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) crc = CRC_TABLE[(crc ^ byte) & 0xff]! ^ (crc >>> 8);
  return (crc ^ 0xffffffff) >>> 0;
}

function chunk(name: string, data: Uint8Array): Uint8Array {
  const bytes = new Uint8Array(12 + data.length);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, data.length);
  for (let i = 0; i < 4; i++) bytes[4 + i] = name.charCodeAt(i);
  bytes.set(data, 8);
  view.setUint32(8 + data.length, crcOf(bytes.subarray(4, 8 + data.length)));
  return bytes;
}

/** Numbers one after the other, of 4 bytes, or of 2 (negative lengths are not needed). */
function numbers(...parts: readonly (readonly [value: number, bytes: 1 | 2 | 4])[]): Uint8Array {
  const bytes = new Uint8Array(parts.reduce((sum, [, size]) => sum + size, 0));
  const view = new DataView(bytes.buffer);
  let at = 0;
  for (const [value, size] of parts) {
    if (size === 4) view.setUint32(at, value);
    else if (size === 2) view.setUint16(at, value);
    else view.setUint8(at, value);
    at += size;
  }
  return bytes;
}

/** A delay is a fraction of a second; a rate with decimals is one of thousandths. */
const delayOf = (rate: number): readonly [over: number, under: number] =>
  Number.isInteger(rate) ? [1, rate] : [1000, Math.min(65_535, Math.round(rate * 1000))];

/**
 * A PNG that moves (W3C, PNG third edition, 11.3.2): the browser's own PNG of each frame, taken apart and put together
 * again, so that nothing is compressed twice and no frame is kept unpacked.
 */
export function apng({ width, height, rate, count, loops }: EncoderOptions): FrameEncoder {
  const pieces: Uint8Array[] = [];
  let sequence = 0;
  let isFirst = true;
  const [over, under] = delayOf(rate);
  return {
    add: async (canvas) => {
      const png = await pngOf(canvas);
      const chunks = chunksOf(png);
      if (isFirst) {
        pieces.push(png.slice(0, SIGNATURE_BYTES));
        pieces.push(chunk('IHDR', chunks.find(({ name }) => name === 'IHDR')!.data));
        pieces.push(chunk('acTL', numbers([count, 4], [loops ? 0 : 1, 4])));
      }
      pieces.push(
        chunk(
          'fcTL',
          numbers(
            [sequence++, 4],
            [width, 4],
            [height, 4],
            [0, 4],
            [0, 4],
            [over, 2],
            [under, 2],
            [0, 1],
            [0, 1],
          ),
        ),
      );
      for (const { name, data } of chunks) {
        if (name !== 'IDAT') continue;
        if (isFirst) pieces.push(chunk('IDAT', data));
        else {
          const numbered = new Uint8Array(4 + data.length);
          new DataView(numbered.buffer).setUint32(0, sequence++);
          numbered.set(data, 4);
          pieces.push(chunk('fdAT', numbered));
        }
      }
      isFirst = false;
    },
    finish: async () => {
      pieces.push(chunk('IEND', new Uint8Array(0)));
      return new Uint8Array(await new Blob(pieces as BlobPart[]).arrayBuffer());
    },
  };
}
