// Outside the web there is no file to offer or to ask for yet; the web target has `files.web.ts`.
export interface PickedFile {
  readonly name: string;
  readonly text: string;
}

export function saveFile(_name: string, _text: string, _type: string): void {
  throw new Error('Files can be saved in the browser only.');
}

export function saveAddress(_address: string): void {
  throw new Error('Files can be saved in the browser only.');
}

export const pickFile = (_accept: string): Promise<PickedFile | null> => Promise.resolve(null);

export const pickPictures = (_accept: string): Promise<readonly File[]> => Promise.resolve([]);
