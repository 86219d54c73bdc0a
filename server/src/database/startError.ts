import { dirname } from 'node:path';

/** A reason for which the server cannot start; the message is a sentence with a way out. */
export class StartError extends Error {
  /** @param why said where the sentence is not the one that is wanted */
  constructor(
    sentence: string,
    readonly why?: 'newer' | 'foreign',
  ) {
    super(sentence);
    this.name = 'StartError';
  }
}

export interface GoodCopy {
  readonly file: string;
  readonly day: string;
  /** What has changed since then, as a sentence. */
  readonly lost: string;
}

/** What can be done about a database that cannot be read any more. */
const wayOut = (file: string, copy: GoodCopy | null): string =>
  copy
    ? `Its last good copy is of ${copy.day}: ${copy.file}. ${copy.lost} To go on with that copy: npx humble-pendulum restore --last-copy --data ${dirname(file)} (the damaged file is set aside).`
    : 'Put a copy in its place, or move it away to start with an empty one.';

const SENTENCES: Readonly<Record<string, (path: string, copy: GoodCopy | null) => string>> = {
  SQLITE_NOTADB: (file, copy) => `${file} is not a database. ${wayOut(file, copy)}`,
  SQLITE_CORRUPT: (file, copy) => `${file} is damaged. ${wayOut(file, copy)}`,
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
export function asStartError(error: unknown, path: string, copy: GoodCopy | null = null): unknown {
  const code = errorCode(error);
  const sentence = code === null ? undefined : SENTENCES[code];
  return sentence ? new StartError(sentence(path, copy)) : error;
}
