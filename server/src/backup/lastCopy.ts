import { copyFileSync, existsSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import { faultOfCopy, lastGoodCopy } from '../database/dailyCopies';
import { lostSentence, lostSince } from '../database/lostSince';
import { DATABASE_FILE } from '../database/setAside';
import { BackupError } from './readBackup';

/**
 * Puts the last good daily copy in the place of the database, which is set aside beside it.
 * @returns sentences on what was done, and on what is missing since
 * @throws BackupError when there is no copy, or none that is whole
 */
export async function goOnWithLastCopy(dataFolder: string, now = new Date()): Promise<readonly string[]> {
  const copy = lastGoodCopy(dataFolder);
  if (!copy) throw new BackupError(`There is no daily copy in ${dataFolder}.`);
  const fault = await faultOfCopy(copy.file);
  if (fault !== null) throw new BackupError(`The copy ${copy.file} is damaged: ${fault}.`);
  const file = join(dataFolder, DATABASE_FILE);
  const lost = lostSentence(existsSync(file) ? await lostSince(file, copy.file) : null);
  // Written beside it first: a killed process leaves the database or its copy in place, never half of one.
  const next = `${file}.next`;
  copyFileSync(copy.file, next);
  const stamp = now.toISOString().slice(0, 19).replace(/[T:]/g, '-');
  const aside = join(dataFolder, `humble-pendulum.set-aside-${stamp}.sqlite`);
  for (const ending of ['-wal', '-shm', ''])
    if (existsSync(`${file}${ending}`)) renameSync(`${file}${ending}`, `${aside}${ending}`);
  renameSync(next, file);
  return [`The copy of ${copy.day} is in place. What was there before is set aside as ${aside}.`, lost];
}
