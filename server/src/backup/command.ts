// What `npx humble-pendulum backup`, `restore` and `verify` do, as a program of its own: they work on the server's data.
import { createWriteStream, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { readShotFile } from '@humble/core/files';
import { holdFolder } from '../database/holdFolder';
import { makeFolder, openDatabase } from '../database/openDatabase';
import { DATABASE_FILE } from '../database/setAside';
import { StartError } from '../database/startError';
import { backupName } from './backupFormat';
import { broughtUpToDate, setAsideIn, suffixOf } from './backupService';
import { goOnWithLastCopy } from './lastCopy';
import { BackupError, openBackup, type OpenedBackup } from './readBackup';
import { restoreInto } from './restoreInto';
import { type Verified, verifyDatabase } from './verifyDatabase';
import { writeBackup } from './writeBackup';

const OPTIONS = {
  data: { type: 'string' },
  out: { type: 'string' },
  instead: { type: 'boolean' },
  'last-copy': { type: 'boolean' },
} as const;

type Values = {
  [Name in keyof typeof OPTIONS]?: (typeof OPTIONS)[Name]['type'] extends 'string' ? string : boolean;
};

/** The exit code of a backup in which something is wrong. */
const FAULTY = 2;

const say = (...sentences: readonly string[]): void =>
  void process.stdout.write(sentences.map((one) => `${one}\n`).join(''));

/** Where a path was meant, whichever folder npm went to. */
const pathOf = (path: string): string => resolve(process.env.INIT_CWD ?? process.cwd(), path);

const checkDocument = (text: string): Promise<unknown> => Promise.resolve().then(() => readShotFile(text));

const counted = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

function holds({ shots, removedShots, revisions, pictures, sounds, easings, faults }: Verified): string[] {
  return [
    `${counted(shots.length, 'shot')}, ${removedShots} more in the bin, ${counted(revisions, 'earlier version')}, ` +
      `${counted(pictures, 'picture')}, ${counted(sounds, 'sound')}, ${counted(easings, 'easing')}.`,
    ...(faults.length === 0 ? ['Nothing is wrong with it.'] : faults),
  ];
}

async function inTemporary<Result>(work: (folder: string) => Promise<Result>): Promise<Result> {
  const folder = mkdtempSync(join(tmpdir(), 'humble-backup-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Opens a backup and looks at all of it. */
async function looked(file: string, folder: string): Promise<OpenedBackup & { readonly verified: Verified }> {
  if (!existsSync(file)) throw new BackupError(`There is no file ${file}.`);
  const opened = await openBackup(file, folder);
  await broughtUpToDate(folder);
  return { ...opened, verified: await verifyDatabase(join(folder, DATABASE_FILE), checkDocument) };
}

async function backup(dataFolder: string, { out }: Values): Promise<number> {
  if (!existsSync(join(dataFolder, DATABASE_FILE)))
    throw new BackupError(`There is no data in ${dataFolder}. Say where it is with --data FOLDER.`);
  const file = pathOf(out ?? backupName(new Date()));
  const database = await openDatabase(dataFolder);
  const unfinished = `${file}.unfinished`;
  try {
    await writeBackup({ dataFolder, copyInto: database.copyInto }, createWriteStream(unfinished));
    renameSync(unfinished, file);
  } finally {
    rmSync(unfinished, { force: true });
    await database.close();
  }
  // What was written is read back: a backup that cannot be restored is none.
  const { verified } = await inTemporary((folder) => looked(file, folder));
  say(`Everything is in ${file}.`, ...holds(verified));
  return verified.faults.length === 0 ? 0 : FAULTY;
}

async function verify(dataFolder: string, paths: readonly string[]): Promise<number> {
  const [path] = paths;
  const verified =
    path === undefined
      ? await verifyDatabase(join(dataFolder, DATABASE_FILE), checkDocument)
      : (await inTemporary((folder) => looked(pathOf(path), folder))).verified;
  say(...holds(verified));
  return verified.faults.length === 0 ? 0 : FAULTY;
}

async function restore(dataFolder: string, paths: readonly string[], values: Values): Promise<number> {
  makeFolder(dataFolder);
  const held = await holdFolder(dataFolder, `a restore (process ${process.pid})`);
  try {
    if (values['last-copy']) {
      say(...(await goOnWithLastCopy(dataFolder)));
      return 0;
    }
    if (paths.length !== 1) throw new BackupError('restore takes one backup, or --last-copy.');
    const file = pathOf(paths[0]!);
    return await inTemporary(async (folder) => {
      const { madeAt, verified } = await looked(file, folder);
      const way = values.instead ? 'instead' : 'beside';
      if (verified.faults.length > 0 && way === 'instead')
        throw new BackupError(
          `${basename(file)} is damaged: it can only be restored beside what there is. ${verified.faults[0]}`,
        );
      const database = await openDatabase(dataFolder);
      try {
        const aside = way === 'instead' ? await setAsideIn(dataFolder, database) : null;
        const { added, renamed, same } = await restoreInto(
          join(dataFolder, DATABASE_FILE),
          join(folder, DATABASE_FILE),
          { way, suffix: suffixOf(madeAt) },
        );
        say(
          ...holds(verified),
          aside === null
            ? `${counted(added, 'shot')} added, ${renamed} under another name beside later ones, ${same} the same already.`
            : `${counted(added, 'shot')} restored. What was there before is in copies/${aside}.`,
        );
      } finally {
        await database.close();
      }
      return 0;
    });
  } finally {
    await held.release();
  }
}

async function main(args: readonly string[]): Promise<number> {
  const [command, ...rest] = args;
  const { values, positionals } = parseArgs({ args: rest, options: OPTIONS, allowPositionals: true });
  const known = process.env.HUMBLE_DATA;
  if (values.data === undefined && !known) throw new BackupError('Say where the data is with --data FOLDER.');
  const dataFolder = values.data === undefined ? known! : pathOf(values.data);
  if (command === 'backup') return backup(dataFolder, values);
  return command === 'verify' ? verify(dataFolder, positionals) : restore(dataFolder, positionals, values);
}

main(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error: Error & { readonly code?: string }) => {
    const isKnown =
      error instanceof BackupError || error instanceof StartError || typeof error.code === 'string';
    process.stderr.write(`${isKnown ? error.message : String(error.stack)}\n`);
    process.exitCode = 1;
  },
);
