import { readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import type { Shot } from '@humble/core';
import { importShot } from '@humble/core/files';
import { UsageError } from './usageError';

const STANDARD_INPUT = 0;

/** Why a file cannot be read or written, in words. */
function reasonOf(error: unknown): string {
  const { code } = error as NodeJS.ErrnoException;
  if (code === 'ENOENT') return 'there is no such file';
  if (code === 'EISDIR') return 'it is a folder';
  if (code === 'ENOSPC') return 'the disk is full';
  if (code === 'EACCES' || code === 'EPERM') return 'that is not allowed here';
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

/** A shot from a file, a table of increments, or standard input. @throws UsageError, ShotError */
export function readShot(path: string): Shot {
  const text = readBytes(path).toString('utf8');
  // What comes without a name says by its beginning what it is.
  const name = path !== '-' ? path : /^\s*\{/.test(text) ? 'input.json' : 'input.csv';
  return importShot({ name, text });
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
