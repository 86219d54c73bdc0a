import { openSqlite, type PlainSqlite } from '../database/plainSqlite';

/** Beside what is there, or instead of it. */
export type RestoreWay = 'beside' | 'instead';

export interface Restored {
  /** Shots that were not there before. */
  readonly added: number;
  /** Shots that have changed since: they were added under another name. */
  readonly renamed: number;
  /** Shots that are the same already. */
  readonly same: number;
}

const TABLES = ['shots', 'pictures', 'sounds', 'easings', 'revisions', 'revisionFiles'] as const;

async function columnsOf(database: PlainSqlite, table: string): Promise<string> {
  const rows = await database.rows<{ name: string }>(`SELECT name FROM pragma_table_info('${table}')`);
  return rows.map(({ name }) => `"${name}"`).join(', ');
}

const quoted = (text: string): string => `'${text.replaceAll("'", "''")}'`;

/** Statements that replace all that is there. */
async function instead(database: PlainSqlite): Promise<string> {
  const parts = [];
  for (const table of [...TABLES].reverse()) parts.push(`DELETE FROM main.${table};`);
  for (const table of TABLES) {
    const columns = await columnsOf(database, table);
    parts.push(`INSERT INTO main.${table} (${columns}) SELECT ${columns} FROM backup.${table};`);
  }
  return parts.join('\n');
}

/** Statements that add what is not there; a shot that has changed since comes as another one, without its history. */
async function beside(database: PlainSqlite, suffix: string): Promise<string> {
  const parts = [];
  for (const table of ['pictures', 'sounds', 'easings']) {
    const columns = await columnsOf(database, table);
    parts.push(`INSERT OR IGNORE INTO main.${table} (${columns}) SELECT ${columns} FROM backup.${table};`);
  }
  const columns = await columnsOf(database, 'shots');
  parts.push(
    `CREATE TEMP TABLE addedShots AS SELECT id FROM backup.shots WHERE id NOT IN (SELECT id FROM main.shots);`,
    `INSERT INTO main.shots (id, revision, document, name, film, lengthFrames, rate, card, cardVersion, createdAt,
       updatedAt, rank, removedAt)
     SELECT lower(hex(randomblob(8))), 1, json_set(b.document, '$.name', substr(b.name, 1, 80) || ${quoted(suffix)}),
       substr(b.name, 1, 80) || ${quoted(suffix)}, b.film, b.lengthFrames, b.rate, b.card, b.cardVersion, b.createdAt,
       b.updatedAt, NULL, NULL
     FROM backup.shots b JOIN main.shots m USING (id)
     WHERE m.document <> b.document AND b.removedAt IS NULL;`,
    `INSERT INTO main.shots (${columns}) SELECT ${columns} FROM backup.shots WHERE id IN (SELECT id FROM addedShots);`,
  );
  for (const table of ['revisions', 'revisionFiles']) {
    const its = await columnsOf(database, table);
    parts.push(
      `INSERT INTO main.${table} (${its}) SELECT ${its} FROM backup.${table}
       WHERE shotId IN (SELECT id FROM addedShots);`,
    );
  }
  return parts.join('\n');
}

async function counted(database: PlainSqlite, way: RestoreWay): Promise<Restored> {
  const count = async (sql: string): Promise<number> => {
    const [row] = await database.rows<{ count: number }>(`SELECT count(*) AS count FROM ${sql}`);
    return row!.count;
  };
  if (way === 'instead')
    return { added: await count('backup.shots WHERE removedAt IS NULL'), renamed: 0, same: 0 };
  const joined = 'backup.shots b JOIN main.shots m USING (id) WHERE';
  return {
    added: await count('backup.shots WHERE removedAt IS NULL AND id NOT IN (SELECT id FROM main.shots)'),
    renamed: await count(`${joined} m.document <> b.document AND b.removedAt IS NULL`),
    same: await count(`${joined} m.document = b.document AND b.removedAt IS NULL`),
  };
}

/**
 * Reads a backup's database into another one, all of it or, where the process is killed, nothing.
 * @param file the database that is in use; a server may hold it open
 * @param backup one with the same tables
 * @param suffix what is added to the name of a shot that has changed since
 */
export async function restoreInto(
  file: string,
  backup: string,
  { way, suffix }: { readonly way: RestoreWay; readonly suffix: string },
): Promise<Restored> {
  const database = await openSqlite(file, 'write');
  try {
    await database.exec('PRAGMA busy_timeout = 10000; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON;');
    await database.exec(`ATTACH DATABASE ${quoted(backup)} AS backup;`);
    await database.exec('BEGIN IMMEDIATE;');
    const restored = await counted(database, way);
    await database.exec(way === 'instead' ? await instead(database) : await beside(database, suffix));
    await database.exec('COMMIT;');
    return restored;
  } finally {
    // What was not committed is rolled back.
    await database.close();
  }
}
