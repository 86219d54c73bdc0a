import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { type ModelStatic, Sequelize } from 'sequelize';
import { defineEasingRecord, type EasingRecord } from './easingRecord';
import { migrateDatabase } from './migrations';
import { definePictureRecord, type PictureRecord } from './pictureRecord';
import { defineShotRecord, type ShotRecord } from './shotRecord';

export interface Database {
  readonly shots: ModelStatic<ShotRecord>;
  readonly pictures: ModelStatic<PictureRecord>;
  readonly easings: ModelStatic<EasingRecord>;
  readonly close: () => Promise<void>;
}

interface SqliteConnection {
  exec(sql: string, done: (error: Error | null) => void): void;
}

// An acknowledged save must survive a killed process and a pulled plug: the write-ahead log with full
// synchronisation writes it to the disk before the answer goes out.
const PRAGMAS =
  'PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = 5000;';

/** Opens the database in a folder, makes it when it is not there, and brings it up to date. */
export async function openDatabase(folder: string): Promise<Database> {
  mkdirSync(folder, { recursive: true });
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: join(folder, 'humble-pendulum.sqlite'),
    logging: false,
    hooks: {
      afterConnect: (connection: unknown) =>
        new Promise<void>((resolve, reject) => {
          (connection as SqliteConnection).exec(PRAGMAS, (error) => (error ? reject(error) : resolve()));
        }),
    },
  });
  await migrateDatabase(sequelize);
  return {
    shots: defineShotRecord(sequelize),
    pictures: definePictureRecord(sequelize),
    easings: defineEasingRecord(sequelize),
    close: () => sequelize.close(),
  };
}
