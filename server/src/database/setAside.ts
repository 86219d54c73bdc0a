import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Sequelize } from 'sequelize';
import { StartError } from './startError';

/** The database's file in its folder. */
export const DATABASE_FILE = 'humble-pendulum.sqlite';
const COPY = /^humble-pendulum\.before-.+\.sqlite$/;

export function copiesIn(folder: string): string[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => COPY.test(name))
    .sort((a, b) => statSync(join(folder, a)).mtimeMs - statSync(join(folder, b)).mtimeMs);
}

/**
 * Sets a copy of the database aside before its tables change. A copy is whole or not there: it is written
 * under another name first.
 * @param migration the change that it is set aside before
 */
export async function setCopyAside(sequelize: Sequelize, folder: string, migration: string): Promise<void> {
  const copy = join(folder, `humble-pendulum.before-${migration}.sqlite`);
  if (existsSync(copy)) return;
  const unfinished = `${copy}.unfinished`;
  rmSync(unfinished, { force: true });
  await sequelize.query('VACUUM INTO ?', { replacements: [unfinished] });
  renameSync(unfinished, copy);
}

/**
 * A database that is gone or empty beside a copy of it was lost: starting with a new one would hide that.
 * @throws StartError
 */
export function refuseLostDatabase(folder: string): void {
  const newest = copiesIn(folder).pop();
  if (newest === undefined) return;
  const file = join(folder, DATABASE_FILE);
  const isThere = existsSync(file);
  if (isThere && statSync(file).size > 0) return;
  throw new StartError(
    `${file} is ${isThere ? 'empty' : 'gone'}, but there is a copy of it, ${newest}. ` +
      `Rename the copy to ${DATABASE_FILE} to go on with it, or move it away to start with an empty database.`,
  );
}
