import { readFileSync } from 'node:fs';
import type { Shot } from '@humble/core';
import { isZip } from '@humble/core';
import { decodedText, importShot, readFilmZip } from '@humble/core/files';
import { reasonOf } from './output';
import { UsageError } from './usageError';

const STANDARD_INPUT = 0;

/** The bytes of a file, or of standard input (“-”). @throws UsageError with a sentence */
export function readBytes(path: string): Buffer {
  try {
    return readFileSync(path === '-' ? STANDARD_INPUT : path);
  } catch (error) {
    throw new UsageError(`${path === '-' ? 'Standard input' : path} cannot be read: ${reasonOf(error)}.`);
  }
}

export interface ReadShot {
  readonly shot: Shot;
  /** By the SHA-256 of their bytes. */
  readonly files: ReadonlyMap<string, Uint8Array>;
  /** What the file could not say, in sentences. */
  readonly notes: readonly string[];
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
    return { shot: shots[0]!, files: new Map([...pictures, ...sounds]), notes: [] };
  }
  const text = decodedText(bytes);
  // What comes without a name says by its beginning what it is.
  const name = path !== '-' ? path : /^\s*\{/.test(text) ? 'input.json' : 'input.csv';
  return { ...importShot({ name, text }), files: new Map() };
}

/** A number that was typed behind an option. @throws UsageError */
export function numberOf(text: string | undefined, option: string, otherwise: number, least = 0): number {
  if (text === undefined) return otherwise;
  const number = Number(text);
  if (text.trim() === '' || !Number.isFinite(number) || number < least)
    throw new UsageError(`--${option} is a number of at least ${least}, and “${text.slice(0, 20)}” is not.`);
  return number;
}
