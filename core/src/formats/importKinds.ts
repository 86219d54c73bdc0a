/** Files that can be read as a shot: known before anything that reads them is loaded. */
export interface ImportKind {
  readonly label: string;
  readonly extensions: readonly string[];
  readonly mimeType: string;
}

export const IMPORT_KINDS = {
  shot: { label: 'a shot file', extensions: ['.json'], mimeType: 'application/json' },
  increments: {
    label: 'a table of increments',
    extensions: ['.csv', '.tsv', '.txt'],
    mimeType: 'text/csv',
  },
} as const satisfies Readonly<Record<string, ImportKind>>;

export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;
