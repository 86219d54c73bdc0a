import { readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import type { Shot } from '@humble/core';
import { importShot, isZip, readFilmZip } from '@humble/core/files';
import { UsageError } from './usageError';

const STANDARD_INPUT = 0;

/** Why a file cannot be read or written, in words. */
function reasonOf(error: unknown): string {
  const { code } = error as NodeJS.ErrnoException;
  if (code === 'ENOENT') return 'there is no such file';
  if (code === 'EISDIR') return 'it is a folder';
  if (code === 'ENOSPC') return 'the disk is full';
  if (code === 'EACCES' || code === 'EPERM') return 'that is not allowed here';
  if (code === 'EFBIG') return 'it is larger than a file may be here';
  if (code === 'ENOTDIR') return 'what it should lie in is no folder';
  return String(code);
}

/** The bytes of a file, or of standard input (“-”). @throws UsageError with a sentence */
export function readBytes(path: string): Buffer {
  try {
    return readFileSync(path === '-' ? STANDARD_INPUT : path);
  } catch (error) {
    throw new UsageError(`${path === '-' ? 'Standard input' : path} cannot be read: ${reasonOf(error)}.`);
  }
}

/** A shot, and the pictures and sounds that came with it. */
export interface ReadShot {
  readonly shot: Shot;
  /** By the SHA-256 of their bytes. */
  readonly files: ReadonlyMap<string, Uint8Array>;
}

/**
 * A shot from a file, a ZIP file with one shot and its pictures, a table of increments, or standard input.
 * @throws UsageError, ShotError
 */
export function readShot(path: string): ReadShot {
  const bytes = readBytes(path);
  if (isZip(bytes)) {
    const { shots, pictures, sounds } = readFilmZip(bytes);
    if (shots.length !== 1)
      throw new UsageError(`${path} is a film of ${shots.length} shots: unpack it, and take one of them.`);
    return { shot: shots[0]!, files: new Map([...pictures, ...sounds]) };
  }
  const text = bytes.toString('utf8');
  // What comes without a name says by its beginning what it is.
  const name = path !== '-' ? path : /^\s*\{/.test(text) ? 'input.json' : 'input.csv';
  return { shot: importShot({ name, text }), files: new Map() };
}

/** Writes a file as a whole, or not at all. @throws UsageError with a sentence */
export function writeWhole(path: string, content: string | Uint8Array): void {
  const half = `${path}.half`;
  try {
    writeFileSync(half, content);
    renameSync(half, path);
  } catch (error) {
    rmSync(half, { force: true });
    throw new UsageError(`${path} cannot be written: ${reasonOf(error)}.`);
  }
}

/** A number that was typed behind an option. @throws UsageError */
export function numberOf(text: string | undefined, option: string, otherwise: number, least = 0): number {
  if (text === undefined) return otherwise;
  const number = Number(text);
  if (text.trim() === '' || !Number.isFinite(number) || number < least)
    throw new UsageError(`--${option} is a number of at least ${least}, and “${text.slice(0, 20)}” is not.`);
  return number;
}
