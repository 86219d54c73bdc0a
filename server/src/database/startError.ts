/** A reason for which the server cannot start; the message is a sentence with a way out. */
export class StartError extends Error {
  constructor(sentence: string) {
    super(sentence);
    this.name = 'StartError';
  }
}

const SENTENCES: Readonly<Record<string, (path: string) => string>> = {
  SQLITE_NOTADB: (file) =>
    `${file} is not a database. Put a copy in its place, or move it away to start with an empty one.`,
  SQLITE_CORRUPT: (file) =>
    `${file} is damaged. Put a copy in its place, or move it away to start with an empty one.`,
  SQLITE_BUSY: (file) => `Another program holds ${file}. Close it and start again.`,
  SQLITE_FULL: (file) => `The disk is full: ${file} cannot be written. Make room and start again.`,
  ENOSPC: (path) => `The disk is full: ${path} cannot be written. Make room and start again.`,
};

const unwritable = (path: string): string =>
  `${path} cannot be written. Allow it, or choose another folder with HUMBLE_DATA=…`;
for (const code of [
  'EACCES',
  'EPERM',
  'EROFS',
  'SQLITE_READONLY',
  'SQLITE_CANTOPEN',
  'SQLITE_PERM',
  'SQLITE_IOERR',
])
  Object.assign(SENTENCES, { [code]: unwritable });

export function errorCode(error: unknown): string | null {
  if (typeof error !== 'object' || error === null) return null;
  if ('code' in error && typeof error.code === 'string') return error.code;
  if ('parent' in error) return errorCode(error.parent);
  return 'cause' in error ? errorCode(error.cause) : null;
}

/** The same error as one with a way out, where one is known. */
export function asStartError(error: unknown, path: string): unknown {
  const code = errorCode(error);
  const sentence = code === null ? undefined : SENTENCES[code];
  return sentence ? new StartError(sentence(path)) : error;
}
