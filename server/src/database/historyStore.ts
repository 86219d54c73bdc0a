import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { ALL_KEPT_MS, keptRevisions } from '@humble/core/files';
import { MAX_HISTORY_BYTES } from '@humble/core/routes';
import { filesIn, type RevisionText, type StoredRevision } from '../history/revisionChain';
import type { Threads } from '../threads/threads';
import type { Database, RunStatement } from './openDatabase';

/** A revision as the list shows it. */
export interface ListedRevision {
  readonly revision: number;
  /** When it was saved, milliseconds since 1970. */
  readonly savedAt: number;
  /** JSON. */
  readonly card: string;
  readonly cardVersion: number;
  /** Null where nobody has looked yet. */
  readonly changes: readonly string[] | null;
}

export interface HistorySize {
  readonly count: number;
  readonly bytes: number;
}

/** A save: what was there, and what is there now. */
export interface Superseded {
  readonly revision: number;
  readonly savedAt: number;
  readonly document: string;
  readonly card: string;
  /** Which way of making cards made it. */
  readonly cardVersion: number;
}

/** After so many deltas a whole document is stored, so that no revision is far from one. */
const MAX_CHAIN = 100;

const INSERT = `INSERT OR REPLACE INTO revisions (shotId, revision, savedAt, basedOn, content, card, cardVersion)
  VALUES ($shotId, $revision, $savedAt, $basedOn, $content, $card, $cardVersion)`;
const NOTE_FILES = `INSERT OR IGNORE INTO revisionFiles (shotId, sha256) SELECT $shotId, value FROM json_each($files)`;

interface StoredLine extends Omit<ListedRevision, 'card' | 'changes'> {
  readonly card: Buffer;
  readonly changes: string | null;
}

interface Kept {
  readonly revision: number;
  readonly at: number;
  readonly bytes: number;
}

const textOf = ({ revision, document }: RevisionText): RevisionText => ({ revision, document });

/** The oldest go, whatever their age, until the rest is small enough. */
function withinBytes(all: readonly Kept[], kept: ReadonlySet<number>): Set<number> {
  const small = new Set<number>();
  let bytes = 0;
  for (const one of all.filter(({ revision }) => kept.has(revision)).reverse()) {
    bytes += one.bytes;
    if (bytes > MAX_HISTORY_BYTES && small.size > 0) break;
    small.add(one.revision);
  }
  return small;
}

/** Earlier revisions of shots: a chain for each, thinned with age. */
export function createHistoryStore({ select, together }: Database, threads: Threads) {
  /** A shot's history is thinned by one at a time. */
  const thinning = new Map<string, Promise<void>>();

  /** The chain up to a revision, from the last whole document before it; empty when there is no such revision. */
  async function chainTo(shotId: string, revision: number): Promise<StoredRevision[]> {
    const chain = await select<StoredRevision>(
      `SELECT revision, basedOn, content FROM revisions
       WHERE shotId = ? AND revision <= ? AND revision >= (SELECT max(revision) FROM revisions
         WHERE shotId = ? AND revision <= ? AND basedOn IS NULL) ORDER BY revision`,
      [shotId, revision, shotId, revision],
    );
    return chain.at(-1)?.revision === revision ? chain : [];
  }

  /** How many deltas there are since the last whole document; null where a revision is not in the history. */
  async function deltasSinceWhole(shotId: string, revision: number): Promise<number | null> {
    const [row] = await select<{ isThere: number; deltas: number }>(
      `SELECT EXISTS (SELECT 1 FROM revisions WHERE shotId = ? AND revision = ?) AS isThere,
        (SELECT count(*) FROM revisions WHERE shotId = ? AND revision > coalesce((SELECT max(revision)
          FROM revisions WHERE shotId = ? AND basedOn IS NULL), 0)) AS deltas`,
      [shotId, revision, shotId, shotId],
    );
    return row?.isThere ? row.deltas : null;
  }

  async function thin(shotId: string, now: number): Promise<void> {
    const all = await select<Kept>(
      `SELECT revision, savedAt AS at, length(content) + length(card) AS bytes FROM revisions
       WHERE shotId = ? ORDER BY revision`,
      [shotId],
    );
    const kept = withinBytes(all, keptRevisions(all, now));
    if (kept.size === all.length) return;
    const newest = all.at(-1)!.revision;
    const chain = await select<StoredRevision>(
      'SELECT revision, basedOn, content FROM revisions WHERE shotId = ? AND revision <= ? ORDER BY revision',
      [shotId, newest],
    );
    const { changed, files } = await threads.thinned(chain, [...kept]);
    await together(async (run) => {
      for (const { revision, basedOn, content } of changed)
        await run(
          `UPDATE revisions SET basedOn = $basedOn, content = $content, changes = NULL
           WHERE shotId = $shotId AND revision = $revision`,
          { shotId, revision, basedOn, content: Buffer.from(content) },
        );
      await run(
        `DELETE FROM revisions WHERE shotId = $shotId AND revision <= $newest
         AND revision NOT IN (SELECT value FROM json_each($kept))`,
        { shotId, newest, kept: JSON.stringify([...kept]) },
      );
      // Files of revisions that came meanwhile stay noted: the next thinning sees them.
      await run(
        `DELETE FROM revisionFiles WHERE shotId = $shotId AND sha256 NOT IN (SELECT value FROM json_each($files))
         AND NOT EXISTS (SELECT 1 FROM revisions WHERE shotId = $shotId AND revision > $newest)`,
        { shotId, newest, files: JSON.stringify(files) },
      );
    });
  }

  return {
    /**
     * What has to be written beside a save, so that what is superseded can be had back: worked out before, written within
     * the save's own transaction.
     */
    prepared: async (
      shotId: string,
      before: Superseded,
      after: Superseded,
    ): Promise<(run: RunStatement) => Promise<void>> => {
      const deltas = await deltasSinceWhole(shotId, before.revision);
      const stored = await threads.storedAfter(
        deltas !== null && deltas >= MAX_CHAIN ? null : textOf(before),
        textOf(after),
      );
      const first = deltas === null ? await threads.storedAfter(null, textOf(before)) : null;
      const files = JSON.stringify([...new Set([...filesIn(before.document), ...filesIn(after.document)])]);
      return async (run) => {
        const put = ({ content, ...one }: StoredRevision, { savedAt, card, cardVersion }: Superseded) =>
          run(INSERT, {
            shotId,
            ...one,
            savedAt,
            cardVersion,
            content: Buffer.from(content),
            card: deflateRawSync(card),
          });
        if (first) await put(first, before);
        await put(stored, after);
        await run(NOTE_FILES, { shotId, files });
      };
    },

    /** So many revisions before one, the newest first. */
    list: async (shotId: string, before: number, count: number): Promise<readonly ListedRevision[]> => {
      const rows = await select<StoredLine>(
        `SELECT revision, savedAt, card, cardVersion, changes FROM revisions WHERE shotId = ? AND revision < ?
         ORDER BY revision DESC LIMIT ?`,
        [shotId, before, count],
      );
      const listed = rows.map((row): ListedRevision => ({
        ...row,
        card: inflateRawSync(row.card).toString(),
        changes: row.changes === null ? null : (JSON.parse(row.changes) as string[]),
      }));
      const wanted = listed.filter(({ changes }) => changes === null).map(({ revision }) => revision);
      if (wanted.length === 0) return listed;
      // From the whole document at or before the one before the oldest of them.
      const oldest = wanted.at(-1)!;
      const chain = await select<StoredRevision>(
        `SELECT revision, basedOn, content FROM revisions WHERE shotId = ? AND revision <= ? AND revision >=
          (SELECT max(revision) FROM revisions WHERE shotId = ? AND basedOn IS NULL AND revision <=
            coalesce((SELECT max(revision) FROM revisions WHERE shotId = ? AND revision < ?), ?)) ORDER BY revision`,
        [shotId, wanted[0], shotId, shotId, oldest, oldest],
      );
      const found = new Map(
        (await threads.changesIn(chain, wanted)).map(({ revision, changes }) => [revision, changes]),
      );
      await together(async (run) => {
        for (const [revision, changes] of found)
          await run(
            'UPDATE revisions SET changes = $changes WHERE shotId = $shotId AND revision = $revision AND changes IS NULL',
            { shotId, revision, changes: JSON.stringify(changes) },
          );
      });
      return listed.map((row) => ({ ...row, changes: row.changes ?? found.get(row.revision) ?? null }));
    },

    size: async (shotId: string): Promise<HistorySize> => {
      const [row] = await select<HistorySize>(
        `SELECT count(*) AS count, coalesce(sum(length(content) + length(card)), 0) AS bytes
         FROM revisions WHERE shotId = ?`,
        [shotId],
      );
      return row!;
    },

    /** A revision's document as it is written today; null when it is not kept. @throws Problem when it cannot be read */
    document: async (shotId: string, revision: number): Promise<string | null> => {
      const chain = await chainTo(shotId, revision);
      return chain.length === 0 ? null : (await threads.pastDocument(chain)).document;
    },

    savedAt: async (shotId: string, revision: number): Promise<number | null> => {
      const [row] = await select<{ savedAt: number }>(
        'SELECT savedAt FROM revisions WHERE shotId = ? AND revision = ?',
        [shotId, revision],
      );
      return row?.savedAt ?? null;
    },

    /** Thins a shot's history by age and size. */
    thin: (shotId: string, now = Date.now()): Promise<void> => {
      const before = thinning.get(shotId) ?? Promise.resolve();
      const work = before.catch(() => undefined).then(() => thin(shotId, now));
      thinning.set(shotId, work);
      return work.finally(() => {
        if (thinning.get(shotId) === work) thinning.delete(shotId);
      });
    },

    /** Shots whose history may be thinned: more than one revision, one of them no longer new. */
    thinnable: async (now = Date.now()): Promise<readonly string[]> =>
      (
        await select<{ shotId: string }>(
          'SELECT shotId FROM revisions GROUP BY shotId HAVING count(*) > 1 AND min(savedAt) < ?',
          [now - ALL_KEPT_MS],
        )
      ).map(({ shotId }) => shotId),
  };
}

export type HistoryStore = ReturnType<typeof createHistoryStore>;
