/** Offers a text to the user as a file. */
export function saveFile(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

export interface PickedFile {
  readonly name: string;
  readonly text: string;
}

/** The largest file that is read, bytes: what the server would take. */
const LARGEST_FILE = 8_000_000;

/** Asks for one file. Null when the user thinks better of it. @throws Error with a sentence */
export function pickFile(accept: string): Promise<PickedFile | null> {
  return new Promise((resolve, reject) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.oncancel = () => resolve(null);
    input.onchange = () => {
      const file = input.files?.[0];
      if (!file) return resolve(null);
      if (file.size > LARGEST_FILE)
        return reject(new Error(`“${file.name}” is larger than 8 MB: that is no shot.`));
      file.text().then(
        (text) => resolve({ name: file.name, text }),
        () => reject(new Error(`“${file.name}” cannot be read.`)),
      );
    };
    input.click();
  });
}
