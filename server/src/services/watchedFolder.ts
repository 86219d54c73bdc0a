import { readFile, stat } from 'node:fs/promises';
import { basename } from 'node:path';
import { PICTURE_LIMITS, type Picture } from '@humble/core';
import { watch } from 'chokidar';
import { StartError } from '../database/startError';
import { Problem } from '../http/problem';
import type { PictureService } from './pictureService';

/** What became of a file that was put into the folder, counted from 1. */
export interface WatchedFile {
  readonly number: number;
  readonly name: string;
  /** As it is kept; null where it is none that can be used. */
  readonly picture: Picture | null;
  /** Why not; empty for a picture. */
  readonly sentence: string;
}

export interface WatchedFolder {
  readonly name: string;
  /** What came after a number; the last number of all is that of the last of them. */
  readonly filesAfter: (number: number) => readonly WatchedFile[];
  readonly close: () => Promise<void>;
}

/** A file is whole when it has not grown for so long, milliseconds: programs write pictures bit by bit. */
const WHOLE_AFTER_MS = 700;
const LOOKS_EVERY_MS = 150;
/** Of a long day only so many are remembered. */
const MAX_REMEMBERED = 10_000;

async function keep(path: string, pictures: PictureService): Promise<Omit<WatchedFile, 'number'>> {
  const name = basename(path);
  try {
    const { size } = await stat(path);
    if (size > PICTURE_LIMITS.bytes)
      return { name, picture: null, sentence: `It is larger than ${PICTURE_LIMITS.bytes / 1e6} MB.` };
    const { note: _, ...picture } = await pictures.keep(await readFile(path), name.slice(0, 120));
    return { name, picture, sentence: '' };
  } catch (error) {
    const problem = error instanceof Problem ? error : null;
    return { name, picture: null, sentence: problem?.message ?? 'It cannot be read.' };
  }
}

/**
 * Watches a folder into which a program beside a camera writes its pictures. What is there already is left alone; each
 * new file is kept when all of it is there, in the order in which they came.
 * @throws StartError when there is no such folder
 */
export async function watchFolder(folder: string, pictures: PictureService): Promise<WatchedFolder> {
  const found = await stat(folder).catch(() => null);
  if (!found?.isDirectory())
    throw new StartError(`--pictures-from names “${folder}”, and there is no such folder.`);
  const files: WatchedFile[] = [];
  let last = 0;
  let queue: Promise<void> = Promise.resolve();
  const watcher = watch(folder, {
    depth: 0,
    ignoreInitial: true,
    ignored: (path) => path !== folder && basename(path).startsWith('.'),
    awaitWriteFinish: { stabilityThreshold: WHOLE_AFTER_MS, pollInterval: LOOKS_EVERY_MS },
  });
  watcher.on('add', (path) => {
    queue = queue.then(async () => {
      const kept = await keep(path, pictures);
      files.push({ number: ++last, ...kept });
      if (files.length > MAX_REMEMBERED) files.shift();
    });
  });
  await new Promise<void>((resolve) => watcher.once('ready', () => resolve()));
  return {
    name: basename(folder),
    filesAfter: (number) => files.filter((file) => file.number > number),
    close: async () => {
      await watcher.close();
      await queue;
    },
  };
}
