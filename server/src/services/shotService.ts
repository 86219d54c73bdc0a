import { openShot, type Shot, type ShotCard, shotCard } from '@humble/core';
import { nanoid } from 'nanoid';
import type { Database } from '../database/openDatabase';
import type { ShotRecord } from '../database/shotRecord';
import { Problem } from '../http/problem';

/** One line of the list. */
export interface ShotSummary {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly film: string;
  readonly lengthFrames: number;
  readonly rate: number;
  readonly updatedAt: string;
  readonly card: ShotCard;
}

export interface StoredShot {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly shot: Shot;
}

const LONGEST_NAME = 120;

const summaryOf = (record: ShotRecord): ShotSummary => ({
  id: record.id,
  revision: record.revision,
  name: record.name,
  film: record.film,
  lengthFrames: record.lengthFrames,
  rate: record.rate,
  updatedAt: record.updatedAt.toISOString(),
  card: JSON.parse(record.card) as ShotCard,
});

const storedOf = (record: ShotRecord): StoredShot => ({
  id: record.id,
  revision: record.revision,
  updatedAt: record.updatedAt.toISOString(),
  shot: openShot(JSON.parse(record.document)),
});

const columnsOf = (shot: Shot) => ({
  document: JSON.stringify(shot),
  name: shot.name,
  film: shot.film,
  lengthFrames: shot.lengthFrames,
  rate: shot.rate,
  card: JSON.stringify(shotCard(shot)),
});

/** What can be done with stored shots. Every change is one statement, so one transaction. */
export function createShotService({ shots }: Database) {
  async function find(id: string): Promise<ShotRecord> {
    const record = await shots.findByPk(id);
    if (!record) throw new Problem(404, 'shot-not-found', 'There is no such shot.');
    if (record.removedAt)
      throw new Problem(410, 'shot-removed', 'This shot was removed. It can be restored.');
    return record;
  }

  async function create(shot: Shot, id = nanoid(12)): Promise<StoredShot> {
    const record = await shots.create({ id, revision: 1, removedAt: null, ...columnsOf(shot) });
    return storedOf(record);
  }

  return {
    /** Shots in use, the one changed last first. */
    list: async (): Promise<ShotSummary[]> => {
      const records = await shots.findAll({
        where: { removedAt: null },
        attributes: { exclude: ['document'] },
        order: [
          ['updatedAt', 'DESC'],
          ['id', 'ASC'],
        ],
      });
      return records.map(summaryOf);
    },

    create,

    read: async (id: string): Promise<StoredShot> => storedOf(await find(id)),

    /**
     * Replaces a shot's document.
     * @param revision the revision the change is based on
     * @throws Problem 409 with the current document when someone else saved since
     */
    save: async (id: string, revision: number, shot: Shot): Promise<Omit<StoredShot, 'shot'>> => {
      const updatedAt = new Date();
      const [count] = await shots.update(
        { ...columnsOf(shot), revision: revision + 1, updatedAt },
        { where: { id, revision, removedAt: null }, silent: true },
      );
      if (count === 1) return { id, revision: revision + 1, updatedAt: updatedAt.toISOString() };
      const current = storedOf(await find(id));
      throw new Problem(409, 'stale-revision', 'This shot was changed somewhere else.', { current });
    },

    duplicate: async (id: string): Promise<StoredShot> => {
      const { shot } = storedOf(await find(id));
      const suffix = ' copy';
      return create({ ...shot, name: `${shot.name.slice(0, LONGEST_NAME - suffix.length)}${suffix}` });
    },

    /** Puts a shot into the bin. Doing it twice is no mistake. */
    remove: async (id: string): Promise<void> => {
      const [count] = await shots.update(
        { removedAt: new Date() },
        { where: { id, removedAt: null }, silent: true },
      );
      if (count === 0 && !(await shots.findByPk(id))) await find(id);
    },

    /** Takes a shot out of the bin again. */
    restore: async (id: string): Promise<StoredShot> => {
      await shots.update({ removedAt: null }, { where: { id }, silent: true });
      return storedOf(await find(id));
    },

    /** Puts a shot in under a fixed id unless it is there already, in use or in the bin. */
    createOnce: async (id: string, shot: Shot): Promise<void> => {
      if (!(await shots.findByPk(id))) await create(shot, id);
    },
  };
}

export type ShotService = ReturnType<typeof createShotService>;
