import type { FirstFrameNumber } from '../model/frameNumbers';
import { MAX_NAME_LENGTH } from '../model/limits';
import { readShotFile } from '../model/openShot';
import { IMPORT_KINDS, type ImportKind } from './importKinds';
import { readIncrementsTable } from './readIncrementsCsv';
import { type ReadShot, shotFromIncrements } from './shotFromIncrements';

const PLAIN_RATE = 24;

export interface TextFile {
  readonly name: string;
  readonly text: string;
  /** From what its writer counted frames; 1 without it. */
  readonly firstNumber?: FirstFrameNumber;
}

/** One way into a shot. A new one is a function that reads it, and an entry in the table. */
export interface Importer extends ImportKind {
  /** Whether a file looks like one of its kind. The first that says so reads it. */
  readonly recognises: (file: TextFile) => boolean;
  readonly read: (file: TextFile) => ReadShot;
}

const titleOf = (fileName: string): string =>
  fileName
    .replace(/^.*[/\\]/, '')
    .replace(/\.[^.]*$/, '')
    .slice(0, MAX_NAME_LENGTH)
    .trim() || 'Imported shot';

/** The ways into a shot, in the order in which they are tried. The last one reads what no other recognises. */
export const IMPORTERS: readonly Importer[] = [
  {
    ...IMPORT_KINDS.shot,
    recognises: ({ name, text }) => /^\uFEFF?\s*[{[]/.test(text) || /\.json$/i.test(name),
    read: ({ text }) => ({ shot: readShotFile(text), notes: [] }),
  },
  {
    ...IMPORT_KINDS.increments,
    recognises: () => true,
    read: ({ name, text, firstNumber }) =>
      shotFromIncrements(readIncrementsTable(text, firstNumber), titleOf(name), PLAIN_RATE),
  },
];

/** A shot from a file of any kind in the table, and what that could not say. @throws ShotError with a sentence */
export const importShot = (file: TextFile): ReadShot =>
  IMPORTERS.find(({ recognises }) => recognises(file))!.read(file);
