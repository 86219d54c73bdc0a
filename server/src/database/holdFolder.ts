import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { asStartError, errorCode, StartError } from './startError';

/** Who holds the folder is written into it. */
const LOCK_FILE = 'in-use.sqlite';

const open = (file: string): Promise<sqlite3.Database> =>
  new Promise((resolve, reject) => {
    const lock = new sqlite3.Database(file, (error) => (error ? reject(error) : resolve(lock)));
  });

const exec = (lock: sqlite3.Database, sql: string): Promise<void> =>
  new Promise((resolve, reject) => lock.exec(sql, (error) => (error ? reject(error) : resolve())));

const named = (who: string): string =>
  `DELETE FROM holder; INSERT INTO holder VALUES ('${who.replaceAll("'", "''")}');`;

const heldBy = (lock: sqlite3.Database): Promise<string> =>
  new Promise((resolve) =>
    lock.get<{ who: string }>('SELECT who FROM holder', (_, row) => resolve(row?.who ?? 'another program')),
  );

/** A folder of data that one program has to itself. */
export interface HeldFolder {
  /** Changes who the next one is told that holds it. */
  readonly rename: (who: string) => Promise<void>;
  readonly release: () => Promise<void>;
}

/**
 * Takes a folder of data for this process. The system itself lets go of it when the process ends, however it ends.
 * @param who holds it, as the next one is told: “the server at http://127.0.0.1:4270”
 * @throws StartError when another process has it
 */
export async function holdFolder(folder: string, who: string): Promise<HeldFolder> {
  const lock = await open(join(folder, LOCK_FILE)).catch((error: unknown) => {
    throw asStartError(error, folder);
  });
  try {
    await exec(lock, 'CREATE TABLE IF NOT EXISTS holder (who TEXT NOT NULL)');
    // Others may read who it is while the transaction is open; none can begin one of their own.
    await exec(lock, `BEGIN IMMEDIATE; ${named(who)} COMMIT; BEGIN IMMEDIATE;`);
  } catch (error) {
    const holder = await heldBy(lock);
    await new Promise((resolve) => lock.close(resolve));
    if (errorCode(error) !== 'SQLITE_BUSY') throw asStartError(error, folder);
    throw new StartError(
      `${folder} is in use by ${holder}. Stop that first, or choose another folder with HUMBLE_DATA=…`,
    );
  }
  return {
    rename: (name) => exec(lock, `${named(name)} COMMIT; BEGIN IMMEDIATE;`),
    release: () => new Promise((resolve) => lock.close(() => resolve())),
  };
}
