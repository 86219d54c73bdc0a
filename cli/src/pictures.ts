import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Shot } from '@humble/core';
import { picturesOf, type ShotsAndFiles, withoutNotesOfCameras } from '@humble/core/files';
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

/** What is in a folder, and before that what came with the shot itself. @throws UsageError */
export const filesWith = (
  own: ReadonlyMap<string, Uint8Array>,
  ...folders: readonly (string | undefined)[]
): ReadonlyMap<string, Uint8Array> =>
  new Map([...folders.flatMap((folder) => [...filesBySha(folder)]), ...own]);

/** Shots with their files as they are given away: pictures without what a camera had noted in them. */
export const shotsToGive = (
  shots: readonly Shot[],
  files: ReadonlyMap<string, Uint8Array>,
): Promise<ShotsAndFiles> =>
  withoutNotesOfCameras({ shots, files }, (bytes) => createHash('sha256').update(bytes).digest('hex'));

/** Says how many pictures of a shot are not there; nothing where all are. */
export function missingNote(shot: Shot, files: ReadonlyMap<string, Uint8Array>): string | undefined {
  const missing = picturesOf([shot]).filter(({ sha256 }) => !files.has(sha256)).length;
  if (missing === 0) return undefined;
  const what = missing === 1 ? '1 picture is' : `${missing} pictures are`;
  return `${what} not in the folder of --pictures: figures are outlines, and a backdrop is left out.`;
}
