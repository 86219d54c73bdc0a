import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { openSqlite, type PlainSqlite } from './plainSqlite';

/** Daily copies are kept for so many days on which there was one. */
export const COPIES_KEPT = 14;
const COPY = /^humble-pendulum-(\d{4}-\d{2}-\d{2})\.sqlite$/;

export const copiesFolder = (dataFolder: string): string => join(dataFolder, 'copies');

const dayOf = (now: Date): string =>
  [now.getFullYear(), now.getMonth() + 1, now.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');

/** The names of the daily copies in a folder, the oldest first. */
export function dailyCopiesIn(dataFolder: string): readonly string[] {
  const folder = copiesFolder(dataFolder);
  return existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => COPY.test(name))
        .sort()
    : [];
}

/** Of which day a daily copy is, by its name. */
export const dayOfCopy = (name: string): string => COPY.exec(name)![1]!;

/** The last copy that was found whole, and its day; null where there is none. */
export function lastGoodCopy(dataFolder: string): { readonly file: string; readonly day: string } | null {
  const name = dailyCopiesIn(dataFolder).at(-1);
  return name === undefined ? null : { file: join(copiesFolder(dataFolder), name), day: dayOfCopy(name) };
}

/** What is wrong with a copy, as SQLite's own check of integrity says it; null for one that is whole. */
export async function faultOfCopy(file: string): Promise<string | null> {
  let database: PlainSqlite | null = null;
  try {
    database = await openSqlite(file);
    const [row] = await database.rows('PRAGMA integrity_check');
    const said = String(row?.integrity_check);
    if (said !== 'ok') return said;
    await database.rows('SELECT count(*) FROM shots');
    return null;
  } catch (error) {
    return (error as Error).message;
  } finally {
    await database?.close();
  }
}

interface Copied {
  /** Writes a consistent copy of the database into a file that is not there yet. */
  readonly copyInto: (file: string) => Promise<void>;
}

/**
 * Makes the copy of a day, unless it is there. A copy is whole or not there: it is written under another name, checked,
 * and renamed. Copies older than the last `COPIES_KEPT` go, and only after a new one was found whole.
 * @returns its file; null when the day has one
 * @throws Error when the copy cannot be written, or is not whole
 */
export async function copyOfToday(
  dataFolder: string,
  { copyInto }: Copied,
  now = new Date(),
): Promise<string | null> {
  const folder = copiesFolder(dataFolder);
  const file = join(folder, `humble-pendulum-${dayOf(now)}.sqlite`);
  if (existsSync(file)) return null;
  mkdirSync(folder, { recursive: true });
  const unfinished = `${file}.unfinished`;
  rmSync(unfinished, { force: true });
  await copyInto(unfinished);
  const fault = await faultOfCopy(unfinished);
  if (fault !== null) {
    rmSync(unfinished, { force: true });
    throw new Error(`The daily copy was not whole: ${fault}`);
  }
  renameSync(unfinished, file);
  for (const old of dailyCopiesIn(dataFolder).slice(0, -COPIES_KEPT))
    rmSync(join(folder, old), { force: true });
  return file;
}
