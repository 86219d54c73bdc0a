import type { Shot } from '@humble/core';
import type { PictureSource } from '@humble/core/files';
import { pictureAddress } from '../persistence/pictures';
import { fileFormats } from './fileFormats';

/** Bytes as a data address, a piece at a time: a call takes only so many arguments. */
function dataAddress(bytes: Uint8Array, type: string): string {
  const PIECE = 0x8000;
  let text = '';
  for (let i = 0; i < bytes.length; i += PIECE) text += String.fromCharCode(...bytes.subarray(i, i + PIECE));
  return `data:${type};base64,${btoa(text)}`;
}

/** The pictures of a shot as data, fetched from the server. One that is not there is left out. */
export async function pictureSourceOf(shot: Shot): Promise<PictureSource> {
  const { picturesOf } = await fileFormats();
  const found = new Map<string, string>();
  for (const { sha256, type } of picturesOf([shot])) {
    const response = await fetch(pictureAddress(sha256)).catch(() => null);
    if (response?.ok) found.set(sha256, dataAddress(new Uint8Array(await response.arrayBuffer()), type));
  }
  return ({ sha256 }) => found.get(sha256) ?? null;
}
