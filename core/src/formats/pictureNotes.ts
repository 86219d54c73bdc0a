import type { Picture } from '../model/schema';

/**
 * What a camera or a program notes in a picture besides what is to be seen: where and when it was taken, with what, by
 * whom. How the picture is turned and its colour profile belong to what is seen, and stay.
 */

const ORIENTATION_TAG = 0x0112;
const UPRIGHT = 1;

const textAt = (bytes: Uint8Array, at: number, length: number): string =>
  String.fromCharCode(...bytes.subarray(at, at + length));

const viewOf = (bytes: Uint8Array): DataView =>
  new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}

/** How a picture is turned, 1 to 8, from its TIFF block (EXIF 2.32, 4.6.4); upright where that does not say. */
function orientationIn(tiff: Uint8Array): number {
  if (tiff.length < 14) return UPRIGHT;
  const view = viewOf(tiff);
  const isLittle = textAt(tiff, 0, 2) === 'II';
  const first = view.getUint32(4, isLittle);
  if (first + 2 > tiff.length) return UPRIGHT;
  const count = view.getUint16(first, isLittle);
  for (let i = 0; i < count; i++) {
    const entry = first + 2 + 12 * i;
    if (entry + 12 > tiff.length) break;
    if (view.getUint16(entry, isLittle) !== ORIENTATION_TAG) continue;
    const value = view.getUint16(entry + 8, isLittle);
    return value >= 1 && value <= 8 ? value : UPRIGHT;
  }
  return UPRIGHT;
}

function tiffWith(orientation: number): Uint8Array {
  const tiff = new Uint8Array(26);
  const view = viewOf(tiff);
  tiff.set([0x49, 0x49, 42, 0], 0);
  view.setUint32(4, 8, true);
  view.setUint16(8, 1, true);
  view.setUint16(10, ORIENTATION_TAG, true);
  view.setUint16(12, 3, true);
  view.setUint32(14, 1, true);
  view.setUint16(18, orientation, true);
  return tiff;
}

const EXIF = 'Exif\0\0';
const bytesOf = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0));

const isStandalone = (marker: number): boolean => marker === 0x01 || (marker >= 0xd0 && marker <= 0xd8);
const SOS = 0xda;
const EOI = 0xd9;
const COMMENT = 0xfe;
const isApplication = (marker: number): boolean => marker >= 0xe0 && marker <= 0xef;

const isNeeded = (marker: number, data: Uint8Array): boolean =>
  (marker === 0xe0 && textAt(data, 0, 4) === 'JFIF') ||
  (marker === 0xe2 && textAt(data, 0, 11) === 'ICC_PROFILE') ||
  (marker === 0xee && textAt(data, 0, 5) === 'Adobe');

/** A JPEG without notes (ITU T.81, annex B); null where it is none, or breaks off. */
function plainJpeg(bytes: Uint8Array): Uint8Array | null {
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return null;
  const pieces: Uint8Array[] = [bytes.subarray(0, 2)];
  let orientation = UPRIGHT;
  let at = 2;
  while (at + 1 < bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1]!;
    if (marker === 0xff) {
      at++;
      continue;
    }
    if (marker === EOI) {
      pieces.push(bytes.subarray(at, at + 2));
      const turned = orientation === UPRIGHT ? [] : [jpegExif(orientation)];
      return joined([pieces[0]!, ...turned, ...pieces.slice(1)]);
    }
    if (isStandalone(marker)) {
      pieces.push(bytes.subarray(at, at + 2));
      at += 2;
      continue;
    }
    if (at + 4 > bytes.length) return null;
    let end = at + 2 + ((bytes[at + 2]! << 8) | bytes[at + 3]!);
    const data = bytes.subarray(at + 4, end);
    if (marker === 0xe1 && textAt(data, 0, 6) === EXIF) orientation = orientationIn(data.subarray(6));
    // After the head of a scan come its coded pixels, to the next marker that is not one of theirs.
    if (marker === SOS)
      while (end + 1 < bytes.length) {
        const next = bytes[end + 1]!;
        if (bytes[end] === 0xff && next !== 0 && !(next >= 0xd0 && next <= 0xd7)) break;
        end++;
      }
    const isNote = marker === COMMENT || (isApplication(marker) && !isNeeded(marker, data));
    if (!isNote) pieces.push(bytes.subarray(at, end));
    at = end;
  }
  return null;
}

function jpegExif(orientation: number): Uint8Array {
  const data = joined([bytesOf(EXIF), tiffWith(orientation)]);
  return joined([Uint8Array.of(0xff, 0xe1, (data.length + 2) >> 8, (data.length + 2) & 0xff), data]);
}

const PNG_SIGNATURE = 8;
/** Length, name and checksum of a chunk, around its data. */
const AROUND_DATA = 12;
const PNG_CHUNKS: ReadonlySet<string> = new Set(
  'IHDR PLTE IDAT IEND tRNS cHRM gAMA iCCP sBIT sRGB cICP mDCV cLLI bKGD pHYs acTL fcTL fdAT'.split(' '),
);

const CRC = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c;
});

/** The checksum of a PNG's chunk (ISO 15948, annex D). */
function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) crc = CRC[(crc ^ byte) & 0xff]! ^ (crc >>> 8);
  return (crc ^ 0xffffffff) >>> 0;
}

function pngChunk(name: string, data: Uint8Array): Uint8Array {
  const body = joined([bytesOf(name), data]);
  const chunk = new Uint8Array(AROUND_DATA + data.length);
  const view = viewOf(chunk);
  view.setUint32(0, data.length);
  chunk.set(body, 4);
  view.setUint32(8 + data.length, crc32(body));
  return chunk;
}

/** A PNG without notes (ISO 15948); null where it is none, or breaks off. */
function plainPng(bytes: Uint8Array): Uint8Array | null {
  if (textAt(bytes, 1, 3) !== 'PNG') return null;
  const view = viewOf(bytes);
  const pieces: Uint8Array[] = [bytes.subarray(0, PNG_SIGNATURE)];
  let at = PNG_SIGNATURE;
  while (at + AROUND_DATA <= bytes.length) {
    const length = view.getUint32(at);
    const end = at + AROUND_DATA + length;
    if (end > bytes.length) return null;
    const name = textAt(bytes, at + 4, 4);
    if (name === 'eXIf') {
      const orientation = orientationIn(bytes.subarray(at + 8, at + 8 + length));
      if (orientation !== UPRIGHT) pieces.push(pngChunk('eXIf', tiffWith(orientation)));
    } else if (PNG_CHUNKS.has(name)) pieces.push(bytes.subarray(at, end));
    if (name === 'IEND') return joined(pieces);
    at = end;
  }
  return null;
}

const WEBP_HEAD = 12;
const WEBP_CHUNKS: ReadonlySet<string> = new Set(['VP8X', 'VP8 ', 'VP8L', 'ALPH', 'ANIM', 'ANMF', 'ICCP']);
const WEBP_EXIF = 0x08;
const WEBP_XMP = 0x04;

function webpChunk(name: string, data: Uint8Array): Uint8Array {
  const size = new Uint8Array(4);
  viewOf(size).setUint32(0, data.length, true);
  return joined([bytesOf(name), size, data, new Uint8Array(data.length % 2)]);
}

/** A WebP without notes (RFC 9649); null where it is none, or breaks off. */
function plainWebp(bytes: Uint8Array): Uint8Array | null {
  if (textAt(bytes, 0, 4) !== 'RIFF' || textAt(bytes, 8, 4) !== 'WEBP') return null;
  const view = viewOf(bytes);
  const pieces: Uint8Array[] = [];
  let orientation = UPRIGHT;
  const until = Math.min(bytes.length, 8 + view.getUint32(4, true));
  let at = WEBP_HEAD;
  while (at + 8 <= until) {
    const length = view.getUint32(at + 4, true);
    if (at + 8 + length > bytes.length) return null;
    const name = textAt(bytes, at, 4);
    const data = bytes.subarray(at + 8, at + 8 + length);
    if (name === 'EXIF') {
      const tiff = textAt(data, 0, 6) === EXIF ? data.subarray(6) : data;
      orientation = orientationIn(tiff);
    } else if (WEBP_CHUNKS.has(name)) pieces.push(webpChunk(name, data));
    at += 8 + length + (length % 2);
  }
  const [head] = pieces;
  if (!head) return null;
  const isTurned = orientation !== UPRIGHT && textAt(head, 0, 4) === 'VP8X';
  if (textAt(head, 0, 4) === 'VP8X')
    head[8] = (head[8]! & ~(WEBP_EXIF | WEBP_XMP)) | (isTurned ? WEBP_EXIF : 0);
  if (isTurned) pieces.push(webpChunk('EXIF', tiffWith(orientation)));
  const body = joined([bytesOf('WEBP'), ...pieces]);
  const size = new Uint8Array(4);
  viewOf(size).setUint32(0, body.length, true);
  return joined([bytesOf('RIFF'), size, body]);
}

const isSame = (a: Uint8Array, b: Uint8Array): boolean =>
  a.length === b.length && a.every((byte, i) => byte === b[i]);

const PLAIN: Readonly<Record<Picture['type'], ((bytes: Uint8Array) => Uint8Array | null) | null>> = {
  'image/jpeg': plainJpeg,
  'image/png': plainPng,
  'image/webp': plainWebp,
  // What lies in a drawing is looked at by itself.
  'image/svg+xml': null,
};

/**
 * A picture without what is not needed to show it: place, time, device, author, remarks, previews, and whatever is
 * appended to it. Its pixels, how it is turned and its colours stay as they are.
 * @returns the very bytes where there is nothing of the kind; null where the file cannot be followed to its end
 */
export function withoutPictureNotes(bytes: Uint8Array, type: Picture['type']): Uint8Array | null {
  const plain = PLAIN[type];
  if (!plain) return bytes;
  const kept = plain(bytes);
  return kept && isSame(kept, bytes) ? bytes : kept;
}

const INLINE = /data:image\/(png|jpeg|webp);base64,([A-Za-z0-9+/=\s]+)/gi;

/** The same for the pictures that are written out in a drawing. @returns the very text where there is nothing of the kind */
export const withoutNotesInDrawing = (svg: string): string =>
  svg.replace(INLINE, (whole, kind: string, base64: string) => {
    let bytes: Uint8Array;
    try {
      bytes = bytesOf(atob(base64.replace(/\s/g, '')));
    } catch {
      return whole;
    }
    const kept = withoutPictureNotes(bytes, `image/${kind.toLowerCase()}` as Picture['type']);
    if (!kept || kept === bytes) return whole;
    const pieces: string[] = [];
    for (let at = 0; at < kept.length; at += 0x8000)
      pieces.push(String.fromCharCode(...kept.subarray(at, at + 0x8000)));
    return `data:image/${kind.toLowerCase()};base64,${btoa(pieces.join(''))}`;
  });
