import { Refusal } from './refusal';
import { uiWords as words } from '../words/ui';
/** Offers a text or bytes to the user as a file. */
export function saveFile(name: string, content: string | Uint8Array, type: string): void {
  const address = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** Whether the device offers to share such a file: phones do. */
export const canShare = (name: string, type: string): boolean =>
  typeof navigator.canShare === 'function' && navigator.canShare({ files: [new File([], name, { type })] });

/** Hands a file to the device's own sheet for sharing. Whoever thinks better of it has nothing to be told. */
export async function shareFile(name: string, content: Uint8Array, type: string): Promise<void> {
  await navigator.share({ files: [new File([content as BlobPart], name, { type })] }).catch(() => undefined);
}

export function saveAddress(address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = '';
  link.click();
}

export interface PickedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** The largest text that is read, bytes: what the server would take. */
const MAX_TEXT_LENGTH = 8_000_000;

/** Asks for files; none when the user thinks better of it. */
function askForFiles(accept: string, multiple: boolean): Promise<readonly File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.multiple = multiple;
    input.oncancel = () => resolve([]);
    input.onchange = () => resolve([...(input.files ?? [])]);
    input.click();
  });
}

/**
 * Asks for one file. Null when the user thinks better of it.
 * @param mostBytes what it may weigh
 * @throws Refusal with a sentence
 */
export async function pickFile(accept: string, mostBytes = MAX_TEXT_LENGTH): Promise<PickedFile | null> {
  const [file] = await askForFiles(accept, false);
  if (!file) return null;
  if (file.size > mostBytes) throw new Refusal(words.isLargerThanMBThatIs(file.name, mostBytes / 1e6));
  try {
    return { name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) };
  } catch {
    throw new Refusal(words.cannotBeRead(file.name));
  }
}

/** Asks for one file as it is; none when the user thinks better of it. */
export const pickFiles = (accept: string): Promise<readonly File[]> => askForFiles(accept, false);

/** Asks for pictures, in the order of their names. */
export async function pickPictures(accept: string): Promise<readonly File[]> {
  const files = await askForFiles(accept, true);
  return [...files].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
}
