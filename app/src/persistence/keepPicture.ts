import { Refusal } from '../ui/refusal';
import { persistenceWords as words } from '../words/persistence';
import { type Picture, PICTURE_LIMITS } from '@humble/core';
import { MAX_FILE_NAME_LENGTH } from './api';
import { keepFile } from './keepFile';

const TYPES: Readonly<Record<string, string>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  svg: 'image/svg+xml',
};

const typeOf = ({ name, type }: File): string =>
  type || (TYPES[name.split('.').pop()?.toLowerCase() ?? ''] ?? 'application/octet-stream');

export interface BroughtPicture {
  readonly picture: Picture;
  readonly note: string;
}

/**
 * Brings a picture to the server, which looks at it and keeps it.
 * @throws Refusal with a sentence that names the file
 */
export async function keepPicture(file: File, signal: AbortSignal): Promise<BroughtPicture> {
  if (file.size > PICTURE_LIMITS.bytes)
    throw new Refusal(words.isLargerThan(file.name, PICTURE_LIMITS.bytes));
  const { note = '', ...picture } = await keepFile<Picture & { readonly note?: string }>({
    to: 'keepPicture',
    file,
    type: typeOf(file),
    signal,
  });
  return { picture: { ...picture, name: file.name.slice(0, MAX_FILE_NAME_LENGTH) }, note };
}
