import { fileStem } from '@humble/core';
import type { SavedFileKind } from './savedFiles';
import { createExternalStore } from '../ui/externalStore';
import { saveFile } from '../ui/files';

/** The name of the file that was saved last, on this page; null before the first. */
export const lastSaved = createExternalStore<string | null>(null);

/** A file that was saved, to be shared as well. */
export interface SavedFile {
  readonly name: string;
  readonly content: string | Uint8Array;
  readonly mimeType: string;
}

/** Saves a file under the name of a shot or film. @throws Refusal where the device saves none */
export function saveAs(
  name: string,
  { ending, mimeType }: SavedFileKind,
  content: string | Uint8Array,
): SavedFile {
  const saved = { name: `${fileStem(name)}${ending}`, content, mimeType };
  saveFile(saved.name, content, mimeType);
  lastSaved.set(saved.name);
  return saved;
}
