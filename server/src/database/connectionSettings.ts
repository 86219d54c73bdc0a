import sqlite3 from 'sqlite3';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

/** How long a statement waits for another program that holds the database, milliseconds. */
const BUSY_TIMEOUT_MS = 5000;

// An acknowledged save must survive a killed process and a pulled plug: the write-ahead log with full
// synchronisation writes it to the disk before the answer goes out.
const SETTINGS = `
  PRAGMA journal_mode = WAL;
  PRAGMA synchronous = FULL;
  PRAGMA foreign_keys = ON;`;

export interface ConnectionSettings {
  readonly journalMode: string;
  readonly synchronous: 'off' | 'normal' | 'full' | 'extra';
  readonly foreignKeys: boolean;
  readonly busyTimeoutMs: number;
}

/** What every connection has to be set to. */
export const REQUIRED_SETTINGS: ConnectionSettings = {
  journalMode: 'wal',
  synchronous: 'full',
  foreignKeys: true,
  busyTimeoutMs: BUSY_TIMEOUT_MS,
};

/**
 * A connection that is set up before anything else runs on it. `exec` has the connection to itself, so
 * statements that are sent while it is still opening wait until the settings are made.
 */
class ConfiguredConnection extends sqlite3.Database {
  constructor(file: string, mode: number, opened: (error: Error | null) => void) {
    super(file, mode, opened);
    this.configure('busyTimeout', BUSY_TIMEOUT_MS);
    // Whether the settings took is read back by `readSettings`; an error here would say no more.
    this.exec(SETTINGS, () => undefined);
  }
}

/**
 * SQLite for Sequelize, with the settings made on every connection. Sequelize's own hook for that,
 * `afterConnect`, is not called for SQLite.
 */
export const configuredSqlite = {
  ...sqlite3,
  Database: ConfiguredConnection,
  verbose: (): object => configuredSqlite,
};

const SYNCHRONOUS = ['off', 'normal', 'full', 'extra'] as const;

/** Reads the settings of the connection that a transaction uses, or of the one used without. */
export async function readSettings(
  sequelize: Sequelize,
  transaction?: Transaction,
): Promise<ConnectionSettings> {
  const pragma = async (name: string): Promise<unknown> => {
    const [row] = await sequelize.query<Record<string, unknown>>(`SELECT * FROM pragma_${name}`, {
      type: QueryTypes.SELECT,
      transaction,
    });
    return Object.values(row ?? {})[0];
  };
  return {
    journalMode: String(await pragma('journal_mode')),
    synchronous: SYNCHRONOUS[Number(await pragma('synchronous'))] ?? 'off',
    foreignKeys: (await pragma('foreign_keys')) === 1,
    busyTimeoutMs: Number(await pragma('busy_timeout')),
  };
}

/** The settings that did not take, as `journalMode is delete`; empty when all did. */
export const settingsAmiss = (settings: ConnectionSettings): string[] =>
  (Object.keys(REQUIRED_SETTINGS) as (keyof ConnectionSettings)[])
    .filter((name) => settings[name] !== REQUIRED_SETTINGS[name])
    .map((name) => `${name} is ${String(settings[name])}`);
