import { mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { UsageError } from './usageError';

const REASONS: Readonly<Record<string, string>> = {
  ENOENT: 'there is no such file',
  EISDIR: 'it is a folder',
  ENOTDIR: 'what it should lie in is no folder',
  ENOSPC: 'the disk is full',
  EFBIG: 'it is larger than a file may be here',
  EACCES: 'that is not allowed here',
  EPERM: 'that is not allowed here',
};

/** Why a file cannot be read or written, in words. */
export function reasonOf(error: unknown): string {
  const { code } = error as NodeJS.ErrnoException;
  return REASONS[code ?? ''] ?? String(code);
}

/** Files that are written together. */
export interface FilesTogether {
  /** Writes one beside its place. Its folder is made. @throws UsageError with a sentence */
  readonly add: (path: string, content: string | Uint8Array) => void;
  /** Puts all of them in their places. @throws UsageError with a sentence */
  readonly finish: () => void;
  /** Takes away all that was written, and folders that were made for it. */
  readonly giveUp: () => void;
}

/** Files that come into being all together, or not at all: until then each lies beside its place as a half one. */
export function filesTogether(): FilesTogether {
  const halves = new Map<string, string>();
  const folders: string[] = [];
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
    finish: () => {
      for (const [path, half] of halves) guarded(path, () => renameSync(half, path));
    },
    giveUp,
  };
}

/** Writes a file as a whole, or not at all. @throws UsageError with a sentence */
export function writeWhole(path: string, content: string | Uint8Array): void {
  const files = filesTogether();
  files.add(path, content);
  files.finish();
}
