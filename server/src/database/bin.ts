import { Op } from 'sequelize';
import { filesIn } from '../history/revisionChain';
import type { Database } from './openDatabase';
import type { ShotRecord } from './shotRecord';

/** Which shots of the bin are meant: one, those removed before a moment, or all. */
interface Meant {
  readonly id?: string;
  readonly before?: Date;
}

/** Of so many shots the documents are read at once. */
const AT_ONCE = 20;

const unused = (table: 'pictures' | 'sounds'): string =>
  `DELETE FROM ${table} WHERE sha256 IN (SELECT value FROM json_each($files))
   AND NOT EXISTS (SELECT 1 FROM shots WHERE instr(shots.document, ${table}.sha256) > 0)
   AND NOT EXISTS (SELECT 1 FROM revisionFiles WHERE revisionFiles.sha256 = ${table}.sha256)`;

/** The bin: shots that were removed, until they are removed for good. */
export function createBin({ shots, select, change }: Database) {
  /** What only earlier revisions of these shots use. */
  const pastFiles = async (ids: readonly string[]): Promise<readonly string[]> =>
    (
      await select<{ sha256: string }>(
        'SELECT DISTINCT sha256 FROM revisionFiles WHERE shotId IN (SELECT value FROM json_each(?))',
        [JSON.stringify(ids)],
      )
    ).map(({ sha256 }) => sha256);

  const some = (meant: Meant): Promise<ShotRecord[]> => {
    return shots.findAll({
      where: {
        removedAt: meant.before ? { [Op.lt]: meant.before } : { [Op.ne]: null },
        ...(meant.id !== undefined && { id: meant.id }),
      },
      attributes: ['id', 'document'],
      limit: AT_ONCE,
    });
  };
  return {
    /**
     * Removes shots of the bin for good, and their history. What they alone used of pictures and sounds goes with them: the shots first, so
     * that a broken-off emptying leaves files without a shot and never a shot without its files.
     * @returns how many shots that were
     */
    empty: async (meant: Meant): Promise<number> => {
      let count = 0;
      for (let found = await some(meant); found.length > 0; found = await some(meant)) {
        const past = await pastFiles(found.map(({ id }) => id));
        const files = JSON.stringify([
          ...new Set([...found.flatMap(({ document }) => filesIn(document)), ...past]),
        ]);
        // One that was restored meanwhile stays.
        count += await shots.destroy({
          where: { id: found.map(({ id }) => id), removedAt: { [Op.ne]: null } },
        });
        await change(unused('pictures'), { files });
        await change(unused('sounds'), { files });
      }
      return count;
    },
  };
}
