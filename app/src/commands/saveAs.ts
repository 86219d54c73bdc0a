import { fileStem } from '@humble/core';
import type { SavedFileKind } from './savedFiles';
import { saveFile } from '../ui/files';

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
  return saved;
}
