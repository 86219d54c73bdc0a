import { mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, relative } from 'node:path';
import type { Answer } from './answer';
import { UsageError } from './usageError';

const REASONS: Readonly<Record<string, string>> = {
  ENOENT: 'there is no such file',
  EISDIR: 'it is a folder',
  ENOTDIR: 'what it should lie in is no folder',
  ENOSPC: 'the disk is full',
  EDQUOT: 'the disk is full',
  EFBIG: 'it is larger than a file may be here',
  EROFS: 'nothing can be written there',
  EIO: 'the disk does not answer',
  EACCES: 'that is not allowed here',
  EPERM: 'that is not allowed here',
};

/** Why a file cannot be read or written, in words. */
export function reasonOf(error: unknown): string {
  const { code } = error as NodeJS.ErrnoException;
  return REASONS[code ?? ''] ?? String(code);
}

export interface FilesTogether {
  /** Writes one beside its place. Its folder is made. @throws UsageError with a sentence */
  readonly add: (path: string, content: string | Uint8Array) => void;
  readonly remove: (path: string) => void;
  /** Puts all of them in their places. @returns the folders that were made for them @throws UsageError with a sentence */
  readonly finish: () => readonly string[];
  readonly giveUp: () => void;
}

/** Files that come into being all together, or not at all: until then each lies beside its place as a half one. */
export function filesTogether(): FilesTogether {
  const halves = new Map<string, string>();
  const folders: string[] = [];
  const removed: string[] = [];
  const giveUp = (): void => {
    for (const half of halves.values()) rmSync(half, { force: true });
    for (const folder of folders) rmSync(folder, { recursive: true, force: true });
  };
  const guarded = (path: string, act: () => void): void => {
    try {
      act();
    } catch (error) {
      giveUp();
      throw new UsageError(`${path} cannot be written: ${reasonOf(error)}.`);
    }
  };
  return {
    add: (path, content) =>
      guarded(path, () => {
        const made = mkdirSync(dirname(path), { recursive: true });
        if (made !== undefined) folders.push(made);
        halves.set(path, `${path}.half`);
        writeFileSync(`${path}.half`, content);
      }),
    remove: (path) => void removed.push(path),
    finish: () => {
      for (const [path, half] of halves) guarded(path, () => renameSync(half, path));
      for (const path of removed) rmSync(path, { force: true });
      return folders;
    },
    giveUp,
  };
}

/** Writes a file as a whole, or not at all. @returns the folders that were made for it @throws UsageError with a sentence */
export function writeWhole(path: string, content: string | Uint8Array): readonly string[] {
  const files = filesTogether();
  files.add(path, content);
  return files.finish();
}

/** A path as it is said: from here, where it lies beneath. */
function shortPath(path: string): string {
  const from = relative('.', path);
  return from === '' || from.startsWith('..') ? path : from;
}

/** What is said of folders that were made; nothing where none was. */
export const madeNote = (folders: readonly string[]): string | null =>
  folders.length === 0 ? null : `Made the folder ${folders.map(shortPath).join(', ')}.`;

/** Writes to a stream of the process. Who reads it may have gone: then nobody is left to be told. @throws UsageError */
function write(stream: NodeJS.WriteStream, name: string, content: string | Uint8Array): Promise<void> {
  return new Promise((resolve, reject) => {
    const failed = (error: NodeJS.ErrnoException): void => {
      if (error.code === 'EPIPE') resolve();
      else reject(new UsageError(`${name} cannot be written: ${reasonOf(error)}.`));
    };
    stream.once('error', failed);
    stream.write(content, (error) => {
      if (error) return failed(error);
      stream.off('error', failed);
      resolve();
    });
  });
}

/** A sentence on standard error. Where that is full or closed, nothing can be said. */
export const tell = (sentence: string): Promise<void> =>
  write(process.stderr, 'Standard error', `${sentence}\n`).catch(() => undefined);

/** Puts an answer where it belongs: to a file, or to standard output. @throws UsageError with a sentence */
export async function writeOut({ text, note }: Answer, out: string | undefined): Promise<void> {
  const made = out === undefined || text === '' ? null : madeNote(writeWhole(out, text));
  for (const sentence of [note, made]) if (sentence) await tell(sentence);
  if (out === undefined && text !== '') await write(process.stdout, 'Standard output', text);
}
