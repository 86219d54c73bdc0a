import { QueryTypes, type Sequelize, Transaction } from 'sequelize';
import { Umzug } from 'umzug';
import { MIGRATIONS, type Migration } from './migrations';
import { StartError } from './startError';

/** The table in which migrations that were made are noted. */
const NOTES = 'SequelizeMeta';

async function tableNames(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
    { type: QueryTypes.SELECT },
  );
  return rows.map(({ name }) => name);
}

async function notedMigrations(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>(`SELECT name FROM ${NOTES} ORDER BY name`, {
    type: QueryTypes.SELECT,
  });
  return rows.map(({ name }) => name);
}

/** Makes one migration and its note in one transaction: a killed process leaves both or neither. */
const migrated = (sequelize: Sequelize, { name, statements }: Migration): Promise<void> =>
  sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
    for (const statement of statements) await sequelize.query(statement, { transaction });
    await sequelize.query(`INSERT INTO ${NOTES} (name) VALUES (?)`, { transaction, replacements: [name] });
  });

/**
 * Brings a database to the present tables.
 * @param beforeChange called with the first migration to be made, before a database that was in use changes
 * @throws StartError when the database is another program's, or of a newer release
 */
export async function migrateDatabase(
  sequelize: Sequelize,
  file: string,
  beforeChange: (migration: string) => Promise<void>,
): Promise<void> {
  const tables = await tableNames(sequelize);
  if (tables.length > 0 && !tables.includes(NOTES))
    throw new StartError(
      `${file} belongs to another program. Move it away, or choose another folder with HUMBLE_DATA=…`,
      'foreign',
    );
  await sequelize.query(
    `CREATE TABLE IF NOT EXISTS ${NOTES} (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)`,
  );
  const noted = await notedMigrations(sequelize);
  const unknown = noted.find((name) => !MIGRATIONS.some((migration) => migration.name === name));
  if (unknown)
    throw new StartError(
      `${file} was written by a newer release (${unknown}). Start that release, or choose another folder with HUMBLE_DATA=…`,
      'newer',
    );
  const next = MIGRATIONS.find(({ name }) => !noted.includes(name));
  if (next && noted.length > 0) await beforeChange(next.name);
  const umzug = new Umzug({
    migrations: MIGRATIONS.map((migration) => ({
      name: migration.name,
      up: () => migrated(sequelize, migration),
    })),
    storage: {
      executed: () => notedMigrations(sequelize),
      // The note is part of the migration's own transaction.
      logMigration: () => Promise.resolve(),
      unlogMigration: () => Promise.reject(new Error('Migrations are not undone: use the copy.')),
    },
    logger: undefined,
  });
  await umzug.up();
}
