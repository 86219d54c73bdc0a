import { createHash } from 'node:crypto';
import { documentsOf, filesIn, type StoredRevision } from '../history/revisionChain';
import { openSqlite, type PlainSqlite } from '../database/plainSqlite';

/** What a database holds. */
export interface Holdings {
  readonly shots: readonly { readonly name: string; readonly film: string; readonly savedAt: string }[];
  readonly removedShots: number;
  readonly revisions: number;
  readonly pictures: number;
  readonly sounds: number;
  readonly easings: number;
}

export interface Verified extends Holdings {
  /** What is wrong with it, a sentence each; empty for one that is whole. */
  readonly faults: readonly string[];
}

/** Reads a stored document. @throws Error with a sentence when it cannot be read */
export type CheckDocument = (text: string) => Promise<unknown>;

const hasTable = async (database: PlainSqlite, name: string): Promise<boolean> =>
  (await database.rows("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?", [name])).length > 0;

const countOf = async (database: PlainSqlite, table: string, where = ''): Promise<number> => {
  if (!(await hasTable(database, table))) return 0;
  const [row] = await database.rows<{ count: number }>(`SELECT count(*) AS count FROM ${table} ${where}`);
  return row?.count ?? 0;
};

export async function holdingsOf(database: PlainSqlite): Promise<Holdings> {
  return {
    shots: await database.rows<Holdings['shots'][number]>(
      'SELECT name, film, updatedAt AS savedAt FROM shots WHERE removedAt IS NULL ORDER BY film, name',
    ),
    removedShots: await countOf(database, 'shots', 'WHERE removedAt IS NOT NULL'),
    revisions: await countOf(database, 'revisions'),
    pictures: await countOf(database, 'pictures'),
    sounds: await countOf(database, 'sounds'),
    easings: await countOf(database, 'easings'),
  };
}

/** Files whose bytes are not what their checksum says. */
async function changedFiles(database: PlainSqlite, table: 'pictures' | 'sounds'): Promise<string[]> {
  const faults: string[] = [];
  const kind = table === 'pictures' ? 'picture' : 'sound';
  if (!(await hasTable(database, table))) return faults;
  await database.each<{ sha256: string; bytes: Buffer }>(
    table,
    { columns: 'bytes, sha256', key: 'sha256' },
    ({ sha256, bytes }) => {
      const found = createHash('sha256').update(bytes).digest('hex');
      if (found !== sha256) faults.push(`The ${kind} ${sha256.slice(0, 12)}… is damaged.`);
    },
  );
  return faults;
}

async function faultsOfHistory(database: PlainSqlite, shotId: string, name: string): Promise<string[]> {
  const chain = await database.rows<StoredRevision>(
    'SELECT revision, basedOn, content FROM revisions WHERE shotId = ? ORDER BY revision',
    [shotId],
  );
  let last = 'the first one';
  try {
    for (const { revision } of documentsOf(chain)) last = `revision ${revision}`;
    return [];
  } catch {
    return [`The history of “${name}” is damaged after ${last}.`];
  }
}

/**
 * Looks at all that a database holds: its own integrity, each shot, each history, each picture and sound, and whether what
 * the shots name is there.
 * @throws Error of SQLite for a file that is no database
 */
export async function verifyDatabase(file: string, checkDocument: CheckDocument): Promise<Verified> {
  const database = await openSqlite(file);
  try {
    const [row] = await database.rows('PRAGMA integrity_check');
    const said = String(row?.integrity_check);
    if (said !== 'ok') {
      const faults = [`The database is damaged: ${said.split('\n')[0]}.`];
      return { shots: [], removedShots: 0, revisions: 0, pictures: 0, sounds: 0, easings: 0, faults };
    }
    const faults: string[] = [];
    const hasHistory = await hasTable(database, 'revisions');
    const known = new Set<string>();
    for (const table of ['pictures', 'sounds'])
      if (await hasTable(database, table))
        for (const { sha256 } of await database.rows<{ sha256: string }>(`SELECT sha256 FROM ${table}`))
          known.add(sha256);
    await database.each<{ id: string; name: string; document: string }>(
      'shots',
      { columns: 'id, name, document', key: 'id' },
      async ({ id, name, document }) => {
        try {
          await checkDocument(document);
        } catch (error) {
          faults.push(`“${name}” cannot be read: ${(error as Error).message}`);
        }
        const missing = filesIn(document).filter((sha256) => !known.has(sha256)).length;
        if (missing > 0) faults.push(`“${name}” names ${missing} pictures or sounds that are not there.`);
        if (hasHistory) faults.push(...(await faultsOfHistory(database, id, name)));
      },
    );
    faults.push(...(await changedFiles(database, 'pictures')), ...(await changedFiles(database, 'sounds')));
    return { ...(await holdingsOf(database)), faults };
  } finally {
    await database.close();
  }
}
