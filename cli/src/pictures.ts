import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Shot } from '@humble/core';
import { type PictureSource, picturesOf } from '@humble/core/files';
import { UsageError } from './usageError';

/** Files of a folder, by the SHA-256 of their bytes. @throws UsageError */
export function filesBySha(folder: string | undefined): ReadonlyMap<string, Uint8Array> {
  if (folder === undefined) return new Map();
  let names: readonly string[];
  try {
    names = readdirSync(folder);
  } catch {
    throw new UsageError(`${folder} is no folder that can be read.`);
  }
  return new Map(
    names
      .map((name) => join(folder, name))
      .filter((path) => statSync(path).isFile())
      .map((path) => {
        const bytes = readFileSync(path);
        return [createHash('sha256').update(bytes).digest('hex'), bytes] as const;
      }),
  );
}

/** The pictures of a shot as data, as far as they are in a folder. */
export function pictureSource(shot: Shot, folder: string | undefined): PictureSource {
  const files = filesBySha(folder);
  const data = new Map<string, string>();
  for (const { sha256, type } of picturesOf([shot])) {
    const bytes = files.get(sha256);
    if (bytes) data.set(sha256, `data:${type};base64,${Buffer.from(bytes).toString('base64')}`);
  }
  return ({ sha256 }) => data.get(sha256) ?? null;
}

/** Says how many pictures of a shot are not there; nothing where all are. */
export function missingNote(shot: Shot, source: PictureSource): string | undefined {
  const missing = picturesOf([shot]).filter((picture) => source(picture) === null).length;
  if (missing === 0) return undefined;
  const what = missing === 1 ? '1 picture is' : `${missing} pictures are`;
  return `${what} not in the folder of --pictures: figures are outlines, and a backdrop is left out.`;
}
