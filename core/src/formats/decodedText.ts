import { strFromU8 } from 'fflate';

function utf16(bytes: Uint8Array, first: number, high: 0 | 1): string {
  const pieces: string[] = [];
  for (let at = first; at + 1 < bytes.length; at += 2)
    pieces.push(String.fromCharCode((bytes[at + high]! << 8) | bytes[at + 1 - high]!));
  return pieces.join('');
}

/**
 * The text of a file: UTF-8, or UTF-16 as some programs write it, told by its byte-order mark or, in a file that begins
 * with a plain letter, by the zero beside that.
 */
export function decodedText(bytes: Uint8Array): string {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return utf16(bytes, 2, 1);
  if (a === 0xfe && b === 0xff) return utf16(bytes, 2, 0);
  if (bytes.length > 1 && a !== 0 && b === 0) return utf16(bytes, 0, 1);
  if (bytes.length > 1 && a === 0 && b !== 0) return utf16(bytes, 0, 0);
  return strFromU8(bytes).replace(/^\uFEFF/, '');
}
