import { createReadStream, createWriteStream } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { type Entry, open, type ZipFile } from 'yauzl';
import { openSqlite } from '../database/plainSqlite';
import { ABOUT_ENTRY, aboutSchema, DATABASE_ENTRY } from './backupFormat';
import { sha256Of } from './writeBackup';

/** Why a file is no backup that can be used; the message is a sentence. */
export class BackupError extends Error {
  constructor(sentence: string) {
    super(sentence);
    this.name = 'BackupError';
  }
}

export interface OpenedBackup {
  /** The database in it, as a file. */
  readonly database: string;
  /** When it was made; null for a bare copy of a database, which does not say. */
  readonly madeAt: string | null;
}

const NO_BACKUP = 'This file isn’t a backup of Humble Pendulum.';
const DAMAGED = 'This backup is damaged: part of it is missing or has changed.';
/** `backup.json` is never larger, bytes. */
const MAX_ABOUT_BYTES = 10_000;
const SQLITE_BEGINS = 'SQLite format 3\0';

const opened = (file: string): Promise<ZipFile> =>
  new Promise((resolve, reject) =>
    open(file, { lazyEntries: true, autoClose: false }, (error, zip) =>
      error ? reject(error) : resolve(zip),
    ),
  );

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  );

/** The two entries that count; what else lies in the file is for people. */
async function entriesIn(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  const found = new Map<string, Entry>();
  await new Promise<void>((resolve, reject) => {
    zip.on('error', reject);
    zip.on('end', resolve);
    zip.on('entry', (entry: Entry) => {
      if (entry.fileName === ABOUT_ENTRY || entry.fileName === DATABASE_ENTRY)
        found.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
  return found;
}

async function aboutIn(zip: ZipFile, entry: Entry | undefined) {
  if (!entry || entry.uncompressedSize > MAX_ABOUT_BYTES) throw new BackupError(NO_BACKUP);
  const text = (await buffer(await streamOf(zip, entry))).toString();
  try {
    return aboutSchema.parse(JSON.parse(text));
  } catch {
    throw new BackupError(NO_BACKUP);
  }
}

const isSqlite = async (file: string): Promise<boolean> => {
  const start = await buffer(createReadStream(file, { end: SQLITE_BEGINS.length - 1 }));
  return start.toString('latin1') === SQLITE_BEGINS;
};

/**
 * Opens a backup, or a bare copy of a database as the server makes one a day.
 * @param folder into which the database in it is written
 * @throws BackupError when it is neither, or is damaged
 */
export async function openBackup(file: string, folder: string): Promise<OpenedBackup> {
  const database = join(folder, DATABASE_ENTRY);
  if (await isSqlite(file)) {
    const source = await openSqlite(file);
    try {
      await source.rows('VACUUM INTO ?', [database]);
    } catch {
      throw new BackupError(DAMAGED);
    } finally {
      await source.close();
    }
    return { database, madeAt: null };
  }
  let zip: ZipFile;
  try {
    zip = await opened(file);
  } catch {
    throw new BackupError(NO_BACKUP);
  }
  try {
    const entries = await entriesIn(zip);
    const { madeAt, sha256 } = await aboutIn(zip, entries.get(ABOUT_ENTRY));
    const entry = entries.get(DATABASE_ENTRY);
    if (!entry) throw new BackupError(DAMAGED);
    await pipeline(await streamOf(zip, entry), createWriteStream(database));
    if ((await sha256Of(database)) !== sha256) throw new BackupError(DAMAGED);
    return { database, madeAt };
  } catch (error) {
    if (error instanceof BackupError) throw error;
    const code = (error as NodeJS.ErrnoException).code;
    if (code === 'ENOSPC') throw error;
    throw new BackupError(DAMAGED);
  } finally {
    zip.close();
  }
}
