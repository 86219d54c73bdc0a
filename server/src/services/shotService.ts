import type { Immutable } from '@humble/core';
import { createHash } from 'node:crypto';
import { CARD_VERSION, plainCard, type ShotCard } from '@humble/core/files';
import { type AnswerOf, MAX_REMOVED_LISTED } from '@humble/core/contract';
import { BIN_DAYS, REVISIONS_LISTED } from '@humble/core/routes';
import { nanoid } from 'nanoid';
import { Op } from 'sequelize';
import type { Database } from '../database/openDatabase';
import type { ShotRecord } from '../database/shotRecord';
import { createBin } from '../database/bin';
import { createHistoryStore } from '../database/historyStore';
import { Problem } from '../http/problem';
import type { ShotColumns } from '../threads/documentTasks';
import type { Threads } from '../threads/threads';
import { createShotCheck, damageOf } from './shotCheck';

type ListedShot = Immutable<AnswerOf<'listShots'>['shots'][number]>;
type RemovedShot = Immutable<AnswerOf<'listRemoved'>['shots'][number]>;
type SavedShot = AnswerOf<'saveShot'>;
type History = Immutable<AnswerOf<'listRevisions'>>;

/** A stored shot, its document as text: it is sent as it lies there. */
export interface StoredShot extends SavedShot {
  readonly document: string;
}

const BIN_MS = BIN_DAYS * 24 * 3600 * 1000;

/** What the card of a shot shows whose own cannot be read. */
const UNKNOWN_FIELD = { width: 1920, height: 1080 };

/** A shot's history is thinned at most so often while it is saved, milliseconds. */
const THIN_EVERY_MS = 10 * 60_000;

const hashOf = (text: string): string => createHash('sha256').update(text).digest('base64');

/** A date of the database in milliseconds; one that is none reads as the beginning of time. */
const msOf = (date: Date): number => (Number.isNaN(date.valueOf()) ? 0 : date.valueOf());
const isoOf = (date: Date): string => new Date(msOf(date)).toISOString();

function cardOf({ card, cardVersion }: Pick<ShotRecord, 'card' | 'cardVersion'>): ShotCard {
  try {
    const read = JSON.parse(card) as ShotCard | null;
    if (cardVersion === CARD_VERSION && read && Array.isArray(read.arcs) && Array.isArray(read.ghosts))
      return read;
  } catch {
    // A torn card is drawn anew by the check of the shots.
  }
  return plainCard(UNKNOWN_FIELD);
}

const storedOf = ({ id, revision, updatedAt }: ShotRecord, document: string): StoredShot => ({
  id,
  revision,
  updatedAt: isoOf(updatedAt),
  document,
});

const rowOf = ({ document, name, film, lengthFrames, rate, card }: ShotColumns) => ({
  document,
  name,
  film,
  lengthFrames,
  rate,
  card,
  cardVersion: CARD_VERSION,
});

/** A stored shot as JSON: its document is JSON already. */
export const storedJson = ({ document, ...rest }: StoredShot): string =>
  `${JSON.stringify(rest).slice(0, -1)},"shot":${document}}`;

/** What whoever asks for a document is told that cannot be read; other errors are what they are. */
function damageProblem(error: unknown): unknown {
  const damage = damageOf(error);
  return damage ? new Problem(422, damage.code, damage.sentence) : error;
}

/** What can be done with stored shots. Every change is one transaction. */
export function createShotService(database: Database, threads: Threads) {
  const { shots } = database;
  const good = new Map<string, string>();
  const check = createShotCheck(database, threads);
  const bin = createBin(database);
  const history = createHistoryStore(database, threads);
  const thinnedAt = new Map<string, number>();

  /** Beside the requests: whoever saves does not wait for it, and what fails is tried again. */
  function thinSometimes(id: string): void {
    const now = Date.now();
    if (Math.abs(now - (thinnedAt.get(id) ?? 0)) < THIN_EVERY_MS) return;
    thinnedAt.set(id, now);
    void history.thin(id).catch(() => undefined);
  }

  /** Replaces a document and writes down what it supersedes, in one transaction. @returns whether it was still the current one */
  async function replace(
    current: ShotRecord,
    row: ReturnType<typeof rowOf>,
    updatedAt: Date,
  ): Promise<boolean> {
    const { id, revision } = current;
    const write = await history.prepared(
      id,
      { ...current.get(), savedAt: msOf(current.updatedAt) },
      { ...row, revision: revision + 1, savedAt: msOf(updatedAt) },
    );
    return database.together(async (run, transaction) => {
      const [count] = await shots.update(
        { ...row, revision: revision + 1, updatedAt },
        { where: { id, revision, removedAt: null }, silent: true, transaction },
      );
      if (count === 1) await write(run);
      return count === 1;
    });
  }

  const knowGood = (id: string, revision: number, document: string): void => {
    good.set(id, hashOf(document));
    check.knowGood(id, revision, Buffer.byteLength(document));
  };

  async function find(id: string): Promise<ShotRecord> {
    const record = await shots.findByPk(id);
    if (!record) throw new Problem(404, 'shot-not-found', 'There is no such shot.');
    if (record.removedAt)
      throw new Problem(410, 'shot-removed', 'This shot was removed. It can be restored.');
    return record;
  }

  /** The document of a shot as it is written today. @throws Problem when it cannot be read */
  async function openedDocument({ id, document }: ShotRecord): Promise<string> {
    if (good.get(id) === hashOf(document)) return document;
    try {
      const opened = await threads.openDocument(document, false);
      if (opened.document === document) good.set(id, hashOf(document));
      return opened.document;
    } catch (error) {
      throw damageProblem(error);
    }
  }

  async function create(columns: ShotColumns, id = nanoid(12)): Promise<StoredShot> {
    const row = rowOf(columns);
    const record = await shots.create({ id, revision: 1, removedAt: null, rank: null, ...row });
    knowGood(id, 1, row.document);
    return storedOf(record, row.document);
  }

  return {
    /** Shots in use, the one changed last first. */
    list: async (): Promise<ListedShot[]> => {
      const records = await shots.findAll({
        where: { removedAt: null },
        attributes: { exclude: ['document'] },
        order: [
          ['updatedAt', 'DESC'],
          ['id', 'ASC'],
        ],
      });
      const damage = await check.known();
      return records.map((record) => ({
        id: record.id,
        revision: record.revision,
        name: record.name,
        film: record.film,
        lengthFrames: record.lengthFrames,
        rate: record.rate,
        updatedAt: isoOf(record.updatedAt),
        rank: record.rank,
        card: cardOf(record),
        damage: damage.get(record.id) ?? null,
      }));
    },

    /** Shots in the bin, the one removed last first. */
    listRemoved: async (): Promise<RemovedShot[]> => {
      const records = await shots.findAll({
        where: { removedAt: { [Op.ne]: null } },
        attributes: { exclude: ['document'] },
        order: [
          ['removedAt', 'DESC'],
          ['id', 'ASC'],
        ],
        limit: MAX_REMOVED_LISTED,
      });
      return records.map((record) => ({
        id: record.id,
        name: record.name,
        film: record.film,
        lengthFrames: record.lengthFrames,
        rate: record.rate,
        card: cardOf(record),
        removedAt: isoOf(record.removedAt!),
        goneAt: isoOf(new Date(record.removedAt!.valueOf() + BIN_MS)),
      }));
    },

    create: (columns: ShotColumns): Promise<StoredShot> => create(columns),

    /** @throws Problem `damaged-shot`, `newer-version` */
    read: async (id: string): Promise<StoredShot> => {
      const record = await find(id);
      return storedOf(record, await openedDocument(record));
    },

    rawDocument: async (id: string): Promise<string> => {
      const record = await shots.findByPk(id);
      if (!record) throw new Problem(404, 'shot-not-found', 'There is no such shot.');
      return String(record.document);
    },

    /** How far a shot has come, without its document. */
    revision: async (id: string): Promise<{ revision: number; isRemoved: boolean }> => {
      const record = await shots.findByPk(id, { attributes: ['revision', 'removedAt'] });
      if (!record) throw new Problem(404, 'shot-not-found', 'There is no such shot.');
      return { revision: record.revision, isRemoved: record.removedAt !== null };
    },

    /**
     * Replaces a shot's document.
     * @param revision the revision the change is based on
     * @throws Problem 409 with the current document when someone else saved since; `damaged-shot` when the
     *   stored document cannot be read, which is then left as it is
     */
    save: async (id: string, revision: number, columns: ShotColumns): Promise<SavedShot> => {
      const current = await find(id);
      const document = await openedDocument(current);
      const updatedAt = new Date();
      const row = current.revision === revision ? rowOf(columns) : null;
      if (row && (await replace(current, row, updatedAt))) {
        knowGood(id, revision + 1, row.document);
        thinSometimes(id);
        return { id, revision: revision + 1, updatedAt: updatedAt.toISOString() };
      }
      const latest = row ? await find(id) : current;
      const theirs = storedOf(latest, row ? await openedDocument(latest) : document);
      const members = `"current":${storedJson(theirs)}`;
      throw new Problem(409, 'stale-revision', 'This shot was changed somewhere else.', members);
    },

    /** Earlier revisions, the newest first. */
    listRevisions: async (id: string, before: number): Promise<History> => {
      await find(id);
      const [revisions, size] = await Promise.all([
        history.list(id, before, REVISIONS_LISTED),
        history.size(id),
      ]);
      return {
        ...size,
        revisions: revisions.map(({ revision, savedAt, card, cardVersion, changes }) => ({
          revision,
          savedAt: isoOf(new Date(savedAt)),
          card: cardOf({ card, cardVersion }),
          changes: changes ?? [],
        })),
      };
    },

    /** @throws Problem `revision-not-found`, `damaged-shot` */
    readRevisionOf: async (id: string, revision: number): Promise<StoredShot> => {
      await find(id);
      const savedAt = await history.savedAt(id, revision);
      const document = savedAt === null ? null : await history.document(id, revision);
      if (savedAt === null || document === null)
        throw new Problem(404, 'revision-not-found', 'This revision is no longer kept.');
      return { id, revision, updatedAt: isoOf(new Date(savedAt)), document };
    },

    /** Thins what nobody has saved for a while. @returns how many shots that were */
    thinHistories: async (now = new Date()): Promise<number> => {
      const ids = await history.thinnable(now.valueOf());
      for (const id of ids) await history.thin(id, now.valueOf());
      return ids.length;
    },

    duplicate: async (id: string): Promise<StoredShot> => {
      const document = await openedDocument(await find(id));
      return create(await threads.copyDocument(document, ' copy'));
    },

    /** Puts a shot into the bin. Doing it twice is no mistake. */
    remove: async (id: string): Promise<void> => {
      const [count] = await shots.update(
        { removedAt: new Date() },
        { where: { id, removedAt: null }, silent: true },
      );
      if (count === 0 && !(await shots.findByPk(id, { attributes: ['id'] }))) await find(id);
    },

    /** A shot of the bin, for good. @throws Problem `shot-not-found` */
    removeForGood: async (id: string): Promise<void> => {
      if ((await bin.empty({ id })) === 0)
        throw new Problem(404, 'shot-not-found', 'There is no such shot in the bin.');
    },

    emptyBin: async (): Promise<void> => void (await bin.empty({})),

    /** Removes for good what has been in the bin for `BIN_DAYS`. @returns how many shots that were */
    emptyOldBin: (now = new Date()): Promise<number> =>
      bin.empty({ before: new Date(now.valueOf() - BIN_MS) }),

    /** Takes a shot out of the bin again, whether it can be read or not. */
    restore: async (id: string): Promise<SavedShot & { name: string }> => {
      await shots.update({ removedAt: null }, { where: { id }, silent: true });
      const record = await find(id);
      return { id, revision: record.revision, updatedAt: isoOf(record.updatedAt), name: record.name };
    },

    /** Puts shots into this order, in one statement. Those that are not there are passed over. */
    order: (ids: readonly string[]): Promise<void> =>
      database.change(
        `UPDATE shots SET rank = (SELECT key FROM json_each($ids) WHERE value = shots.id)
         WHERE id IN (SELECT value FROM json_each($ids))`,
        { ids: JSON.stringify(ids) },
      ),

    /** Puts a shot in under a fixed id unless it is there already, in use or in the bin. */
    createOnce: async (id: string, text: string): Promise<void> => {
      if (!(await shots.findByPk(id, { attributes: ['id'] })))
        await create(await threads.openDocument(text, true), id);
    },
  };
}

export type ShotService = ReturnType<typeof createShotService>;
