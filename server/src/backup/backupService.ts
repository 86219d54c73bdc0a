import { createWriteStream, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { AnswerOf } from '@humble/core/contract';
import { nanoid } from 'nanoid';
import { copiesFolder, dailyCopiesIn, dayOfCopy } from '../database/dailyCopies';
import { type Database, openDatabase } from '../database/openDatabase';
import { DATABASE_FILE } from '../database/setAside';
import { StartError } from '../database/startError';
import { Problem } from '../http/problem';
import type { Threads } from '../threads/threads';
import { BackupError, openBackup } from './readBackup';
import { type Restored, restoreInto, type RestoreWay } from './restoreInto';
import { type Verified, verifyDatabase } from './verifyDatabase';
import { WORK_PREFIX, writeBackup } from './writeBackup';

/** A backup that was brought in and looked at. */
interface Looked extends Verified {
  readonly folder: string;
  readonly madeAt: string | null;
}

type ShownBackup = AnswerOf<'lookAtBackup'>;

/** So many backups that were looked at stay at hand; the oldest goes for another one. */
const MAX_LOOKED = 3;
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** What is added to the name of a shot that comes back beside a later version of itself. */
export const suffixOf = (madeAt: string | null): string =>
  madeAt === null ? ' (from a backup)' : ` (backup of ${DAY.format(new Date(madeAt))})`;

/** Removes what a killed server left of backups. */
export function clearWork(dataFolder: string): void {
  for (const name of readdirSync(dataFolder).filter((one) => one.startsWith(WORK_PREFIX)))
    rmSync(join(dataFolder, name), { recursive: true, force: true });
}

/**
 * Brings the database of an opened backup to the present tables.
 * @throws BackupError when it is of a newer version, or of another program
 */
export async function broughtUpToDate(folder: string): Promise<void> {
  try {
    await (await openDatabase(folder)).close();
  } catch (error) {
    if (!(error instanceof StartError)) throw error;
    const isNewer = error.why === 'newer';
    throw new BackupError(
      isNewer
        ? 'This backup was made by a newer version of Humble Pendulum. Use that version to restore it.'
        : 'This backup is damaged: its database cannot be opened.',
    );
  }
}

/** Backups of everything: written, looked at, and read back. */
export function createBackupService(dataFolder: string, database: Database, threads: Threads) {
  const looked = new Map<string, Looked>();

  function forget(id: string): void {
    const one = looked.get(id);
    looked.delete(id);
    if (one) rmSync(one.folder, { recursive: true, force: true });
  }

  async function look(
    bring: (folder: string) => Promise<{ file: string; madeAt?: string }>,
  ): Promise<ShownBackup> {
    const folder = mkdtempSync(join(dataFolder, WORK_PREFIX));
    try {
      const { file, madeAt: known } = await bring(folder);
      const { madeAt } = await openBackup(file, folder);
      await broughtUpToDate(folder);
      const checkDocument = (text: string): Promise<unknown> => threads.openDocument(text, false);
      const verified = await verifyDatabase(join(folder, DATABASE_FILE), checkDocument);
      const id = nanoid(12);
      if (looked.size >= MAX_LOOKED) forget([...looked.keys()][0]!);
      looked.set(id, { ...verified, folder, madeAt: madeAt ?? known ?? null });
      return shown(id);
    } catch (error) {
      rmSync(folder, { recursive: true, force: true });
      if (error instanceof BackupError) throw new Problem(422, 'no-backup', error.message);
      throw error;
    }
  }

  function shown(id: string): ShownBackup {
    const { madeAt, shots, removedShots, revisions, pictures, sounds, easings, faults } = looked.get(id)!;
    return {
      id,
      madeAt,
      shots: [...shots],
      removedShots,
      revisions,
      pictures,
      sounds,
      easings,
      faults: [...faults],
    };
  }

  return {
    write: (out: Writable): Promise<void> => writeBackup({ dataFolder, copyInto: database.copyInto }, out),

    /** The daily copies, the newest first. */
    copies: (): string[] => dailyCopiesIn(dataFolder).map(dayOfCopy).reverse(),

    /** Takes a backup in and says what it holds, changing nothing. @throws Problem `no-backup` */
    lookAt: (bytes: Readable): Promise<ShownBackup> =>
      look(async (folder) => {
        const file = join(folder, 'brought-in');
        await pipeline(bytes, createWriteStream(file));
        return { file };
      }),

    /** The same with the copy of a day. @throws Problem `no-backup` */
    lookAtCopy: (day: string): Promise<ShownBackup> => {
      const name = dailyCopiesIn(dataFolder).find((one) => dayOfCopy(one) === day);
      if (!name) throw new Problem(404, 'no-backup', 'There is no copy of this day.');
      return look(() =>
        Promise.resolve({ file: join(copiesFolder(dataFolder), name), madeAt: `${day}T12:00:00.000Z` }),
      );
    },

    forget,

    /** Reads a backup back that was looked at. What was there before is set aside where it is replaced. */
    restore: async (
      id: string,
      way: RestoreWay,
    ): Promise<Restored & { readonly setAside: string | null }> => {
      const one = looked.get(id);
      if (!one)
        throw new Problem(404, 'no-backup', 'This backup is no longer at hand. Choose its file again.');
      if (one.faults.length > 0 && way === 'instead')
        throw new Problem(
          422,
          'no-backup',
          'This backup is damaged: it can only be restored beside what there is.',
        );
      const setAside = way === 'instead' ? await setAsideIn(dataFolder, database) : null;
      const restored = await database.alone(() =>
        restoreInto(join(dataFolder, DATABASE_FILE), join(one.folder, DATABASE_FILE), {
          way,
          suffix: suffixOf(one.madeAt),
        }),
      );
      forget(id);
      return { ...restored, setAside };
    },
  };
}

/** A copy of what a restore replaces, in the folder of the daily copies. @returns its name */
export async function setAsideIn(
  dataFolder: string,
  { copyInto }: Pick<Database, 'copyInto'>,
  now = new Date(),
): Promise<string> {
  const stamp = now.toISOString().slice(0, 19).replace(/[T:]/g, '-');
  mkdirSync(copiesFolder(dataFolder), { recursive: true });
  const name = `before-restore-${stamp}.sqlite`;
  const file = join(copiesFolder(dataFolder), name);
  if (!existsSync(file)) await copyInto(file);
  return name;
}

export type BackupService = ReturnType<typeof createBackupService>;
