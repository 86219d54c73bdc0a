import { Refusal } from './refusal';
import { uiWords as words } from '../words/ui';
// Outside the web there is no file to offer or to ask for yet; the web target has `files.web.ts`.
export interface PickedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

export function saveFile(_name: string, _content: string | Uint8Array, _type: string): void {
  throw new Refusal(words.filesCanBeSavedInThe);
}

export function saveAddress(_address: string): void {
  throw new Refusal(words.filesCanBeSavedInThe);
}

/** Whether the device offers to share such a file. */
export const canShare = (_name: string, _type: string): boolean => false;

export const shareFile = (_name: string, _content: Uint8Array, _type: string): Promise<void> =>
  Promise.resolve();

export const pickFile = (_accept: string, _mostBytes?: number): Promise<PickedFile | null> =>
  Promise.resolve(null);

export const pickFiles = (_accept: string): Promise<readonly File[]> => Promise.resolve([]);

export const pickPictures = (accept: string): Promise<readonly File[]> => pickFiles(accept);
