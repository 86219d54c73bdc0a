import { openSqlite, type PlainSqlite } from './plainSqlite';

interface Line {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
}

async function linesIn(file: string): Promise<readonly Line[] | null> {
  let database: PlainSqlite | null = null;
  try {
    database = await openSqlite(file);
    return await database.rows<Line>('SELECT id, name, revision FROM shots ORDER BY updatedAt DESC');
  } catch {
    return null;
  } finally {
    await database?.close();
  }
}

/**
 * The names of shots that a damaged database has in a later state than a copy of it, the last changed first; null where
 * the damaged one does not even say that.
 */
export async function lostSince(damaged: string, copy: string): Promise<readonly string[] | null> {
  const [there, kept] = [await linesIn(damaged), await linesIn(copy)];
  if (!there || !kept) return null;
  const known = new Map(kept.map(({ id, revision }) => [id, revision]));
  return there.filter(({ id, revision }) => (known.get(id) ?? 0) < revision).map(({ name }) => name);
}

const MOST_NAMED = 8;

/** What is missing when one goes on with the copy, as a sentence. */
export function lostSentence(lost: readonly string[] | null): string {
  if (lost === null) return 'Which shots have changed since then can no longer be read.';
  if (lost.length === 0) return 'No shot has changed since then.';
  const named = lost
    .slice(0, MOST_NAMED)
    .map((name) => `“${name}”`)
    .join(', ');
  const more = lost.length > MOST_NAMED ? ` and ${lost.length - MOST_NAMED} more` : '';
  return `Changed since then: ${named}${more}.`;
}
