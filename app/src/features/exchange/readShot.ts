import type { Shot } from '@humble/core';
import { fileFormats } from '../../commands/fileFormats';
import type { PickedFile } from '../../ui/files';

/** Rate of a shot made from a table, which has none of its own, frames per second. */
const TABLE_RATE = 24;

/** A file name without its folder and ending, fit for a shot's name. */
export const titleOf = (fileName: string): string =>
  fileName
    .replace(/\.[^.]*$/, '')
    .slice(0, 120)
    .trim() || 'Imported shot';

/** A shot from a file: an open shot file, or a table of increments. Rejects with an error whose message is a sentence. */
export async function readShot({ name, text }: PickedFile): Promise<Shot> {
  const { readIncrementsCsv, readShotFile, shotFromIncrements } = await fileFormats();
  const looksLikeJson = /^\uFEFF?\s*[{[]/.test(text) || /\.json$/i.test(name);
  return looksLikeJson
    ? readShotFile(text)
    : shotFromIncrements(readIncrementsCsv(text), titleOf(name), TABLE_RATE);
}

/** A file name from a shot's name: letters, digits and hyphens. */
export const fileNameOf = (shotName: string, ending: string): string =>
  `${
    shotName
      .normalize('NFKD')
      .replace(/[\u0300-\u036f]/g, '')
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .toLowerCase() || 'shot'
  }${ending}`;
