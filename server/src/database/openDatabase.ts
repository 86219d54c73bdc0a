import { existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { type ModelStatic, QueryTypes, Sequelize, Transaction } from 'sequelize';
import { createInTurn, type InTurn } from './inTurn';
import { configuredSqlite, type ConnectionSettings, readSettings, settingsAmiss } from './connectionSettings';
import { defineEasingRecord, type EasingRecord } from './easingRecord';
import { lastGoodCopy } from './dailyCopies';
import { lostSentence, lostSince } from './lostSince';
import { migrateDatabase } from './migrateDatabase';
import { defineSoundRecord, type SoundRecord } from './soundRecord';
import { definePictureRecord, type PictureRecord } from './pictureRecord';
import { DATABASE_FILE, refuseLostDatabase, setCopyAside } from './setAside';
import { defineShotRecord, type ShotRecord } from './shotRecord';
import { asStartError, errorCode, type GoodCopy, StartError } from './startError';

/** Runs a statement within a transaction, with values for `$name`. */
export type RunStatement = (sql: string, values?: Readonly<Record<string, unknown>>) => Promise<void>;

export interface Database {
  readonly folder: string;
  readonly shots: ModelStatic<ShotRecord>;
  readonly pictures: ModelStatic<PictureRecord>;
  readonly sounds: ModelStatic<SoundRecord>;
  readonly easings: ModelStatic<EasingRecord>;
  readonly settings: () => Promise<ConnectionSettings>;
  readonly isInPlace: () => boolean;
  /** A statement of one's own, for what the models do not offer. Returns the rows. */
  readonly select: <Row extends object>(sql: string, values?: readonly unknown[]) => Promise<Row[]>;
  readonly change: (sql: string, values: Readonly<Record<string, string>>) => Promise<void>;
  /** Work that writes by itself: nothing else of this process writes meanwhile. */
  readonly alone: InTurn;
  /** Several statements that are made together or not at all: also where the process is killed between them. */
  readonly together: <Result>(
    work: (run: RunStatement, transaction: Transaction) => Promise<Result>,
  ) => Promise<Result>;
  /** Writes a consistent copy of all of it into a file that is not there yet. */
  readonly copyInto: (file: string) => Promise<void>;
  readonly close: () => Promise<void>;
}

/** Makes a folder and those above it, one by one: Node's own way of doing that never ends where none can be made. */
function makeFolders(folder: string): void {
  if (existsSync(folder)) return;
  makeFolders(dirname(folder));
  mkdirSync(folder);
}

/** Makes the folder of the data unless it is there. @throws StartError when it cannot be made or read */
export function makeFolder(folder: string): void {
  try {
    makeFolders(folder);
    readdirSync(folder);
  } catch (error) {
    const known = asStartError(error, folder);
    throw known instanceof StartError
      ? known
      : new StartError(`The folder ${folder} cannot be made. Choose another one with HUMBLE_DATA=…`);
  }
}

async function refuseWrongSettings(sequelize: Sequelize, file: string): Promise<void> {
  const own = await readSettings(sequelize);
  const inTransaction = await sequelize.transaction({ type: Transaction.TYPES.DEFERRED }, (transaction) =>
    readSettings(sequelize, transaction),
  );
  const amiss = [...settingsAmiss(own), ...settingsAmiss(inTransaction)];
  if (amiss.length > 0)
    throw new StartError(
      `${file} cannot be kept safely (${[...new Set(amiss)].join(', ')}). Choose a folder on a disk of this machine with HUMBLE_DATA=…`,
    );
}

/** The last good copy in a folder, and what is not in it. */
async function goodCopy(folder: string, file: string): Promise<GoodCopy | null> {
  const copy = lastGoodCopy(folder);
  return copy && { ...copy, lost: lostSentence(await lostSince(file, copy.file)) };
}

const WRITES = /^\s*(INSERT|UPDATE|DELETE|REPLACE)\b/i;

/**
 * Has statements that write wait for each other here. SQLite lets one write at a time; whoever waits for it holds one of
 * the few threads that Node has for such work, and the one that is waited for needs one of them to come to its end.
 */
function writeInTurn(sequelize: Sequelize, alone: InTurn): void {
  const query = sequelize.query.bind(sequelize) as (...args: readonly unknown[]) => Promise<unknown>;
  const inTurn = (sql: string | { readonly query: string }, options?: { readonly transaction?: unknown }) => {
    const text = typeof sql === 'string' ? sql : sql.query;
    // What belongs to a transaction has its turn already.
    return options?.transaction || !WRITES.test(text)
      ? query(sql, options)
      : alone(() => query(sql, options));
  };
  Object.assign(sequelize, { query: inTurn });
}

const identityOf = (file: string): string | null => {
  const stat = statSync(file, { throwIfNoEntry: false });
  return stat ? `${stat.dev}:${stat.ino}` : null;
};

/**
 * Opens the database in a folder, makes it when it is not there, and brings it up to date.
 * @throws StartError with a way out, for all that is known to go wrong
 */
export async function openDatabase(folder: string): Promise<Database> {
  makeFolder(folder);
  refuseLostDatabase(folder);
  const file = join(folder, DATABASE_FILE);
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: configuredSqlite,
    storage: file,
    logging: false,
  });
  try {
    await migrateDatabase(sequelize, file, (next) => setCopyAside(sequelize, folder, next));
    await refuseWrongSettings(sequelize, file);
  } catch (error) {
    // Closing waits for a connection, also for one that could not be opened.
    if (errorCode(error) !== 'SQLITE_CANTOPEN') await sequelize.close().catch(() => undefined);
    throw asStartError(error, file, await goodCopy(folder, file));
  }
  const alone = createInTurn();
  writeInTurn(sequelize, alone);
  const opened = identityOf(file);
  return {
    folder,
    shots: defineShotRecord(sequelize),
    pictures: definePictureRecord(sequelize),
    sounds: defineSoundRecord(sequelize),
    easings: defineEasingRecord(sequelize),
    settings: () => readSettings(sequelize),
    isInPlace: () => identityOf(file) === opened,
    select: (sql, values = []) =>
      sequelize.query(sql, { type: QueryTypes.SELECT, replacements: [...values] }),
    change: async (sql, values) => {
      await sequelize.query(sql, { type: QueryTypes.UPDATE, bind: { ...values } });
    },
    alone,
    together: (work) =>
      alone(() =>
        sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, (transaction) =>
          work(async (sql, values = {}) => {
            await sequelize.query(sql, { type: QueryTypes.RAW, bind: { ...values }, transaction });
          }, transaction),
        ),
      ),
    copyInto: async (copy) => {
      await sequelize.query('VACUUM INTO ?', { replacements: [copy] });
    },
    close: () => sequelize.close(),
  };
}
