import { createHash } from 'node:crypto';
import { createReadStream, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { FILE_ENDINGS } from '@humble/core/files';
import { ZipFile } from 'yazl';
import { openSqlite, type PlainSqlite } from '../database/plainSqlite';
import {
  ABOUT_ENTRY,
  type About,
  BACKUP_FORMAT,
  BACKUP_VERSION,
  DATABASE_ENTRY,
  README,
  README_ENTRY,
} from './backupFormat';

/** A folder beside the database for what is being written; gone when the work is done. */
export async function inWorkFolder<Result>(
  dataFolder: string,
  work: (folder: string) => Promise<Result>,
): Promise<Result> {
  const folder = mkdtempSync(join(dataFolder, WORK_PREFIX));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What such folders are called. One that a killed server left behind is removed at the next start. */
export const WORK_PREFIX = '.backup-';

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

const stemOf = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || 'shot';

/** What is put into the ZIP file when its turn comes, so that no more than one file of it is held at once. */
const lazily =
  (content: () => Promise<Buffer>) =>
  (use: (error: unknown, stream: Readable) => void): void => {
    content().then(
      (bytes) => use(null, Readable.from([bytes])),
      (error: unknown) => use(error, Readable.from([])),
    );
  };

/** The open files of a database; it has to stay open until they are written. */
async function addOpenFiles(zip: ZipFile, database: PlainSqlite): Promise<void> {
  await database.each<{ id: string; name: string }>(
    'shots',
    { columns: 'id, name', key: 'id', where: 'removedAt IS NULL' },
    ({ id, name }) => {
      const content = async (): Promise<Buffer> => {
        const sql = 'SELECT document FROM shots WHERE id = ?';
        const [row] = await database.rows<{ document: string }>(sql, [id]);
        return Buffer.from(row!.document);
      };
      zip.addReadStreamLazy(`shots/${stemOf(name)}-${id}.json`, {}, lazily(content));
    },
  );
  for (const table of ['pictures', 'sounds'])
    await database.each<{ sha256: string; type: keyof typeof FILE_ENDINGS }>(
      table,
      { columns: 'sha256, type', key: 'sha256' },
      ({ sha256, type }) => {
        const content = async (): Promise<Buffer> => {
          const sql = `SELECT bytes FROM ${table} WHERE sha256 = ?`;
          const [row] = await database.rows<{ bytes: Buffer }>(sql, [sha256]);
          return row!.bytes;
        };
        const name = `${table}/${sha256}.${FILE_ENDINGS[type]}`;
        // They are compressed already.
        zip.addReadStreamLazy(name, { compress: false }, lazily(content));
      },
    );
}

interface Source {
  readonly dataFolder: string;
  /** Writes a consistent copy of the database into a file that is not there yet. */
  readonly copyInto: (file: string) => Promise<void>;
}

/** Writes everything into one ZIP file. @throws Error when the copy or the file cannot be written */
export function writeBackup(
  { dataFolder, copyInto }: Source,
  out: Writable,
  now = new Date(),
): Promise<void> {
  return inWorkFolder(dataFolder, async (folder) => {
    const copy = join(folder, DATABASE_ENTRY);
    await copyInto(copy);
    const about: About = {
      format: BACKUP_FORMAT,
      version: BACKUP_VERSION,
      madeAt: now.toISOString(),
      sha256: await sha256Of(copy),
    };
    const zip = new ZipFile();
    const written = pipeline(zip.outputStream, out);
    // What goes wrong while it is filled is told where it is awaited.
    written.catch(() => undefined);
    const database = await openSqlite(copy);
    try {
      zip.addBuffer(Buffer.from(`${JSON.stringify(about, null, 2)}\n`), ABOUT_ENTRY);
      zip.addBuffer(Buffer.from(README), README_ENTRY);
      zip.addFile(copy, DATABASE_ENTRY);
      await addOpenFiles(zip, database);
      zip.end();
      await written;
    } finally {
      await database.close();
    }
  });
}
